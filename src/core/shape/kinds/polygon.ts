import { fail, ok } from '@/core/shared';
import { blankOf } from '../blank';
import { crossesItself, ringAreaMm2, ringBox, ringPath } from '../polygon';
import { PLAIN_SIZES, sizeOfFront, type ShapeKindRecord } from './kind';

/** Points in shares (0–1) of width and height, so that the outline keeps its form when the size is typed. */
export interface PolygonShape {
  kind: 'polygon';
  points: { x: number; y: number }[];
}

const HEXAGON = [
  { x: 0.25, y: 0 },
  { x: 0.75, y: 0 },
  { x: 1, y: 0.5 },
  { x: 0.75, y: 1 },
  { x: 0.25, y: 1 },
  { x: 0, y: 0.5 },
];

export const polygon: ShapeKindRecord<PolygonShape> = {
  kind: 'polygon',
  defaults: () => ({ kind: 'polygon', points: HEXAGON }),
  sizes: PLAIN_SIZES,
  coversEdges: true,
  seenInPart: false,
  gripped: sizeOfFront,
  resolve: ({ points }, size) => {
    if (points.length < 3) return fail('shape-too-few-points', `expected at least 3 points, got ${points.length}`);
    const ring = points.map(({ x, y }) => ({ xMm: x * size.widthMm, yMm: y * size.heightMm }));
    if (crossesItself(ring)) return fail('shape-crosses-itself', 'expected an outline that does not cross itself');
    const areaMm2 = ringAreaMm2(ring);
    if (areaMm2 < 1) return fail('shape-flat', 'expected an outline with an inside');
    return ok(blankOf({ size, parts: [{ ring, path: ringPath(ring), box: ringBox(ring), areaMm2 }] }));
  },
};
