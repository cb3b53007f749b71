/**
 * The person's own pace: minutes that steps of a station really took against the usual ones, from the record of all
 * pieces. Half an hour of usual pace is mixed in, so that one quick step changes little. A step that can't be read
 * counts for no station. Source: plain averaging.
 */
import { clamp } from '@/core/shared';
import { measuredSteps, readStep, stationOf, type Job, type StationId } from '@/core/stations';

export type Pace = Readonly<Partial<Record<StationId, number>>>;

const MIXED_IN_MINUTES = 30;
/** A step that took less than this share of the usual was marked later than it was done: it tells nothing. */
const LEAST_TRUE = 0.25;
const SLOWEST = 3;
const FASTEST = 0.4;

export function paceOf(jobs: readonly Pick<Job, 'work'>[]): Pace {
  const sums = new Map<StationId, { planned: number; taken: number }>();
  for (const { step, planned, minutes } of jobs.flatMap(measuredSteps)) {
    const read = readStep(step);
    if (!read.ok || planned <= 0 || minutes < planned * LEAST_TRUE) continue;
    const station = stationOf(read.value);
    const sum = sums.get(station) ?? { planned: 0, taken: 0 };
    sums.set(station, { planned: sum.planned + planned, taken: sum.taken + minutes });
  }
  return Object.fromEntries(
    [...sums].map(([station, { planned, taken }]) => [
      station,
      clamp((taken + MIXED_IN_MINUTES) / (planned + MIXED_IN_MINUTES), FASTEST, SLOWEST),
    ]),
  );
}
