'use client';
import { pendingBefore, revokeStep, runSteps, type Pending, type RunStep } from '@/core/plan';
import { stepText, type StepId } from '@/core/stations';
import { useCompletion } from '@/features/agenda';
import { useStash } from '@/features/at-hand';
import { useOpenPiece } from './piece-context';

/** How a step was done: the minutes that somebody measured, and when hands ended. */
interface Done {
  minutes?: number | null;
  at?: number;
}

/** Marks steps of the open piece done, or takes them back. One change each. */
export function useStepDone() {
  const { piece, plan, changeAll, now } = useOpenPiece();
  const { atHand } = useStash();
  const completion = useCompletion();
  const run = () => runSteps(piece, plan, atHand.pace);
  const find = (step: StepId): RunStep | undefined => run().find(({ id }) => id === stepText(step));
  return {
    /** Why a step can't begin yet; null where it can. */
    pendingOf: (step: StepId): Pending | null => {
      const steps = run();
      const planned = steps.find(({ id }) => id === stepText(step));
      return planned ? pendingBefore(steps, planned, plan, now) : null;
    },
    find,
    done: (step: StepId, label: string, { minutes = null, at }: Done = {}): void => {
      const planned = find(step);
      if (planned) changeAll(completion({ piece, job: piece, plan, step: planned }, { minutes, at }), label);
    },
    revoke: (step: StepId, label: string): void => changeAll(revokeStep(piece, step), label),
  };
}
