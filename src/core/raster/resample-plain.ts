/**
 * The passes of resampling on one block of memory, in whole numbers: the twin of the WebAssembly kernel, to the bit,
 * and what runs where there is none. Weights are 14 bits, rows between the passes have 6 fractional bits; worst error
 * against floating point under one level in 255. Addresses are bytes.
 */
export interface ResamplePasses {
  /** `count` pixels (a multiple of 8) of full-range BT.601 luma and halved chroma to RGBA u8. */
  colour(luma: number, blueness: number, redness: number, target: number, count: number): void;
  /** Grows the memory to at least this many bytes; views of it from before are dead afterwards. */
  reserve(bytes: number): ArrayBuffer;
  /** One row of RGBA u8 to `count` pixels of RGBA i16. */
  horizontal(source: number, target: number, starts: number, weights: number, quads: number, count: number): void;
  /** `pairs` × 2 rows of i16, their addresses at `rows`, to `count` × 8 bytes of RGBA u8. */
  vertical(rows: number, target: number, weights: number, pairs: number, count: number): void;
  tone(
    pixels: number,
    count: number,
    red: number,
    green: number,
    blue: number,
    greyRed: number,
    greyGreen: number,
    greyBlue: number,
  ): void;
}

export const WEIGHT_BITS = 14;
const BETWEEN_BITS = 6;
const FIRST_SHIFT = WEIGHT_BITS - BETWEEN_BITS;
const SECOND_SHIFT = WEIGHT_BITS + BETWEEN_BITS;
const LEAST_I16 = -32768;
const MOST_I16 = 32767;

export function plainPasses(): ResamplePasses {
  let memory = new ArrayBuffer(0);
  let u8 = new Uint8Array(memory);
  let i16 = new Int16Array(memory);
  let u32 = new Uint32Array(memory);
  return {
    reserve(bytes) {
      if (memory.byteLength < bytes) {
        memory = new ArrayBuffer(Math.ceil(bytes / 16) * 16);
        u8 = new Uint8Array(memory);
        i16 = new Int16Array(memory);
        u32 = new Uint32Array(memory);
      }
      return memory;
    },
    horizontal(source, target, starts, weights, quads, count) {
      const taps = quads * 4;
      for (let x = 0; x < count; x++) {
        let from = source + u32[(starts >> 2) + x];
        let weight = (weights >> 1) + x * taps;
        let red = 1 << (FIRST_SHIFT - 1);
        let green = red;
        let blue = red;
        let alpha = red;
        for (let tap = 0; tap < taps; tap++, from += 4, weight++) {
          const share = i16[weight];
          red += share * u8[from];
          green += share * u8[from + 1];
          blue += share * u8[from + 2];
          alpha += share * u8[from + 3];
        }
        const to = (target >> 1) + x * 4;
        i16[to] = short(red >> FIRST_SHIFT);
        i16[to + 1] = short(green >> FIRST_SHIFT);
        i16[to + 2] = short(blue >> FIRST_SHIFT);
        i16[to + 3] = short(alpha >> FIRST_SHIFT);
      }
    },
    vertical(rows, target, weights, pairs, count) {
      for (let at = 0; at < count * 8; at++) {
        let sum = 1 << (SECOND_SHIFT - 1);
        for (let tap = 0; tap < pairs * 2; tap++)
          sum += i16[(weights >> 1) + tap] * i16[(u32[(rows >> 2) + tap] >> 1) + at];
        const level = sum >> SECOND_SHIFT;
        u8[target + at] = byte(level);
      }
    },
    colour(luma, blueness, redness, target, count) {
      for (let i = 0; i < count; i++) {
        const y = (u8[luma + i] << 5) + 16;
        const u = (u8[blueness + (i >> 1)] - 128) << 5;
        const v = (u8[redness + (i >> 1)] - 128) << 5;
        const to = target + i * 4;
        u8[to] = byte((y + v + share(v, YUV.red)) >> 5);
        u8[to + 1] = byte((y - share(u, YUV.greenOfBlue) - share(v, YUV.greenOfRed)) >> 5);
        u8[to + 2] = byte((y + u + share(u, YUV.blue)) >> 5);
        u8[to + 3] = 255;
      }
    },
    tone(pixels, count, red, green, blue, greyRed, greyGreen, greyBlue) {
      const grey = greyRed + greyGreen + greyBlue > 0;
      for (let at = pixels; at < pixels + count * 4; at += 4) {
        const level = grey ? (u8[at] * greyRed + u8[at + 1] * greyGreen + u8[at + 2] * greyBlue) >> 8 : 0;
        u8[at] = u8[red + (grey ? level : u8[at])];
        u8[at + 1] = u8[green + (grey ? level : u8[at + 1])];
        u8[at + 2] = u8[blue + (grey ? level : u8[at + 2])];
        u8[at + 3] = 255;
      }
    },
  };
}

/**
 * Coefficients of BT.601 beyond whole ones, in 1/32768: red and blue from redness and blueness, green from both.
 * Source: the JPEG file format (JFIF).
 */
const YUV = { red: 13173, greenOfBlue: 11277, greenOfRed: 23401, blue: 25297 } as const;
const share = (value: number, of: number): number => (value * of + 0x4000) >> 15;
const byte = (level: number): number => (level < 0 ? 0 : level > 255 ? 255 : level);

const short = (value: number): number => (value < LEAST_I16 ? LEAST_I16 : value > MOST_I16 ? MOST_I16 : value);
