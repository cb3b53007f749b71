import { useSyncExternalStore } from 'react';
import type { Piece, StoredPicture } from '@/records';

/** A change that the disk had no room for: the piece before and after it, its name, and the pictures it brings. */
export interface Unkept {
  base: Piece;
  mine: Piece;
  label: string;
  pictures: StoredPicture[];
}

/**
 * Changes of pieces that could not be kept yet, by piece. They outlive the piece's page, as long as the window is open:
 * whoever leaves it is asked, and finds them there again.
 */
let unkept: ReadonlyMap<string, Unkept> = new Map();
const listeners = new Set<() => void>();

const ask = (event: BeforeUnloadEvent) => event.preventDefault();

export function setUnkept(piece: string, change: Unkept | null): void {
  const next = new Map(unkept);
  if (change) next.set(piece, change);
  else next.delete(piece);
  unkept = next;
  if (unkept.size > 0) window.addEventListener('beforeunload', ask);
  else window.removeEventListener('beforeunload', ask);
  listeners.forEach((notify) => notify());
}

export const unkeptOf = (piece: string): Unkept | null => unkept.get(piece) ?? null;

const subscribe = (notify: () => void) => {
  listeners.add(notify);
  return () => listeners.delete(notify);
};
const NONE: ReadonlyMap<string, Unkept> = new Map();

export const useUnkept = (): ReadonlyMap<string, Unkept> =>
  useSyncExternalStore(
    subscribe,
    () => unkept,
    () => NONE,
  );
