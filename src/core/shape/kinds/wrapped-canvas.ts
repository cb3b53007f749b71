import { ok } from '@/core/shared';
import { blankOf, type Blank, type BlankPart } from '../blank';
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
  /** Front and sides folded out so far. */
  const foldedOut = (outMm: number): BlankPart => {
    const [x0, y0, x1, y1] = [left - outMm, top - outMm, right + outMm, bottom + outMm];
    const corners: [number, number][] = [
      [left, y0],
      [right, y0],
      [right, top],
      [x1, top],
      [x1, bottom],
      [right, bottom],
      [right, y1],
      [left, y1],
      [left, bottom],
      [x0, bottom],
      [x0, top],
      [left, top],
    ];
    const ring = corners.map(([xMm, yMm]) => ({ xMm, yMm }));
    const box = { xMm: x0, yMm: y0, widthMm: x1 - x0, heightMm: y1 - y0 };
    return {
      ring,
      path: ringPath(ring),
      box,
      areaMm2: areaMm2(front) + 2 * (front.widthMm + front.heightMm) * outMm,
    };
  };
  const across = (y: number) => ({ x1: left, x2: right, y1: y, y2: y });
  const upright = (x: number) => ({ x1: x, x2: x, y1: top, y2: bottom });
  const tucks = [across(tuckMm), across(face.heightMm - tuckMm), upright(tuckMm), upright(face.widthMm - tuckMm)];
  return blankOf({
    size: face,
    parts: [foldedOut(sideMm)],
    reached: [foldedOut(depthMm)],
    folds: [across(top), across(bottom), upright(left), upright(right), ...(tuckMm > 0 ? tucks : [])],
    front: { xMm: left, yMm: top, ...front },
    layout: { kind: 'sides', sideMm },
  });
}
