'use client';
import { stageOptics } from '@/core/render';
import type { Wetness } from '@/core/cure';
import { Because, Marked, WetnessMark, useUnits } from '@/ui';
import { say } from '@/words/say';
import { DisagreementNotes } from '../disagreement-notes';
import { LandingDrawing } from '../drawings/landing';
import { FaultsLink } from '../faults-link';
import { MissingList } from '../missing-list';
import { NextLink } from '../next-link';
import { useOpenPiece } from '../piece-context';
import { StationCautions } from '../station-cautions';
import { StationLayout } from '../station-layout';
import { StepDone } from '../step-done';
import { CureAnswer } from './cure-answer';
import { CureFields } from './cure-fields';
import { cureReasons } from './cure-reasons';
import { CureScale } from './cure-scale';
import { DryingPlot } from './drying-plot';
import { OvenPart } from './oven-part';
import { RuleNote } from './rule-note';
import { SignsPart } from './signs-part';
import { TellMe } from './tell-me';
import { useCoated } from './use-coated';

const UNDER_PAPER: Readonly<Record<Wetness, string>> = {
  wet: say`wet under its paper`,
  tacky: say`tacky under its paper`,
  dry: say`dry under its paper, not cured`,
  cured: say`cured under its paper`,
  sealed: say`sealed`,
};

export function CureStation() {
  const { piece, plan, now } = useOpenPiece();
  const units = useUnits();
  const { wait, clock: times } = plan.cure;
  return (
    <StationLayout
      station="cure"
      act={
        wait &&
        !times && (
          <StepDone
            step={{ kind: 'lay' }}
            label={say`laid`}
            testId="laid-now"
          >{say`Laid now: start the clock`}</StepDone>
        )
      }
      answer={<CureAnswer />}
      onward={<NextLink station="rub" quiet={!times || now < times.readyAt} />}
      specimen={
        <LandingDrawing
          optics={stageOptics('laid')}
          caption={
            times ? (
              <Marked>
                <WetnessMark wetness={times.wetness} /> {UNDER_PAPER[times.wetness]}
              </Marked>
            ) : (
              say`The print under its paper, drying.`
            )
          }
        />
      }
    >
      <RuleNote />
      <Waiting />
      <Because reasons={cureReasons(piece, plan, units)} />
      <CureFields />
      <Oven />
      <DisagreementNotes at="cure" />
      <MissingList station="cure" />
      <StationCautions station="cure" />
      <FaultsLink />
    </StationLayout>
  );
}

/** Shorter than this a curve of drying shows nothing. */
const LEAST_PLOTTED_HOURS = 0.5;
/** Sooner than this is dry without an oven. */
const LEAST_HEATED_HOURS = 1;

/** How far the wait is, and what is seen and felt meanwhile. */
function Waiting() {
  const { piece, plan, now } = useOpenPiece();
  const coated = useCoated();
  const { wait, clock: times } = plan.cure;
  if (!wait) return null;
  const isWaiting = times !== null && piece.rub.done.length === 0;
  const isModelled = coated && wait.rule !== 'label' && wait.rule !== 'oven';
  return (
    <>
      {wait.safeHours > 0 && <CureScale wait={wait} times={times} now={now} />}
      {coated && wait.safeHours > LEAST_PLOTTED_HOURS && (
        <DryingPlot wait={wait} times={times} laidAt={piece.lay.laidAt} now={now} />
      )}
      {isWaiting && now < times.readyAt && <TellMe />}
      {isWaiting && isModelled && <SignsPart />}
    </>
  );
}

function Oven() {
  const { wait, ovens } = useOpenPiece().plan.cure;
  const coated = useCoated();
  if (!wait || !coated || ovens.length === 0 || wait.safeHours <= LEAST_HEATED_HOURS) return null;
  return <OvenPart />;
}
