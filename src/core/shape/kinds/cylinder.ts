import { ok } from '@/core/shared';
import { blankOf, goesRound, middleOf, rectPart, type Blank } from '../blank';
import type { SizeMm } from '../rectangle';
import type { ShapeKindRecord } from './kind';

/** The width is the diameter; the side is unrolled: width = π × diameter × share of the way round. */
export interface CylinderShape {
  kind: 'cylinder';
  shareOfRound: number;
}

export const cylinder: ShapeKindRecord<CylinderShape> = {
  kind: 'cylinder',
  defaults: () => ({ kind: 'cylinder', shareOfRound: 0.5 }),
  sizes: { width: 'diameter', height: 'height' },
  coversEdges: false,
  seenInPart: true,
  gripped: ({ shareOfRound }, { xMm, yMm }, { front }) => ({
    widthMm: xMm / (Math.PI * shareOfRound),
    heightMm: yMm - front.yMm,
  }),
  resolve: ({ shareOfRound }, size) => ok(unrolled(size, shareOfRound)),
};

export function unrolled({ widthMm: diameterMm, heightMm }: SizeMm, shareOfRound: number): Blank {
  const size = { widthMm: Math.PI * diameterMm * shareOfRound, heightMm };
  return blankOf({
    size,
    parts: [rectPart({ xMm: 0, yMm: 0, ...size })],
    front: middleOf(size, diameterMm),
    standing: { topMm: diameterMm, bottomMm: diameterMm, sideMm: heightMm, shareOfRound, bend: null },
    isFullRectangle: true,
    layout: { kind: 'plain', round: goesRound(shareOfRound) },
  });
}
