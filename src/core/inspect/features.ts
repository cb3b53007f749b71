/**
 * Points that a picture can be told by, whichever way round and however lit: where it stands out of its surroundings at
 * some size, with a turn of its own and a description of the slopes about it. Source: scale-invariant keypoints as Lowe
 * described them, with the root of the histograms.
 */
import type { Gray } from '@/core/photo';
import { blurred } from './blur';

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

/** A mean over squares leaves some of what is finer: so much of a pixel takes it away. */
const SHRUNK_BLUR = 0.7;

/**
 * Made smaller to so many pixels along its longer side, each the mean of what it covers; never larger.
 *
 * @returns it, and how many of its old pixels one is
 */
export function shrunk(image: Gray, side: number): { image: Gray; by: number } {
  const by = Math.max(image.width, image.height) / side;
  if (by <= 1) return { image, by: 1 };
  const { data } = image;
  const [width, height] = [Math.floor(image.width / by), Math.floor(image.height / by)];
  const out = new Float32Array(width * height);
  const share = 1 / (by * by);
  const line = new Float32Array(width);
  for (let y = 0, top = 0; y < height; y++, top += by) {
    for (let row = Math.floor(top); row < top + by && row < image.height; row++) {
      const high = Math.min(row + 1, top + by) - Math.max(row, top);
      // Along the row: what each of its pixels gives to the one it ends in, and to the next.
      const from = row * image.width;
      line.fill(0);
      let x = 0;
      let end = by;
      for (let at = 0; at < image.width; at++) {
        const value = data[from + at];
        if (at + 1 <= end) line[x] += value;
        else {
          line[x] += value * (end - at);
          if (++x === width) break;
          line[x] += value * (at + 1 - end);
          end += by;
        }
      }
      const weight = share * high;
      for (let at = y * width, k = 0; k < width; k++, at++) out[at] += weight * line[k];
    }
  }
  return { image: blurred({ data: out, width, height }, SHRUNK_BLUR), by };
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

/** The way of a slope, radians, to some ten thousandths (source: a polynomial in the smaller ratio of the two). */
function wayOf(y: number, x: number): number {
  const across = x < 0 ? -x : x;
  const down = y < 0 ? -y : y;
  const most = across > down ? across : down;
  if (most === 0) return 0;
  const ratio = (across > down ? down : across) / most;
  const s = ratio * ratio;
  let way = ((-0.0464964749 * s + 0.15931422) * s - 0.327622764) * s * ratio + ratio;
  if (down > across) way = Math.PI / 2 - way;
  if (x < 0) way = Math.PI - way;
  return y < 0 ? -way : way;
}

/** The ways most slopes about a spot lead: the strongest, and others nearly as strong. */
function turnsAt({ data, width, height }: Gray, { x, y }: Spot, sigma: number): number[] {
  const bins = new Float64Array(TURN_BINS);
  const radius = Math.round(4.5 * sigma);
  const cx = Math.round(x);
  const cy = Math.round(y);
  const bell = new Float64Array(radius + 1);
  for (let i = 0; i <= radius; i++) bell[i] = Math.exp(-(i * i) / (2 * (1.5 * sigma) ** 2));
  const [left, right] = [Math.max(1, cx - radius), Math.min(width - 2, cx + radius)];
  for (let py = Math.max(1, cy - radius), last = Math.min(height - 2, cy + radius); py <= last; py++) {
    const high = bell[py < cy ? cy - py : py - cy];
    for (let px = left, at = py * width + left; px <= right; px++, at++) {
      const gx = data[at + 1] - data[at - 1];
      const gy = data[at + width] - data[at - width];
      const bin = Math.floor((wayOf(gy, gx) / FULL_TURN + 1) * TURN_BINS) % TURN_BINS;
      bins[bin] += high * bell[px < cx ? cx - px : px - cx] * Math.sqrt(gx * gx + gy * gy);
    }
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

/** How much slopes count by the square of how far off they lie, in squares of a description: 32 steps for each. */
const BELL = Float64Array.from({ length: 32 * 13 }, (_, at) => Math.exp(-(at + 0.5) / 32 / (0.5 * CELLS * CELLS)));

/** Histograms of the slopes in four by four squares about a spot, turned with it. */
function describe({ data, width, height }: Gray, spot: Spot, sigma: number, turn: number, out: Float32Array): void {
  const cell = 3 * sigma;
  const radius = GAP * Math.round((cell * Math.SQRT2 * (CELLS + 1)) / 2 / GAP);
  const cos = Math.cos(turn) / cell;
  const sin = Math.sin(turn) / cell;
  const cx = Math.round(spot.x);
  const cy = Math.round(spot.y);
  for (let py = cy - radius; py <= cy + radius; py += GAP) {
    if (py < 1 || py >= height - 1) continue;
    for (let px = cx - radius; px <= cx + radius; px += GAP) {
      if (px < 1 || px >= width - 1) continue;
      const dx = px - spot.x;
      const dy = py - spot.y;
      const u = cos * dx + sin * dy;
      const v = -sin * dx + cos * dy;
      const column = u + CELLS / 2 - 0.5;
      const row = v + CELLS / 2 - 0.5;
      if (column <= -1 || row <= -1 || column >= CELLS || row >= CELLS) continue;
      const at = py * width + px;
      const gx = data[at + 1] - data[at - 1];
      const gy = data[at + width] - data[at - width];
      const strength = Math.sqrt(gx * gx + gy * gy) * BELL[Math.floor((u * u + v * v) * 32)];
      const way = ((wayOf(gy, gx) - turn) / FULL_TURN + 2) * WAYS;
      const c0 = Math.floor(column);
      const r0 = Math.floor(row);
      const w0 = Math.floor(way);
      const fw = way - w0;
      const into = w0 % WAYS;
      const next = (w0 + 1) % WAYS;
      for (let r = r0 < 0 ? 0 : r0; r <= r0 + 1 && r < CELLS; r++) {
        const byRow = strength * (r === r0 ? r0 + 1 - row : row - r0);
        for (let c = c0 < 0 ? 0 : c0; c <= c0 + 1 && c < CELLS; c++) {
          const byColumn = byRow * (c === c0 ? c0 + 1 - column : column - c0);
          const from = (r * CELLS + c) * WAYS;
          out[from + into] += byColumn * (1 - fw);
          out[from + next] += byColumn * fw;
        }
      }
    }
  }
  let square = 0;
  for (let i = 0; i < out.length; i++) square += out[i] * out[i];
  const length = Math.sqrt(square) || 1;
  let sum = 0;
  for (let i = 0; i < out.length; i++) {
    out[i] = Math.min(MOST_ONE, out[i] / length);
    sum += out[i];
  }
  for (let i = 0; i < out.length; i++) out[i] = Math.sqrt(out[i] / (sum || 1));
}
