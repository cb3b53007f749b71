import { ok } from '@/core/shared';
import { blankOf, type Blank } from '../blank';
import { ringPath } from '../polygon';
import { areaMm2, type SizeMm } from '../rectangle';
import { sizeOfFront, type ShapeKindRecord } from './kind';

/** Width and height are those of the front; sides and tuck lie round it. */
export interface WrappedCanvasShape {
  kind: 'wrapped-canvas';
  depthMm: number;
  tuckMm: number;
}

export const wrappedCanvas: ShapeKindRecord<WrappedCanvasShape> = {
  kind: 'wrapped-canvas',
  defaults: () => ({ kind: 'wrapped-canvas', depthMm: 18, tuckMm: 20 }),
  sizes: { width: 'front-width', height: 'front-height' },
  coversEdges: true,
  seenInPart: true,
  gripped: sizeOfFront,
  resolve: (shape, front) => ok(cross(shape, front)),
};

/** Laid out as a cross: the front, and round it the sides with the tuck; folds at the front's edges and at the tuck. */
function cross({ depthMm, tuckMm }: WrappedCanvasShape, front: SizeMm): Blank {
  const sideMm = depthMm + tuckMm;
  const face = { widthMm: front.widthMm + 2 * sideMm, heightMm: front.heightMm + 2 * sideMm };
  const [left, top, right, bottom] = [sideMm, sideMm, sideMm + front.widthMm, sideMm + front.heightMm];
  const corners: [number, number][] = [
    [left, 0],
    [right, 0],
    [right, top],
    [face.widthMm, top],
    [face.widthMm, bottom],
    [right, bottom],
    [right, face.heightMm],
    [left, face.heightMm],
    [left, bottom],
    [0, bottom],
    [0, top],
    [left, top],
  ];
  const ring = corners.map(([xMm, yMm]) => ({ xMm, yMm }));
  const across = (y: number) => ({ x1: left, x2: right, y1: y, y2: y });
  const upright = (x: number) => ({ x1: x, x2: x, y1: top, y2: bottom });
  const tucks = [across(tuckMm), across(face.heightMm - tuckMm), upright(tuckMm), upright(face.widthMm - tuckMm)];
  const coveredMm2 = areaMm2(front) + 2 * (front.widthMm + front.heightMm) * sideMm;
  return blankOf({
    size: face,
    parts: [{ ring, path: ringPath(ring), box: { xMm: 0, yMm: 0, ...face }, areaMm2: coveredMm2 }],
    folds: [across(top), across(bottom), upright(left), upright(right), ...(tuckMm > 0 ? tucks : [])],
    front: { xMm: left, yMm: top, ...front },
    layout: { kind: 'sides', sideMm },
  });
}
