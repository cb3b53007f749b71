'use client';
import { useRouter } from 'next/navigation';
import { useCallback } from 'react';
import { newId, useNotice, useReport } from '@/features/shell';
import { setPath } from '@/features/shell/places';
import { useUndoSteps, type UndoMark } from '@/features/shell/use-undo-steps';
import { withChoicesOf, type Piece } from '@/records';
import { database, savePiece } from '@/storage';
import { useClock } from '@/ui';
import { counted } from '@/words';
import { say } from '@/words/say';

/** Pieces that are there already become a set: planned as the first of them, as far as they are not done yet. */
export function useMakeSet(): (pieces: readonly Piece[]) => Promise<void> {
  const router = useRouter();
  const clock = useClock();
  const notice = useNotice();
  const report = useReport();
  const undo = useUndoSteps();
  return useCallback(
    async (pieces) => {
      const [first] = pieces;
      if (!first) return;
      const set = { id: newId(), name: first.name };
      const done: UndoMark[] = [];
      for (const [at, piece] of pieces.entries()) {
        const mine = { ...(at === 0 ? piece : withChoicesOf(first, piece)), set: { ...set, at } };
        const saved = await savePiece(database(), { base: piece, mine, label: say`one of a set`, now: clock() });
        // Half a set is none: what was made of it is taken back.
        if (!report(saved) || !saved.ok) return undo(done.reverse());
        done.push({ id: piece.id, mark: saved.value.revision });
      }
      router.push(setPath(set.id));
      notice({
        text: say`${counted(done.length, 'piece', 'pieces')} are a set, planned as ${first.name}.`,
        tone: 'success',
        action: { label: say`Undo`, run: () => void undo(done.reverse()) },
      });
    },
    [router, clock, notice, report, undo],
  );
}
