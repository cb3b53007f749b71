/** What lies together in a photo, and its four corners. */
import type { Point } from './homography';
import type { Gray } from './raster';

/** The pixels of the largest part, joined by their sides, that is at least as light as a threshold. */
export function largestRegion({ data, width, height }: Gray, threshold: number): number[] {
  const seen = new Uint8Array(data.length);
  let largest: number[] = [];
  for (let start = 0; start < data.length; start++) {
    if (seen[start] || data[start] < threshold) continue;
    const region: number[] = [start];
    seen[start] = 1;
    for (let i = 0; i < region.length; i++) {
      const cell = region[i];
      const x = cell % width;
      const visit = (to: number) => {
        if (!seen[to] && data[to] >= threshold) {
          seen[to] = 1;
          region.push(to);
        }
      };
      if (x > 0) visit(cell - 1);
      if (x < width - 1) visit(cell + 1);
      if (cell >= width) visit(cell - width);
      if (cell < width * (height - 1)) visit(cell + width);
    }
    if (region.length > largest.length) largest = region;
  }
  return largest;
}

const cross = (o: Point, a: Point, b: Point): number => (a.x - o.x) * (b.y - o.y) - (a.y - o.y) * (b.x - o.x);

/** Convex hull, by Andrew's monotone chain; clockwise with y down. */
export function hullOf(points: readonly Point[]): Point[] {
  const sorted = [...points].sort((a, b) => a.x - b.x || a.y - b.y);
  const half = (list: Point[]): Point[] => {
    const chain: Point[] = [];
    for (const point of list) {
      while (chain.length >= 2 && cross(chain[chain.length - 2], chain[chain.length - 1], point) <= 0) chain.pop();
      chain.push(point);
    }
    return chain.slice(0, -1);
  };
  return [...half(sorted), ...half(sorted.toReversed())];
}

export const ringArea = (ring: readonly Point[]): number =>
  ring.reduce((sum, { x, y }, i) => {
    const next = ring[(i + 1) % ring.length];
    return sum + x * next.y - next.x * y;
  }, 0) / 2;

/** Of points, the extremes in four directions a quarter turn apart, turned until they span most. */
export function widestFour(hull: readonly Point[]): Point[] | null {
  if (hull.length < 4) return null;
  let best: Point[] | null = null;
  for (let degrees = 0; degrees < 90; degrees += 2) {
    const four = [0, 90, 180, 270].map((quarter) => {
      const angle = ((degrees + quarter) * Math.PI) / 180;
      const [dx, dy] = [Math.cos(angle), Math.sin(angle)];
      return hull.reduce((far, point) => (point.x * dx + point.y * dy > far.x * dx + far.y * dy ? point : far));
    });
    if (!best || Math.abs(ringArea(four)) > Math.abs(ringArea(best))) best = four;
  }
  return best;
}
