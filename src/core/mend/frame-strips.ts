/**
 * Strips for a frame round a blank, mitred at 45°: each as long outside as its side and twice the strip's width, with a
 * little play for the board; and how much stock that takes, with what the saw takes. Lengths mm. Source: joinery.
 */
import type { SizeMm } from '@/core/shape';

export interface FrameStrips {
  /** Outside, tip to tip, and inside, of two strips each. */
  across: { outerMm: number; innerMm: number };
  down: { outerMm: number; innerMm: number };
  stockMm: number;
}

const PLAY_MM = 2;
const KERF_MM = 3;
const WASTE_SHARE = 0.05;

export function frameStrips({ widthMm, heightMm }: SizeMm, stripMm: number): FrameStrips {
  const strip = (mm: number) => ({ innerMm: mm + PLAY_MM, outerMm: mm + PLAY_MM + 2 * stripMm });
  const [across, down] = [strip(widthMm), strip(heightMm)];
  return { across, down, stockMm: (2 * (across.outerMm + down.outerMm) + 4 * KERF_MM) * (1 + WASTE_SHARE) };
}
