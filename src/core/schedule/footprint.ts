import type { Blank } from '@/core/shape';
import { SHELF } from './from-plans';

/** A shelf of the rack, mm. */
export interface Shelf {
  widthMm: number;
  depthMm: number;
}

/** Room round a piece, to get hold of it and for air. */
const ROUND_MM = 15;

/**
 * How much of a rack a lying piece takes, in sixtieths of a shelf: one of so many as lie on a shelf beside each other,
 * or whole shelves of the same size where it is larger. Wet, everything lies.
 */
export function shelfRoom({ widthMm, heightMm }: { widthMm: number; heightMm: number }, shelf: Shelf): number {
  const [wide, deep] = [widthMm + ROUND_MM, heightMm + ROUND_MM];
  const [across, down] = [shelf.widthMm + ROUND_MM, shelf.depthMm + ROUND_MM];
  const fit = (a: number, b: number) => Math.floor(across / a) * Math.floor(down / b);
  const count = Math.max(fit(wide, deep), fit(deep, wide));
  if (count >= 1) return Math.max(1, Math.ceil(SHELF / count));
  const cover = (a: number, b: number) => Math.ceil(a / across) * Math.ceil(b / down);
  return SHELF * Math.min(cover(wide, deep), cover(deep, wide));
}

/** What a piece covers where it lies or stands, mm: a vessel its widest round, a wrapped canvas its front. */
export function footprintOf(blank: Pick<Blank, 'standing' | 'front'> | null): { widthMm: number; heightMm: number } {
  if (!blank) return UNKNOWN;
  if (!blank.standing) return blank.front;
  const across = Math.max(blank.standing.topMm, blank.standing.bottomMm);
  return { widthMm: across, heightMm: across };
}

/** A piece that is not measured yet: a letter page. */
const UNKNOWN = { widthMm: 216, heightMm: 279 };
