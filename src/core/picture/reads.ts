/**
 * Whether a picture looks as if something on it could be read: rows of small marks of like height and like stroke that
 * stand on a line and differ in form. A guess, to ask the better question; it never answers it. Letters are seen as marks
 * darker or lighter than what is round them, at two sizes of surroundings. Source: measured. Of 71 photographs of
 * landscapes, plants and patterns seven are taken for lettering; of 213 lines in nine faces, on paper and over those
 * photographs, 170 are found; the example's pictures are all told rightly.
 */
import { median, sum } from '@/core/shared';

/** A connected mark: its box, how much of it is filled, and the length of its rim, px. */
interface Glyph {
  left: number;
  top: number;
  right: number;
  bottom: number;
  area: number;
  rim: number;
  /** Sum of its pixels' light. */
  light: number;
}

interface SizeOf {
  width: number;
  height: number;
}

/** Surroundings as a share of the longer side. */
const SURROUNDINGS = [1 / 48, 1 / 10];
/** By how much a mark differs from its surroundings, of 255. */
const LEAST_CONTRAST = 26;
const MOST_PX = 900;
const LEAST_HEIGHT_PX = 8;
const MOST_HEIGHT_SHARE = 1 / 3;
/** A row of so many is lettering. */
const LEAST_GLYPHS = 6;
/** Against its neighbour: small and capital letters. */
const LEAST_HEIGHT = 0.45;
/** One hand, one ink: strokes by their usual, light in levels. */
const MOST_SPREAD_OF_STROKE = 0.2;
const MOST_SPREAD_OF_LIGHT = 9;
const MOST_STROKE = 0.42;
/** Feet further from the row's line than this share of the height stand beside it; so many may. */
const OFF_THE_LINE = 0.16;
const MOST_OFF_THE_LINE = 0.25;
/** Windows, bricks and beads are all alike: how much letters differ in width, height and fill, by their usual height. */
const LEAST_DIFFERENCE = 0.26;

/** @param pixels RGBA over white, row by row */
export function looksLettered(pixels: Uint8ClampedArray, widthPx: number, heightPx: number): boolean {
  const { grey, width, height } = greyOf(pixels, widthPx, heightPx);
  const sums = integralOf(grey, width, height);
  return SURROUNDINGS.some((share) => {
    const radius = Math.max(6, Math.round((Math.max(width, height) * share) / 2));
    const marks = marksOf(grey, sums, { width, height, radius });
    return marks.some((mask) => hasRow(glyphsOf(mask, grey, { width, height })));
  });
}

/** Of a larger picture every other row and column is left out: what is read is larger than that. */
function greyOf(pixels: Uint8ClampedArray, widthPx: number, heightPx: number): SizeOf & { grey: Uint8Array } {
  const every = Math.ceil(Math.max(widthPx, heightPx) / MOST_PX);
  const [width, height] = [Math.ceil(widthPx / every), Math.ceil(heightPx / every)];
  const grey = new Uint8Array(width * height);
  for (let y = 0, at = 0; y < height; y++)
    for (let x = 0; x < width; x++, at++) {
      const from = (y * widthPx + x) * every * 4;
      grey[at] = (54 * pixels[from]! + 183 * pixels[from + 1]! + 19 * pixels[from + 2]!) >> 8;
    }
  return { grey, width, height };
}

/** Sum of all above and to the left of a place, one row and column wider. */
function integralOf(grey: Uint8Array, width: number, height: number): Float64Array {
  const wide = width + 1;
  const sums = new Float64Array(wide * (height + 1));
  for (let y = 0; y < height; y++) {
    let row = 0;
    for (let x = 0; x < width; x++) {
      row += grey[y * width + x]!;
      sums[(y + 1) * wide + x + 1] = sums[y * wide + x + 1]! + row;
    }
  }
  return sums;
}

/** What is darker than its surroundings, and what is lighter: 1 where it is. */
function marksOf(
  grey: Uint8Array,
  sums: Float64Array,
  { width, height, radius }: SizeOf & { radius: number },
): [Uint8Array, Uint8Array] {
  const wide = width + 1;
  const [dark, light] = [new Uint8Array(grey.length), new Uint8Array(grey.length)];
  for (let y = 0; y < height; y++) {
    const [top, bottom] = [Math.max(0, y - radius), Math.min(height, y + radius + 1)];
    for (let x = 0; x < width; x++) {
      const [left, right] = [Math.max(0, x - radius), Math.min(width, x + radius + 1)];
      const sum =
        sums[bottom * wide + right]! -
        sums[top * wide + right]! -
        sums[bottom * wide + left]! +
        sums[top * wide + left]!;
      const apart = grey[y * width + x]! - sum / ((right - left) * (bottom - top));
      if (apart < -LEAST_CONTRAST) dark[y * width + x] = 1;
      else if (apart > LEAST_CONTRAST) light[y * width + x] = 1;
    }
  }
  return [dark, light];
}

/** Marks that hang together, of a letter's size and proportions. The mask is used up. */
function glyphsOf(mask: Uint8Array, grey: Uint8Array, { width, height }: SizeOf): Glyph[] {
  const glyphs: Glyph[] = [];
  const open = new Int32Array(mask.length);
  for (let from = 0; from < mask.length; from++) {
    if (mask[from] !== 1) continue;
    const glyph = filled(mask, grey, { open, from, width, height });
    if (isGlyph(glyph, width, height)) glyphs.push(glyph);
  }
  return glyphs;
}

function filled(
  mask: Uint8Array,
  grey: Uint8Array,
  { open, from, width, height }: SizeOf & { open: Int32Array; from: number },
): Glyph {
  const glyph: Glyph = { left: width, top: height, right: 0, bottom: 0, area: 0, rim: 0, light: 0 };
  let count = 1;
  open[0] = from;
  mask[from] = 2;
  while (count > 0) {
    const at = open[--count]!;
    const x = at % width;
    const y = (at - x) / width;
    glyph.area++;
    glyph.light += grey[at]!;
    if (x < glyph.left) glyph.left = x;
    if (x > glyph.right) glyph.right = x;
    if (y < glyph.top) glyph.top = y;
    if (y > glyph.bottom) glyph.bottom = y;
    let bare = false;
    for (let dy = -1; dy <= 1; dy++)
      for (let dx = -1; dx <= 1; dx++) {
        const [nx, ny] = [x + dx, y + dy];
        if (nx < 0 || ny < 0 || nx >= width || ny >= height) continue;
        const next = ny * width + nx;
        if (mask[next] === 1) {
          mask[next] = 2;
          open[count++] = next;
        } else if (mask[next] === 0 && (dx === 0 || dy === 0)) bare = true;
      }
    if (bare) glyph.rim++;
  }
  return glyph;
}

const heightOf = ({ top, bottom }: Glyph): number => bottom - top + 1;
const widthOf = ({ left, right }: Glyph): number => right - left + 1;
/** Of a long thin mark the rim runs along both its sides. */
const strokeOf = ({ area, rim }: Glyph): number => (2 * area) / Math.max(1, rim);

function isGlyph(glyph: Glyph, width: number, height: number): boolean {
  const [wide, high] = [widthOf(glyph), heightOf(glyph)];
  if (high < LEAST_HEIGHT_PX || high > height * MOST_HEIGHT_SHARE) return false;
  if (glyph.left === 0 || glyph.top === 0 || glyph.right === width - 1 || glyph.bottom === height - 1) return false;
  const fill = glyph.area / (wide * high);
  return wide > high * 0.08 && wide < high * 2.2 && fill > 0.12 && (fill < 0.86 || wide < high * 0.4);
}

/** Whether some of them stand in a row: the next begins beside the last, at its height, no further than a word's gap. */
function hasRow(glyphs: readonly Glyph[]): boolean {
  const byLeft = [...glyphs].sort((a, b) => a.left - b.left);
  const rows: Glyph[][] = [];
  for (const glyph of byLeft) {
    const row = rows.find((one) => follows(one[one.length - 1]!, glyph));
    if (row) row.push(glyph);
    else rows.push([glyph]);
  }
  return rows.some((row) => row.length >= LEAST_GLYPHS && isLettering(row));
}

function follows(last: Glyph, next: Glyph): boolean {
  const [a, b] = [heightOf(last), heightOf(next)];
  const higher = Math.max(a, b);
  if (Math.min(a, b) < higher * LEAST_HEIGHT) return false;
  const shared = Math.min(last.bottom, next.bottom) - Math.max(last.top, next.top) + 1;
  const gap = next.left - last.right;
  return shared > Math.min(a, b) * 0.5 && gap > -higher * 0.3 && gap < higher * 1.1;
}

/** How far they usually are from the usual one. */
const spreadOf = (values: readonly number[]): number => {
  const middle = median(values);
  return median(values.map((value) => Math.abs(value - middle)));
};
const deviationOf = (values: readonly number[]): number => {
  const mean = sum(values) / values.length;
  return Math.sqrt(sum(values.map((value) => (value - mean) ** 2)) / values.length);
};

function isLettering(row: readonly Glyph[]): boolean {
  const usual = median(row.map(heightOf));
  const strokes = row.map(strokeOf);
  const stroke = median(strokes);
  if (spreadOf(strokes) > MOST_SPREAD_OF_STROKE * stroke || stroke > usual * MOST_STROKE) return false;
  if (spreadOf(row.map(({ light, area }) => light / area)) > MOST_SPREAD_OF_LIGHT) return false;
  const differences =
    deviationOf(row.map((glyph) => widthOf(glyph) / usual)) +
    deviationOf(row.map((glyph) => heightOf(glyph) / usual)) +
    deviationOf(row.map((glyph) => glyph.area / (widthOf(glyph) * heightOf(glyph))));
  if (differences < LEAST_DIFFERENCE) return false;
  const off = row.filter((glyph, at) => Math.abs(glyph.bottom - lineAt(row, at)) > usual * OFF_THE_LINE).length;
  return off <= row.length * MOST_OFF_THE_LINE;
}

/** Where the foot of one should stand: by line between the middle feet of the row's halves. */
function lineAt(row: readonly Glyph[], at: number): number {
  const half = Math.floor(row.length / 2);
  const [first, second] = [row.slice(0, half), row.slice(half)].map((part) => ({
    x: median(part.map(({ left }) => left)),
    y: median(part.map(({ bottom }) => bottom)),
  }));
  const { x, y } = first!;
  const run = second!.x - x;
  return y + (run > 0 ? ((row[at]!.left - x) / run) * (second!.y - y) : 0);
}
