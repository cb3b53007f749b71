'use client';
import dynamic from 'next/dynamic';
import { stageOptics } from '@/core/render';
import { isSealed } from '@/core/stations';
import { Because, Marked, Note, WetnessMark, useUnits } from '@/ui';
import { SHEEN_WORDS, SPRAY_WORDS } from '@/words';
import { say } from '@/words/say';
import { DisagreementNotes } from '../disagreement-notes';
import { LandingDrawing } from '../drawings/landing';
import { FaultsLink } from '../faults-link';
import { MissingList } from '../missing-list';
import { NextLink } from '../next-link';
import { useOpenPiece } from '../piece-context';
import { StationCautions, StationTools } from '../station-cautions';
import { StationLayout } from '../station-layout';
import { CoatsPart } from './coats-part';
import { DatesPart } from './dates-part';
import { SealAct } from './seal-act';
import { SealAnswer } from './seal-answer';
import { SealFields } from './seal-fields';
import { sealReasons } from './seal-reasons';
import { SealersPart } from './sealers-part';

const SheensPart = dynamic(() => import('./sheens-part').then((file) => file.SheensPart), { ssr: false });

export function SealStation() {
  const { piece, plan } = useOpenPiece();
  const units = useUnits();
  const { sealing } = plan.seal;
  const sealed = isSealed(piece, plan);
  return (
    <StationLayout
      station="seal"
      act={<SealAct />}
      answer={<SealAnswer />}
      onward={<NextLink station="keep" quiet={!sealed} />}
      specimen={
        <LandingDrawing
          painted
          optics={stageOptics(sealed ? plan.method.sheen : 'hazy')}
          caption={
            sealed ? (
              <Marked>
                <WetnessMark wetness="sealed" /> {say`Sealed, ${SHEEN_WORDS[plan.method.sheen].inText}.`}
              </Marked>
            ) : (
              say`${piece.seal.coatsAt.length} of ${sealing?.coats ?? 0} coats on.`
            )
          }
        />
      }
    >
      <CoatsPart />
      <DatesPart />
      <SheensPart />
      <Because reasons={sealReasons(piece, plan, units)} />
      {sealing?.sealer.sprayed && <Note>{SPRAY_WORDS}</Note>}
      <SealFields />
      <SealersPart />
      {!sealing?.sealer.bare && <StationTools station="seal" />}
      <DisagreementNotes at="seal" />
      <MissingList station="seal" />
      <StationCautions station="seal" />
      <FaultsLink />
    </StationLayout>
  );
}
