'use client';
import { useRouter } from 'next/navigation';
import { useCallback } from 'react';
import { newPiece, type Piece } from '@/records';
import { addPieces, database } from '@/storage';
import { useClock } from '@/ui';
import { newId } from '@/features/shell/ids';
import { useReport } from '@/features/shell/use-report';
import { useSettings } from '@/features/shell/settings';
import { say } from '@/words/say';

/** Three eighths and three sixteenths of an inch, where others have 10 and 5 mm: round on one’s own ruler. */
const MARGIN_MM = 9.525;
const PAST_PRINT_MM = 4.7625;

const inInches = (piece: Piece): Piece => ({
  ...piece,
  sheet: {
    ...piece.sheet,
    margins: { topMm: MARGIN_MM, rightMm: MARGIN_MM, bottomMm: MARGIN_MM, leftMm: MARGIN_MM },
    overlapMm: MARGIN_MM,
  },
  lay: { ...piece.lay, extendMm: PAST_PRINT_MM },
});

/** A piece not kept yet, with the room and paper in use. @param later how many more are begun before it */
export function useFreshPiece(): (name: string, later: number) => Promise<Piece> {
  const { settings } = useSettings();
  const clock = useClock();
  return useCallback(
    async (name, later) => {
      const count = (await database().pieces.count()) + later;
      const piece = newPiece(
        newId(),
        name || say`Piece ${count + 1}`,
        clock(),
        settings.unitSystem === 'inch' ? 'letter' : 'a4',
      );
      const started = settings.unitSystem === 'inch' ? inInches(piece) : piece;
      return { ...started, cure: { ...started.cure, ...settings.room } };
    },
    [settings, clock],
  );
}

/** Begins a piece with the room and paper in use, and opens it. */
export function useNewPiece(): () => Promise<void> {
  const router = useRouter();
  const report = useReport();
  const fresh = useFreshPiece();
  return useCallback(async () => {
    const piece = await fresh('', 0);
    if (report(await addPieces(database(), [piece]))) router.push(`/piece/${piece.id}/picture`);
  }, [fresh, router, report]);
}
