import { useCallback } from 'react';
import type { StoredPicture } from '@/records';
import { useObjectUrl, useStoredPicture } from '@/features/shelf';
import { say } from '@/words/say';
import { useOpenPiece } from '../piece-context';
import { useTakePicture } from '../use-take-picture';

/** The photo of the finished piece: as it is kept, and how another is taken. */
export function useResultPhoto() {
  const { piece, change } = useOpenPiece();
  const taken = useStoredPicture(piece.keep.photoId);
  const take = useCallback(
    (photo: StoredPicture) => change('keep', { photoId: photo.id }, say`photo of the result`, [photo]),
    [change],
  );
  return {
    taken,
    url: useObjectUrl(taken?.preview ?? null),
    taking: useTakePicture(take),
    takeOut: () => change('keep', { photoId: null }, say`no photo`),
  };
}
export type ResultPhoto = ReturnType<typeof useResultPhoto>;
