'use client';
import { Button } from '@mui/material';
import Link from 'next/link';
import { useState, type ReactNode } from 'react';
import { atTheEnd, pendingBefore, runSteps, type Pending } from '@/core/plan';
import type { StepId } from '@/core/stations';
import { DoneAllTheSame, WhenDone, isTooShort } from '@/features/agenda';
import { NextRow, Note, clockTime, useClock } from '@/ui';
import { MS_PER_HOUR } from '@/core/shared';
import { earlyWords, lowerFirst, stepTitle } from '@/words';
import { useOpenPiece } from './piece-context';
import { useStepDone } from './use-step-done';
import { say } from '@/words/say';

/**
 * The button that marks a station's step done. Before its time what comes first stands in its place, and it must be
 * held; right after another step it is asked when it was done. As at the bench.
 */
export function StepDone({
  step,
  from = step,
  label,
  minutes = null,
  testId,
  beside,
  children,
}: {
  step: StepId;
  /** The first of several that it ends at once: what that waits for is waited for. */
  from?: StepId;
  /** What the change is called for undo. */
  label: string;
  /** Measured; null where nobody did. */
  minutes?: number | null;
  testId: string;
  /** What else stands in the row. */
  beside?: ReactNode;
  children: string;
}) {
  const { piece } = useOpenPiece();
  const steps = useStepDone();
  const clock = useClock();
  const [asking, setAsking] = useState(false);
  const pending = steps.pendingOf(from);
  const finish = (hoursAgo: number) => {
    setAsking(false);
    steps.done(step, label, hoursAgo === 0 ? { minutes } : { at: clock() - hoursAgo * MS_PER_HOUR });
  };
  const press = () => {
    const planned = steps.find(step);
    const lastAt = Math.max(0, ...piece.work.done.map(({ at }) => at));
    if (planned?.holdsBack && isTooShort(Math.abs(clock() - lastAt), planned)) setAsking(true);
    else finish(0);
  };
  if (asking) return <WhenDone onDone={finish} onNot={() => setAsking(false)} />;
  if (pending)
    return (
      <Held
        pending={pending}
        sooner={earlyWords(pending.kind, step)}
        onHeld={() => setAsking(true)}
        testId={testId}
        beside={beside}
      />
    );
  return (
    <NextRow>
      <Button variant="contained" onClick={press} data-testid={testId}>
        {children}
      </Button>
      {beside}
    </NextRow>
  );
}

/** The same for a piece that is left as it is: after all its steps. */
export function LeaveIt({ onLeave, testId, children }: { onLeave: () => void; testId: string; children: string }) {
  const { piece, plan, now } = useOpenPiece();
  const run = runSteps(piece, plan);
  const pending = pendingBefore(run, atTheEnd(run), plan, now);
  if (pending) return <Held pending={pending} sooner={null} onHeld={onLeave} testId={testId} />;
  return (
    <NextRow>
      <Button variant="contained" onClick={onLeave} data-testid={testId}>
        {children}
      </Button>
    </NextRow>
  );
}

function Held({
  pending: { before, readyAt },
  sooner,
  onHeld,
  testId,
  beside,
}: {
  pending: Pending;
  /** What happens when it is begun too soon. */
  sooner: string | null;
  onHeld: () => void;
  testId: string;
  beside?: ReactNode;
}) {
  const { piece, now } = useOpenPiece();
  const first = say`First: ${lowerFirst(stepTitle(before.title))}`;
  return (
    <div data-testid={`${testId}-held`}>
      <NextRow>
        {readyAt === null ? (
          <Button component={Link} href={`/piece/${piece.id}/${before.station}`} variant="contained">
            {first}
          </Button>
        ) : (
          <Note>{say`Ready ${clockTime(readyAt, now)}.`}</Note>
        )}
      </NextRow>
      <DoneAllTheSame
        summary={say`It is done all the same?`}
        sooner={sooner}
        onHeld={onHeld}
        testId={testId}
        beside={beside}
      />
    </div>
  );
}
