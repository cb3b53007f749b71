import { sizeOfFront, type ShapeKindRecord } from './kind';
import { NO_KNOBS, rowOf } from './row';

export interface SlatsShape {
  kind: 'slats';
  count: number;
  gapMm: number;
  run: 'vertical' | 'horizontal';
}

export const slats: ShapeKindRecord<SlatsShape> = {
  kind: 'slats',
  defaults: () => ({ kind: 'slats', count: 5, gapMm: 6, run: 'vertical' }),
  sizes: { width: 'slats-width', height: 'slats-height' },
  coversEdges: true,
  seenInPart: false,
  gripped: sizeOfFront,
  resolve: ({ count, gapMm, run }, size) =>
    rowOf({ along: run === 'vertical' ? 'x' : 'y', count, gapMm, knobs: NO_KNOBS }, size),
};
