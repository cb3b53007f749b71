/**
 * Copier arithmetic for a paper original: percent = wanted ÷ original × 100. Copiers take whole percents from 25 to
 * 400; beyond that, and where one whole percent is too coarse, two passes whose percents multiply. Source: copy shop
 * practice.
 */
import { fail, ok, type Result } from '@/core/shared';

const LEAST_PERCENT = 25;
const MOST_PERCENT = 400;

export interface CopierPlan {
  /** What is wanted, unrounded. */
  exactPercent: number;
  /** Whole percents of one or two passes. */
  passes: readonly number[];
  /** What comes out, mm, and how far off it is. */
  resultMm: number;
  errorMm: number;
}

export type CopierCode = 'copier-out-of-range';

/** @returns `copier-out-of-range` where even two passes can't reach it (under 6.25 % or over 1600 %) */
export function copierPlan(originalMm: number, wantedMm: number): Result<CopierPlan, CopierCode> {
  const exact = (wantedMm / originalMm) * 100;
  const plan = (passes: readonly number[]): CopierPlan => {
    const resultMm = passes.reduce((size, percent) => (size * percent) / 100, originalMm);
    return { exactPercent: exact, passes, resultMm, errorMm: resultMm - wantedMm };
  };
  const rounded = Math.round(exact);
  if (rounded >= LEAST_PERCENT && rounded <= MOST_PERCENT) return ok(plan([rounded]));
  let best: CopierPlan | null = null;
  for (let first = LEAST_PERCENT; first <= MOST_PERCENT; first++) {
    const second = Math.round((exact / first) * 100);
    if (second < LEAST_PERCENT || second > MOST_PERCENT) continue;
    const tried = plan([first, second]);
    // Of equal errors the pair whose passes are most alike: each loses the least.
    if (
      !best ||
      Math.abs(tried.errorMm) < Math.abs(best.errorMm) - 1e-9 ||
      (Math.abs(Math.abs(tried.errorMm) - Math.abs(best.errorMm)) < 1e-9 &&
        Math.abs(first - second) < Math.abs(best.passes[0]! - best.passes[1]!))
    )
      best = tried;
  }
  return best
    ? ok(best)
    : fail(
        'copier-out-of-range',
        `expected a size two passes of ${LEAST_PERCENT}–${MOST_PERCENT} % can reach, got ${exact.toFixed(1)} %`,
        { values: { percent: Math.round(exact) } },
      );
}
