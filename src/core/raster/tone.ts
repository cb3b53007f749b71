/**
 * Tone: what is done to a picture's levels before it is printed. Curves work on coded sRGB levels 0–255, are monotone
 * and keep black and white where they are, but for lightness, which lifts or lowers one end. Black-and-white mixes the
 * channels first. Amounts −100…100 are shares of the strongest change that still looks like the picture (source: judged
 * on the example pictures).
 */
import { clamp } from '@/core/shared';

export type FadeForm = 'none' | 'rectangle' | 'oval' | 'ragged';

export interface Tone {
  lightness: number;
  contrast: number;
  /** 1 leaves midtones alone; above 1 lightens them. */
  gamma: number;
  warmth: number;
  /** Channel weights of a black-and-white picture, normalised when used; null in colour. */
  mono: { red: number; green: number; blue: number } | null;
  fade: FadeForm;
  fadeMm: number;
  /** Share 0–100 of the computed compensation for surface and binder. */
  compensate: number;
}

export const PLAIN_TONE: Tone = {
  lightness: 0,
  contrast: 0,
  gamma: 1,
  warmth: 0,
  mono: null,
  fade: 'none',
  fadeMm: 12,
  compensate: 0,
};

/** Level in, level out, for each channel; `mono` in 1/256 shares that sum to 256. */
export interface ToneTables {
  red: Uint8Array;
  green: Uint8Array;
  blue: Uint8Array;
  mono: readonly [number, number, number] | null;
}

/** Curves that come behind the tone, level to level: a compensation. */
export interface LevelCurves {
  red: Float64Array;
  green: Float64Array;
  blue: Float64Array;
}

const WARMTH_POWER = 0.25;
const LIGHTNESS_SHARE = 0.6;
const FLATTEN_SHARE = 0.7;

function curve(level: number, tone: Tone, warmth: number): number {
  let share = (level / 255) ** (1 / tone.gamma);
  const contrast = tone.contrast / 100;
  share =
    contrast >= 0
      ? (1 - contrast) * share + contrast * share * share * (3 - 2 * share)
      : 0.5 + (share - 0.5) * (1 + FLATTEN_SHARE * contrast);
  const lightness = (tone.lightness / 100) * LIGHTNESS_SHARE;
  share += lightness * (lightness > 0 ? 1 - share : share);
  return 255 * clamp(share, 0, 1) ** (1 - WARMTH_POWER * warmth);
}

export function toneTables(tone: Tone, compensation: LevelCurves | null = null): ToneTables {
  const warmth = tone.mono ? 0 : tone.warmth / 100;
  const strength = compensation ? tone.compensate / 100 : 0;
  const table = (channel: keyof LevelCurves, warm: number) =>
    Uint8Array.from({ length: 256 }, (_, level) => {
      const toned = curve(level, tone, warm);
      const compensated = compensation ? at(compensation[channel], toned) : toned;
      return Math.round(clamp(toned + strength * (compensated - toned), 0, 255));
    });
  return {
    red: table('red', warmth),
    green: table('green', 0),
    blue: table('blue', -warmth),
    mono: monoShares(tone.mono),
  };
}

/** A curve of 256 values read between its steps. */
function at(values: Float64Array, level: number): number {
  const low = Math.min(254, Math.floor(level));
  return values[low] + (values[low + 1] - values[low]) * (level - low);
}

function monoShares(mono: Tone['mono']): ToneTables['mono'] {
  if (!mono) return null;
  const total = Math.max(1e-6, mono.red + mono.green + mono.blue);
  const [red, green] = [Math.round((256 * mono.red) / total), Math.round((256 * mono.green) / total)];
  return [red, green, 256 - red - green];
}

export const isPlain = ({ red, green, blue, mono }: ToneTables): boolean =>
  mono === null && [red, green, blue].every((table) => table.every((value, level) => value === level));

/** Tones RGBA pixels in place. */
export function applyTone(rgba: Uint8ClampedArray | Uint8Array, { red, green, blue, mono }: ToneTables): void {
  for (let i = 0; i < rgba.length; i += 4) {
    if (mono) {
      const grey = (rgba[i] * mono[0] + rgba[i + 1] * mono[1] + rgba[i + 2] * mono[2]) >> 8;
      rgba[i] = red[grey];
      rgba[i + 1] = green[grey];
      rgba[i + 2] = blue[grey];
    } else {
      rgba[i] = red[rgba[i]];
      rgba[i + 1] = green[rgba[i + 1]];
      rgba[i + 2] = blue[rgba[i + 2]];
    }
  }
}
