/**
 * Lays a print on its ground, pixel by pixel: light of the ground less what the toner takes, shown through haze and
 * sheen. Whole numbers of 12 bits. There are two of it: a WebAssembly kernel of a few hundred bytes, and the plain
 * function that it is held to and that runs where there is no WebAssembly.
 */
import { FIRST_FREE_BYTE, startKernel } from '@/core/shared';
import { LAY_PRINT_WASM } from './kernel/lay-print.bytes';

interface LayTables {
  /** Light that the toner of each picture level takes, in 1/4096; 256 entries. */
  red: Uint16Array;
  green: Uint16Array;
  blue: Uint16Array;
  /** Level 0–255 that is seen of each light; 4096 entries. */
  face: Uint8ClampedArray;
  /** Weights of a black-and-white picture in 1/256; null in colour. */
  grey: readonly [number, number, number] | null;
}

/**
 * @param picture RGBA of the print
 * @param under ground under each pixel, RGB in 1/4095 and the share of toner that can stay, 0–256
 * @returns RGBA of the laid print; only valid until the next call
 */
export type LayPrint = (picture: Uint8ClampedArray, under: Uint16Array, tables: LayTables) => Uint8ClampedArray;

const FULL_LIGHT = 4096;
const FULL_BYTE = 255;

export const layPrintPlain: LayPrint = (picture, under, { red, green, blue, face, grey }) => {
  const out = new Uint8ClampedArray(picture.length);
  for (let i = 0; i < picture.length; i += 4) {
    let r = picture[i];
    let g = picture[i + 1];
    let b = picture[i + 2];
    if (grey) r = g = b = (r * grey[0] + g * grey[1] + b * grey[2]) >> 8;
    const share = under[i + 3];
    out[i] = face[(under[i] * (FULL_LIGHT - ((red[r] * share) >> 8))) >> 12];
    out[i + 1] = face[(under[i + 1] * (FULL_LIGHT - ((green[g] * share) >> 8))) >> 12];
    out[i + 2] = face[(under[i + 2] * (FULL_LIGHT - ((blue[b] * share) >> 8))) >> 12];
    out[i + 3] = FULL_BYTE;
  }
  return out;
};

type Kernel = (
  picture: number,
  under: number,
  out: number,
  count: number,
  red: number,
  green: number,
  blue: number,
  face: number,
  greyRed: number,
  greyGreen: number,
  greyBlue: number,
) => void;

const TABLE_BYTES = 512;
const TABLES_AT = FIRST_FREE_BYTE;
const FACE_AT = TABLES_AT + 3 * TABLE_BYTES;
const PIXELS_AT = FACE_AT + FULL_LIGHT;

/**
 * The kernel with its memory, or the plain function where WebAssembly is missing. What stays the same between calls is
 * not copied again.
 */
export function loadLayPrint(): LayPrint {
  const started = startKernel<{ layPrint: Kernel }>(LAY_PRINT_WASM);
  if (!started) return layPrintPlain;
  const { layPrint: kernel } = started.exports;
  let memory = started.reserve(0);
  let held: { picture: Uint8ClampedArray; under: Uint16Array } | null = null;
  return (picture, under, { red, green, blue, face, grey }) => {
    const count = picture.length / 4;
    const [underAt, pictureAt, outAt] = [PIXELS_AT, PIXELS_AT + count * 8, PIXELS_AT + count * 12];
    const reserved = started.reserve(PIXELS_AT + count * 16);
    // Growing throws the old views away.
    if (reserved !== memory) held = null;
    memory = reserved;
    if (held?.picture !== picture || held.under !== under) {
      new Uint16Array(memory, underAt, under.length).set(under);
      new Uint8ClampedArray(memory, pictureAt, picture.length).set(picture);
      held = { picture, under };
    }
    const tables = new Uint16Array(memory, TABLES_AT, 768);
    tables.set(red, 0);
    tables.set(green, 256);
    tables.set(blue, 512);
    new Uint8ClampedArray(memory, FACE_AT, FULL_LIGHT).set(face);
    kernel(
      pictureAt,
      underAt,
      outAt,
      count,
      TABLES_AT,
      TABLES_AT + TABLE_BYTES,
      TABLES_AT + 2 * TABLE_BYTES,
      FACE_AT,
      ...(grey ?? ([0, 0, 0] as const)),
    );
    return new Uint8ClampedArray(memory, outAt, picture.length);
  };
}
