'use client';
import { useCallback } from 'react';
import { useNotice, useReport } from '@/features/shell';
import { useUndoSteps } from '@/features/shell/use-undo-steps';
import { changedBy, type Piece } from '@/records';
import { database, savePieces } from '@/storage';
import { useClock } from '@/ui';
import { counted } from '@/words';
import { say } from '@/words/say';

/** Says of several pieces at once which have lettering: the others of them have none. All are said or none. */
export function useSayLettering(): (pieces: readonly Piece[], withLettering: ReadonlySet<string>) => Promise<void> {
  const clock = useClock();
  const notice = useNotice();
  const report = useReport();
  const undo = useUndoSteps();
  return useCallback(
    async (pieces, withLettering) => {
      const saved = await savePieces(
        database(),
        pieces.map((piece) => ({
          base: piece,
          mine: changedBy(piece, { picture: { lettering: withLettering.has(piece.id) ? 'yes' : 'no' } }),
          label: say`lettering`,
          now: clock(),
        })),
      );
      if (!report(saved) || !saved.ok) return;
      const marks = saved.value.map(({ id, revision }) => ({ id, mark: revision }));
      notice({
        text: say`Said of ${counted(pieces.length, 'piece', 'pieces')}: ${withLettering.size} with lettering.`,
        tone: 'success',
        action: { label: say`Undo`, run: () => void undo(marks) },
      });
    },
    [clock, notice, report, undo],
  );
}
