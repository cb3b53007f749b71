'use client';
import { useLiveQuery } from 'dexie-react-hooks';
import { useCallback, useMemo } from 'react';
import { applyPatch, type PiecePlan, stepKey } from '@/core/stations';
import { completeStep, type RunStep } from '@/core/plan';
import { readPiece, type Piece } from '@/records';
import { database, savePiece, stepHistory } from '@/storage';
import { useNotice, useReport } from '@/features/shell';
import { useStash } from '@/features/at-hand';
import { useShelf } from '@/features/shelf';
import { useClock } from '@/ui';
import { drawsFor } from './draws';
import { useAgenda } from './use-agenda';
import { lowerFirst, stepTitle } from '@/words';

/** All pieces that took something out of the stash, removed ones too. */
export function useStashUsers(): readonly Pick<Piece, 'id' | 'name' | 'work'>[] {
  const shelf = useShelf();
  const removed = useLiveQuery(() => database().removed.toArray());
  return useMemo(() => {
    const gone = removed?.map(({ piece }) => readPiece(piece)).flatMap((read) => (read.ok ? [read.value] : []));
    return [...(shelf?.pieces ?? []), ...(gone ?? [])];
  }, [shelf, removed]);
}

/** How a step ended: the minutes that were measured, when it was (now where it is left out), and whether too soon. */
interface Finished {
  minutes: number | null;
  at?: number;
  early?: boolean;
}

/** Marks a step done from anywhere: the piece's record, the stash and the plan follow; undo takes it all back. */
export function useFinishStep() {
  const clock = useClock();
  const notice = useNotice();
  const report = useReport();
  const { stash } = useStash();
  const users = useStashUsers();
  const agenda = useAgenda();
  return useCallback(
    async (
      piece: Piece,
      job: Piece,
      plan: PiecePlan,
      step: RunStep,
      { minutes, at = clock(), early = false }: Finished,
    ) => {
      const now = clock();
      const patch = completeStep(job, step, at, minutes, drawsFor(step.step, job, plan, stash, users), early);
      // A method that was only assumed becomes the piece's own once its steps are done.
      const method =
        job.method.binder !== piece.method.binder || job.method.school !== piece.method.school
          ? { method: { school: job.method.school, binder: job.method.binder } }
          : {};
      const saved = await savePiece(database(), {
        base: piece,
        mine: applyPatch(piece, { ...patch, ...method }),
        label: lowerFirst(stepTitle(step.title)),
        now,
      });
      report(saved);
      if (!saved.ok) return false;
      const key = stepKey(piece.id, step.id);
      await agenda?.change(
        ({ pins, notBefore, running }) => ({
          pins: Object.fromEntries(Object.entries(pins).filter(([id]) => id !== key)),
          notBefore: Object.fromEntries(Object.entries(notBefore).filter(([id]) => id !== key)),
          running: running?.step === key ? null : running,
        }),
        { remembered: false },
      );
      notice({
        text: `${piece.name}: ${lowerFirst(stepTitle(step.title))}, done.`,
        tone: 'success',
        action: {
          label: 'Undo',
          run: () =>
            void stepHistory(database(), piece.id, 'undo', { mark: saved.value.revision, now: clock() }).then(report),
        },
      });
      return true;
    },
    [clock, notice, report, stash, users, agenda],
  );
}
