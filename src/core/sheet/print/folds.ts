import type { Blank, RectMm } from '@/core/shape';
import type { Line } from '../line';

/** Folds of the blank within a rectangle of its face, in that rectangle's own coordinates. */
export const foldsIn = (blank: Blank, rect: RectMm): Line[] =>
  blank.folds.map(({ x1, y1, x2, y2 }) => ({
    x1: x1 - rect.xMm,
    y1: y1 - rect.yMm,
    x2: x2 - rect.xMm,
    y2: y2 - rect.yMm,
  }));
