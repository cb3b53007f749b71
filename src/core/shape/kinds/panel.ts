import { fail, ok, sum } from '@/core/shared';
import { blankOf, openingAreaMm2, openingRing, rectPart, type Opening } from '../blank';
import { ringsAreaMm2 } from '../polygon';
import { areaMm2, type SizeMm } from '../rectangle';
import { PLAIN_SIZES, sizeOfFront, type ShapeKindRecord } from './kind';

export interface PanelShape {
  kind: 'panel';
  openings: Opening[];
}

export const panel: ShapeKindRecord<PanelShape> = {
  kind: 'panel',
  defaults: () => ({ kind: 'panel', openings: [] }),
  sizes: PLAIN_SIZES,
  coversEdges: false,
  seenInPart: false,
  gripped: sizeOfFront,
  resolve: ({ openings }, size) => {
    const out = openings.find((opening) => !isInside(opening, size));
    if (out)
      return fail('shape-opening-outside', `expected openings inside the panel, got one at ${out.xMm}, ${out.yMm}`, {
        values: { xMm: out.xMm, yMm: out.yMm },
      });
    const blank = blankOf({ size, parts: [rectPart({ xMm: 0, yMm: 0, ...size })], openings });
    return ok({ ...blank, areaMm2: areaMm2(size) - coveredOnceMm2(openings) });
  },
};

function isInside({ xMm, yMm, diameterMm }: Opening, { widthMm, heightMm }: SizeMm): boolean {
  const radiusMm = diameterMm / 2;
  return xMm >= radiusMm && yMm >= radiusMm && xMm + radiusMm <= widthMm && yMm + radiusMm <= heightMm;
}

/** Area of the openings; where they overlap it is counted once. */
function coveredOnceMm2(openings: readonly Opening[]): number {
  const touch = (a: Opening, b: Opening) =>
    Math.hypot(a.xMm - b.xMm, a.yMm - b.yMm) < (a.diameterMm + b.diameterMm) / 2;
  const overlap = openings.some((opening, index) => openings.slice(index + 1).some((other) => touch(opening, other)));
  return overlap ? ringsAreaMm2(openings.map(openingRing)) : sum(openings.map(openingAreaMm2));
}
