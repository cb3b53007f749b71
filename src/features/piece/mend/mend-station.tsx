'use client';
import dynamic from 'next/dynamic';
import { stageOptics } from '@/core/render';
import { isRubbed } from '@/core/stations';
import { say } from '@/words/say';
import { LandingDrawing } from '../drawings/landing';
import { FaultsLink } from '../faults-link';
import { InspectPart } from '../inspect';
import { MissingList } from '../missing-list';
import { NextLink } from '../next-link';
import { useOpenPiece } from '../piece-context';
import { StationCautions, StationTools } from '../station-cautions';
import { StationLayout } from '../station-layout';
import { MendAct } from './mend-act';
import { MendAnswer, isUsual } from './mend-answer';
import { MendOverlay } from './mend-overlay';
import { RepairsPart } from './repairs-part';
import { useHoles } from './use-holes';
import { useRim } from './use-rim';

/** What mixes colours loads when the station is open. */
const FromPhotoPart = dynamic(() => import('./from-photo-part').then((file) => file.FromPhotoPart), { ssr: false });
const LooksPart = dynamic(() => import('./looks-part').then((file) => file.LooksPart), { ssr: false });

/** A photo is asked for once it is rubbed, and no more when it is mended. */
const inspectLater = (isMended: boolean, isBare: boolean): string | null => {
  if (isMended) return say`it is mended`;
  return isBare ? null : say`once it is rubbed`;
};

export function MendStation() {
  const { piece, plan } = useOpenPiece();
  const { repairs } = plan.mend;
  const { done, finishedAt } = piece.mend;
  const finished = finishedAt !== null;
  const read = useHoles();
  const rim = useRim();
  /** Paper is rubbed off it, so that haze and loss can be seen. */
  const isRead = plan.method.school?.removal === 'rub' && piece.lay.laidAt !== null;
  return (
    <StationLayout
      station="mend"
      act={<MendAct />}
      answer={<MendAnswer read={read} />}
      onward={<NextLink station="seal" quiet={!finished} />}
      specimen={
        <LandingDrawing
          optics={stageOptics('hazy')}
          painted={done.includes('trace')}
          caption={
            read && read.holes.length > 0
              ? say`Rubbed and dry: holes by their numbers, from the last photo.`
              : say`Rubbed and dry, before the sealer.`
          }
          overlay={() => (
            <MendOverlay
              read={finished ? null : read}
              rim={done.includes('rim') || piece.mend.liked.includes('rim') ? rim : null}
            />
          )}
        />
      }
    >
      {isRead && <InspectPart folded={inspectLater(finished, isRubbed(piece, plan))} />}
      {read && <FromPhotoPart read={read} />}
      <RepairsPart inTurn title={say`Usual on this piece`} repairs={repairs.filter(({ when }) => isUsual(when))} />
      <RepairsPart title={say`If you see it`} repairs={repairs.filter(({ when }) => when === 'if-seen')} />
      {repairs.length > 0 && <LooksPart read={read} rim={rim} />}
      <StationTools station="mend" />
      <MissingList station="mend" />
      <StationCautions station="mend" />
      <FaultsLink />
    </StationLayout>
  );
}
