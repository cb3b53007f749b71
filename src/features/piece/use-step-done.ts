'use client';
import { completeStep, pendingBefore, revokeStep, runSteps, type Pending, type RunStep } from '@/core/plan';
import { stepKey, stepText, type StepId } from '@/core/stations';
import { drawsFor, useAgenda, useStashUsers, withoutStep } from '@/features/agenda';
import { useStash } from '@/features/at-hand';
import { useClock } from '@/ui';
import { useOpenPiece } from './piece-context';

/** How a step was done: the minutes that somebody measured, and when hands ended. */
interface Done {
  minutes?: number | null;
  at?: number;
}

/**
 * Marks steps of the open piece done, with what they take out of the stash and what the agenda holds of them, or takes
 * them back. One change each.
 */
export function useStepDone() {
  const { piece, plan, changeAll, now } = useOpenPiece();
  const { stash, atHand } = useStash();
  const users = useStashUsers();
  const clock = useClock();
  const agenda = useAgenda();
  const run = () => runSteps(piece, plan, atHand.pace);
  const find = (step: StepId): RunStep | undefined => run().find(({ id }) => id === stepText(step));
  return {
    /** Why a step can't begin yet; null where it can. */
    pendingOf: (step: StepId): Pending | null => {
      const planned = find(step);
      return planned ? pendingBefore(run(), planned, plan, now) : null;
    },
    find,
    done: (step: StepId, label: string, { minutes = null, at = clock() }: Done = {}): void => {
      const planned = find(step);
      if (!planned) return;
      const early = (pendingBefore(run(), planned, plan, at)?.readyAt ?? null) !== null;
      const draws = drawsFor(step, piece, plan, stash, users);
      changeAll(completeStep(piece, planned, at, minutes, draws, early), label);
      // Its clock, its parts and its pin end with it, as they do at the bench.
      const key = stepKey(piece.id, planned.id);
      void agenda?.change((now) => withoutStep(now, key), { remembered: false });
    },
    revoke: (step: StepId, label: string): void => changeAll(revokeStep(piece, step), label),
  };
}
