/**
 * Points that a picture can be told by, whichever way round and however lit: where it stands out of its surroundings at
 * some size, with a turn of its own and a description of the slopes about it. Source: scale-invariant keypoints as Lowe
 * described them, with the root of the histograms.
 */
import { reduced, sample, type Gray } from '@/core/photo';

export const DESCRIPTION = 128;

export interface Features {
  count: number;
  x: Float32Array;
  y: Float32Array;
  /** Size of the surroundings it stands out of, pixels. */
  size: Float32Array;
  /** Radians. */
  turn: Float32Array;
  /** `DESCRIPTION` figures each, of length 1. */
  described: Float32Array;
}

/** Steps of blur within a doubling. */
const STEPS = 3;
const FIRST_BLUR = 1.6;
const CAMERA_BLUR = 0.6;
const LEAST_SIDE = 24;
/** Standing out, light 0–1; and how much more along one way than across it, where it is an edge and no point. */
const LEAST_CONTRAST = 0.004;
const MOST_EDGE = 10;

const BOXES = 2;

/**
 * Blurs by a bell of `sigma` pixels: two running means one after the other, their ends weighted so that the spread is
 * right (source: extended box filters, Gwosdek and others).
 */
function blurred(image: Gray, sigma: number): Gray {
  const spread = (sigma * sigma) / BOXES;
  const radius = Math.floor(0.5 * Math.sqrt(12 * spread + 1) - 0.5);
  const end = ((2 * radius + 1) * (radius * (radius + 1) - 3 * spread)) / (6 * (spread - (radius + 1) ** 2));
  const { width, height } = image;
  let [from, to] = [image.data, new Float32Array(width * height)];
  let spare = new Float32Array(width * height);
  for (let pass = 0; pass < BOXES; pass++) {
    meanAcross(from, to, width, height, radius, end);
    [from, to, spare] = [to, spare, to];
    meanDown(from, to, width, height, radius, end);
    [from, to, spare] = [to, spare, to];
  }
  return { data: from, width, height };
}

function meanAcross(from: Float32Array, to: Float32Array, width: number, height: number, radius: number, end: number) {
  const share = 1 / (2 * radius + 1 + 2 * end);
  // The row with its ends held on, so that none is asked for beyond them.
  const reach = radius + 1;
  const line = new Float32Array(width + 2 * reach);
  for (let y = 0; y < height; y++) {
    const row = y * width;
    line.fill(from[row], 0, reach);
    line.set(from.subarray(row, row + width), reach);
    line.fill(from[row + width - 1], reach + width);
    let sum = 0;
    for (let i = 1; i < 2 * reach; i++) sum += line[i];
    for (let x = 0; x < width; x++) {
      const after = line[x + 2 * reach];
      to[row + x] = share * (sum + end * (line[x] + after));
      sum += after - line[x + 1];
    }
  }
}

function meanDown(from: Float32Array, to: Float32Array, width: number, height: number, radius: number, end: number) {
  const share = 1 / (2 * radius + 1 + 2 * end);
  const last = height - 1;
  const sums = new Float64Array(width);
  for (let i = -radius; i <= radius; i++) {
    const row = Math.min(last, Math.max(0, i)) * width;
    for (let x = 0; x < width; x++) sums[x] += from[row + x];
  }
  for (let y = 0; y < height; y++) {
    const [before, after] = [Math.max(0, y - radius - 1) * width, Math.min(last, y + radius + 1) * width];
    const [leaves, row] = [Math.max(0, y - radius) * width, y * width];
    for (let x = 0; x < width; x++) {
      const enters = from[after + x];
      to[row + x] = share * (sums[x] + end * (from[before + x] + enters));
      sums[x] += enters - from[leaves + x];
    }
  }
}

/** Made smaller to so many pixels along its longer side; never larger. @returns it, and how many of its old pixels one is */
export function shrunk(image: Gray, side: number): { image: Gray; by: number } {
  const by = Math.max(image.width, image.height) / side;
  if (by <= 1) return { image, by: 1 };
  const whole = Math.floor(by);
  const first = blurred(reduced(image, whole), 0.35 * (by / whole));
  const rest = by / whole;
  const [width, height] = [Math.floor(first.width / rest), Math.floor(first.height / rest)];
  const data = new Float32Array(width * height);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) data[y * width + x] = sample(first, (x + 0.5) * rest, (y + 0.5) * rest);
  return { image: { data, width, height }, by };
}

function halved({ data, width, height }: Gray): Gray {
  const [w, h] = [width >> 1, height >> 1];
  const out = new Float32Array(w * h);
  for (let y = 0; y < h; y++) for (let x = 0; x < w; x++) out[y * w + x] = data[y * 2 * width + x * 2];
  return { data: out, width: w, height: h };
}

interface Spot {
  x: number;
  y: number;
  /** Octave, and the step within it. */
  octave: number;
  at: number;
  strength: number;
}

/** @param most the strongest of them */
export function featuresOf(image: Gray, most: number): Features {
  const octaves: Gray[][] = [];
  let base = blurred(image, Math.sqrt(FIRST_BLUR ** 2 - CAMERA_BLUR ** 2));
  while (Math.min(base.width, base.height) >= LEAST_SIDE) {
    const levels = [base];
    for (let step = 1; step < STEPS + 3; step++) {
      const before = FIRST_BLUR * 2 ** ((step - 1) / STEPS);
      levels.push(blurred(levels[step - 1], Math.sqrt((before * 2 ** (1 / STEPS)) ** 2 - before ** 2)));
    }
    octaves.push(levels);
    base = halved(levels[STEPS]);
  }
  const spots = octaves.flatMap((levels, octave) => spotsOf(levels, octave));
  spots.sort((a, b) => b.strength - a.strength);
  const kept = spots.slice(0, most);
  const turned = kept.flatMap((spot) => {
    const level = octaves[spot.octave][Math.min(STEPS + 2, Math.max(0, Math.round(spot.at)))];
    const sigma = FIRST_BLUR * 2 ** (spot.at / STEPS);
    return turnsAt(level, spot, sigma).map((turn) => ({ spot, level, sigma, turn }));
  });
  const count = turned.length;
  const out: Features = {
    count,
    x: new Float32Array(count),
    y: new Float32Array(count),
    size: new Float32Array(count),
    turn: new Float32Array(count),
    described: new Float32Array(count * DESCRIPTION),
  };
  turned.forEach(({ spot, level, sigma, turn }, index) => {
    const scale = 2 ** spot.octave;
    out.x[index] = (spot.x + 0.5) * scale;
    out.y[index] = (spot.y + 0.5) * scale;
    out.size[index] = sigma * scale;
    out.turn[index] = turn;
    describe(level, spot, sigma, turn, out.described.subarray(index * DESCRIPTION, (index + 1) * DESCRIPTION));
  });
  return out;
}

/** Places that are lighter or darker than all around them, at their size and at those beside it. */
function spotsOf(levels: readonly Gray[], octave: number): Spot[] {
  const { width, height } = levels[0];
  const differences = levels.slice(1).map((level, i) => {
    const [upper, lower] = [level.data, levels[i].data];
    const out = new Float32Array(upper.length);
    for (let at = 0; at < out.length; at++) out[at] = upper[at] - lower[at];
    return out;
  });
  const spots: Spot[] = [];
  for (let step = 1; step <= STEPS; step++) {
    const [below, here, above] = [differences[step - 1], differences[step], differences[step + 1]];
    for (let y = 2; y < height - 2; y++)
      for (let x = 2; x < width - 2; x++) {
        const at = y * width + x;
        const value = here[at];
        if (Math.abs(value) < LEAST_CONTRAST * 0.8 || !isOutermost(value, at, width, below, here, above)) continue;
        const spot = refined(x, y, step, width, [below, here, above]);
        if (spot) spots.push({ ...spot, octave });
      }
  }
  return spots;
}

function isOutermost(
  value: number,
  at: number,
  width: number,
  below: Float32Array,
  here: Float32Array,
  above: Float32Array,
): boolean {
  const sign = value > 0 ? 1 : -1;
  for (let dy = -width; dy <= width; dy += width)
    for (let dx = -1; dx <= 1; dx++) {
      const beside = at + dy + dx;
      if (beside !== at && sign * here[beside] >= sign * value) return false;
      if (sign * below[beside] >= sign * value || sign * above[beside] >= sign * value) return false;
    }
  return true;
}

/** The top of the hill between the pixels; null where it is faint, or a ridge. */
function refined(
  x: number,
  y: number,
  step: number,
  width: number,
  [below, here, above]: readonly [Float32Array, Float32Array, Float32Array],
): Omit<Spot, 'octave'> | null {
  const at = y * width + x;
  const [dx, dy] = [(here[at + 1] - here[at - 1]) / 2, (here[at + width] - here[at - width]) / 2];
  const ds = (above[at] - below[at]) / 2;
  const dxx = here[at + 1] + here[at - 1] - 2 * here[at];
  const dyy = here[at + width] + here[at - width] - 2 * here[at];
  const dss = above[at] + below[at] - 2 * here[at];
  const dxy = (here[at + width + 1] - here[at + width - 1] - here[at - width + 1] + here[at - width - 1]) / 4;
  const [trace, determinant] = [dxx + dyy, dxx * dyy - dxy * dxy];
  if (determinant <= 0 || (trace * trace) / determinant > (MOST_EDGE + 1) ** 2 / MOST_EDGE) return null;
  const offX = -(dyy * dx - dxy * dy) / determinant;
  const offY = -(dxx * dy - dxy * dx) / determinant;
  const offS = dss === 0 ? 0 : -ds / dss;
  if (Math.abs(offX) > 1 || Math.abs(offY) > 1 || Math.abs(offS) > 1) return null;
  const strength = Math.abs(here[at] + (dx * offX + dy * offY + ds * offS) / 2);
  return strength < LEAST_CONTRAST ? null : { x: x + offX, y: y + offY, at: step + offS, strength };
}

const TURN_BINS = 36;
const FULL_TURN = 2 * Math.PI;

/** The ways most slopes about a spot lead: the strongest, and others nearly as strong. */
function turnsAt({ data, width, height }: Gray, { x, y }: Spot, sigma: number): number[] {
  const bins = new Float64Array(TURN_BINS);
  const radius = Math.round(4.5 * sigma);
  const [cx, cy] = [Math.round(x), Math.round(y)];
  for (let j = -radius; j <= radius; j++)
    for (let i = -radius; i <= radius; i++) {
      const [px, py] = [cx + i, cy + j];
      if (px < 1 || py < 1 || px >= width - 1 || py >= height - 1) continue;
      const at = py * width + px;
      const gx = data[at + 1] - data[at - 1];
      const gy = data[at + width] - data[at - width];
      const weight = Math.exp(-(i * i + j * j) / (2 * (1.5 * sigma) ** 2));
      const bin = Math.floor(((Math.atan2(gy, gx) + FULL_TURN) / FULL_TURN) * TURN_BINS) % TURN_BINS;
      bins[bin] += weight * Math.sqrt(gx * gx + gy * gy);
    }
  for (let round = 0; round < 2; round++) {
    const [first, last] = [bins[0], bins[TURN_BINS - 1]];
    let before = last;
    for (let bin = 0; bin < TURN_BINS; bin++) {
      const own = bins[bin];
      bins[bin] = (before + own + (bin === TURN_BINS - 1 ? first : bins[bin + 1])) / 3;
      before = own;
    }
  }
  const highest = Math.max(...bins);
  if (highest === 0) return [];
  const turns: number[] = [];
  for (let bin = 0; bin < TURN_BINS; bin++) {
    const [left, own, right] = [bins[(bin + TURN_BINS - 1) % TURN_BINS], bins[bin], bins[(bin + 1) % TURN_BINS]];
    if (own < 0.85 * highest || own <= left || own < right) continue;
    turns.push(((bin + 0.5 + (left - right) / (2 * (left - 2 * own + right))) / TURN_BINS) * FULL_TURN);
  }
  return turns.slice(0, 2);
}

const CELLS = 4;
const WAYS = 8;
const MOST_ONE = 0.2;
/** Slopes change slowly where all is blurred: every second pixel tells of them. */
const GAP = 2;

/** Histograms of the slopes in four by four squares about a spot, turned with it. */
function describe({ data, width, height }: Gray, spot: Spot, sigma: number, turn: number, out: Float32Array): void {
  const cell = 3 * sigma;
  const radius = GAP * Math.round((cell * Math.SQRT2 * (CELLS + 1)) / 2 / GAP);
  const [cos, sin] = [Math.cos(turn) / cell, Math.sin(turn) / cell];
  const [cx, cy] = [Math.round(spot.x), Math.round(spot.y)];
  for (let j = -radius; j <= radius; j += GAP)
    for (let i = -radius; i <= radius; i += GAP) {
      const [px, py] = [cx + i, cy + j];
      if (px < 1 || py < 1 || px >= width - 1 || py >= height - 1) continue;
      const [dx, dy] = [px - spot.x, py - spot.y];
      const u = cos * dx + sin * dy;
      const v = -sin * dx + cos * dy;
      const column = u + CELLS / 2 - 0.5;
      const row = v + CELLS / 2 - 0.5;
      if (column <= -1 || row <= -1 || column >= CELLS || row >= CELLS) continue;
      const at = py * width + px;
      const gx = data[at + 1] - data[at - 1];
      const gy = data[at + width] - data[at - width];
      const strength = Math.sqrt(gx * gx + gy * gy) * Math.exp(-(u * u + v * v) / (0.5 * CELLS * CELLS));
      const way = (((Math.atan2(gy, gx) - turn + 2 * FULL_TURN) % FULL_TURN) / FULL_TURN) * WAYS;
      const [c0, r0, w0] = [Math.floor(column), Math.floor(row), Math.floor(way)];
      const [fc, fr, fw] = [column - c0, row - r0, way - w0];
      for (let r = 0; r < 2; r++) {
        if (r0 + r < 0 || r0 + r >= CELLS) continue;
        const byRow = strength * (r ? fr : 1 - fr);
        for (let c = 0; c < 2; c++) {
          if (c0 + c < 0 || c0 + c >= CELLS) continue;
          const byColumn = byRow * (c ? fc : 1 - fc);
          const from = ((r0 + r) * CELLS + c0 + c) * WAYS;
          out[from + (w0 % WAYS)] += byColumn * (1 - fw);
          out[from + ((w0 + 1) % WAYS)] += byColumn * fw;
        }
      }
    }
  const norm = (by: (value: number) => number) => {
    let total = 0;
    for (const value of out) total += by(value);
    return total;
  };
  const length = Math.sqrt(norm((value) => value * value)) || 1;
  for (let i = 0; i < out.length; i++) out[i] = Math.min(MOST_ONE, out[i] / length);
  const sum = norm((value) => value) || 1;
  for (let i = 0; i < out.length; i++) out[i] = Math.sqrt(out[i] / sum);
}
