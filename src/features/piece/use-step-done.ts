'use client';
import { completeStep, revokeStep, runSteps, type JobPatch } from '@/core/plan';
import { useStash } from '@/features/shell';
import { drawsFor, useStashUsers } from '@/features/agenda';
import { useClock } from '@/ui';
import { useOpenPiece } from './piece-context';

/** Marks steps of the open piece done, with what they take out of the stash, or takes them back. One change each. */
export function useStepDone() {
  const { piece, plan, changeAll } = useOpenPiece();
  const { stash, atHand } = useStash();
  const users = useStashUsers();
  const clock = useClock();
  return {
    done: (id: string, label: string, minutes: number | null = null): void => {
      const step = runSteps(piece, plan, atHand.pace).find((one) => one.id === id);
      if (step) changeAll(completeStep(piece, step, clock(), minutes, drawsFor(step, piece, plan, stash, users)), label);
    },
    revoke: (id: string, patch: JobPatch, label: string): void => changeAll({ ...patch, ...revokeStep(piece, id) }, label),
  };
}
