'use client';
import { useId } from 'react';
import { Because } from '@/ui';
import { say } from '@/words/say';
import { LandingDrawing, opticsNow } from '../drawings/landing';
import { DisagreementNotes } from '../disagreement-notes';
import { FaultsLink } from '../faults-link';
import { InspectPart } from '../inspect';
import { MissingList } from '../missing-list';
import { NextLink } from '../next-link';
import { useOpenPiece } from '../piece-context';
import { StationCautions } from '../station-cautions';
import { StationLayout } from '../station-layout';
import { OffPart } from './off-part';
import { PassCount } from './pass-count';
import { PassesPart } from './passes-part';
import { RubAct } from './rub-act';
import { RubAnswer } from './rub-answer';
import { rubReasons } from './rub-reasons';
import { useRub } from './use-rub';
import { WorkOverlay } from './work-overlay';
import { WorkPart } from './work-part';

export function RubStation() {
  const { piece, plan } = useOpenPiece();
  const rub = useRub();
  const { done, total, school, finished } = rub;
  const { map } = plan.rub;
  const id = useId();
  // Before the first pass there is nothing of it to photograph: what is rubbed stands first.
  const inspected = piece.lay.laidAt !== null && school?.removal === 'rub' && (
    <InspectPart folded={done > 0 ? null : say`once it is rubbed`} />
  );
  return (
    <StationLayout
      station="rub"
      act={<RubAct rub={rub} />}
      answer={<RubAnswer rub={rub} />}
      onward={<NextLink station="mend" quiet={!finished} />}
      specimen={
        <LandingDrawing
          optics={opticsNow(piece, total)}
          caption={
            done === 0
              ? say`Numbers: sections, from the ring. Hatched: haze stays. Dotted: feel there. Red: toner goes first.`
              : say`After ${done} of ${total} passes, dry: what is milky is paper.`
          }
          overlay={() => (map && !finished ? <WorkOverlay map={map} id={id} /> : null)}
        />
      }
    >
      <OffPart rub={rub} />
      {done > 0 && inspected}
      <PassesPart rub={rub} />
      {done === 0 && inspected}
      {map && school && !finished && <WorkPart map={map} removal={school.removal} later={done > 0} />}
      <Because reasons={rubReasons(piece, plan)} />
      <PassCount rub={rub} />
      <MissingList station="rub" />
      <DisagreementNotes at="rub" />
      <StationCautions station="rub" />
      <FaultsLink />
    </StationLayout>
  );
}
