/**
 * What the face of a traced blank shows: its colour, the way its grain runs, and its knots. Grain by the structure
 * tensor of its light (Kass and Witkin 1987); knots are round places darker than what lies round them.
 */
import { boxMean, project, type Gray, type Rgba } from '@/core/photo';
import type { TracedBoard } from './board';

interface Knot {
  xMm: number;
  yMm: number;
  radiusMm: number;
}

export interface Face {
  /** As it would look lit evenly, RGBA, at most 4 pixels a mm; outside the outline it is see-through. */
  pixels: Rgba;
  /** #rrggbb. */
  colour: string;
  /** Degrees clockwise from running across, −90…90; null where nothing runs one way. */
  grainDeg: number | null;
  knots: readonly Knot[];
}

/** Taken once: they are asked for at every pixel. */
const { floor, hypot, log, max, min } = Math;

/** No logarithm of light comes near. */
const UNKNOWN = 1000;

const MOST_PX = 1400;
const FINEST_PX_MM = 4;
/** Grain is looked for at so many pixels a millimetre, and not in the outermost millimetres. */
const GRAIN_PX_MM = 1.5;
const RIM_MM = 7;
const LEAST_COHERENCE = 0.12;

/** @param photo the one that was traced */
export function faceOf(photo: Rgba, board: TracedBoard): Face {
  const pxPerMm = Math.min(FINEST_PX_MM, MOST_PX / Math.max(board.widthMm, board.heightMm));
  const pixels = laidFlat(photo, board, pxPerMm);
  const inside = insideOf(board, pixels.width, pixels.height, pxPerMm);
  evenlyLit(pixels, inside);
  for (let i = 0; i < inside.length; i++) pixels.data[i * 4 + 3] = inside[i] ? 255 : 0;
  const by = Math.max(1, Math.round(pxPerMm / GRAIN_PX_MM));
  const light = lightOf(pixels, inside, by);
  const deep = deepInside(inside, pixels.width, light, by, (RIM_MM * pxPerMm) / by);
  const knots = knotsOf(light, deep, pxPerMm / by);
  return {
    pixels,
    colour: usualColour(pixels, inside),
    grainDeg: grainOf(light, deep, knots, pxPerMm / by),
    knots,
  };
}

function laidFlat(photo: Rgba, { widthMm, heightMm, h }: TracedBoard, pxPerMm: number): Rgba {
  const [width, height] = [max(1, Math.round(widthMm * pxPerMm)), max(1, Math.round(heightMm * pxPerMm))];
  const data = new Uint8ClampedArray(width * height * 4);
  for (let y = 0, at = 0; y < height; y++)
    for (let x = 0; x < width; x++, at += 4) {
      const from = project(h, (x + 0.5) / pxPerMm, (y + 0.5) / pxPerMm);
      const [fx, fy] = [
        min(photo.width - 1.001, max(0, from.x - 0.5)),
        min(photo.height - 1.001, max(0, from.y - 0.5)),
      ];
      const [left, top] = [floor(fx), floor(fy)];
      const [u, v] = [fx - left, fy - top];
      const p = (top * photo.width + left) * 4;
      const q = p + photo.width * 4;
      for (let c = 0; c < 3; c++)
        data[at + c] =
          (photo.data[p + c] * (1 - u) + photo.data[p + 4 + c] * u) * (1 - v) +
          (photo.data[q + c] * (1 - u) + photo.data[q + 4 + c] * u) * v;
      data[at + 3] = 255;
    }
  return { data, width, height };
}

/** Row by row between the crossings of the outline. */
function insideOf({ outline }: TracedBoard, width: number, height: number, pxPerMm: number): Uint8Array {
  const out = new Uint8Array(width * height);
  for (let y = 0; y < height; y++) {
    const at = (y + 0.5) / pxPerMm;
    const crossings: number[] = [];
    outline.forEach((a, k) => {
      const b = outline[(k + 1) % outline.length];
      if (a.y <= at !== b.y <= at) crossings.push(a.x + ((at - a.y) / (b.y - a.y)) * (b.x - a.x));
    });
    crossings.sort((a, b) => a - b);
    for (let k = 0; k + 1 < crossings.length; k += 2) {
      const from = max(0, Math.ceil(crossings[k] * pxPerMm - 0.5));
      const to = min(width - 1, floor(crossings[k + 1] * pxPerMm - 0.5));
      out.fill(1, y * width + from, y * width + max(from, to + 1));
    }
  }
  return out;
}

/** Takes a slow fall of light out of the face: each pixel by its surroundings over the whole. */
function evenlyLit(pixels: Rgba, inside: Uint8Array): void {
  const { data, width, height } = pixels;
  const light = new Float32Array(width * height);
  const weight = new Float32Array(width * height);
  let [sum, count] = [0, 0];
  for (let i = 0; i < light.length; i++) {
    if (!inside[i]) continue;
    light[i] = (data[i * 4] + data[i * 4 + 1] + data[i * 4 + 2]) / 3;
    weight[i] = 1;
    sum += light[i];
    count++;
  }
  if (count === 0) return;
  const radius = Math.round(max(width, height) * 0.3);
  const [near, of] = [
    boxMean({ data: light, width, height }, radius).data,
    boxMean({ data: weight, width, height }, radius).data,
  ];
  const mean = sum / count;
  for (let i = 0; i < light.length; i++) {
    if (!inside[i] || near[i] <= 0) continue;
    const times = min(1.6, max(0.6, (mean * of[i]) / near[i]));
    for (let c = 0; c < 3; c++) data[i * 4 + c] *= times;
  }
}

/** Logarithm of light, `by` times reduced; outside the outline the inside's mean. */
function lightOf({ data, width, height }: Rgba, inside: Uint8Array, by: number): Gray {
  const [w, h] = [max(1, floor(width / by)), max(1, floor(height / by))];
  const out = new Float32Array(w * h).fill(UNKNOWN);
  let [sum, count] = [0, 0];
  for (let y = 0; y < h; y++)
    for (let x = 0; x < w; x++) {
      let [own, n] = [0, 0];
      for (let j = 0; j < by; j++)
        for (let i = 0; i < by; i++) {
          const at = (y * by + j) * width + x * by + i;
          if (!inside[at]) continue;
          own += (data[at * 4] + data[at * 4 + 1] + data[at * 4 + 2]) / 3;
          n++;
        }
      if (n === 0) continue;
      out[y * w + x] = log(own / n / 255 + 0.02);
      sum += out[y * w + x];
      count++;
    }
  const mean = count === 0 ? 0 : sum / count;
  return { data: out.map((value) => (value === UNKNOWN ? mean : value)), width: w, height: h };
}

function deepInside(
  inside: Uint8Array,
  width: number,
  { width: w, height: h }: Gray,
  by: number,
  rim: number,
): Uint8Array {
  const small = new Float32Array(w * h);
  for (let y = 0; y < h; y++) for (let x = 0; x < w; x++) small[y * w + x] = inside[y * by * width + x * by];
  const radius = max(1, Math.round(rim));
  // Beyond the raster's own rim there is nothing either.
  const near = boxMean({ data: small, width: w, height: h }, radius).data;
  return Uint8Array.from(near, (share, i) => {
    const [x, y] = [i % w, floor(i / w)];
    const off = min(x, y, w - 1 - x, h - 1 - y);
    return share > 0.999 && off >= radius ? 1 : 0;
  });
}

const LEAST_KNOT_MM = 2.2;
const MOST_KNOT_MM = 30;
/** Darker than what lies round it, as a logarithm of light. */
const KNOT_DARKER = -0.14;

function knotsOf(light: Gray, deep: Uint8Array, pxPerMm: number): Knot[] {
  const { width } = light;
  // Twice over a knot's least size: thin dark lines of late wood go, round places stay.
  const radius = max(1, Math.round(LEAST_KNOT_MM * 0.8 * pxPerMm));
  const near = boxMean(boxMean(light, radius), radius).data;
  const round = boxMean(light, Math.round(26 * pxPerMm)).data;
  const lower = Float32Array.from(near, (value, i) => value - round[i]);
  const own = [...lower].filter((_, i) => deep[i] && i % 7 === 0).sort((a, b) => a - b);
  const usual = own[floor(own.length / 2)] ?? 0;
  const spread = ((own[floor(own.length * 0.75)] ?? 0) - (own[floor(own.length * 0.25)] ?? 0)) / 1.35;
  const limit = min(usual + KNOT_DARKER, usual - 3.2 * spread);
  const seen = new Uint8Array(lower.length);
  const knots: Knot[] = [];
  for (let from = 0; from < lower.length; from++) {
    if (seen[from] || !deep[from] || lower[from] >= limit) continue;
    const stack = [from];
    seen[from] = 1;
    let [n, sx, sy, xx, yy, xy] = [0, 0, 0, 0, 0, 0];
    while (stack.length > 0) {
      const i = stack.pop()!;
      const [x, y] = [i % width, floor(i / width)];
      n++;
      sx += x;
      sy += y;
      xx += x * x;
      yy += y * y;
      xy += x * y;
      for (const j of [i - 1, i + 1, i - width, i + width])
        if (
          j >= 0 &&
          j < lower.length &&
          Math.abs((j % width) - x) <= 1 &&
          !seen[j] &&
          lower[j] < limit * 0.7 + usual * 0.3
        ) {
          seen[j] = 1;
          stack.push(j);
        }
    }
    const [cx, cy] = [sx / n, sy / n];
    const [vx, vy, vxy] = [xx / n - cx * cx, yy / n - cy * cy, xy / n - cx * cy];
    const gap = hypot(vx - vy, 2 * vxy);
    const [long, short] = [Math.sqrt((vx + vy + gap) / 2), Math.sqrt(max(0.05, (vx + vy - gap) / 2))];
    const radiusMm = Math.sqrt(n / Math.PI) / pxPerMm;
    if (radiusMm < LEAST_KNOT_MM || radiusMm > MOST_KNOT_MM || long / short > 3.4) continue;
    knots.push({ xMm: (cx + 0.5) / pxPerMm, yMm: (cy + 0.5) / pxPerMm, radiusMm });
  }
  return knots.sort((a, b) => b.radiusMm - a.radiusMm);
}

/** Knots bend the grain round them: so far about each, it is not asked. */
const KNOT_REACH = 2.6;

function grainOf(light: Gray, deep: Uint8Array, knots: readonly Knot[], pxPerMm: number): number | null {
  const { width, height } = light;
  const { data } = boxMean(light, max(1, Math.round(0.4 * pxPerMm)));
  let [xx, xy, yy] = [0, 0, 0];
  for (let y = 1; y < height - 1; y++)
    for (let x = 1; x < width - 1; x++) {
      const i = y * width + x;
      if (!deep[i]) continue;
      const [mx, my] = [x / pxPerMm, y / pxPerMm];
      if (knots.some(({ xMm, yMm, radiusMm }) => hypot(mx - xMm, my - yMm) < KNOT_REACH * radiusMm)) continue;
      const [dx, dy] = [(data[i + 1] - data[i - 1]) / 2, (data[i + width] - data[i - width]) / 2];
      // One strong edge is not to outvote a field of fine lines.
      const size = hypot(dx, dy);
      const weight = 1 / (size + 0.01);
      xx += dx * dx * weight;
      xy += dx * dy * weight;
      yy += dy * dy * weight;
    }
  if (xx + yy === 0 || hypot(xx - yy, 2 * xy) / (xx + yy) < LEAST_COHERENCE) return null;
  const across = (0.5 * Math.atan2(2 * xy, xx - yy) * 180) / Math.PI + 90;
  return across > 90 ? across - 180 : across;
}

function usualColour({ data }: Rgba, inside: Uint8Array): string {
  const levels: number[][] = [[], [], []];
  const step = Math.max(1, Math.floor(inside.length / 20_000));
  for (let i = 0; i < inside.length; i += step)
    if (inside[i]) for (let c = 0; c < 3; c++) levels[c].push(data[i * 4 + c]);
  return `#${levels
    .map((own) =>
      Math.round(own.sort((a, b) => a - b)[Math.floor(own.length / 2)] ?? 255)
        .toString(16)
        .padStart(2, '0'),
    )
    .join('')}`;
}
