import {
  STATION_REGISTRY,
  stationOf,
  stepText,
  type Draw,
  type Job,
  type JobPatch,
  type StepId,
} from '@/core/stations';
import type { RunStep } from './run-steps';

/**
 * What marking a step done changes: the station's own record, the record of the work, and what it took out of the
 * stash. One change, undone as one.
 *
 * @param at when hands ended, epoch ms; @param minutes as measured; null where nobody did;
 * @param early begun before its time
 */
export function completeStep(
  job: Job,
  { step, handsMinutes, usualMinutes }: Pick<RunStep, 'step' | 'handsMinutes' | 'usualMinutes'>,
  at: number,
  minutes: number | null,
  draws: readonly Omit<Draw, 'step' | 'at'>[] = [],
  early = false,
): JobPatch {
  const text = stepText(step);
  const { done, draws: drawn } = job.work;
  return {
    ...STATION_REGISTRY[stationOf(step)].complete(step, job, { at, minutes: minutes ?? handsMinutes }),
    work: {
      // The usual minutes, not those at the person's pace: measured against them, pace finds the truth.
      done: [...done.filter((one) => one.step !== text), { step: text, at, minutes, planned: usualMinutes, early }],
      draws: [...drawn.filter((draw) => draw.step !== text), ...draws.map((draw) => ({ ...draw, step: text, at }))],
    },
  };
}

/** A step taken back: from the station's own record, and what it took out of the stash goes back in. */
export function revokeStep(job: Job, step: StepId): JobPatch {
  const text = stepText(step);
  return {
    ...STATION_REGISTRY[stationOf(step)].revoke(step, job),
    work: {
      done: job.work.done.filter((done) => done.step !== text),
      draws: job.work.draws.filter((draw) => draw.step !== text),
    },
  };
}
