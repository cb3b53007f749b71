/**
 * The person's own pace: minutes that steps of a kind really took against those planned, from the record of all pieces. Half an hour of usual pace is mixed in, so
 * that one quick step changes little. Source: plain averaging.
 */
import type { Job, StationId, StepDone } from './job';

export type Pace = Readonly<Partial<Record<StationId, number>>>;

const MIXED_IN_MINUTES = 30;
const SLOWEST = 3;
const FASTEST = 0.4;

/** Which station a step belongs to, by its id. */
export const stationOfStep = (step: string): StationId =>
  step === 'print' ? 'sheet' : step === 'lay' || step === 'bed' ? 'lay' : step.startsWith('pass-') || step === 'remove' ? 'rub' : step === 'mend' || step.startsWith('trace-') ? 'mend' : step.startsWith('seal-') ? 'seal' : 'surface';

export function paceOf(jobs: readonly Pick<Job, 'work'>[]): Pace {
  const sums = new Map<StationId, { planned: number; taken: number }>();
  const measured = jobs.flatMap((job) => job.work.done).filter((one): one is StepDone & { minutes: number } => one.minutes !== null && one.planned > 0);
  for (const { step, planned, minutes } of measured) {
    const at = stationOfStep(step);
    const sum = sums.get(at) ?? { planned: 0, taken: 0 };
    sums.set(at, { planned: sum.planned + planned, taken: sum.taken + minutes });
  }
  return Object.fromEntries([...sums].map(([station, { planned, taken }]) => [station, Math.min(SLOWEST, Math.max(FASTEST, (taken + MIXED_IN_MINUTES) / (planned + MIXED_IN_MINUTES)))]));
}
