/**
 * The edge of a thing in a photo, between pixels: followed round its mask, then moved along its normal to where the
 * colours of both sides change into each other. Both are taken close by, so that a shadow beside the edge is no edge.
 */
import { sample, type Gray, type Point } from '@/core/photo';
import { median } from '@/core/shared';

/** Steps along the edge, pixels of the mask. */
const STEP = 2;
/** The normal is taken over so many steps to both sides. */
const NORMAL_REACH = 4;

/** Round the outside of a mask without holes, clockwise as seen, corner by corner of its pixels, a step apart. */
export function followed(mask: Uint8Array, width: number, height: number): Point[] {
  const isIn = (x: number, y: number) => x >= 0 && y >= 0 && x < width && y < height && mask[y * width + x] === 1;
  const first = mask.indexOf(1);
  if (first < 0) return [];
  const start = { x: first % width, y: Math.floor(first / width) };
  const points: Point[] = [];
  // Along the cracks between pixels, the thing on the right hand.
  let { x, y } = start;
  let [dx, dy] = [1, 0];
  do {
    points.push({ x, y });
    x += dx;
    y += dy;
    const right = isIn(x + (dx - dy - 1) / 2, y + (dx + dy - 1) / 2);
    const left = isIn(x + (dx + dy - 1) / 2, y + (dy - dx - 1) / 2);
    if (!right) [dx, dy] = [-dy, dx];
    else if (left) [dx, dy] = [dy, -dx];
  } while ((x !== start.x || y !== start.y) && points.length < mask.length * 2);
  return evenSteps(points, STEP);
}

/** The same closed line by points that lie the same way apart. */
function evenSteps(points: readonly Point[], step: number): Point[] {
  // Cracks go in stairs: their mean over a few is the line.
  const smooth = points.map((_, at) => meanOf(points, at, 2));
  const out: Point[] = [];
  let carried = 0;
  for (let at = 0; at < smooth.length; at++) {
    const [a, b] = [smooth[at], smooth[(at + 1) % smooth.length]];
    const length = Math.hypot(b.x - a.x, b.y - a.y);
    for (; carried < length; carried += step)
      out.push({ x: a.x + ((b.x - a.x) * carried) / length, y: a.y + ((b.y - a.y) * carried) / length });
    carried -= length;
  }
  return out;
}
function meanOf(points: readonly Point[], at: number, reach: number): Point {
  let [x, y] = [0, 0];
  for (let k = -reach; k <= reach; k++) {
    const point = points[(at + k + points.length) % points.length];
    x += point.x;
    y += point.y;
  }
  return { x: x / (2 * reach + 1), y: y / (2 * reach + 1) };
}

/** How far the edge is looked for, pixels of the fine photo to both sides. */
const REACH = 8;
const SAMPLE_STEP = 0.5;
/** Beside the edge it is measured what both sides look like. */
const SIDE_FROM = 3;

export interface Edge {
  /** In pixels of the fine photo. */
  points: Point[];
  /** Of the points, those at which an edge was seen. */
  seen: boolean[];
}

/**
 * @param rough in pixels of the fine photo
 * @param axes light and colour of the fine photo
 */
export function refined(rough: readonly Point[], axes: readonly Gray[], reach = REACH): Edge {
  const count = rough.length;
  const points: Point[] = [];
  const seen: boolean[] = [];
  for (let at = 0; at < count; at++) {
    const [before, after] = [rough[(at - NORMAL_REACH + count) % count], rough[(at + NORMAL_REACH) % count]];
    const length = Math.hypot(after.x - before.x, after.y - before.y) || 1;
    // The thing lies on the right: the normal points out, to the left.
    const [nx, ny] = [(after.y - before.y) / length, -(after.x - before.x) / length];
    const off = edgeAlong(axes, rough[at], nx, ny, reach);
    seen.push(off !== null);
    points.push({ x: rough[at].x + nx * (off ?? 0), y: rough[at].y + ny * (off ?? 0) });
  }
  return { points: quieted(points, seen), seen };
}

/** Where along the normal the colours cross, pixels outward; null where both sides look alike. */
function edgeAlong(axes: readonly Gray[], { x, y }: Point, nx: number, ny: number, reach: number): number | null {
  const steps = Math.round((2 * reach) / SAMPLE_STEP) + 1;
  const profiles = axes.map((axis) => {
    const out = new Float64Array(steps);
    for (let k = 0; k < steps; k++) {
      const d = k * SAMPLE_STEP - reach;
      // A little along the edge too: grain and noise are no edges.
      for (const t of [-1.2, 0, 1.2]) out[k] += sample(axis, x + nx * d - ny * t, y + ny * d + nx * t) / 3;
    }
    return out;
  });
  let [best, bestAt, off] = [0, -1, 0];
  const half = Math.round(SIDE_FROM / SAMPLE_STEP);
  for (let k = half; k < steps - half; k++) {
    let gain = 0;
    for (const profile of profiles) {
      let [inner, outer] = [0, 0];
      for (let j = 1; j <= half; j++) {
        inner += profile[k - j] / half;
        outer += profile[k + j] / half;
      }
      gain += (outer - inner) ** 2;
    }
    // What lies near the rough line is likelier.
    const d = k * SAMPLE_STEP - reach;
    gain *= 1 - 0.35 * (d / reach) ** 2;
    if (gain > best) [best, bestAt, off] = [gain, k, d];
  }
  if (best < LEAST_GAIN) return null;
  return off + within(profiles, bestAt, half);
}
const LEAST_GAIN = 0.004;

/** Between samples: where the profile, seen along the difference of both sides, is half way. */
function within(profiles: readonly Float64Array[], at: number, half: number): number {
  const sides = profiles.map((profile) => {
    let [inner, outer] = [0, 0];
    for (let j = half - 2; j <= half; j++) {
      inner += (profile[at - j] ?? 0) / 3;
      outer += (profile[at + j] ?? 0) / 3;
    }
    return { inner, outer };
  });
  const norm = sides.reduce((sum, { inner, outer }) => sum + (outer - inner) ** 2, 0) || 1;
  const share = (k: number): number =>
    profiles.reduce((sum, profile, axis) => {
      const { inner, outer } = sides[axis];
      return sum + ((profile[k] ?? 0) - inner) * (outer - inner);
    }, 0) / norm;
  let previous = share(at - half);
  for (let k = at - half + 1; k <= at + half; k++) {
    const now = share(k);
    if (previous < 0.5 && now >= 0.5) return (k - 1 - at + (0.5 - previous) / (now - previous)) * SAMPLE_STEP;
    previous = now;
  }
  return 0;
}

/** A point that lies off the line of its neighbours is set onto it. */
function quieted(points: readonly Point[], seen: readonly boolean[]): Point[] {
  const count = points.length;
  return points.map((point, at) => {
    const near: Point[] = [];
    for (let k = -3; k <= 3; k++) {
      const j = (at + k + count) % count;
      if (k !== 0 && seen[j]) near.push(points[j]);
    }
    if (near.length < 3) return point;
    const [x, y] = [median(near.map((one) => one.x)), median(near.map((one) => one.y))];
    const isOff = !seen[at] || Math.hypot(point.x - x, point.y - y) > OFF_PX;
    return isOff ? { x, y } : point;
  });
}
const OFF_PX = 9;
