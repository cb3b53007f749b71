import { MS_PER_HOUR } from '@/core/shared';
import {
  STATIONS,
  STATION_REGISTRY,
  labourOf,
  stepText,
  type Job,
  type Labour,
  type PiecePlan,
  type StationId,
  type StationStep,
  type StepId,
  type StepText,
  type StepTitle,
  type StepWait,
} from '@/core/stations';
import type { Pace } from './pace';

/** One step of the whole run: hands, then a wait. */
export interface RunStep extends Labour {
  step: StepId;
  /** The step as it is written. */
  id: StepText;
  station: StationId;
  title: StepTitle;
  /** Minutes of hands at the person's pace, and as usual. */
  handsMinutes: number;
  usualMinutes: number;
  waitHours: number;
  wait: StepWait;
  /** Steps that are over, waits and all, before this begins. */
  after: readonly StepText[];
  /** When it was done, epoch ms; null while it is not, 0 where nobody knows when. */
  doneAt: number | null;
  /** When what was done is ready for the next; null where nothing is pending. */
  ripeAt: number | null;
  /** Somebody stays with it until its wait is over. */
  attended: boolean;
  /** Nothing after it begins before it is marked done: it leaves a wait, or is seen on the piece. */
  holdsBack: boolean;
}

/**
 * The steps of a piece in working order: each waits for the one before it; what goes on beside waits only for what goes
 * on beside at its own station, and the next waits for both.
 */
export function runSteps(job: Job, plan: PiecePlan, pace: Pace = {}): RunStep[] {
  let before: readonly StepText[] = [];
  return STATIONS.flatMap((station) => {
    let beside: readonly StepText[] = [];
    return STATION_REGISTRY[station].steps(job, plan).map((stated): RunStep => {
      const id = stepText(stated.step);
      const after = stated.beside ? beside : before;
      before = stated.beside ? [...before.filter((one) => !beside.includes(one)), id] : [id];
      beside = stated.beside ? [id] : beside;
      const usualMinutes = Math.max(1, Math.round(stated.minutes));
      const doneAt = STATION_REGISTRY[station].doneAt(stated.step, job, plan);
      return {
        step: stated.step,
        id,
        station,
        title: stated.title,
        usualMinutes,
        handsMinutes: Math.max(1, Math.round(stated.minutes * (pace[station] ?? 1))),
        waitHours: stated.wait.hours,
        wait: stated.wait,
        after,
        doneAt,
        ripeAt: ripeTime(station, stated, doneAt, job, plan),
        attended: stated.attended ?? false,
        holdsBack: stated.holdsBack ?? stated.wait.hours > 0,
        ...atPace(labourOf(stated.labour, usualMinutes), pace[station] ?? 1),
      };
    });
  });
}

const atPace = (asked: Labour, pace: number): Labour => ({
  ...asked,
  setUp: asked.setUp && { ...asked.setUp, minutes: Math.floor(asked.setUp.minutes * pace) },
  againMinutes: Math.round(asked.againMinutes * pace),
});

/** When a done step's wait is over: as its station has it, or its hours after it. */
function ripeTime(
  station: StationId,
  { step, wait }: StationStep,
  doneAt: number | null,
  job: Job,
  plan: PiecePlan,
): number | null {
  if (doneAt === null || wait.hours <= 0) return null;
  const told = STATION_REGISTRY[station].ripeAt?.(step, job, plan) ?? null;
  if (told !== null) return told;
  return doneAt > 0 ? doneAt + wait.hours * MS_PER_HOUR : null;
}
