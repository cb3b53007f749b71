/** Where the print may lie by an outline alone, its blank's or its own: four ways round, of which two fit unless it is square. */
import { boxCorners, homographyOf, type Homography, type Point, type Rgba } from '@/core/photo';
import type { RectMm, SizeMm } from '@/core/shape';
import { cornersApart } from '@/core/trace';
import { edgesOf, refitted, type Hint } from './align';
import type { ExpectedPiece } from './expected-piece';
import { pxPerMm } from './overlay';

const EDGE_EVERY_MM = 4;
/** From the coarse outline to its edge, mm. */
const REACHES_MM = [5, 2.5, 1.5] as const;
const EDGE_DENSITY = 2.5;
/** What tilt may press a side together by. */
const MOST_PRESSED = 1.35;

type OutlinePlace = Omit<Hint, 'off' | 'weight'>;

/** Places along the blank's four sides, with their outward normals, from the print's box. */
export function outlineOf(margin: ExpectedPiece['margin'], { widthMm, heightMm }: SizeMm): OutlinePlace[] {
  if (!margin) return [];
  const [x0, y0, x1, y1] = [-margin.leftMm, -margin.topMm, widthMm + margin.rightMm, heightMm + margin.bottomMm];
  const ring: OutlinePlace[] = [];
  for (let x = x0 + EDGE_EVERY_MM; x < x1; x += EDGE_EVERY_MM)
    ring.push({ x, y: y0, nx: 0, ny: -1 }, { x, y: y1, nx: 0, ny: 1 });
  for (let y = y0 + EDGE_EVERY_MM; y < y1; y += EDGE_EVERY_MM)
    ring.push({ x: x0, y, nx: -1, ny: 0 }, { x: x1, y, nx: 1, ny: 0 });
  return ring;
}

/** The same along the print's own sides, where enough bare blank lies beside them that its edge is not taken for theirs. */
export function sidesOf(margin: ExpectedPiece['margin'], { widthMm, heightMm }: SizeMm): OutlinePlace[] {
  if (!margin) return [];
  const ring = outlineOf({ leftMm: 0, topMm: 0, rightMm: 0, bottomMm: 0 }, { widthMm, heightMm });
  return ring.filter(({ nx, ny }) => {
    const [across, down] = [nx < 0 ? margin.leftMm : margin.rightMm, ny < 0 ? margin.topMm : margin.bottomMm];
    const beside = nx === 0 ? down : across;
    return beside >= LEAST_BESIDE_MM;
  });
}
const LEAST_BESIDE_MM = 4;

/** How many pixels of the photo an edge is looked at as. */
export const edgePixels = (h: Homography, size: SizeMm): number =>
  Math.max(1, Math.round(pxPerMm(h, size) / EDGE_DENSITY));

/**
 * Print's mm to the photo's pixels, for each way round that some outline in it allows: the blank's, or the print's own
 * where that is all that stands out.
 */
export function placesByOutline(photo: Rgba, margin: ExpectedPiece['margin'], size: SizeMm): Homography[] {
  if (!margin) return [];
  const blank = {
    xMm: -margin.leftMm,
    yMm: -margin.topMm,
    widthMm: size.widthMm + margin.leftMm + margin.rightMm,
    heightMm: size.heightMm + margin.topMm + margin.bottomMm,
  };
  const print = { xMm: 0, yMm: 0, ...size };
  const boxes = sidesOf(margin, size).length > 0 ? [blank, print] : [blank];
  return cornersApart(photo).flatMap((quad) => boxes.flatMap((box) => waysRound(quad, box)));
}

function waysRound(quad: readonly Point[], { xMm, yMm, widthMm, heightMm }: RectMm): Homography[] {
  const corners = boxCorners(widthMm, heightMm).map(({ x, y }) => ({ x: x + xMm, y: y + yMm }));
  return [0, 1, 2, 3].flatMap((turn) => {
    const turned = quad.map((_, at) => quad[(at + turn) % 4]);
    const long = (from: number) =>
      Math.hypot(turned[(from + 1) % 4].x - turned[from].x, turned[(from + 1) % 4].y - turned[from].y);
    const pressed = (long(0) + long(2)) / (long(1) + long(3)) / (widthMm / heightMm);
    const h = homographyOf(corners, turned);
    return h && pressed < MOST_PRESSED && pressed > 1 / MOST_PRESSED ? [h] : [];
  });
}

/** From the coarse outline to the blank's edge as it is seen. */
export function drawnToEdges(h: Homography, photo: Rgba, margin: ExpectedPiece['margin'], size: SizeMm): Homography {
  const ring = outlineOf(margin, size);
  const scaleMm = Math.max(size.widthMm, size.heightMm);
  return REACHES_MM.reduce(
    (now, reachMm) => refitted(now, [edgesOf(ring, photo, edgePixels(now, size), now, reachMm)], scaleMm),
    h,
  );
}

/** Of the outline, the share that is seen within `HELD_MM` of where it should be. */
export function heldBy(h: Homography, photo: Rgba, margin: ExpectedPiece['margin'], size: SizeMm): number {
  const ring = outlineOf(margin, size);
  const edges = edgesOf(ring, photo, edgePixels(h, size), h, HELD_REACH_MM);
  return edges.filter(({ off }) => Math.abs(off) <= HELD_MM).length / Math.max(1, ring.length);
}
const HELD_REACH_MM = 2.4;
const HELD_MM = 0.6;
