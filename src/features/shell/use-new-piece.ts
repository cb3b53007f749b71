'use client';
import { useRouter } from 'next/navigation';
import { useCallback } from 'react';
import { newPiece } from '@/records';
import { addPieces, database } from '@/storage';
import { sentenceFor, useClock, useUnits } from '@/ui';
import { newId } from './ids';
import { useNotice } from './notices';
import { useSettings } from './settings';

/** Begins a piece with the room and paper in use, and opens it. */
export function useNewPiece(): () => Promise<void> {
  const { settings } = useSettings();
  const clock = useClock();
  const router = useRouter();
  const notice = useNotice();
  const units = useUnits();
  return useCallback(async () => {
    const count = await database().pieces.count();
    const piece = newPiece(newId(), `Piece ${count + 1}`, clock(), settings.unitSystem === 'inch' ? 'letter' : 'a4');
    const added = await addPieces(database(), [{ ...piece, cure: { ...piece.cure, ...settings.room } }]);
    if (added.ok) router.push(`/piece/${piece.id}/picture`);
    else notice({ text: sentenceFor(added.error, units), tone: 'error' });
  }, [settings, clock, router, notice, units]);
}
