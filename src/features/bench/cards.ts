import type { CautionId, ToolId } from '@/core/craft';
import { cautionsOf, toolsOf, type RunStep } from '@/core/plan';
import type { Job, PiecePlan } from '@/core/stations';
import { STATION_FEATURES } from '@/features/piece/stations';
import type { BenchCard } from '@/features/piece/station-feature';
import type { Wording } from '@/words';

export interface BenchRun {
  cards: BenchCard[];
  cautions: CautionId[];
  tools: readonly ToolId[];
}

/** A step of the plan as cards for the bench, with what to mind and what lies at hand. */
export const benchRun = (step: RunStep, job: Job, plan: PiecePlan, units: Wording): BenchRun => ({
  cards: STATION_FEATURES[step.station].cards(step, job, plan, units),
  cautions: cautionsOf(step.step, job, plan),
  tools: toolsOf(step.step, job, plan),
});
