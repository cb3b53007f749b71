'use client';
import { createContext, useContext, type ReactNode } from 'react';
import { usePiece, type Loaded } from './use-piece';

const LoadedContext = createContext<Loaded>({ state: 'loading' });
export const useLoadedPiece = (): Loaded => useContext(LoadedContext);

/** One piece for all its stations: what is on its way to the disk, or has no room there, stays while they change. */
export function LoadedPiece({ id, children }: { id: string; children: ReactNode }) {
  return <LoadedContext.Provider value={usePiece(id)}>{children}</LoadedContext.Provider>;
}
