'use client';
import { useRouter } from 'next/navigation';
import { useCallback } from 'react';
import { nameLike, pieceLike, type Piece } from '@/records';
import { addPieces, database } from '@/storage';
import { useClock } from '@/ui';
import { newId } from '@/features/shell/ids';
import { useNotice } from '@/features/shell/notices';
import { useReport } from '@/features/shell/use-report';
import { say } from '@/words/say';

/** Begins another piece with all that was chosen for one, and opens it. */
export function useBeginLike(): (piece: Piece, how: { withoutPicture: boolean }) => Promise<void> {
  const router = useRouter();
  const report = useReport();
  const notice = useNotice();
  const clock = useClock();
  return useCallback(
    async (piece, { withoutPicture }) => {
      // The template keeps its name to itself: the first made from it has it too.
      const others = (await database().pieces.toArray()).filter(({ template }) => !template);
      const taken = others.map(({ name }) => name);
      const name = taken.includes(piece.name) || !piece.template ? nameLike(piece.name, taken) : piece.name;
      const like = pieceLike(piece, { id: newId(), name, now: clock(), withoutPicture });
      if (!report(await addPieces(database(), [like]))) return;
      router.push(`/piece/${like.id}/${withoutPicture ? 'picture' : 'surface'}`);
      notice({ text: say`${like.name}: chosen as for ${piece.name}, nothing done yet.`, tone: 'success' });
    },
    [router, report, notice, clock],
  );
}
