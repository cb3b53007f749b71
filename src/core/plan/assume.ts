import type { AtHand, Candidate } from '@/core/method';
import { applyPatch, type Job, type PictureFacts } from './job';
import { missingAt, type MissingCode } from './missing';
import { planPiece, type PiecePlan } from './piece-plan';

/** A piece as the schedule takes it: with the best method where none is chosen yet, and what it can't be planned without. */
export interface Foreseen<J extends Job = Job> { job: J; plan: PiecePlan; assumed: Candidate | null; lacks: MissingCode[] }

export function foresee<J extends Job>(job: J, picture: PictureFacts | null, now: number, atHand: AtHand, plan = planPiece(job, picture, now, atHand)): Foreseen<J> {
  const best = plan.chosen && plan.chosen.verdict !== 'refused' ? null : plan.candidates.find((one) => one.verdict !== 'refused') ?? null;
  if (!best) return { job, plan, assumed: null, lacks: lacking(job, plan) };
  const taken = applyPatch(job, { method: { school: best.school.id, binder: best.binder.id } });
  const foreseen = planPiece(taken, picture, now, atHand);
  return { job: taken, plan: foreseen, assumed: best, lacks: lacking(taken, foreseen) };
}

const lacking = (job: Job, plan: PiecePlan): MissingCode[] => [...new Set(missingAt('lay', job, plan).map(({ code }) => code))];
