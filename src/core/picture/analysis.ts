/**
 * What the pixels say, in one pass over the full picture: tones by CIE L*, blocks of a grid with their mean and spread,
 * sharpness, and the direction of the main lines. Thresholds from bench practice: above L* 92 hardly any toner is laid
 * down, below 25 it lies so thick that a trace of paper shows; between 85 and 99 fine differences are lost in grain or
 * under a veil.
 */
import { clamp } from '@/core/shared';
import type { ToneTables } from '@/core/raster/tone';
import type { Blocks } from './blocks';
import { lightnessFromLuminance, linearLight } from '@/core/colour';
import type { Crop, SizePx } from './crop';
import { mainDirection, type Direction } from './direction';

/** A decoded picture: RGBA of whole rows, read until the next call. */
export interface PictureRows extends SizePx {
  readRows(from: number, count: number): Uint8ClampedArray;
}

export interface Analysis {
  /** Share of pixels by L*, 101 bins. */
  histogram: Float64Array;
  paleShare: number;
  darkShare: number;
  /** Share of the picture whose detail lies in near-white. */
  faintShare: number;
  /** L* below which 1 % and above which 1 % of the pixels lie. */
  lowLightness: number;
  highLightness: number;
  /** Share of edges as steep as pixels allow: about a third in a sharp picture, near 0 in a blurred or enlarged one. */
  sharpness: number;
  /** Mean chroma of the pixels, a rough measure of how colourful it is, 0–1. */
  colourfulness: number;
  blocks: Blocks;
  direction: Direction;
}

export const PALE_LIGHTNESS = 92;
export const DARK_LIGHTNESS = 25;
export const FAINT_LIGHTNESS = 85;
const FAINT_SPREAD = 0.7;
const MOST_BLOCKS = 320;
/** Fewer pixels than this in a row say nothing of detail. */
const LEAST_BLOCK_PX = 6;
/** Edges weaker than this are noise, L*. */
const EDGE_LIGHTNESS = 6;
const STEEP_SHARE = 0.5;
const BAND_ROWS = 64;
const STEPS = 2048;

const LIGHTNESS = Float32Array.from({ length: STEPS + 1 }, (_, step) => lightnessFromLuminance(step / STEPS));

/** Weighted linear light of each level, in steps of the lightness table, behind the tone. */
function lightTables(tone: ToneTables | null): [Float32Array, Float32Array, Float32Array] {
  const table = (levels: Uint8Array | undefined, weight: number) =>
    Float32Array.from({ length: 256 }, (_, level) => weight * STEPS * linearLight(levels ? levels[level] : level));
  return [table(tone?.red, 0.2126), table(tone?.green, 0.7152), table(tone?.blue, 0.0722)];
}

/**
 * @param crop the part that is printed, in shares
 * @param tone what is done to the levels first; null leaves them
 * @param onProgress share of the rows read, 0–1
 */
export function analyse(
  source: PictureRows,
  crop: Crop,
  tone: ToneTables | null,
  onProgress: (share: number) => void = () => undefined,
): Analysis {
  const [left, top] = [Math.floor(crop.x * source.widthPx), Math.floor(crop.y * source.heightPx)];
  const width = clamp(Math.round(crop.width * source.widthPx), 1, source.widthPx - left);
  const height = clamp(Math.round(crop.height * source.heightPx), 1, source.heightPx - top);
  const blockPx = Math.max(LEAST_BLOCK_PX, Math.ceil(Math.max(width, height) / MOST_BLOCKS));
  const [columns, rows] = [Math.ceil(width / blockPx), Math.ceil(height / blockPx)];
  const [sums, squares, counts] = [
    new Float64Array(columns * rows),
    new Float64Array(columns * rows),
    new Uint32Array(columns * rows),
  ];
  const bins = new Uint32Array(128);
  const [red, green, blue] = lightTables(tone);
  const mono = tone?.mono ?? null;
  const line = new Float32Array(width);
  let [steep, gentle, colour] = [0, 0, 0];

  for (let first = 0; first < height; first += BAND_ROWS) {
    const count = Math.min(BAND_ROWS, height - first);
    const pixels = source.readRows(top + first, count);
    for (let row = 0; row < count; row++) {
      let at = (row * source.widthPx + left) * 4;
      for (let x = 0; x < width; x++, at += 4) {
        let r = pixels[at];
        let g = pixels[at + 1];
        let b = pixels[at + 2];
        if (mono) r = g = b = (r * mono[0] + g * mono[1] + b * mono[2]) >> 8;
        let light = red[r] + green[g] + blue[b];
        const opacity = pixels[at + 3];
        if (opacity !== 255) light = STEPS + (light - STEPS) * (opacity / 255);
        const value = LIGHTNESS[(light + 0.5) | 0];
        line[x] = value;
        bins[(value + 0.5) | 0]++;
      }
      const base = Math.floor((first + row) / blockPx) * columns;
      for (let block = 0, from = 0; block < columns; block++, from += blockPx) {
        const to = Math.min(width, from + blockPx);
        let total = 0;
        let square = 0;
        for (let x = from; x < to; x++) {
          const value = line[x];
          total += value;
          square += value * value;
        }
        sums[base + block] += total;
        squares[base + block] += square;
        counts[base + block] += to - from;
      }
      // Sharpness and colour from every fourth row: they are means, and need no more.
      if (((first + row) & 3) === 0) {
        for (let x = 3; x < width - 3; x += 2) {
          const broad = line[x + 3] - line[x - 3];
          if (broad > EDGE_LIGHTNESS || broad < -EDGE_LIGHTNESS) {
            // An edge counts as steep where half of it lies between two neighbours but one.
            if (Math.abs(line[x + 1] - line[x - 1]) > STEEP_SHARE * Math.abs(broad)) steep++;
            else gentle++;
          }
        }
        if (!mono)
          for (let x = 0, i = (row * source.widthPx + left) * 4; x < width; x += 4, i += 16)
            colour +=
              Math.max(pixels[i], pixels[i + 1], pixels[i + 2]) - Math.min(pixels[i], pixels[i + 1], pixels[i + 2]);
      }
    }
    onProgress((first + count) / height);
  }

  const pixelsTotal = width * height;
  const histogram = Float64Array.from({ length: 101 }, (_, bin) => bins[bin] / pixelsTotal);
  const lightness = Float32Array.from(sums, (total, i) => total / counts[i]);
  const spread = Float32Array.from(squares, (square, i) =>
    Math.sqrt(Math.max(0, square / counts[i] - lightness[i] ** 2)),
  );
  const blocks = { columns, rows, lightness, spread };
  let faint = 0;
  for (let i = 0; i < lightness.length; i++) if (isFaint(blocks, i)) faint += counts[i];
  return {
    histogram,
    blocks,
    ...tonalShares(histogram),
    faintShare: faint / pixelsTotal,
    sharpness: steep + gentle === 0 ? 1 : steep / (steep + gentle),
    colourfulness: mono ? 0 : colour / (255 * Math.max(1, Math.ceil(height / 4) * Math.ceil(width / 4))),
    direction: mainDirection(blocks),
  };
}

export const isFaint = ({ lightness, spread }: Blocks, block: number): boolean =>
  lightness[block] > FAINT_LIGHTNESS && lightness[block] < 99.5 && spread[block] > FAINT_SPREAD;

/** Shares and range from a histogram of L*. */
export function tonalShares(
  histogram: Float64Array,
): Pick<Analysis, 'paleShare' | 'darkShare' | 'lowLightness' | 'highLightness'> {
  let [pale, dark, run] = [0, 0, 0];
  let [low, high] = [0, 100];
  for (let bin = 0; bin <= 100; bin++) {
    if (bin > PALE_LIGHTNESS) pale += histogram[bin];
    if (bin < DARK_LIGHTNESS) dark += histogram[bin];
    if (run < 0.01 && run + histogram[bin] >= 0.01) low = bin;
    if (run < 0.99 && run + histogram[bin] >= 0.99) high = bin;
    run += histogram[bin];
  }
  return { paleShare: pale, darkShare: dark, lowLightness: low, highLightness: high };
}

const LEVEL_OF_LIGHTNESS = Float64Array.from({ length: 101 }, (_, lightness) => {
  let level = 0;
  while (level < 255 && lightnessFromLuminance(linearLight(level)) < lightness) level++;
  return level;
});

/** The histogram behind a further tone curve, level to level, by its grey axis. */
export function histogramBehind(histogram: Float64Array, table: Uint8Array): Float64Array {
  const out = new Float64Array(101);
  histogram.forEach((share, lightness) => {
    out[clamp(Math.round(lightnessFromLuminance(linearLight(table[LEVEL_OF_LIGHTNESS[lightness]]))), 0, 100)] += share;
  });
  return out;
}
