/**
 * Toner that is lost altogether, as specks and scratches: where grain, weave or stone stands up, along the print's
 * edges, and in short strokes the way fingers went. A share of the face is worn; what is left is whole. Source: the look
 * of finished transfers, judged by eye.
 */
import { clamp, layeredNoise, valueNoise } from '@/core/shared';
import type { SurfaceId } from '@/core/craft';

/** Size of the specks, mm, and the share of the face that stands so high that it is worn, besides the binder's own. */
const RELIEF: Readonly<Partial<Record<SurfaceId, { sizeMm: number; share: number }>>> = {
  canvas: { sizeMm: 0.8, share: 0.015 },
  cloth: { sizeMm: 0.9, share: 0.015 },
  stone: { sizeMm: 1.8, share: 0.03 },
  terracotta: { sizeMm: 1.2, share: 0.015 },
  plaster: { sizeMm: 1.4, share: 0.01 },
  'soft-wood': { sizeMm: 1.2, share: 0.004 },
  'hard-wood': { sizeMm: 1, share: 0.008 },
};
const SMOOTH = { sizeMm: 1.3, share: 0 };

/** So near the print's edge fingers and cloth go over it, mm, and wear so much more of it. */
const EDGE_MM = 3;
const EDGE_MORE = 0.02;
/** Specks have soft rims: this much of the noise's range. */
const RIM = 0.05;
/** Standard deviation of the noise about its middle, as it is measured. */
const NOISE_SPREAD = 0.155;
const NOISE_MIDDLE = 0.5;

/** Shares of a bell's upper tail, and how many standard deviations out they begin. */
const TAIL: readonly (readonly [share: number, deviations: number])[] = [
  [0, 4],
  [0.001, 3.09],
  [0.005, 2.58],
  [0.01, 2.33],
  [0.02, 2.05],
  [0.04, 1.75],
  [0.08, 1.41],
  [0.15, 1.04],
  [0.3, 0.52],
  [0.5, 0],
];

/** The noise above which a share of the face lies. */
function threshold(share: number): number {
  const after = Math.max(
    1,
    TAIL.findIndex(([at]) => at >= share),
  );
  const [[s0, d0], [s1, d1]] = [TAIL[after - 1], TAIL[after]];
  const between = clamp((share - s0) / (s1 - s0), 0, 1);
  return NOISE_MIDDLE + NOISE_SPREAD * (d0 + (d1 - d0) * between);
}

/** Wear comes in places: how far it is thrown together, mm, and by how much the threshold moves. */
const PLACES_MM = 24;
const PLACES_SWING = 0.1;

/**
 * How much of the toner is left at a place of the print, 0–1. What is finer than two pixels fades into its mean.
 *
 * @param worn share of the face that the binder loses; @param surface null where a coat or a white binder evens it out
 */
export function wearMap(
  worn: number,
  surface: SurfaceId | null,
  { seed, mmPerPx }: { seed: number; mmPerPx: number },
): (xMm: number, yMm: number, edgeMm: number) => number {
  const { sizeMm, share } = (surface && RELIEF[surface]) ?? SMOOTH;
  const whole = worn + share;
  if (whole <= 0) return () => 1;
  const [inside, rim] = [threshold(whole), threshold(whole + EDGE_MORE)];
  const low = Math.min(inside, rim) - PLACES_SWING;
  const shown = clamp((1.1 * sizeMm) / mmPerPx - 0.9, 0, 1);
  const mean = whole * (1 - shown);
  return (xMm, yMm, edgeMm) => {
    const specks = layeredNoise(xMm / sizeMm, yMm / sizeMm, seed + 21, 2);
    if (shown === 0 || specks < low - RIM) return 1 - mean;
    // Strokes the way fingers went: longer than they are wide.
    const strokes = valueNoise(xMm * 0.25 + yMm * 0.1, yMm * 1.6 - xMm * 0.6, seed + 33);
    const place = valueNoise(xMm / PLACES_MM, yMm / PLACES_MM, seed + 41) - 0.5;
    const from = (edgeMm < EDGE_MM ? rim + ((inside - rim) * edgeMm) / EDGE_MM : inside) - place * 2 * PLACES_SWING;
    return 1 - mean - shown * clamp((specks * 0.85 + strokes * 0.15 - from + RIM) / RIM, 0, 1);
  };
}
