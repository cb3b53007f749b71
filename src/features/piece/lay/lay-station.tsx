'use client';
import { layingGuide } from '@/core/coat';
import { stageOptics } from '@/core/render';
import { Because, NextRow, Note, TextButton, clockTime, useUnits } from '@/ui';
import { guideWords } from '@/words';
import { say } from '@/words/say';
import { DisagreementNotes } from '../disagreement-notes';
import { LandingDrawing } from '../drawings/landing';
import { FaultsLink } from '../faults-link';
import { MissingList } from '../missing-list';
import { NextLink } from '../next-link';
import { useOpenPiece } from '../piece-context';
import { StationCautions } from '../station-cautions';
import { StationLayout } from '../station-layout';
import { useStepDone } from '../use-step-done';
import { BottlePart } from './bottle-part';
import { GuideOverlay } from './guide-overlay';
import { LayAct } from './lay-act';
import { LayAnswer } from './lay-answer';
import { LayFields } from './lay-fields';
import { layReasons } from './lay-reasons';
import { LaySteps } from './lay-steps';
import { useLay } from './use-lay';

export function LayStation() {
  const { piece, plan } = useOpenPiece();
  const units = useUnits();
  const { planned, dry } = useLay();
  const { laidAt } = piece.lay;
  const { blank, print, record } = plan.surface;
  const isGuided = laidAt === null && !dry;
  const guide = isGuided && blank && print && record ? layingGuide(blank, print.formed.landed, record) : null;
  return (
    <StationLayout
      station="lay"
      act={<LayAct />}
      answer={<LayAnswer />}
      onward={<NextLink station="cure" quiet={laidAt === null} />}
      specimen={
        <LandingDrawing
          optics={laidAt === null ? null : stageOptics('laid')}
          caption={
            planned
              ? say`Dashed: the coat. Solid: the print and its centre lines. Scrape outwards by the numbers.`
              : say`Where the print will lie.`
          }
          overlay={(scale) => <GuideOverlay {...scale} guide={guide} />}
          described={guide ? guideWords(guide, units) : []}
        />
      }
    >
      <Laid />
      <LaySteps />
      <Because reasons={layReasons(piece, plan, units)} />
      <LayFields />
      <BottlePart />
      <DisagreementNotes at="lay" />
      <MissingList station="lay" />
      <StationCautions station="lay" />
      <FaultsLink />
    </StationLayout>
  );
}

/** When it was laid, and the way back. */
function Laid() {
  const { piece, now } = useOpenPiece();
  const steps = useStepDone();
  const { laidAt } = piece.lay;
  if (laidAt === null) return null;
  return (
    <NextRow>
      <Note>{say`Laid ${clockTime(laidAt, now)}.`}</Note>
      <TextButton onClick={() => steps.revoke({ kind: 'lay' }, say`not laid`)}>{say`It is not laid`}</TextButton>
    </NextRow>
  );
}
