/**
 * Finds a picture in a photograph: points that look alike, held to one turn and size, then to one perspective, by trying
 * fours of them and keeping what most agree on (source: RANSAC, Fischler and Bolles; the vote before it, Lowe).
 */
import { homographyOf, solve, type Homography, type Point } from '@/core/photo';
import { seededChance } from '@/core/shared';
import { DESCRIPTION, type Features } from './features';

interface Pair {
  from: Point;
  to: Point;
}

export interface Found {
  h: Homography;
  pairs: Pair[];
  /** Of the pairs that were tried, the share that agrees. */
  agree: number;
}

/** The next best must be this much less alike. */
const RATIO = 0.86;
const SAME_PX = 4;
const TURN_BINS = 24;
const SIZE_STEP = Math.log(1.6);
const TRIES = 900;
const LEAST_PAIRS = 7;
const MOST_GROUPS = 5;
const ROUNDS = 4;

interface Match extends Pair {
  turn: number;
  size: number;
}

const WORDS = DESCRIPTION / 32;
/** So many of the expected ones, alike at a glance, are compared in full. */
const SHORTLIST = 16;

/** Each description as bits: whether each of its figures lies over the usual. */
function bitsOf({ count, described }: Features, usual: Float32Array): Int32Array {
  const bits = new Int32Array(count * WORDS);
  for (let i = 0; i < count; i++)
    for (let k = 0; k < DESCRIPTION; k++)
      if (described[i * DESCRIPTION + k] > usual[k]) bits[i * WORDS + (k >> 5)] |= 1 << (k & 31);
  return bits;
}

function usualOf({ count, described }: Features): Float32Array {
  const mean = new Float32Array(DESCRIPTION);
  for (let i = 0, at = 0; i < count; i++) for (let k = 0; k < DESCRIPTION; k++, at++) mean[k] += described[at] / count;
  return mean;
}

function bitsSet(word: number): number {
  let n = word - ((word >>> 1) & 0x55555555);
  n = (n & 0x33333333) + ((n >>> 2) & 0x33333333);
  return Math.imul((n + (n >>> 4)) & 0x0f0f0f0f, 0x01010101) >>> 24;
}

/** For each point of the photo the expected one that describes the same, where no other comes near. */
function matches(expected: Features, photo: Features): Match[] {
  const found: Match[] = [];
  const usual = usualOf(expected);
  const [bits, ownBits] = [bitsOf(expected, usual), bitsOf(photo, usual)];
  const apart = new Uint8Array(expected.count);
  const counts = new Int32Array(DESCRIPTION + 1);
  for (let i = 0; i < photo.count; i++) {
    counts.fill(0);
    const own = i * WORDS;
    for (let j = 0, at = 0; j < expected.count; j++, at += WORDS) {
      const bitsApart =
        bitsSet(bits[at] ^ ownBits[own]) +
        bitsSet(bits[at + 1] ^ ownBits[own + 1]) +
        bitsSet(bits[at + 2] ^ ownBits[own + 2]) +
        bitsSet(bits[at + 3] ^ ownBits[own + 3]);
      apart[j] = bitsApart;
      counts[bitsApart]++;
    }
    let [most, listed] = [0, 0];
    while (most < DESCRIPTION && listed < SHORTLIST) listed += counts[most++];
    const match = nearest(expected, photo, i, apart, most);
    if (match) found.push(match);
  }
  return found;
}

/** @param apart how many bits of each expected point differ; those of `most` and more are left out */
function nearest(expected: Features, photo: Features, i: number, apart: Uint8Array, most: number): Match | null {
  const { described } = expected;
  let [best, next, at] = [-1, -1, -1];
  for (let j = 0; j < expected.count; j++) {
    if (apart[j] >= most) continue;
    let alike = 0;
    for (let k = 0; k < DESCRIPTION; k++)
      alike += photo.described[i * DESCRIPTION + k] * described[j * DESCRIPTION + k];
    if (alike <= next) continue;
    // The same place described for another turn or size is no rival.
    const isRival = at < 0 || Math.hypot(expected.x[j] - expected.x[at], expected.y[j] - expected.y[at]) > SAME_PX;
    if (alike > best) {
      if (isRival) next = best;
      best = alike;
      at = j;
    } else if (isRival) next = alike;
  }
  if (at < 0 || 1 - best > RATIO * RATIO * (1 - next)) return null;
  return {
    from: { x: expected.x[at], y: expected.y[at] },
    to: { x: photo.x[i], y: photo.y[i] },
    turn: photo.turn[i] - expected.turn[at],
    size: Math.log(photo.size[i] / expected.size[at]),
  };
}

/**
 * Those that agree in turn and size with the most others, and some next best groups: each votes for its bin and those
 * beside it, and a group is a bin with its neighbours, since perspective spreads turns and sizes.
 */
function groupsOf(all: readonly Match[]): Match[][] {
  const votes = new Map<string, Match[]>();
  for (const match of all) {
    const turn = ((match.turn / (2 * Math.PI)) * TURN_BINS + 2 * TURN_BINS) % TURN_BINS;
    const size = match.size / SIZE_STEP;
    for (const t of [Math.floor(turn - 0.5), Math.floor(turn + 0.5)])
      for (const s of [Math.floor(size - 0.5), Math.floor(size + 0.5)]) {
        const key = `${(t + TURN_BINS) % TURN_BINS} ${s}`;
        const held = votes.get(key);
        if (held) held.push(match);
        else votes.set(key, [match]);
      }
  }
  const bins = [...votes.entries()].sort((a, b) => b[1].length - a[1].length);
  const taken: { turn: number; size: number }[] = [];
  const groups: Match[][] = [];
  for (const [key] of bins) {
    if (groups.length === MOST_GROUPS) break;
    const [turn, size] = key.split(' ').map(Number);
    const apart = (a: number, b: number) => Math.min(Math.abs(a - b), TURN_BINS - Math.abs(a - b));
    if (taken.some((other) => apart(other.turn, turn) <= 2 && Math.abs(other.size - size) <= 1)) continue;
    taken.push({ turn, size });
    const near = new Set<Match>();
    for (let t = -2; t <= 2; t++)
      for (let s = -1; s <= 1; s++)
        for (const match of votes.get(`${(turn + t + TURN_BINS) % TURN_BINS} ${size + s}`) ?? []) near.add(match);
    groups.push([...near]);
  }
  return groups;
}

/** Whether a pair lies within so many pixels of where a perspective has it. */
function isNear(h: Homography, { from: { x, y }, to }: Pair, px: number): boolean {
  const w = h[6] * x + h[7] * y + 1;
  const dx = (h[0] * x + h[1] * y + h[2]) / w - to.x;
  const dy = (h[3] * x + h[4] * y + h[5]) / w - to.y;
  return dx * dx + dy * dy < px * px;
}

/** The perspective that fits many pairs best, by least squares about the middle of both; null where they lie on a line. */
function fitted(pairs: readonly Pair[]): Homography | null {
  const scaleOf = (points: readonly Point[]) => {
    const [cx, cy] = [
      points.reduce((sum, { x }) => sum + x, 0) / points.length,
      points.reduce((sum, { y }) => sum + y, 0) / points.length,
    ];
    const spread = points.reduce((sum, { x, y }) => sum + Math.hypot(x - cx, y - cy), 0) / points.length || 1;
    return { cx, cy, s: 1 / spread };
  };
  const [a, b] = [scaleOf(pairs.map(({ from }) => from)), scaleOf(pairs.map(({ to }) => to))];
  const matrix = Array.from({ length: 8 }, () => new Array<number>(8).fill(0));
  const right = new Array<number>(8).fill(0);
  const add = (row: readonly number[], value: number) => {
    for (let i = 0; i < 8; i++) {
      right[i] += row[i] * value;
      for (let j = 0; j < 8; j++) matrix[i][j] += row[i] * row[j];
    }
  };
  pairs.forEach(({ from, to }) => {
    const [x, y] = [(from.x - a.cx) * a.s, (from.y - a.cy) * a.s];
    const [u, v] = [(to.x - b.cx) * b.s, (to.y - b.cy) * b.s];
    add([x, y, 1, 0, 0, 0, -x * u, -y * u], u);
    add([0, 0, 0, x, y, 1, -x * v, -y * v], v);
  });
  const h = solve(matrix, right);
  if (!h) return null;
  // Back from the two scaled frames: B⁻¹ · H · A.
  const H = [
    [h[0], h[1], h[2]],
    [h[3], h[4], h[5]],
    [h[6], h[7], 1],
  ];
  const A = [
    [a.s, 0, -a.s * a.cx],
    [0, a.s, -a.s * a.cy],
    [0, 0, 1],
  ];
  const B = [
    [1 / b.s, 0, b.cx],
    [0, 1 / b.s, b.cy],
    [0, 0, 1],
  ];
  const times = (m: number[][], n: number[][]) =>
    m.map((row) => [0, 1, 2].map((j) => row[0] * n[0][j] + row[1] * n[1][j] + row[2] * n[2][j]));
  const full = times(times(B, H), A);
  const last = full[2][2];
  if (Math.abs(last) < 1e-12) return null;
  return full
    .flat()
    .slice(0, 8)
    .map((value) => value / last) as unknown as Homography;
}

/** How far a pair may lie off the perspective, pixels of the photo: wet paper stretches. */
interface Tolerance {
  px: number;
}

/** Where the picture may lie in the photo, one by one, the likeliest first; none where nothing of it is there. */
export function* findPicture(expected: Features, photo: Features, tolerance: Tolerance): Generator<Found> {
  for (const pairs of groupsOf(matches(expected, photo))) {
    const found = perspectiveOf(pairs, tolerance);
    if (found) yield found;
  }
}

function perspectiveOf(pairs: readonly Match[], { px }: Tolerance): Found | null {
  if (pairs.length < LEAST_PAIRS) return null;
  // Seeded: the same photo gives the same answer.
  const roll = seededChance(pairs.length * 7919);
  let best: Homography | null = null;
  let most = 0;
  let tries = TRIES;
  for (let round = 0; round < tries; round++) {
    const four = [0, 1, 2, 3].map(() => pairs[Math.floor(roll() * pairs.length)]);
    const from = four.map((pair) => pair.from);
    if (!isWide(from)) continue;
    const h = homographyOf(
      from,
      four.map(({ to }) => to),
    );
    if (!h || !keepsItsWay(h, four)) continue;
    let inside = 0;
    for (let k = 0; k < pairs.length; k++) if (isNear(h, pairs[k], px)) inside++;
    if (inside <= most) continue;
    best = h;
    most = inside;
    // As many as make it all but certain that four of those that agree were among them.
    tries = Math.min(TRIES, Math.ceil(Math.log(MISSED) / Math.log(1 - (inside / pairs.length) ** 4 + 1e-12)));
  }
  if (!best) return null;
  const near = (h: Homography) => pairs.filter((pair) => isNear(h, pair, px));
  let inside = near(best);
  for (let round = 0; round < ROUNDS; round++) {
    const h = inside.length >= LEAST_PAIRS ? fitted(inside) : null;
    if (!h) break;
    best = h;
    inside = near(h);
  }
  const distinct = new Set(inside.map(({ from }) => `${Math.round(from.x / 3)} ${Math.round(from.y / 3)}`)).size;
  return distinct < LEAST_PAIRS ? null : { h: best, pairs: inside, agree: inside.length / pairs.length };
}

/** How likely it may be that no four of those that agree were tried. */
const MISSED = 1e-6;

/** Four points that hold a perspective: no three of them nearly on a line. */
function isWide(points: readonly Point[]): boolean {
  for (let skip = 0; skip < 4; skip++) {
    const [a, b, c] = points.filter((_, i) => i !== skip);
    if (Math.abs((b.x - a.x) * (c.y - a.y) - (b.y - a.y) * (c.x - a.x)) < 400) return false;
  }
  return true;
}

/** Not turned over, nor seen from behind. */
const keepsItsWay = (h: Homography, pairs: readonly Pair[]): boolean =>
  pairs.every(({ from }) => h[6] * from.x + h[7] * from.y + 1 > 0.2) && h[0] * h[4] - h[1] * h[3] > 0;
