import type { Result } from '@/core/shared';
import type { Blank, ShapeCode } from '../blank';
import type { SizeMm } from '../rectangle';

/** What a kind of shape states: how it is first offered, what its two sizes mean, and its face laid flat. */
export interface ShapeKindRecord<Shape extends { kind: string }> {
  kind: Shape['kind'];
  /** As it is first offered on a blank of this width. */
  defaults: (widthMm: number) => Shape;
  /** What the typed width is, and the typed height; null where there is none to type. */
  sizes: { width: SizeMeaning; height: SizeMeaning | null };
  /** The print runs over the edges: it starts without margins. */
  coversEdges: boolean;
  /** The face is seen from the front in part only: round the sides, or with sides folded back. */
  seenInPart: boolean;
  /** What a drag of the face's lower right grip makes of the typed sizes; null where there is no such grip. */
  gripped: ((shape: Shape, corner: { xMm: number; yMm: number }, blank: Blank) => SizeMm) | null;
  resolve: (shape: Shape, size: SizeMm) => Result<Blank, ShapeCode>;
}

export type SizeMeaning =
  | 'width'
  | 'height'
  | 'diameter'
  | 'top-diameter'
  | 'side-height'
  | 'front-width'
  | 'front-height'
  | 'slats-width'
  | 'slats-height'
  | 'fronts-width'
  | 'fronts-height';

/** Sizes as they are typed for a flat face. */
export const PLAIN_SIZES = { width: 'width', height: 'height' } as const;

/** A grip at the lower right corner of the front sets both sizes. */
export const sizeOfFront = (
  _: unknown,
  { xMm, yMm }: { xMm: number; yMm: number },
  { front }: Pick<Blank, 'front'>,
): SizeMm => ({ widthMm: xMm - front.xMm, heightMm: yMm - front.yMm });
