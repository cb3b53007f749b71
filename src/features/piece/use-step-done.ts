'use client';
import { completeStep, pendingBefore, revokeStep, runSteps } from '@/core/plan';
import { stepText, type StepId } from '@/core/stations';
import { drawsFor, useStashUsers } from '@/features/agenda';
import { useStash } from '@/features/at-hand';
import { useClock } from '@/ui';
import { useOpenPiece } from './piece-context';

/** Marks steps of the open piece done, with what they take out of the stash, or takes them back. One change each. */
export function useStepDone() {
  const { piece, plan, changeAll } = useOpenPiece();
  const { stash, atHand } = useStash();
  const users = useStashUsers();
  const clock = useClock();
  return {
    done: (step: StepId, label: string, minutes: number | null = null): void => {
      const run = runSteps(piece, plan, atHand.pace);
      const planned = run.find(({ id }) => id === stepText(step));
      if (!planned) return;
      const pending = pendingBefore(run, planned, plan, clock());
      const early = (pending?.earliestAt ?? null) !== null;
      const draws = drawsFor(step, piece, plan, stash, users);
      changeAll(completeStep(piece, planned, clock(), minutes, draws, early), label);
    },
    revoke: (step: StepId, label: string): void => changeAll(revokeStep(piece, step), label),
  };
}
