/**
 * Lays a printed page as it was found over the page as it should be: an affine change of the expected page's
 * millimetres, found coarsely by trying sizes and shifts and then finely by Gauss–Newton on what stands out of its
 * surroundings (source: Lucas and Kanade's image registration, with Huber's weights).
 */
import { correlation, sample, solve, type Gray } from '@/core/photo';

/** x' = a·x + b·y + c, y' = d·x + e·y + f, pixels of the expected page to pixels of the found one. */
export type Affine = readonly [number, number, number, number, number, number];

const SCALES = [0.92, 0.94, 0.96, 0.98, 1, 1.02, 1.04, 1.06];
const HUBER = 1.2;
const MOST_ROUNDS = 16;
const STILL = 0.002;

/** How alike two images are under a change, −1…1, over what both show. `step` skips pixels. */
export function likeness(
  expected: Gray,
  found: Gray,
  [a, b, c, d, e, f]: Affine,
  step = 1,
  weights: Gray | null = null,
): number {
  let [n, sx, sy, sxx, syy, sxy] = [0, 0, 0, 0, 0, 0];
  for (let y = 0; y < expected.height; y += step)
    for (let x = 0; x < expected.width; x += step) {
      const weight = weights ? weights.data[y * expected.width + x] : 1;
      if (weight === 0) continue;
      const px = a * (x + 0.5) + b * (y + 0.5) + c;
      const py = d * (x + 0.5) + e * (y + 0.5) + f;
      if (px < 0 || py < 0 || px > found.width || py > found.height) continue;
      const one = expected.data[y * expected.width + x];
      const other = sample(found, px, py);
      n += weight;
      sx += weight * one;
      sy += weight * other;
      sxx += weight * one * one;
      syy += weight * other * other;
      sxy += weight * one * other;
    }
  return n < 30 ? 0 : correlation(n, sx, sy, sxx, syy, sxy);
}

/**
 * How alike two images are where one is only resized and shifted: every second pixel beside the nearest one of the
 * other. For the coarse search.
 */
function roughLikeness(
  expected: Gray,
  found: Gray,
  scaleX: number,
  shiftX: number,
  scaleY: number,
  shiftY: number,
): number {
  const { data, width, height } = expected;
  const columns = new Int32Array(width);
  for (let x = 0; x < width; x++) {
    const at = Math.floor(scaleX * (x + 0.5) + shiftX);
    columns[x] = at >= 0 && at < found.width ? at : -1;
  }
  let [n, sx, sy, sxx, syy, sxy] = [0, 0, 0, 0, 0, 0];
  for (let y = 0; y < height; y += 2) {
    const row = Math.floor(scaleY * (y + 0.5) + shiftY);
    if (row < 0 || row >= found.height) continue;
    const line = row * found.width;
    for (let x = 0, at = y * width; x < width; x += 2, at += 2) {
      const column = columns[x];
      if (column < 0) continue;
      const one = data[at];
      const other = found.data[line + column];
      n++;
      sx += one;
      sy += other;
      sxx += one * one;
      syy += other * other;
      sxy += one * other;
    }
  }
  return n < 30 ? 0 : correlation(n, sx, sy, sxx, syy, sxy);
}

/**
 * The best of several sizes about the page's middle, each shifted by up to `reach` pixels; across and down alike, or,
 * as printers stretch one way and shrink the other, apart.
 */
export function coarse(
  expected: Gray,
  found: Gray,
  reach: number,
  apart: boolean,
): { change: Affine; likeness: number } {
  let best: { change: Affine; likeness: number } = { change: [1, 0, 0, 0, 1, 0], likeness: -1 };
  const [cx, cy] = [expected.width / 2, expected.height / 2];
  for (const sx of SCALES)
    for (const sy of apart ? SCALES : [sx])
      for (let dx = -reach; dx <= reach; dx++)
        for (let dy = -reach; dy <= reach; dy++) {
          const [tx, ty] = [cx * (1 - sx) + dx, cy * (1 - sy) + dy];
          const like = roughLikeness(expected, found, sx, tx, sy, ty);
          if (like > best.likeness) best = { change: [sx, 0, tx, 0, sy, ty], likeness: like };
        }
  return best;
}

/** What of an expected page carries its place: pixels on slopes, their place in shares of the page, level and slope. */
export interface Slopes {
  width: number;
  height: number;
  count: number;
  x: Float32Array;
  y: Float32Array;
  level: Float32Array;
  gx: Float32Array;
  gy: Float32Array;
}

const LEAST_SLOPE = 0.08;

export function slopesOf({ data, width, height }: Gray): Slopes {
  const [x, y, level, gx, gy] = Array.from({ length: 5 }, () => new Float32Array(width * height));
  let count = 0;
  for (let row = 1; row < height - 1; row++)
    for (let column = 1; column < width - 1; column++) {
      const at = row * width + column;
      const across = (data[at + 1] - data[at - 1]) / 2;
      const down = (data[at + width] - data[at - width]) / 2;
      if (Math.abs(across) + Math.abs(down) < LEAST_SLOPE) continue;
      x[count] = column + 0.5;
      y[count] = row + 0.5;
      level[count] = data[at];
      gx[count] = across;
      gy[count] = down;
      count++;
    }
  return { width, height, count, x, y, level, gx, gy };
}

/**
 * Follows the slope from a first guess until nothing moves by more than a few thousandths of a pixel. The expected
 * page's slopes stand for the found one's: they are nearly alike, and known once.
 */
export function fine(
  { width, height, count, x, y, level, gx, gy }: Slopes,
  found: Gray,
  start: Affine,
  rounds = MOST_ROUNDS,
): Affine {
  const p = Float64Array.from(start);
  // Lengths in shares of the page keep the system well-tempered.
  const size = Math.max(width, height);
  const matrix = Array.from({ length: 6 }, () => new Array<number>(6).fill(0));
  const sums = new Float64Array(21);
  const right = new Float64Array(6);
  for (let round = 0; round < rounds; round++) {
    sums.fill(0);
    right.fill(0);
    for (let i = 0; i < count; i++) {
      const px = p[0] * x[i] + p[1] * y[i] + p[2];
      const py = p[3] * x[i] + p[4] * y[i] + p[5];
      if (px < 1 || py < 1 || px > found.width - 1 || py > found.height - 1) continue;
      const off = level[i] - sample(found, px, py);
      const weight = off < HUBER && off > -HUBER ? 1 : HUBER / (off < 0 ? -off : off);
      const ux = x[i] / size;
      const uy = y[i] / size;
      const xx = weight * gx[i] * gx[i];
      const xy = weight * gx[i] * gy[i];
      const yy = weight * gy[i] * gy[i];
      // Of each of the three, times 1, ux, uy, ux², ux·uy, uy².
      sums[0] += xx;
      sums[1] += xx * ux;
      sums[2] += xx * uy;
      sums[3] += xx * ux * ux;
      sums[4] += xx * ux * uy;
      sums[5] += xx * uy * uy;
      sums[6] += xy;
      sums[7] += xy * ux;
      sums[8] += xy * uy;
      sums[9] += xy * ux * ux;
      sums[10] += xy * ux * uy;
      sums[11] += xy * uy * uy;
      sums[12] += yy;
      sums[13] += yy * ux;
      sums[14] += yy * uy;
      sums[15] += yy * ux * ux;
      sums[16] += yy * ux * uy;
      sums[17] += yy * uy * uy;
      const rx = weight * gx[i] * off;
      const ry = weight * gy[i] * off;
      right[0] += rx * ux;
      right[1] += rx * uy;
      right[2] += rx;
      right[3] += ry * ux;
      right[4] += ry * uy;
      right[5] += ry;
    }
    for (const [block, row, column] of [
      [0, 0, 0],
      [6, 0, 3],
      [6, 3, 0],
      [12, 3, 3],
    ]) {
      const [one, u, v, uu, uv, vv] = sums.subarray(block, block + 6);
      [
        [uu, uv, u],
        [uv, vv, v],
        [u, v, one],
      ].forEach((line, i) =>
        line.forEach((value, j) => {
          matrix[row + i][column + j] = value;
        }),
      );
    }
    const step = solve(matrix, [...right]);
    if (!step) break;
    p[0] += step[0] / size;
    p[1] += step[1] / size;
    p[2] += step[2];
    p[3] += step[3] / size;
    p[4] += step[4] / size;
    p[5] += step[5];
    if (Math.max(...step.map(Math.abs)) < STILL) break;
  }
  return [p[0], p[1], p[2], p[3], p[4], p[5]];
}

/** The same change at another density. */
export const atDensity = ([a, b, c, d, e, f]: Affine, by: number): Affine => [a, b, c * by, d, e, f * by];
