'use client';
import { useLiveQuery } from 'dexie-react-hooks';
import { useCallback } from 'react';
import { applyPatch, completeStep, type PiecePlan, type RunStep } from '@/core/plan';
import { stepKey } from '@/core/schedule';
import { readPiece, type Piece } from '@/records';
import { database, readShelf, savePiece, stepHistory } from '@/storage';
import { useNotice, useStash } from '@/features/shell';
import { sentenceFor, useClock, useUnits } from '@/ui';
import { drawsFor } from './draws';
import { useAgenda } from './use-agenda';

/** All pieces that took something out of the stash, removed ones too. */
export const useStashUsers = (): Pick<Piece, 'id' | 'name' | 'work'>[] => useLiveQuery(async () => {
  const [{ pieces }, removed] = await Promise.all([readShelf(database()), database().removed.toArray()]);
  return [...pieces, ...removed.map((one) => readPiece(one.piece)).flatMap((read) => (read.ok ? [read.value] : []))];
}) ?? [];

/** Marks a step done from anywhere: the piece's record, the stash and the plan follow; undo takes it all back. */
export function useFinishStep() {
  const clock = useClock();
  const notice = useNotice();
  const units = useUnits();
  const { stash } = useStash();
  const users = useStashUsers();
  const agenda = useAgenda();
  return useCallback(async (piece: Piece, job: Piece, plan: PiecePlan, step: RunStep, minutes: number | null) => {
    const now = clock();
    const patch = completeStep(job, step, now, minutes, drawsFor(step, job, plan, stash, users));
    // A method that was only assumed becomes the piece's own once its steps are done.
    const method = job.method.binder !== piece.method.binder || job.method.school !== piece.method.school ? { method: { school: job.method.school, binder: job.method.binder } } : {};
    const saved = await savePiece(database(), { base: piece, mine: applyPatch(piece, { ...patch, ...method }), label: step.title.toLowerCase(), now });
    if (!saved.ok) { notice({ text: sentenceFor(saved.error, units), tone: 'error' }); return false; }
    const key = stepKey(piece.id, step.id);
    await agenda?.change(({ pins, notBefore, running }) => ({
      pins: Object.fromEntries(Object.entries(pins).filter(([id]) => id !== key)), notBefore: Object.fromEntries(Object.entries(notBefore).filter(([id]) => id !== key)), running: running?.step === key ? null : running,
    }));
    notice({ text: `${piece.name}: ${step.title.toLowerCase()}, done.`, tone: 'success', action: { label: 'Undo', run: () => void stepHistory(database(), piece.id, 'undo', clock()) } });
    return true;
  }, [clock, notice, units, stash, users, agenda]);
}
