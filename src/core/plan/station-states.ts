import {
  STATIONS,
  STATION_REGISTRY,
  type Job,
  type Missing,
  type NextStep,
  type PiecePlan,
  type StationId,
  type StationState,
} from '@/core/stations';

/** What is missing at a station, for itself: what another station lacks is named with that station. */
export const missingAt = (station: StationId, job: Job, plan: PiecePlan): Missing[] =>
  STATION_REGISTRY[station].missing(job, plan);

export const stationStates = (job: Job, plan: PiecePlan): Record<StationId, StationState> =>
  Object.fromEntries(STATIONS.map((id) => [id, STATION_REGISTRY[id].state(job, plan)])) as Record<
    StationId,
    StationState
  >;

/**
 * The one thing to do next on a piece: what the first station asks that is neither done nor behind. @param now epoch ms
 */
export function nextStep(job: Job, plan: PiecePlan, now: number): NextStep {
  const station = STATIONS.map((id) => STATION_REGISTRY[id]).find(
    ({ state, isBehind }) => state(job, plan) !== 'done' && !isBehind(job),
  );
  return station?.next(job, plan, now) ?? { code: 'finished', station: 'keep', at: null, minutes: null };
}
