'use client';
import { useLiveQuery } from 'dexie-react-hooks';
import { createContext, useContext, useState, type ReactNode } from 'react';
import type { PictureRecord } from '@/records';
import { database, knownFacts, readShelf, type FactsCache, type Shelf, type ShelfCache } from '@/storage';

/** All pieces with the facts of their pictures. */
export interface Shelved extends Shelf {
  pictures: ReadonlyMap<string, PictureRecord>;
}

const ShelfContext = createContext<Shelved | undefined>(undefined);

/** All pieces, live across windows; undefined while they are read. */
export const useShelf = (): Shelved | undefined => useContext(ShelfContext);

/** Reads all pieces once for everybody: each stored revision is validated once, and no picture file is touched. */
export function ShelfProvider({ children }: { children: ReactNode }) {
  const [known] = useState<{ pieces: ShelfCache; facts: FactsCache }>(() => ({ pieces: new Map(), facts: new Map() }));
  const shelf = useLiveQuery(async (): Promise<Shelved> => {
    const shelf = await readShelf(database(), known.pieces);
    const ids = [...shelf.pieces, ...shelf.templates]
      .map((piece) => piece.picture.pictureId)
      .filter((id) => id !== null);
    return { ...shelf, pictures: await knownFacts(database(), ids, known.facts) };
  });
  return <ShelfContext.Provider value={shelf}>{children}</ShelfContext.Provider>;
}
