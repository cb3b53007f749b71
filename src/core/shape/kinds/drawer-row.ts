import { sizeOfFront, type ShapeKindRecord } from './kind';
import { rowOf } from './row';

export interface DrawerRowShape {
  kind: 'drawer-row';
  count: number;
  gapMm: number;
  knobs: 0 | 1 | 2;
  knobMm: number;
}

/** Where on a front its knobs sit, in shares of its width. */
const KNOB_SHARES: Readonly<Record<DrawerRowShape['knobs'], readonly number[]>> = {
  0: [],
  1: [0.5],
  2: [0.25, 0.75],
};

export const drawerRow: ShapeKindRecord<DrawerRowShape> = {
  kind: 'drawer-row',
  defaults: () => ({ kind: 'drawer-row', count: 3, gapMm: 12, knobs: 1, knobMm: 30 }),
  sizes: { width: 'fronts-width', height: 'fronts-height' },
  coversEdges: false,
  seenInPart: false,
  gripped: sizeOfFront,
  resolve: ({ count, gapMm, knobs, knobMm }, size) =>
    rowOf({ along: 'x', count, gapMm, knobs: { shares: KNOB_SHARES[knobs], diameterMm: knobMm } }, size),
};
