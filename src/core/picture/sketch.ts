/**
 * A picture in 32 × 32 fields, small enough to stand with its facts: mean lightness of each and how much it changes
 * within. What needs to know where a picture is dark, light or even, without its file, asks this. One letter a figure:
 * lightness in steps of about two L*, spread in steps of half of one.
 */
import { letterShare, shareLetter } from '@/core/shared';
import { lightnessFromLuminance, linearLight } from '@/core/colour';
import type { SizePx } from './crop';
import { frameMatrix, frameSize, type Turning } from './frame';

const SKETCH_SIDE = 32;
const FIELDS = SKETCH_SIDE * SKETCH_SIDE;
const MOST_SPREAD = 28;
/** Lightness of all fields, then their spread. */
export const SKETCH_LENGTH = 2 * FIELDS;
export const SKETCH_LETTERS = /^[#-[]+$/;

export interface Sketch {
  lightness: Float32Array;
  spread: Float32Array;
}

const LIGHTNESS = Float32Array.from({ length: 1025 }, (_, step) => lightnessFromLuminance(step / 1024));
const LINEAR = Float32Array.from({ length: 256 }, (_, level) => linearLight(level));

/** @param pixels RGBA over white, row by row */
export function sketchOf(pixels: Uint8ClampedArray, width: number, height: number): string {
  const [sums, squares, counts] = [new Float64Array(FIELDS), new Float64Array(FIELDS), new Float64Array(FIELDS)];
  for (let y = 0; y < height; y++) {
    const row = Math.floor((y * SKETCH_SIDE) / height) * SKETCH_SIDE;
    for (let x = 0; x < width; x++) {
      const from = (y * width + x) * 4;
      const light =
        0.2126 * LINEAR[pixels[from]!]! + 0.7152 * LINEAR[pixels[from + 1]!]! + 0.0722 * LINEAR[pixels[from + 2]!]!;
      const value = LIGHTNESS[Math.round(light * 1024)]!;
      const field = row + Math.floor((x * SKETCH_SIDE) / width);
      sums[field] = sums[field]! + value;
      squares[field] = squares[field]! + value * value;
      counts[field] = counts[field]! + 1;
    }
  }
  const fields = Array.from({ length: FIELDS }, (_, at) => {
    const count = Math.max(1, counts[at]!);
    const mean = sums[at]! / count;
    return { mean, spread: Math.sqrt(Math.max(0, squares[at]! / count - mean * mean)) };
  });
  return [
    ...fields.map(({ mean }) => shareLetter(mean / 100)),
    ...fields.map(({ spread }) => shareLetter(spread / MOST_SPREAD)),
  ].join('');
}

/** Null where there is none, as with pictures that were taken in before there were sketches. */
export function readSketch(text: string | null | undefined): Sketch | null {
  if (!text || text.length !== SKETCH_LENGTH) return null;
  const share = (at: number) => letterShare(text.charAt(at));
  return {
    lightness: Float32Array.from({ length: FIELDS }, (_, at) => 100 * share(at)),
    spread: Float32Array.from({ length: FIELDS }, (_, at) => MOST_SPREAD * share(FIELDS + at)),
  };
}

/**
 * Which field lies at a place of the turned picture.
 *
 * @param picture its upright size; @returns from shares of the frame to a field's number; null outside of it
 */
export function fieldAt(picture: SizePx, turning: Turning): (x: number, y: number) => number | null {
  const frame = frameSize(picture, turning);
  const [a, b, c, d, e, f] = frameMatrix(picture, turning);
  const det = a * d - b * c;
  return (x, y) => {
    const [u, v] = [x * frame.widthPx - e, y * frame.heightPx - f];
    const column = Math.floor((((d * u - c * v) / det) * SKETCH_SIDE) / picture.widthPx);
    const row = Math.floor((((a * v - b * u) / det) * SKETCH_SIDE) / picture.heightPx);
    return column < 0 || row < 0 || column >= SKETCH_SIDE || row >= SKETCH_SIDE ? null : row * SKETCH_SIDE + column;
  };
}
