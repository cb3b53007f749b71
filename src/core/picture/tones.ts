/**
 * What share of a picture will show the bare surface, and what share is dark. Counted by CIE L* over RGBA pixels.
 * With a clear binder white is no ink: above `PALE_LIGHTNESS` hardly any toner is laid down. Below `DARK_LIGHTNESS`
 * toner lies so thick that a trace of paper left on it shows as haze. Thresholds from bench practice.
 */
import { clamp } from '@/core/shared';
import { DARK_LIGHTNESS, PALE_LIGHTNESS } from './analysis';
import { lightnessFromLuminance, linearLight } from '@/core/colour';

export interface ToneShares {
  paleShare: number;
  darkShare: number;
  meanLightness: number;
}

const LINEAR = Float32Array.from({ length: 256 }, (_, level) => linearLight(level));
const LIGHTNESS = Float32Array.from({ length: 1025 }, (_, step) => lightnessFromLuminance(step / 1024));

/** @param pixels RGBA, row by row; what is transparent counts as white paper. */
export function toneShares(pixels: Uint8ClampedArray): ToneShares {
  let pale = 0;
  let dark = 0;
  let total = 0;
  for (let i = 0; i < pixels.length; i += 4) {
    const opacity = pixels[i + 3] / 255;
    const luminance =
      opacity * (0.2126 * LINEAR[pixels[i]] + 0.7152 * LINEAR[pixels[i + 1]] + 0.0722 * LINEAR[pixels[i + 2]]) +
      1 -
      opacity;
    const lightness = LIGHTNESS[clamp(Math.round(luminance * 1024), 0, 1024)];
    if (lightness > PALE_LIGHTNESS) pale++;
    else if (lightness < DARK_LIGHTNESS) dark++;
    total += lightness;
  }
  const count = Math.max(1, pixels.length / 4);
  return { paleShare: pale / count, darkShare: dark / count, meanLightness: total / count };
}
