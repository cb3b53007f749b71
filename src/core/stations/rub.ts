import { printById, type CautionId } from '@/core/craft';
import { rubPlan } from '@/core/rub';
import { MS_PER_MINUTE } from '@/core/shared';
import type { PiecePlan } from './answers';
import type { Job } from './job';
import { lacksForCoat } from './lacking';
import { clockWait, never, nextStep, type NextStep, type Station, type StationStep } from './station';

const REMOVE_MINUTES = 10;
/** What is peeled or lifted dries before it is worked on. */
const REMOVED_DRY_HOURS = 1;

/** All passes are done, or the person said that it is enough. */
export const isRubbed = ({ rub }: Job, { rub: { rubbing } }: PiecePlan): boolean =>
  rub.finishedAt !== null ||
  (rubbing !== null && rubbing.passes.length > 0 && rub.done.length >= rubbing.passes.length);

/** When the piece is dry after the last pass, so that haze can be seen; null before the first. */
export function passDryAt({ rub }: Job, { rub: { rubbing } }: PiecePlan): number | null {
  const last = rub.done.at(-1);
  const pass = rubbing?.passes[0];
  return last && pass ? last.at + pass.dryMinutes * MS_PER_MINUTE : null;
}

/** Laid long enough, or begun already. */
export const isRipe = ({ rub }: Job, { cure: { clock } }: PiecePlan): boolean =>
  rub.done.length > 0 || clock?.wetness === 'dry' || clock?.wetness === 'cured';

export const rub: Station<'rub', 'surface' | 'method' | 'lay'> = {
  id: 'rub',
  answer: ({ job }, { surface: { print }, method: { binder }, lay: { room } }) => ({
    rubbing:
      binder && print
        ? rubPlan({ binder, print: printById(job.method.print), areaMm2: print.areaMm2, room, passes: job.rub.passes })
        : null,
  }),
  missing: lacksForCoat,
  state: (job, plan) => {
    if (isRubbed(job, plan)) return 'done';
    return lacksForCoat(job, plan).length === 0 && isRipe(job, plan) ? 'ready' : 'not-yet';
  },
  isBehind: never,
  next: rubNext,
  steps,
  doneAt: (step, job, plan) => {
    const pass = step.kind === 'pass' ? job.rub.done[step.number - 1] : undefined;
    if (pass) return pass.at;
    return isRubbed(job, plan) ? (job.rub.finishedAt ?? 0) : null;
  },
  ripeAt: (step, job, plan) => (step.kind === 'pass' ? passDryAt(job, plan) : null),
  complete: (step, { rub: { done } }, { at, minutes }) =>
    step.kind === 'pass' ? { rub: { done: [...done, { at, minutes }] } } : { rub: { finishedAt: at } },
  revoke: (step, { rub: { done } }) =>
    step.kind === 'pass' ? { rub: { done: done.slice(0, -1), finishedAt: null } } : { rub: { finishedAt: null } },
  needs: () => null,
  cautions: (_, { method: { school }, rub: { rubbing } }) => {
    const minded: CautionId[] = [];
    if (school?.removal === 'peel-and-roll') minded.push('knife');
    if (rubbing && rubbing.passes.length > 0) minded.push('fingertips');
    return minded;
  },
  tools: () => ['sponge-soft-side', 'terry-cloth', 'bowl-of-lukewarm-water', 'fan-or-hair-dryer'],
};

/** Waiting for the laid print, the first pass, or the next one. */
export function rubNext(job: Job, plan: PiecePlan, now: number): NextStep {
  const all = steps(job, plan);
  const minutes = all[Math.min(job.rub.done.length, all.length - 1)]?.minutes ?? null;
  if (job.rub.done.length > 0) return nextStep('next-pass', 'rub', passDryAt(job, plan), minutes);
  const ripeAt = plan.cure.clock?.likelyAt ?? null;
  return ripeAt !== null && now < ripeAt
    ? nextStep('wait-cure', 'cure', ripeAt, minutes)
    : nextStep('start-rubbing', 'rub', ripeAt, minutes);
}

function steps(
  _: Job,
  { method: { school }, lay: { laying }, cure: { wait }, rub: { rubbing } }: PiecePlan,
): StationStep[] {
  if (!school || !laying || !wait) return [];
  const { removal, removeSteps } = school;
  if (removal === 'rub' || removal === 'peel-and-roll')
    return (rubbing?.passes ?? []).map(({ number, minutes, dampenMinutes, dryMinutes }) => ({
      step: { kind: 'pass', number },
      title: { code: removal === 'rub' ? 'rub-pass' : 'peel-pass', number },
      minutes: minutes + dampenMinutes,
      wait: clockWait(dryMinutes / 60),
    }));
  return removeSteps.slice(0, 1).map((hand) => ({
    step: { kind: 'remove' },
    title: { code: 'remove', hand },
    minutes: REMOVE_MINUTES,
    wait: clockWait(REMOVED_DRY_HOURS),
  }));
}
