import type { CureWait } from '@/core/cure';
import type { RubPlan } from '@/core/rub';
import { sum, MS_PER_HOUR } from '@/core/shared';

/** A figure of the plan beside what happened. */
export interface Comparison {
  what: 'medium' | 'wait' | 'passes' | 'rubbing' | 'hands';
  planned: number;
  actual: number;
  unit: 'ml' | 'h' | 'count' | 'min';
}

export interface Actuals {
  mediumMl: number | null;
  laidAt: number | null;
  passes: readonly { at: number; minutes: number }[];
  /** Steps whose minutes were measured at the bench. */
  measured: readonly { minutes: number; planned: number }[];
}

/** What happened against plan, as far as it was recorded. */
export function compareWithPlan(
  plan: { mediumMl: number | null; cure: CureWait | null; rub: RubPlan | null },
  actual: Actuals,
): Comparison[] {
  const rows: Comparison[] = [];
  const first = actual.passes[0];
  if (plan.mediumMl !== null && actual.mediumMl !== null)
    rows.push({ what: 'medium', planned: plan.mediumMl, actual: actual.mediumMl, unit: 'ml' });
  if (plan.cure && actual.laidAt !== null && first)
    rows.push({
      what: 'wait',
      planned: plan.cure.likelyHours,
      actual: (first.at - actual.laidAt) / MS_PER_HOUR,
      unit: 'h',
    });
  if (plan.rub && first) {
    rows.push({ what: 'passes', planned: plan.rub.planned.passes, actual: actual.passes.length, unit: 'count' });
    rows.push({
      what: 'rubbing',
      planned: plan.rub.planned.minutes,
      actual: actual.passes.reduce((total, pass) => total + pass.minutes, 0),
      unit: 'min',
    });
  }
  if (actual.measured.length > 0)
    rows.push({
      what: 'hands',
      planned: sum(actual.measured.map(({ planned }) => planned)),
      actual: sum(actual.measured.map(({ minutes }) => minutes)),
      unit: 'min',
    });
  return rows;
}
