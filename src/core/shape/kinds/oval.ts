import { ok } from '@/core/shared';
import { blankOf, ovalPart } from '../blank';
import { PLAIN_SIZES, sizeOfFront, type ShapeKindRecord } from './kind';

export interface OvalShape {
  kind: 'oval';
}

export const oval: ShapeKindRecord<OvalShape> = {
  kind: 'oval',
  defaults: () => ({ kind: 'oval' }),
  sizes: PLAIN_SIZES,
  coversEdges: true,
  seenInPart: false,
  gripped: sizeOfFront,
  resolve: (_, size) => {
    const [rx, ry] = [size.widthMm / 2, size.heightMm / 2];
    return ok(blankOf({ size, parts: [ovalPart({ xMm: rx, yMm: ry }, rx, ry)] }));
  },
};
