'use client';
import { useCallback } from 'react';
import { useNotice, useReport } from '@/features/shell';
import type { Piece } from '@/records';
import { database, removePiece, restorePiece } from '@/storage';
import { useClock } from '@/ui';
import { say } from '@/words/say';

/** Several pieces into the bin, and all of them out again. */
export function useRemoveSeveral(): (pieces: readonly Pick<Piece, 'id' | 'name'>[]) => Promise<void> {
  const clock = useClock();
  const notice = useNotice();
  const report = useReport();
  return useCallback(
    async (pieces) => {
      const gone: (typeof pieces)[number][] = [];
      for (const piece of pieces) {
        if (!report(await removePiece(database(), piece.id, clock()))) break;
        gone.push(piece);
      }
      const [first] = gone;
      if (!first) return;
      const back = async () => {
        for (const { id } of gone) report(await restorePiece(database(), id));
      };
      notice({
        text: gone.length === 1 ? say`${first.name} was removed.` : say`${gone.length} pieces were removed.`,
        action: { label: say`Bring back`, run: () => void back() },
      });
    },
    [clock, notice, report],
  );
}
