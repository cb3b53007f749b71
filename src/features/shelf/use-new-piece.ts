'use client';
import { useRouter } from 'next/navigation';
import { useCallback } from 'react';
import { newPiece, type Piece } from '@/records';
import { addPieces, database } from '@/storage';
import { useClock } from '@/ui';
import { newId } from '@/features/shell/ids';
import { useReport } from '@/features/shell/use-report';
import { useSettings } from '@/features/shell/settings';

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

/** Begins a piece with the room and paper in use, and opens it. */
export function useNewPiece(): () => Promise<void> {
  const { settings } = useSettings();
  const clock = useClock();
  const router = useRouter();
  const report = useReport();
  return useCallback(async () => {
    const count = await database().pieces.count();
    const piece = newPiece(newId(), `Piece ${count + 1}`, clock(), settings.unitSystem === 'inch' ? 'letter' : 'a4');
    const started = settings.unitSystem === 'inch' ? inInches(piece) : piece;
    const added = await addPieces(database(), [{ ...started, cure: { ...started.cure, ...settings.room } }]);
    if (report(added)) router.push(`/piece/${piece.id}/picture`);
  }, [settings, clock, router, report]);
}
