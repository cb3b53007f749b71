/**
 * Lays the photographed print over the expected one to a fraction of a millimetre. The perspective is fitted again to
 * patches of the picture, found one by one, and to the blank's outline, which holds it where the picture is veiled. What
 * is left after it is small and smooth – wet paper stretches, boards bow – and is held to a surface of the second degree
 * (source: block matching by normalised correlation, robust least squares).
 */
import { project, solve, standingOut, type Gray, type Homography, type Point, type Rgba } from '@/core/photo';

/** Millimetres of the print's box to what is to be added to them. */
export interface Bend {
  at: (x: number, y: number) => Point;
  /** How far patches lie off it, root of the mean square, mm. */
  rmsMm: number;
}

/** A patch of the picture: where it should be and where it is, mm, and how surely. */
export interface Patch {
  x: number;
  y: number;
  dx: number;
  dy: number;
  weight: number;
}

/** A place on the outline: it lies so far off along its normal. */
export interface EdgePoint {
  x: number;
  y: number;
  nx: number;
  ny: number;
  off: number;
  weight: number;
}

const LEAST_LIKE = 0.45;
/** Every so many pixels of a patch are compared. */
const GAP = 3;
const LEAST_TEXTURE = 0.2;

/**
 * Where patches of the expected picture are found in the photo as it lies over it so far.
 *
 * @param one what stands out of the expected picture
 * @param density pixels a mm of both; @param radiusMm half a patch's side; @param reachMm how far it may lie off
 */
export function patchesOf(
  one: Gray,
  found: Gray,
  { density, radiusMm, reachMm, stepMm }: { density: number; radiusMm: number; reachMm: number; stepMm: number },
): Patch[] {
  const [radius, reach, step] = [radiusMm, reachMm, stepMm].map((mm) => Math.max(2, Math.round(mm * density)));
  const other = standingOut(found, radius, 0.03);
  const patches: Patch[] = [];
  for (let y = Math.round(radius * 0.6); y < one.height - radius * 0.6; y += step)
    for (let x = Math.round(radius * 0.6); x < one.width - radius * 0.6; x += step) {
      const patch = patchAt(one, other, x, y, radius, reach);
      if (patch)
        patches.push({
          x: (x + 0.5) / density,
          y: (y + 0.5) / density,
          dx: patch.dx / density,
          dy: patch.dy / density,
          weight: patch.like * patch.like,
        });
    }
  return patches;
}

function patchAt(
  one: Gray,
  other: Gray,
  cx: number,
  cy: number,
  radius: number,
  reach: number,
): { dx: number; dy: number; like: number } | null {
  const { width, height } = one;
  const [x0, x1] = [Math.max(0, cx - radius), Math.min(width - 1, cx + radius)];
  const [y0, y1] = [Math.max(0, cy - radius), Math.min(height - 1, cy + radius)];
  let [texture, count] = [0, 0];
  for (let y = y0; y <= y1; y += GAP)
    for (let x = x0; x <= x1; x += GAP) {
      const value = one.data[y * width + x];
      texture += value * value;
      count++;
    }
  if (texture / count < LEAST_TEXTURE) return null;
  const side = 2 * reach + 1;
  const likes = new Float32Array(side * side).fill(-1);
  const likeAt = (dx: number, dy: number): number => {
    // Only what lies over the other: the first and the last of each row and column that do.
    const left = dx < 0 && x0 + dx < 0 ? x0 + GAP * Math.ceil(-(x0 + dx) / GAP) : x0;
    const top = dy < 0 && y0 + dy < 0 ? y0 + GAP * Math.ceil(-(y0 + dy) / GAP) : y0;
    const right = Math.min(x1, width - 1 - dx);
    const bottom = Math.min(y1, height - 1 - dy);
    const shift = dy * width + dx;
    let [n, a, b, aa, bb, ab] = [0, 0, 0, 0, 0, 0];
    for (let y = top; y <= bottom; y += GAP)
      for (let at = y * width + left, end = y * width + right; at <= end; at += GAP) {
        const u = one.data[at];
        const v = other.data[at + shift];
        n++;
        a += u;
        b += v;
        aa += u * u;
        bb += v * v;
        ab += u * v;
      }
    if (n < count * 0.6) return -1;
    const spread = Math.sqrt(Math.max(0, n * aa - a * a) * Math.max(0, n * bb - b * b));
    return spread === 0 ? -1 : (n * ab - a * b) / spread;
  };
  // Every second shift first, then those beside the best.
  let [best, bx, by] = [-1, 0, 0];
  const tryAt = (dx: number, dy: number) => {
    const place = (dy + reach) * side + dx + reach;
    if (Math.abs(dx) > reach || Math.abs(dy) > reach || likes[place] !== -1) return;
    const like = likeAt(dx, dy);
    likes[place] = like;
    if (like > best) [best, bx, by] = [like, dx, dy];
  };
  for (let dy = -reach; dy <= reach; dy += 2) for (let dx = -reach; dx <= reach; dx += 2) tryAt(dx, dy);
  const [mx, my] = [bx, by];
  for (let dy = -1; dy <= 1; dy++) for (let dx = -1; dx <= 1; dx++) tryAt(mx + dx, my + dy);
  const [nx, ny] = [bx, by];
  for (const [dx, dy] of [
    [-1, 0],
    [1, 0],
    [0, -1],
    [0, 1],
  ] as const)
    tryAt(nx + dx, ny + dy);
  if (best < LEAST_LIKE || Math.abs(bx) === reach || Math.abs(by) === reach) return null;
  const at = (by + reach) * side + bx + reach;
  const peak = (low: number, mid: number, high: number) => {
    const bow = low - 2 * mid + high;
    return bow >= 0 ? 0 : Math.max(-0.5, Math.min(0.5, (low - high) / (2 * bow)));
  };
  return {
    dx: bx + peak(likes[at - 1], best, likes[at + 1]),
    dy: by + peak(likes[at - side], best, likes[at + side]),
    like: best,
  };
}

const MAD_TO_DEVIATION = 1.4826;
const ROUNDS = 6;

/** Weights that leave out what lies further off than the others do. */
function trusted(offs: readonly number[], weights: readonly number[], least: number): number[] {
  const sorted = offs.map(Math.abs).sort((a, b) => a - b);
  const reach = 2.5 * Math.max(least, MAD_TO_DEVIATION * (sorted[sorted.length >> 1] ?? 0));
  return offs.map((off, k) => (Math.abs(off) >= reach ? 0 : weights[k] * (1 - (off / reach) ** 2) ** 2));
}

const HELD_MM = 0.35;

/**
 * The perspective that patches and outline agree on. @param h the one they were found with
 */
export function refitted(
  h: Homography,
  patches: readonly Patch[],
  edges: readonly EdgePoint[],
  scaleMm: number,
): Homography {
  let now = h;
  for (let round = 0; round < ROUNDS; round++) {
    const offs = patches.map(({ x, y, dx, dy }) => {
      const [is, wanted] = [project(now, x, y), project(h, x + dx, y + dy)];
      return Math.hypot(is.x - wanted.x, is.y - wanted.y) / pxPerMmAt(h, x, y);
    });
    const edgeOffs = edges.map((edge) => {
      const [is, wanted] = [
        project(now, edge.x, edge.y),
        project(h, edge.x + edge.nx * edge.off, edge.y + edge.ny * edge.off),
      ];
      const outwards = project(h, edge.x + edge.nx, edge.y + edge.ny);
      const from = project(h, edge.x, edge.y);
      const long = Math.hypot(outwards.x - from.x, outwards.y - from.y);
      return ((is.x - wanted.x) * (outwards.x - from.x) + (is.y - wanted.y) * (outwards.y - from.y)) / (long * long);
    });
    const weights = trusted(
      offs,
      patches.map(({ weight }) => weight),
      HELD_MM,
    );
    const edgeWeights = trusted(
      edgeOffs,
      edges.map(({ weight }) => weight),
      HELD_MM,
    );
    const matrix = Array.from({ length: 8 }, (_, i) => Array.from({ length: 8 }, (__, j) => (i === j ? 1e-9 : 0)));
    const right = new Array<number>(8).fill(0);
    const s = 1 / scaleMm;
    const add = (row: readonly number[], value: number, weight: number) => {
      for (let i = 0; i < 8; i++) {
        right[i] += weight * row[i] * value;
        for (let j = 0; j < 8; j++) matrix[i][j] += weight * row[i] * row[j];
      }
    };
    // In units of the print's size, so that figures are of a kind.
    const rows = (x: number, y: number, u: number, v: number) =>
      [
        [x * s, y * s, 1, 0, 0, 0, -x * s * u, -y * s * u],
        [0, 0, 0, x * s, y * s, 1, -x * s * v, -y * s * v],
      ] as const;
    const px = Math.max(1, Math.hypot(h[2], h[5]), pxPerMmAt(h, 0, 0) * scaleMm);
    patches.forEach(({ x, y, dx, dy }, k) => {
      if (weights[k] === 0) return;
      const to = project(h, x + dx, y + dy);
      const [first, second] = rows(x, y, to.x / px, to.y / px);
      add(first, to.x / px, weights[k]);
      add(second, to.y / px, weights[k]);
    });
    edges.forEach((edge, k) => {
      if (edgeWeights[k] === 0) return;
      const to = project(h, edge.x + edge.nx * edge.off, edge.y + edge.ny * edge.off);
      const [from, outwards] = [project(h, edge.x, edge.y), project(h, edge.x + edge.nx, edge.y + edge.ny)];
      const long = Math.hypot(outwards.x - from.x, outwards.y - from.y);
      const [a, b] = [(outwards.x - from.x) / long, (outwards.y - from.y) / long];
      const [first, second] = rows(edge.x, edge.y, to.x / px, to.y / px);
      add(
        first.map((value, i) => a * value + b * second[i]),
        (a * to.x + b * to.y) / px,
        edgeWeights[k],
      );
    });
    const solved = solve(matrix, right);
    if (!solved) return now;
    const [a, b, c, d, e, f, g, i] = solved;
    now = [a * s * px, b * s * px, c * px, d * s * px, e * s * px, f * px, g * s, i * s];
  }
  return now;
}

function pxPerMmAt(h: Homography, x: number, y: number): number {
  const [a, b] = [project(h, x, y), project(h, x + 1, y)];
  return Math.max(0.1, Math.hypot(b.x - a.x, b.y - a.y));
}

/** Paper stretches by a hundredth at the most: what each term may add at the print's edge, as a share of its size. */
const MOST_STRETCH = 0.004;
const PATCH_MM = 0.3;

/** What is left after the perspective, held smooth and small. */
export function bendOf(patches: readonly Patch[], size: { widthMm: number; heightMm: number }): Bend {
  const usual = MOST_STRETCH * Math.max(size.widthMm, size.heightMm);
  const terms = (x: number, y: number): number[] => {
    const [u, v] = [(2 * x) / size.widthMm - 1, (2 * y) / size.heightMm - 1];
    return [1, u, v, u * u, u * v, v * v];
  };
  const value = (by: readonly number[], x: number, y: number) =>
    terms(x, y).reduce((sum, term, i) => sum + term * by[i], 0);
  const fit = (of: (patch: Patch) => number): { by: number[]; square: number; weight: number } => {
    let by: number[] = [0, 0, 0, 0, 0, 0];
    let weights: number[] = [];
    for (let round = 0; round < ROUNDS; round++) {
      weights = trusted(
        patches.map((patch) => of(patch) - value(by, patch.x, patch.y)),
        patches.map(({ weight }) => weight),
        PATCH_MM,
      );
      const matrix = by.map((_, i) => by.map((__, j) => (i === j ? (PATCH_MM / usual) ** 2 * 3 : 0)));
      const right = by.map(() => 0);
      patches.forEach((patch, k) => {
        const row = terms(patch.x, patch.y);
        for (let i = 0; i < row.length; i++) {
          right[i] += weights[k] * row[i] * of(patch);
          for (let j = 0; j < row.length; j++) matrix[i][j] += weights[k] * row[i] * row[j];
        }
      });
      by = solve(matrix, right) ?? by;
    }
    const square = patches.reduce(
      (sum, patch, k) => sum + weights[k] * (of(patch) - value(by, patch.x, patch.y)) ** 2,
      0,
    );
    return { by, square, weight: weights.reduce((sum, weight) => sum + weight, 0) };
  };
  const [across, down] = [fit(({ dx }) => dx), fit(({ dy }) => dy)];
  return {
    at: (x, y) => ({ x: value(across.by, x, y), y: value(down.by, x, y) }),
    rmsMm: Math.sqrt((across.square + down.square) / Math.max(1e-9, across.weight)),
  };
}

export const NO_BEND: Bend = { at: () => ({ x: 0, y: 0 }), rmsMm: 0 };

const EDGE_STEP_MM = 0.4;
const LEAST_EDGE = 0.025;

/**
 * The outline in the photo: for each of its places the sharpest change of colour along its normal.
 *
 * @param ring places with their outward normals, mm of the print's box
 * @param by how many pixels of the photo, across and down, one is looked at as
 */
export function edgesOf(
  ring: readonly { x: number; y: number; nx: number; ny: number }[],
  photo: Rgba,
  by: number,
  h: Homography,
  reachMm: number,
): EdgePoint[] {
  const steps = Math.ceil(reachMm / EDGE_STEP_MM);
  const found: EdgePoint[] = [];
  const length = 2 * steps + 5;
  const profile = new Float64Array(3 * length);
  // Two before a place against two after it.
  const change = (k: number) => {
    let square = 0;
    for (let c = 0; c < 3; c++) {
      const at = 3 * (k + steps + 2) + c;
      const off = (profile[at - 3] + profile[at - 6] - profile[at + 3] - profile[at + 6]) / 2;
      square += off * off;
    }
    return Math.sqrt(square);
  };
  for (const { x, y, nx, ny } of ring) {
    let seen = 0;
    for (let k = -steps - 2; k <= steps + 2; k++) {
      const at = project(h, x + nx * k * EDGE_STEP_MM, y + ny * k * EDGE_STEP_MM);
      if (!meanColour(photo, Math.round(at.x / by - 0.5), Math.round(at.y / by - 0.5), by, profile, 3 * seen)) break;
      seen++;
    }
    if (seen < length) continue;
    let [best, at] = [0, 0];
    for (let k = -steps + 1; k < steps; k++) {
      const value = change(k);
      if (value > best) [best, at] = [value, k];
    }
    if (best >= LEAST_EDGE && Math.abs(at) < steps - 1)
      found.push({ x, y, nx, ny, off: at * EDGE_STEP_MM, weight: Math.min(1, best / 0.15) });
  }
  return found;
}

/** Mean levels, 0–1, of one square of `by` pixels a side. @returns whether it lies in the photo */
function meanColour({ data, width, height }: Rgba, x: number, y: number, by: number, out: Float64Array, to: number) {
  if (x < 0 || y < 0 || (x + 1) * by > width || (y + 1) * by > height) return false;
  let red = 0;
  let green = 0;
  let blue = 0;
  for (let j = 0; j < by; j++)
    for (let i = 0, at = ((y * by + j) * width + x * by) * 4; i < by; i++, at += 4) {
      red += data[at];
      green += data[at + 1];
      blue += data[at + 2];
    }
  const share = 1 / (FULL * by * by);
  out[to] = red * share;
  out[to + 1] = green * share;
  out[to + 2] = blue * share;
  return true;
}

const FULL = 255;
