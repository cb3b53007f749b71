/**
 * Effective resolution of a print: the picture's own pixels per inch of print. Thresholds from bench practice: 300
 * excellent, 200 good, 150 acceptable, less is soft; a coarse weave or stone forgives a third less.
 */
import { MM_PER_INCH } from '@/core/measure';
import type { SizeMm } from '@/core/shape';
import type { SizePx } from './crop';

export type ResolutionVerdict = 'excellent' | 'good' | 'acceptable' | 'soft';

const EXCELLENT_PPI = 300;
const GOOD_PPI = 200;
const ACCEPTABLE_PPI = 150;
const COARSE_SHARE = 2 / 3;

/** Pixels per inch, the lesser of both directions. */
export const effectivePpi = (cropped: SizePx, print: SizeMm): number =>
  MM_PER_INCH * Math.min(cropped.widthPx / print.widthMm, cropped.heightPx / print.heightMm);

export function resolutionVerdict(ppi: number, coarseSurface: boolean): ResolutionVerdict {
  const share = coarseSurface ? COARSE_SHARE : 1;
  // Rounded as it is shown, so that "200 ppi" is never called acceptable.
  const shown = Math.round(ppi);
  if (shown >= EXCELLENT_PPI * share) return 'excellent';
  if (shown >= GOOD_PPI * share) return 'good';
  return shown >= ACCEPTABLE_PPI * share ? 'acceptable' : 'soft';
}

/** The largest width at which the crop keeps an "acceptable" resolution, mm. */
export const largestAcceptableWidthMm = (cropped: SizePx, coarseSurface: boolean): number =>
  (cropped.widthPx / (ACCEPTABLE_PPI * (coarseSurface ? COARSE_SHARE : 1))) * MM_PER_INCH;
