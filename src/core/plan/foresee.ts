import type { AtHand } from '@/core/at-hand';
import type { Candidate } from '@/core/method';
import { inOneGo } from '@/core/shared';
import { applyPatch, type Job, type MissingCode, type PictureFacts, type PiecePlan } from '@/core/stations';
import type { Pace } from './pace';
import { planPiece, planningPiece } from './plan-piece';
import { runSteps, type RunStep } from './run-steps';
import { missingAt } from './station-states';

/**
 * A piece as the schedule takes it: with the best method where none is chosen yet, and what it can't be planned
 * without.
 */
export interface Foreseen<J extends Job = Job> {
  job: J;
  plan: PiecePlan;
  assumed: Candidate | null;
  lacks: MissingCode[];
}

export function foresee<J extends Job>(
  job: J,
  picture: PictureFacts | null,
  now: number,
  atHand: AtHand,
  plan = planPiece(job, picture, now, atHand),
): Foreseen<J> {
  return inOneGo(foreseeing(job, picture, now, atHand, plan));
}

/** The same bit by bit. */
export function* foreseeing<J extends Job>(
  job: J,
  picture: PictureFacts | null,
  now: number,
  atHand: AtHand,
  plan: PiecePlan,
): Generator<void, Foreseen<J>> {
  const best = plan.method.binder
    ? null
    : (plan.method.candidates.find(({ verdict, school }) => verdict !== 'refused' && !school.traced) ?? null);
  if (!best) return { job, plan, assumed: null, lacks: lacking(job, plan) };
  const taken = applyPatch(job, { method: { school: best.school.id, binder: best.binder.id } });
  const foreseen = yield* planningPiece(taken, picture, now, atHand);
  return { job: taken, plan: foreseen, assumed: best, lacks: lacking(taken, foreseen) };
}

/** Without these a piece is only an idea: there is nothing in it for hands yet. */
const NOTHING_IN_IT: readonly MissingCode[] = ['picture', 'surface-kind', 'blank-size', 'shape-fault'];

/** What hands have to do on it; nothing while it has no picture, or nothing to put it on. */
export const plannedSteps = ({ job, plan, lacks }: Foreseen, pace: Pace = {}): RunStep[] =>
  job.lay.laidAt === null && lacks.some((code) => NOTHING_IN_IT.includes(code)) ? [] : runSteps(job, plan, pace);

const lacking = (job: Job, plan: PiecePlan): MissingCode[] => [
  ...new Set(missingAt('lay', job, plan).map(({ code }) => code)),
];
