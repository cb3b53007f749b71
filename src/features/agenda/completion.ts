'use client';
import { useLiveQuery } from 'dexie-react-hooks';
import { useCallback, useMemo } from 'react';
import { completeStep, pendingBefore, runSteps, type RunStep } from '@/core/plan';
import type { JobPatch, PiecePlan } from '@/core/stations';
import { useStash } from '@/features/at-hand';
import { useShelf } from '@/features/shelf';
import { readPiece, type Piece } from '@/records';
import { database } from '@/storage';
import { useClock } from '@/ui';
import { drawsFor } from './draws';

/** All pieces that took something out of the stash, removed ones too. */
export function useStashUsers(): readonly Pick<Piece, 'id' | 'name' | 'work'>[] {
  const shelf = useShelf();
  const removed = useLiveQuery(() => database().removed.toArray());
  return useMemo(() => {
    const gone = removed?.map(({ piece }) => readPiece(piece)).flatMap((read) => (read.ok ? [read.value] : []));
    return [...(shelf?.pieces ?? []), ...(gone ?? [])];
  }, [shelf, removed]);
}

/** A step that is to be marked done: the piece as it is stored, and as the plan takes it. */
export interface StepToFinish {
  piece: Piece;
  job: Piece;
  plan: PiecePlan;
  step: RunStep;
}

/** How a step ended: the minutes that were measured; when hands began and ended, now where it is left out. */
export interface Finished {
  minutes: number | null;
  begunAt?: number | undefined;
  at?: number | undefined;
}

/**
 * What marking a step done changes of its piece, wherever it is pressed: the station's own record, the record of the
 * work, what it takes out of the stash, and the method that was only assumed. Saving it ends what the agenda holds of
 * the step (`storage/pieces.ts`).
 *
 * @returns a function of the step; its last argument is pieces that change before this one, in the same press
 */
export function useCompletion() {
  const clock = useClock();
  const { stash } = useStash();
  const users = useStashUsers();
  return useCallback(
    (
      { piece, job, plan, step }: StepToFinish,
      { minutes, at = clock(), begunAt = at }: Finished,
      changed: readonly Piece[] = [],
    ): JobPatch => {
      const using = [...users.filter(({ id }) => changed.every((one) => one.id !== id)), ...changed];
      // Against the warning: its time had not come when it was begun.
      const early = (pendingBefore(runSteps(job, plan), step, plan, begunAt)?.readyAt ?? null) !== null;
      const patch = completeStep(job, step, at, minutes, drawsFor(step.step, job, plan, stash, using), early);
      const isAssumed = job.method.binder !== piece.method.binder || job.method.school !== piece.method.school;
      return isAssumed
        ? {
            ...patch,
            method: { school: job.method.school, binder: job.method.binder, print: plan.method.printKind.id },
          }
        : patch;
    },
    [clock, stash, users],
  );
}
