import { ok } from '@/core/shared';
import { blankOf, ovalPart } from '../blank';
import type { ShapeKindRecord } from './kind';

/** The width is the diameter. */
export interface RoundShape {
  kind: 'round';
}

export const round: ShapeKindRecord<RoundShape> = {
  kind: 'round',
  defaults: () => ({ kind: 'round' }),
  sizes: { width: 'diameter', height: null },
  coversEdges: true,
  seenInPart: false,
  gripped: (_, { xMm }, { front }) => ({ widthMm: xMm - front.xMm, heightMm: xMm - front.xMm }),
  resolve: (_, { widthMm }) => {
    const radiusMm = widthMm / 2;
    const part = ovalPart({ xMm: radiusMm, yMm: radiusMm }, radiusMm, radiusMm);
    return ok(blankOf({ size: { widthMm, heightMm: widthMm }, parts: [part] }));
  },
};
