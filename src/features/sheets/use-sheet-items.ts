'use client';
import { useEffect, useState } from 'react';
import { bentLayers, movedLayers, readyLayers } from '@/features/look';
import type { PlannedPiece } from '@/features/plans';
import { database, storedPicture } from '@/storage';
import type { SheetItem } from './order';
import { bendFor } from '@/core/shape';

/** Pieces with their pictures' files and layers, read from storage: what a sheet of several is made from. */
export function useSheetItems(pieces: readonly PlannedPiece[]): readonly SheetItem[] {
  const [items, setItems] = useState<readonly SheetItem[]>([]);
  const key = JSON.stringify(pieces.map(({ piece }) => [piece.id, piece.revision]));
  useEffect(() => {
    let current = true;
    void Promise.all(
      pieces.map(async ({ piece, plan }): Promise<SheetItem> => {
        const stored = piece.picture.pictureId ? await storedPicture(database(), piece.picture.pictureId) : undefined;
        const layers = await readyLayers(piece.picture.layers);
        return {
          job: piece,
          plan,
          picture: stored ? { id: stored.id, file: stored.file } : null,
          layers: movedLayers(bentLayers(layers, bendFor(plan.surface.blank))),
        };
      }),
    ).then((all) => {
      if (current) setItems(all);
    });
    return () => {
      current = false;
    };
    // The key holds which pieces, and in which state.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [key]);
  return items;
}
