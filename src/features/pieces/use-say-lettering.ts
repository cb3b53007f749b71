'use client';
import { useCallback } from 'react';
import { useSaveTogether } from '@/features/shell/use-save-together';
import { changedBy, type Piece } from '@/records';
import { useClock } from '@/ui';
import { counted } from '@/words';
import { say } from '@/words/say';

/** Says of several pieces at once which have lettering: the others of them have none. All are said or none. */
export function useSayLettering(): (pieces: readonly Piece[], withLettering: ReadonlySet<string>) => Promise<boolean> {
  const clock = useClock();
  const save = useSaveTogether();
  return useCallback(
    (pieces, withLettering) =>
      save(
        pieces.map((piece) => ({
          base: piece,
          mine: changedBy(piece, { picture: { lettering: withLettering.has(piece.id) ? 'yes' : 'no' } }),
          label: say`lettering`,
          now: clock(),
        })),
        say`Said of ${counted(pieces.length, 'piece', 'pieces')}: ${withLettering.size} with lettering.`,
      ),
    [clock, save],
  );
}
