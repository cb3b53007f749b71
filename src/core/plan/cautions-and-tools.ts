import type { CautionId, ToolId } from '@/core/craft';
import {
  STATION_REGISTRY,
  stationOf,
  type Job,
  type PiecePlan,
  type StashNeed,
  type StationId,
  type StepId,
} from '@/core/stations';

/** What to mind at a station, and at one of its steps at the bench: one list for both. */
export const cautionsAt = (station: StationId, job: Job, plan: PiecePlan): CautionId[] =>
  STATION_REGISTRY[station].cautions(job, plan);
export const cautionsOf = (step: StepId, job: Job, plan: PiecePlan): CautionId[] =>
  STATION_REGISTRY[stationOf(step)].cautions(job, plan, step);

export const toolsAt = (station: StationId, job: Job, plan: PiecePlan): readonly ToolId[] =>
  STATION_REGISTRY[station].tools(job, plan);
export const toolsOf = (step: StepId, job: Job, plan: PiecePlan): readonly ToolId[] =>
  STATION_REGISTRY[stationOf(step)].tools(job, plan, step);

/** What a step takes out of the stash; null where it takes nothing that is counted. */
export const needOf = (step: StepId, job: Job, plan: PiecePlan): StashNeed | null =>
  STATION_REGISTRY[stationOf(step)].needs(step, job, plan);
