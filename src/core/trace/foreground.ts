/**
 * Which pixels of a photo are the thing that lies in its middle, and not the table or the shadow on it. Colours are
 * compared as logarithms, so that light is a sum: the table's is a smooth field, learned from the photo's rim; a shadow
 * is the table with less light and the same colour. What is in the middle is learned as a few colours, and both are
 * learned again from what was found. Source: mixtures of Gaussians fitted in turns (Dempster, Laird and Rubin 1977).
 */
import { boxMean, largestRegion, solve, type Gray, type Rgba } from '@/core/photo';

/** A few kinds of colour: means and inverse spreads over light, red against green, and yellow against blue. */
interface Kinds {
  means: Float64Array;
  spreads: Float64Array;
  /** What a kind costs for being rare and wide. */
  prices: Float64Array;
}

/** Taken once: they are asked for at every pixel. */
const { abs, floor, max, min, round: nearest, sqrt, log } = Math;
const NEVER = -1e30;

const KINDS = 3;
const AXES = 3;
const ROUNDS = 4;
const LEARN_ROUNDS = 6;
/** Of the photo's sides, the rim that shows table alone. */
const RIM_SHARE = 0.035;
/** Of the photo's sides, the middle that shows the thing alone, to begin with. */
const MIDDLE_SHARE = 0.22;
const FIELD_TERMS = 6;
/** A smooth field is known from so many places. */
const FIELD_SAMPLE = 5000;
/** How dark a shadow on the table may be: e to the power of it. */
const DEEPEST_SHADOW = -1.1;
const LEAST_SPREAD = [0.05, 0.018, 0.018] as const;
const SMOOTH_RADIUS = 2;

/** Light, red–green and yellow–blue of each pixel, as sums and differences of logarithms. */
export function opponents({ data, width, height }: Rgba): Gray[] {
  const count = width * height;
  const logs = Float32Array.from({ length: 256 }, (_, level) => log(level / 255 + 0.02));
  const [light, red, yellow] = [new Float32Array(count), new Float32Array(count), new Float32Array(count)];
  for (let i = 0, at = 0; i < count; i++, at += 4) {
    const r = logs[data[at]];
    const g = logs[data[at + 1]];
    const b = logs[data[at + 2]];
    light[i] = (r + g + b) / 3;
    red[i] = r - g;
    yellow[i] = (r + g) / 2 - b;
  }
  return [light, red, yellow].map((axis) => ({ data: axis, width, height }));
}

/**
 * @param opposed light and colours of a photo, as `opponents` gives them
 * @returns for each pixel 1 where the thing is; null where nothing stands out in the middle
 */
export function foreground(opposed: readonly Gray[]): Uint8Array | null {
  const { width, height } = opposed[0];
  const axes = opposed.map((axis) => boxMean(axis, 1).data);
  let isTable = rim(width, height);
  let isThing = middle(width, height);
  let mask: Uint8Array | null = null;
  for (let round = 0; round < ROUNDS; round++) {
    const field = axes.map((data) => smoothField({ data, width, height }, isTable));
    const over = axes.map((data, axis) => less(data, field[axis]));
    // Shadows lie on the table too: they are no kind of their own, but less light.
    const table = learned(over, isTable);
    const thing = learned(over, isThing);
    const [lights, reds, yellows] = over;
    const lead = new Float32Array(width * height);
    for (let i = 0; i < lead.length; i++) {
      const value = likely(thing, lights[i], reds[i], yellows[i]) - likelyTable(table, lights[i], reds[i], yellows[i]);
      lead[i] = value > MOST_LEAD ? MOST_LEAD : value < -MOST_LEAD ? -MOST_LEAD : value;
    }
    const smooth = boxMean({ data: lead, width, height }, SMOOTH_RADIUS);
    mask = filled(largest(smooth), width, height);
    if (!mask) return null;
    [isThing, isTable] = [eroded(mask, width, height, 3), outside(mask, width, height, 6)];
    if (!isThing.includes(1) || !isTable.includes(1)) return null;
  }
  return mask;
}

/** How far each pixel's colour lies off the table that the photo's rim shows, in spreads of it; a shadow lies off it too. */
export function offTable(opposed: readonly Gray[]): Gray {
  const { width, height } = opposed[0];
  const isRim = rim(width, height);
  const out = new Float32Array(width * height);
  opposed.forEach((axis, at) => {
    const { data } = boxMean(axis, 1);
    const over = less(data, smoothField({ data, width, height }, isRim));
    const offs = over
      .filter((_, i) => isRim[i])
      .map(abs)
      .sort();
    const spread = max(LEAST_SPREAD[at], TYPICAL * (offs[floor(offs.length / 2)] ?? 0));
    for (let i = 0; i < out.length; i++) out[i] += (over[i] / spread) ** 2;
  });
  return { data: out.map(sqrt), width, height };
}
/** From the middle of the distances to a spread. */
const TYPICAL = 1.4826;

/** One pixel outvotes so many beside it at the most. */
const MOST_LEAD = 12;

function less(a: Float32Array, b: Float32Array): Float32Array {
  const out = new Float32Array(a.length);
  for (let i = 0; i < out.length; i++) out[i] = a[i] - b[i];
  return out;
}

function rim(width: number, height: number): Uint8Array {
  const wide = max(2, nearest(max(width, height) * RIM_SHARE));
  return region(width, height, (x, y) => x < wide || y < wide || x >= width - wide || y >= height - wide);
}
function middle(width: number, height: number): Uint8Array {
  const share = MIDDLE_SHARE / 2;
  return region(width, height, (x, y) => abs(x / width - 0.5) < share && abs(y / height - 0.5) < share);
}
function region(width: number, height: number, isIn: (x: number, y: number) => boolean): Uint8Array {
  const out = new Uint8Array(width * height);
  for (let y = 0; y < height; y++) for (let x = 0; x < width; x++) if (isIn(x, y)) out[y * width + x] = 1;
  return out;
}

/** A quadratic through what is marked, by least squares with the far ones left out. */
function smoothField({ data, width, height }: Gray, marked: Uint8Array): Float32Array {
  const termsAt = (i: number): number[] => {
    const [x, y] = [(i % width) / width - 0.5, floor(i / width) / height - 0.5];
    return [1, x, y, x * x, x * y, y * y];
  };
  const sample: { terms: number[]; value: number }[] = [];
  const step = max(1, floor(data.length / FIELD_SAMPLE));
  for (let i = 0; i < data.length; i += step) if (marked[i]) sample.push({ terms: termsAt(i), value: data[i] });
  let weights = new Float64Array(FIELD_TERMS);
  let near = sample;
  for (let round = 0; round < 3; round++) {
    const matrix = Array.from({ length: FIELD_TERMS }, () => new Array<number>(FIELD_TERMS).fill(0));
    const right = new Array<number>(FIELD_TERMS).fill(0);
    for (const { terms, value } of near)
      for (let a = 0; a < FIELD_TERMS; a++) {
        right[a] += terms[a] * value;
        for (let b = 0; b < FIELD_TERMS; b++) matrix[a][b] += terms[a] * terms[b];
      }
    for (let a = 0; a < FIELD_TERMS; a++) matrix[a][a] += 1e-6 * near.length + 1e-9;
    weights = Float64Array.from(solve(matrix, right) ?? new Array<number>(FIELD_TERMS).fill(0));
    const offs = sample.map(({ terms, value }) => abs(value - dot(weights, terms))).sort((a, b) => a - b);
    const most = 2.5 * max(0.01, offs[floor(offs.length * 0.6)] ?? 0.01);
    near = sample.filter(({ terms, value }) => abs(value - dot(weights, terms)) < most);
  }
  const out = new Float32Array(data.length);
  const [a, b, c, d, e, f] = weights;
  for (let row = 0, i = 0; row < height; row++) {
    const y = row / height - 0.5;
    for (let column = 0; column < width; column++, i++) {
      const x = column / width - 0.5;
      out[i] = a + b * x + c * y + d * x * x + e * x * y + f * y * y;
    }
  }
  return out;
}
const dot = (weights: Float64Array, terms: readonly number[]): number =>
  terms.reduce((sum, term, at) => sum + term * weights[at], 0);

/** The kinds of colour among what is marked; begun from its darkest, middle and lightest thirds. */
function learned(axes: readonly Float32Array[], marked: Uint8Array): Kinds {
  const at: number[] = [];
  const count = marked.reduce((sum, is) => sum + is, 0);
  const step = max(1, floor(count / 6000));
  for (let i = 0, seen = 0; i < marked.length; i++) if (marked[i] && seen++ % step === 0) at.push(i);
  const byLight = [...at].sort((a, b) => axes[0][a] - axes[0][b]);
  const member = new Map<number, number>();
  byLight.forEach((i, rank) => member.set(i, min(KINDS - 1, floor((rank * KINDS) / byLight.length))));
  let owns = at.map((i) => member.get(i)!);
  let kinds: Kinds = empty();
  for (let round = 0; round < LEARN_ROUNDS; round++) {
    kinds = measured(axes, at, owns);
    owns = at.map((i) => nearestKind(kinds, axes[0][i], axes[1][i], axes[2][i]));
  }
  return kinds;
}
const empty = (): Kinds => ({
  means: new Float64Array(KINDS * AXES),
  spreads: new Float64Array(KINDS * AXES).fill(1),
  prices: new Float64Array(KINDS),
});

function measured(axes: readonly Float32Array[], at: readonly number[], owns: readonly number[]): Kinds {
  const kinds = empty();
  const counts = new Float64Array(KINDS);
  const squares = new Float64Array(KINDS * AXES);
  at.forEach((i, index) => {
    const kind = owns[index];
    counts[kind]++;
    for (let axis = 0; axis < AXES; axis++) {
      kinds.means[kind * AXES + axis] += axes[axis][i];
      squares[kind * AXES + axis] += axes[axis][i] ** 2;
    }
  });
  for (let kind = 0; kind < KINDS; kind++) {
    const n = max(1, counts[kind]);
    for (let axis = 0; axis < AXES; axis++) {
      const k = kind * AXES + axis;
      kinds.means[k] /= n;
      kinds.spreads[k] = max(LEAST_SPREAD[axis], sqrt(max(0, squares[k] / n - kinds.means[k] ** 2)));
    }
    const k = kind * AXES;
    kinds.prices[kind] =
      log(counts[kind] / at.length + 1e-3) - log(kinds.spreads[k] * kinds.spreads[k + 1] * kinds.spreads[k + 2]);
  }
  return kinds;
}

/** Logarithm of how likely a kind gives a colour. */
function of({ means, spreads, prices }: Kinds, kind: number, l: number, r: number, y: number): number {
  const k = kind * AXES;
  const a = (l - means[k]) / spreads[k];
  const b = (r - means[k + 1]) / spreads[k + 1];
  const c = (y - means[k + 2]) / spreads[k + 2];
  const off = a * a + b * b + c * c;
  return prices[kind] - (off < FARTHEST ? off : FARTHEST) / 2;
}
const FARTHEST = 60;

function likely(kinds: Kinds, l: number, r: number, y: number): number {
  let best = NEVER;
  for (let kind = 0; kind < KINDS; kind++) {
    const value = of(kinds, kind, l, r, y);
    if (value > best) best = value;
  }
  return best;
}
/** Dearer than the table in full light, and the same all the way down to the deepest shadow. */
const SHADOW_PRICE = 2.5;
function likelyTable(kinds: Kinds, l: number, r: number, y: number): number {
  let best = NEVER;
  for (let kind = 0; kind < KINDS; kind++) {
    const lit = of(kinds, kind, l, r, y);
    if (lit > best) best = lit;
    const mean = kinds.means[kind * AXES];
    if (l >= mean) continue;
    const raised = l - DEEPEST_SHADOW;
    const shaded = of(kinds, kind, raised < mean ? raised : mean, r, y) - SHADOW_PRICE;
    if (shaded > best) best = shaded;
  }
  return best;
}
function nearestKind(kinds: Kinds, l: number, r: number, y: number): number {
  let best = NEVER;
  let at = 0;
  for (let kind = 0; kind < KINDS; kind++) {
    const value = of(kinds, kind, l, r, y);
    if (value > best) {
      best = value;
      at = kind;
    }
  }
  return at;
}

/** Of what leads, the part that holds most; null where it is not a hundredth of the photo. */
function largest(lead: Gray): Uint8Array | null {
  const region = largestRegion(lead, ANY_LEAD);
  if (region.length < lead.data.length / 100) return null;
  const mask = new Uint8Array(lead.data.length);
  for (const i of region) mask[i] = 1;
  return mask;
}
/** Less than this leads nothing. */
const ANY_LEAD = 1e-30;

/** Holes are taken in: what cannot be reached from the photo's rim. */
function filled(mask: Uint8Array | null, width: number, height: number): Uint8Array | null {
  if (!mask) return null;
  const reached = new Uint8Array(mask.length);
  const stack: number[] = [];
  const visit = (i: number) => {
    if (!mask[i] && !reached[i]) {
      reached[i] = 1;
      stack.push(i);
    }
  };
  for (let x = 0; x < width; x++) {
    visit(x);
    visit((height - 1) * width + x);
  }
  for (let y = 0; y < height; y++) {
    visit(y * width);
    visit(y * width + width - 1);
  }
  while (stack.length > 0) {
    const i = stack.pop()!;
    const x = i % width;
    if (x > 0) visit(i - 1);
    if (x < width - 1) visit(i + 1);
    if (i >= width) visit(i - width);
    if (i < mask.length - width) visit(i + width);
  }
  return reached.map((is) => (is ? 0 : 1));
}

/** What is at least so far inside, or outside. */
const eroded = (mask: Uint8Array, width: number, height: number, by: number): Uint8Array =>
  far(mask, width, height, by, 1);
const outside = (mask: Uint8Array, width: number, height: number, by: number): Uint8Array =>
  far(mask, width, height, by, 0);

function far(mask: Uint8Array, width: number, height: number, by: number, side: 0 | 1): Uint8Array {
  const mean = boxMean({ data: Float32Array.from(mask), width, height }, by).data;
  const out = new Uint8Array(mask.length);
  for (let i = 0; i < out.length; i++) out[i] = abs(mean[i] - side) < 0.001 ? 1 : 0;
  return out;
}
