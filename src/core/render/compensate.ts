/**
 * Compensation: level curves that bring the predicted look on this ground as near the original as the method allows.
 * For each channel the look of a print level is seen(G · filter(level)); the curve inverts it. What lies above the
 * ground's own light can't be reached (white is no ink), nor what lies below the densest toner: towards the upper limit
 * targets are eased in over `KNEE` of it, so that light tones stay apart instead of becoming one.
 */
import { linearLight } from '@/core/colour';
import type { LevelCurves } from '@/core/raster';
import { seen, tonerFilter, type Optics } from './optics';

export interface Ground {
  /** Mean light of the ground under the print, linear 0–1. */ red: number;
  green: number;
  blue: number;
}

const KNEE = 0.9;

export function compensation(ground: Ground, kept: number, optics: Optics): LevelCurves {
  return {
    red: channelCurve(ground.red, kept, optics),
    green: channelCurve(ground.green, kept, optics),
    blue: channelCurve(ground.blue, kept, optics),
  };
}

function channelCurve(ground: number, kept: number, optics: Optics): Float64Array {
  const look = Float64Array.from({ length: 256 }, (_, level) => seen(ground * tonerFilter(level, kept), optics));
  const most = look[255];
  const curve = new Float64Array(256);
  let at = 0;
  for (let level = 0; level < 256; level++) {
    const wanted = eased(linearLight(level), most);
    while (at < 255 && look[at + 1] <= wanted) at++;
    curve[level] = at >= 255 ? 255 : wanted <= look[at] ? at : at + (wanted - look[at]) / (look[at + 1] - look[at]);
  }
  return curve;
}

/** Leaves targets below the knee alone; above it they run towards the limit and reach it at white. */
function eased(wanted: number, most: number): number {
  const knee = KNEE * most;
  if (wanted <= knee || most >= 1) return Math.min(wanted, most);
  const share = (wanted - knee) / (1 - knee);
  return knee + (most - knee) * (1 - (1 - share) ** ((1 - knee) / (most - knee)));
}
