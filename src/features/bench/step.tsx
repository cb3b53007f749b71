'use client';
import { useMediaQuery } from '@mui/material';
import Link from 'next/link';
import { WhenDone, type PieceInPlan, type PlanEntry } from '@/features/agenda';
import { PieceFigure, figureSize } from '@/features/pieces';
import { MS_PER_HOUR, MS_PER_MINUTE } from '@/core/shared';
import { Cautions, clockTime, useClock, useNow } from '@/ui';
import { sittingWords, stepTitle, toolList } from '@/words';
import { say } from '@/words/say';
import css from './bench.module.css';
import type { BenchRun } from './cards';
import { Head, type Quick } from './head';
import { StepCard } from './step-card';
import { TimerStrip } from './timer-strip';
import { useBenchKeys } from './use-bench-keys';
import { useBenchStep, type StepAtBench } from './use-bench-step';
import { WaitCard } from './wait-card';

/** One step, card by card: what to do, what waits, what to mind. */
export function Step({ quick, onQuick, ...at }: StepAtBench & Quick) {
  const clock = useClock();
  const { entry, inPlan } = at;
  const step = useBenchStep(at);
  const swipe = useBenchKeys(step, at);
  const { piece, sitting } = entry;
  return (
    <>
      <Head
        title={stepTitle(entry.step.title)}
        name={sitting ? say`${piece.name}, ${sittingWords(sitting)}` : piece.name}
        quick={quick}
        onQuick={onQuick}
      />
      <div className={css.body} {...swipe()}>
        <Figure inPlan={inPlan} />
        {step.pending ? (
          <WaitCard pending={step.pending} entry={entry} now={step.now} next={at.next} onEarly={step.startNow} />
        ) : (
          <StepCard card={step.card} at={step.at} count={step.run.cards.length} onTimer={step.time} />
        )}
        <Beside run={step.run} pieceId={piece.id} />
      </div>
      {step.asking && (
        <WhenDone
          onDone={(hours) => void step.finishAt(hours === 0 ? undefined : clock() - hours * MS_PER_HOUR, null)}
          onNot={step.notDone}
        />
      )}
      <TimerStrip quick={quick} />
      <Foot step={step} entry={entry} />
    </>
  );
}

/** What to mind, what lies at hand, and the way to help. */
const Beside = ({ run, pieceId }: { run: BenchRun; pieceId: string }) => (
  <div className={css.aside}>
    <h2 className="unseen">{say`To mind, and at hand`}</h2>
    <Cautions ids={run.cautions} />
    {run.tools.length > 0 && <p className={css.tools}>{say`At hand: ${toolList(run.tools)}.`}</p>}
    <Link
      href={`/faults?piece=${encodeURIComponent(pieceId)}`}
      className={css.wrong}
    >{say`Something is wrong with it?`}</Link>
  </div>
);

/** Back, how long hands are at it, and on. */
function Foot({ step, entry }: { step: ReturnType<typeof useBenchStep>; entry: PlanEntry }) {
  const { at, running, isLast, pending, move, done } = step;
  return (
    <footer className={css.foot}>
      <button
        type="button"
        className={css.back}
        disabled={at === 0}
        onClick={() => move(-1)}
        data-testid="bench-back"
      >{say`Back`}</button>
      <StepClock startedAt={running?.startedAt ?? null} planned={entry.minutes} entry={entry} />
      {!pending && isLast && (
        <button type="button" className={css.go} onClick={done} data-testid="bench-done">{say`Done`}</button>
      )}
      {!pending && !isLast && (
        <button type="button" className={css.go} onClick={() => move(1)} data-testid="bench-next">
          {running ? say`Next` : say`Begin`}
        </button>
      )}
    </footer>
  );
}

const FIGURE_PX = 320;
const SMALL_FIGURE_PX = 190;

function Figure({ inPlan }: { inPlan: PieceInPlan }) {
  const size = figureSize(inPlan.planned);
  const most = useMediaQuery('(max-width: 700px)') ? SMALL_FIGURE_PX : FIGURE_PX;
  return (
    <div className={css.picture}>
      <PieceFigure planned={inPlan.planned} pxPerMm={Math.min(most / size.widthMm, most / size.heightMm)} />
    </div>
  );
}

/** How long hands are at it, against the plan. */
function StepClock({ startedAt, planned, entry }: { startedAt: number | null; planned: number; entry: PlanEntry }) {
  const now = useNow(10_000);
  if (startedAt === null)
    return (
      <span className={css.clock}>
        {entry.startAt !== null && entry.startAt > now
          ? say`planned ${clockTime(entry.startAt, now)}, about ${planned} min`
          : say`now, about ${planned} min`}
      </span>
    );
  return (
    <span
      className={css.clock}
      data-testid="step-clock"
    >{say`${Math.max(0, Math.floor((now - startedAt) / MS_PER_MINUTE))} of about ${planned} min`}</span>
  );
}
