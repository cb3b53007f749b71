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

/** Something that is seen at a place: it lies so far off along a way. */
export interface Hint {
  /** mm of the print's box. */
  x: number;
  y: number;
  /** The way, of length 1. */
  nx: number;
  ny: number;
  /** mm. */
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
): Hint[] {
  const [radius, reach, step] = [radiusMm, reachMm, stepMm].map((mm) => Math.max(2, Math.round(mm * density)));
  const other = standingOut(found, radius, 0.03);
  const hints: Hint[] = [];
  for (let y = Math.round(radius * 0.6); y < one.height - radius * 0.6; y += step)
    for (let x = Math.round(radius * 0.6); x < one.width - radius * 0.6; x += step) {
      const patch = patchAt(one, other, x, y, radius, reach);
      if (!patch) continue;
      const at = { x: (x + 0.5) / density, y: (y + 0.5) / density };
      hints.push(
        { ...at, nx: 1, ny: 0, off: patch.dx / density, weight: sureness(patch.like, patch.bowX * density ** 2) },
        { ...at, nx: 0, ny: 1, off: patch.dy / density, weight: sureness(patch.like, patch.bowY * density ** 2) },
      );
    }
  return hints.filter(({ weight }) => weight > LEAST_SURE);
}

/** A place is known at best to so much of a millimetre. */
const FINE_MM = 0.15;
const LEAST_SURE = 0.02;
/** However alike, a lamp's fall may lie under it. */
const UNLIKE = 0.2;

/**
 * How much a patch tells along one way: much where likeness falls off steeply beside its top, little on an even slope.
 *
 * @param bow how fast it falls, of a square millimetre
 */
function sureness(like: number, bow: number): number {
  const square = Math.max(UNLIKE, 1 - like) / Math.max(1e-9, bow);
  return (like * like * FINE_MM ** 2) / (FINE_MM ** 2 + square);
}

function patchAt(
  one: Gray,
  other: Gray,
  cx: number,
  cy: number,
  radius: number,
  reach: number,
): { dx: number; dy: number; like: number; bowX: number; bowY: number } | null {
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
  const peak = (low: number, high: number) => ({ bow: 2 * best - low - high, at: topOf(low, best, high) });
  const [across, down] = [peak(likes[at - 1], likes[at + 1]), peak(likes[at - side], likes[at + side])];
  return { dx: bx + across.at, dy: by + down.at, like: best, bowX: across.bow, bowY: down.bow };
}

/** Where between the steps the top of a hill lies, from its highest step and those beside it. */
function topOf(before: number, highest: number, after: number): number {
  const bow = 2 * highest - before - after;
  return bow <= 0 ? 0 : Math.max(-0.5, Math.min(0.5, (after - before) / (2 * bow)));
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
 * The perspective that what is seen agrees on.
 *
 * @param h the one it was found with; @param kinds hints of one kind are held to each other
 */
export function refitted(h: Homography, kinds: readonly (readonly Hint[])[], scaleMm: number): Homography {
  const seen = kinds.map((hints) => hints.map((hint) => ({ ...hint, ...wayInPhoto(h, hint) })));
  let now = h;
  const s = 1 / scaleMm;
  // In units of the print's size, so that figures are of a kind.
  const px = Math.max(1, Math.hypot(h[2], h[5]), pxPerMmAt(h, 0, 0) * scaleMm);
  for (let round = 0; round < ROUNDS; round++) {
    const matrix = Array.from({ length: 8 }, (_, i) => Array.from({ length: 8 }, (__, j) => (i === j ? 1e-9 : 0)));
    const right = new Array<number>(8).fill(0);
    for (const hints of seen) {
      const offs = hints.map(({ x, y, to, a, b, long }) => {
        const is = project(now, x, y);
        return ((is.x - to.x) * a + (is.y - to.y) * b) / long;
      });
      const weights = trusted(
        offs,
        hints.map(({ weight }) => weight),
        HELD_MM,
      );
      hints.forEach(({ x, y, to, a, b }, k) => {
        if (weights[k] === 0) return;
        const [u, v] = [to.x / px, to.y / px];
        const along = a * u + b * v;
        const row = [a * x * s, a * y * s, a, b * x * s, b * y * s, b, -x * s * along, -y * s * along];
        for (let i = 0; i < 8; i++) {
          right[i] += weights[k] * row[i] * along;
          for (let j = 0; j < 8; j++) matrix[i][j] += weights[k] * row[i] * row[j];
        }
      });
    }
    const solved = solve(matrix, right);
    if (!solved) return now;
    const [a, b, c, d, e, f, g, i] = solved;
    now = [a * s * px, b * s * px, c * px, d * s * px, e * s * px, f * px, g * s, i * s];
  }
  return now;
}

/** Where a hint leads to in the photo, and its way there: of length 1, and how long a millimetre of it is. */
function wayInPhoto(h: Homography, { x, y, nx, ny, off }: Hint) {
  const [from, outwards] = [project(h, x, y), project(h, x + nx, y + ny)];
  const long = Math.hypot(outwards.x - from.x, outwards.y - from.y);
  return {
    to: project(h, x + nx * off, y + ny * off),
    a: (outwards.x - from.x) / long,
    b: (outwards.y - from.y) / long,
    long,
  };
}

function pxPerMmAt(h: Homography, x: number, y: number): number {
  const [a, b] = [project(h, x, y), project(h, x + 1, y)];
  return Math.max(0.1, Math.hypot(b.x - a.x, b.y - a.y));
}

/** Paper stretches by a hundredth at the most: what each term may add at the print's edge, as a share of its size. */
const MOST_STRETCH = 0.004;
const PATCH_MM = 0.3;

/**
 * What is left after the perspective, held smooth and small.
 *
 * @param kinds hints across and down; those of one kind are held to each other
 */
export function bendOf(kinds: readonly (readonly Hint[])[], size: { widthMm: number; heightMm: number }): Bend {
  const usual = MOST_STRETCH * Math.max(size.widthMm, size.heightMm);
  const terms = (x: number, y: number): number[] => {
    const [u, v] = [(2 * x) / size.widthMm - 1, (2 * y) / size.heightMm - 1];
    return [1, u, v, u * u, u * v, v * v];
  };
  const value = (by: readonly number[], x: number, y: number) =>
    terms(x, y).reduce((sum, term, i) => sum + term * by[i], 0);
  const fit = (wayOf: (hint: Hint) => number) => {
    const along = kinds.map((hints) =>
      hints.flatMap((hint) => {
        const way = wayOf(hint);
        return way === 0 ? [] : [{ row: terms(hint.x, hint.y), hint, off: way * hint.off }];
      }),
    );
    let by: number[] = [0, 0, 0, 0, 0, 0];
    let rms = PATCH_MM;
    for (let round = 0; round < ROUNDS; round++) {
      const matrix = by.map((_, i) =>
        by.map((__, j) => (i === j ? OVERLAP * (Math.max(PATCH_MM, rms) / usual) ** 2 : 0)),
      );
      const right = by.map(() => 0);
      let [square, weight] = [0, 0];
      for (const hints of along) {
        const offs = hints.map(({ hint, off }) => off - value(by, hint.x, hint.y));
        const weights = trusted(
          offs,
          hints.map(({ hint }) => hint.weight),
          PATCH_MM,
        );
        hints.forEach(({ row, off }, k) => {
          square += weights[k] * offs[k] ** 2;
          weight += weights[k];
          for (let i = 0; i < row.length; i++) {
            right[i] += weights[k] * row[i] * off;
            for (let j = 0; j < row.length; j++) matrix[i][j] += weights[k] * row[i] * row[j];
          }
        });
      }
      rms = Math.sqrt(square / Math.max(1e-9, weight));
      by = solve(matrix, right) ?? by;
    }
    return { by, rms };
  };
  const [across, down] = [fit(({ nx }) => nx), fit(({ ny }) => ny)];
  return {
    at: (x, y) => ({ x: value(across.by, x, y), y: value(down.by, x, y) }),
    rmsMm: Math.hypot(across.rms, down.rms),
  };
}

/** Patches lie over each other: so many of them tell no more than one. */
const OVERLAP = 13;

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
): Hint[] {
  const steps = Math.ceil(reachMm / EDGE_STEP_MM);
  const found: Hint[] = [];
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
    if (best < LEAST_EDGE || Math.abs(at) >= steps - 1) continue;
    const off = (at + topOf(change(at - 1), best, change(at + 1))) * EDGE_STEP_MM;
    found.push({ x, y, nx, ny, off, weight: Math.min(1, best / 0.15) });
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
