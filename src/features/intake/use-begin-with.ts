'use client';
import { useRouter } from 'next/navigation';
import { useCallback } from 'react';
import type { Piece, StoredPicture } from '@/records';
import { useNotice, useReport } from '@/features/shell';
import { storedFrom } from '@/features/shell/stored-from';
import { useFreshPiece } from '@/features/shelf';
import { addPieces, database, removePiece } from '@/storage';
import { useClock, useUnits } from '@/ui';
import { REMARK_WORDS, counted, sentenceFor, sentences } from '@/words';
import { inspectPicture } from '@/workers/picture/client';
import { MOST_FILES, nameOf } from './dropped-files';
import { say } from '@/words/say';

/**
 * Begins a piece with each picture among some files, and opens the first. What is no picture is left out and said; where
 * none is, the reason of the first is said and nothing is begun.
 */
export function useBeginWith(): (files: readonly File[]) => Promise<void> {
  const notice = useNotice();
  const report = useReport();
  const units = useUnits();
  const clock = useClock();
  const router = useRouter();
  const fresh = useFreshPiece();
  return useCallback(
    async (files: readonly File[]) => {
      if (files.length > MOST_FILES)
        return notice({
          text: say`These are more than ${MOST_FILES} files: take fewer at a time. Nothing was begun.`,
          tone: 'error',
        });
      if (files.length > 1) notice({ text: say`Reading ${files.length} files …` });
      const pieces: Piece[] = [];
      const pictures: StoredPicture[] = [];
      const left: { name: string; why: string }[] = [];
      for (const file of files) {
        const found = await inspectPicture(file, (preview) => preview.close()).done;
        if (!found) continue;
        if (!found.ok) {
          left.push({ name: file.name, why: sentenceFor(found.error, units) });
          continue;
        }
        if (files.length === 1) for (const remark of found.value.remarks) notice({ text: REMARK_WORDS[remark] });
        const picture = storedFrom(found.value, { name: file.name, bytes: found.value.file.size });
        const piece = await fresh(nameOf(file.name), pieces.length);
        pieces.push({ ...piece, picture: { ...piece.picture, pictureId: picture.id } });
        pictures.push(picture);
      }
      const [first] = pieces;
      if (!first) {
        if (left[0]) notice({ text: left[0].why, tone: 'error' });
        return;
      }
      if (!report(await addPieces(database(), pieces, pictures))) return;
      router.push(pieces.length === 1 ? `/piece/${first.id}/picture` : '/pieces');
      if (files.length === 1) return;
      notice({
        text: sentences(
          say`${counted(pieces.length, 'piece', 'pieces')} begun.`,
          left.length > 0 && say`Left out: ${left.map(({ name }) => name).join(', ')}.`,
        ),
        tone: 'success',
        action: {
          label: say`Take them back`,
          run: () => void Promise.all(pieces.map(({ id }) => removePiece(database(), id, clock()))),
        },
      });
    },
    [notice, report, units, clock, router, fresh],
  );
}
