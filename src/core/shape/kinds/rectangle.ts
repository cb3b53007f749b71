import { ok } from '@/core/shared';
import { blankOf, rectPart } from '../blank';
import { PLAIN_SIZES, sizeOfFront, type ShapeKindRecord } from './kind';

export interface RectangleShape {
  kind: 'rectangle';
}

export const rectangle: ShapeKindRecord<RectangleShape> = {
  kind: 'rectangle',
  defaults: () => ({ kind: 'rectangle' }),
  sizes: PLAIN_SIZES,
  coversEdges: false,
  seenInPart: false,
  gripped: sizeOfFront,
  resolve: (_, size) => ok(blankOf({ size, parts: [rectPart({ xMm: 0, yMm: 0, ...size })], isFullRectangle: true })),
};
