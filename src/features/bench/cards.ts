import type { CautionId, ToolId } from '@/core/craft';
import { cautionsOf, toolsOf, type RunStep } from '@/core/plan';
import { sum } from '@/core/shared';
import type { Job, PiecePlan } from '@/core/stations';
import type { PlanEntry } from '@/features/agenda';
import { STATION_FEATURES } from '@/features/piece/stations';
import type { BenchCard } from '@/features/piece/station-feature';
import type { Wording } from '@/words';

export interface BenchRun {
  cards: BenchCard[];
  cautions: CautionId[];
  tools: readonly ToolId[];
}

/** A step of the plan as cards for the bench, or one sitting of it; with what to mind and what lies at hand. */
export const benchRun = (
  step: RunStep,
  job: Job,
  plan: PiecePlan,
  units: Wording,
  sitting: PlanEntry['sitting'] = null,
): BenchRun => {
  const cards = STATION_FEATURES[step.station].cards(step, job, plan, units);
  return {
    cards: sitting ? cards.filter(({ id }) => isOfSitting(id, plan, sitting)) : cards,
    cautions: cautionsOf(step.step, job, plan),
    tools: toolsOf(step.step, job, plan),
  };
};

/** Sections of the rubbing that another sitting has are left out. */
function isOfSitting(
  cardId: string,
  plan: PiecePlan,
  { fromShare, untilShare }: NonNullable<PlanEntry['sitting']>,
): boolean {
  const number = Number(/^rub-(\d+)$/.exec(cardId)?.[1] ?? NaN);
  const sections = plan.rub.map?.sections ?? [];
  const total = sum(sections.map(({ minutes }) => minutes));
  if (Number.isNaN(number) || total <= 0) return true;
  const before = sum(sections.filter((section) => section.number < number).map(({ minutes }) => minutes)) / total;
  const middle = before + (sections.find((section) => section.number === number)?.minutes ?? 0) / total / 2;
  return middle > fromShare && middle <= untilShare;
}
