'use client';
import { useRouter } from 'next/navigation';
import { useCallback } from 'react';
import { newPiece } from '@/records';
import { addPieces, database } from '@/storage';
import { useClock } from '@/ui';
import { newId } from '@/features/shell/ids';
import { useReport } from '@/features/shell/use-report';
import { useSettings } from '@/features/shell/settings';

/** Begins a piece with the room and paper in use, and opens it. */
export function useNewPiece(): () => Promise<void> {
  const { settings } = useSettings();
  const clock = useClock();
  const router = useRouter();
  const report = useReport();
  return useCallback(async () => {
    const count = await database().pieces.count();
    const piece = newPiece(newId(), `Piece ${count + 1}`, clock(), settings.unitSystem === 'inch' ? 'letter' : 'a4');
    const added = await addPieces(database(), [{ ...piece, cure: { ...piece.cure, ...settings.room } }]);
    if (report(added)) router.push(`/piece/${piece.id}/picture`);
  }, [settings, clock, router, report]);
}
