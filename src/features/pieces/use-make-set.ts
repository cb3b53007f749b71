'use client';
import { useRouter } from 'next/navigation';
import { useCallback } from 'react';
import { newId } from '@/features/shell';
import { setPath } from '@/features/shell/places';
import { useSaveTogether } from '@/features/shell/use-save-together';
import { withChoicesOf, type Piece } from '@/records';
import { useClock } from '@/ui';
import { counted } from '@/words';
import { say } from '@/words/say';

/** Pieces that are there already become a set: planned as the first of them, as far as they are not done yet. */
export function useMakeSet(): (pieces: readonly Piece[]) => Promise<void> {
  const router = useRouter();
  const clock = useClock();
  const save = useSaveTogether();
  return useCallback(
    async (pieces) => {
      const [first] = pieces;
      if (!first) return;
      const set = { id: newId(), name: first.name };
      const saves = pieces.map((piece, at) => ({
        base: piece,
        mine: { ...(at === 0 ? piece : withChoicesOf(first, piece)), set: { ...set, at } },
        label: say`one of a set`,
        now: clock(),
      }));
      const text = say`${counted(pieces.length, 'piece', 'pieces')} are a set, planned as ${first.name}.`;
      if (await save(saves, text)) router.push(setPath(set.id));
    },
    [router, clock, save],
  );
}
