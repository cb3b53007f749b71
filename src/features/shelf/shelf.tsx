'use client';
import { useLiveQuery } from 'dexie-react-hooks';
import { createContext, useContext, useMemo, useState, type ReactNode } from 'react';
import type { PictureRecord } from '@/records';
import { database, pictureFacts, readShelf, type Shelf, type ShelfCache } from '@/storage';

/** All pieces with the facts of their pictures. */
export interface Shelved extends Shelf {
  pictures: ReadonlyMap<string, PictureRecord>;
}

const ShelfContext = createContext<Shelved | undefined>(undefined);

/** All pieces, live across windows; undefined while they are read. */
export const useShelf = (): Shelved | undefined => useContext(ShelfContext);

/** Reads all pieces once for everybody: each stored revision is validated once, and no picture file is touched. */
export function ShelfProvider({ children }: { children: ReactNode }) {
  const [cache] = useState<ShelfCache>(() => new Map());
  const read = useLiveQuery(async () => {
    const shelf = await readShelf(database(), cache);
    const ids = shelf.pieces.map((piece) => piece.picture.pictureId).filter((id) => id !== null);
    return { ...shelf, facts: await pictureFacts(database(), ids) };
  });
  const shelved = useMemo<Shelved | undefined>(
    () => read && { ...read, pictures: new Map(read.facts.map((facts) => [facts.id, facts])) },
    [read],
  );
  return <ShelfContext.Provider value={shelved}>{children}</ShelfContext.Provider>;
}
