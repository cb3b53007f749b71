import {
  baseCoatById,
  labourMinutes,
  recipeStepOf,
  schoolById,
  sealedGround,
  type CautionId,
  type RecipeStep,
} from '@/core/craft';
import { readingVerdict, type ReadingVerdict } from '@/core/inspect/verdict';
import { rubPlan, workMap, type RubInput, type RubPlan, type WorkMap } from '@/core/rub';
import { intersection, unionRect } from '@/core/shape';
import { MS_PER_HOUR, MS_PER_MINUTE } from '@/core/shared';
import type { PiecePlan } from './answers';
import type { Job } from './job';
import { lacksForCoat } from './lacking';
import { pagesOf } from './sheet';
import {
  clockWait,
  isLaid,
  loggedAt,
  never,
  nextStep,
  openWait,
  type NextStep,
  type Setting,
  type Station,
  type StationStep,
} from './station';
import { stepText, type StepId } from './step';

/** Of a recipe, what is done at Rub: the passes, or taking the sheet off, and sticking it on. */
const RUB_STEPS = ['passes', 'remove', 'stick'] as const;
const recipeHere = ({ method: { school } }: PiecePlan): RecipeStep[] =>
  RUB_STEPS.flatMap((kind) => (school && recipeStepOf(school, kind)) ?? []);

/** All that its recipe has here is done, or the person said that it is enough. */
export function isRubbed(job: Job, plan: PiecePlan): boolean {
  const { rub } = job;
  const { rubbing } = plan.rub;
  if (rub.finishedAt !== null) return true;
  if (rubbing !== null && rubbing.passes.length > 0) return rub.done.length >= rubbing.passes.length;
  return plan.method.school !== null && recipeHere(plan).length === 0 && isLaid(job) && isRipe(job, plan);
}

/**
 * When the piece is dry after the last work on its paper: so that haze can be seen, and after the last pass so that it
 * can be sanded, painted or sealed. Null before.
 */
export function passDryAt(job: Job, plan: PiecePlan): number | null {
  const { rub } = job;
  const { rubbing } = plan.rub;
  const last = rub.done.at(-1);
  if (last && rubbing) {
    const minutes = isRubbed(job, plan) ? rubbing.dryOutMinutes : rubbing.betweenMinutes;
    return last.at + minutes * MS_PER_MINUTE;
  }
  const off = steps(job, plan).findLast(({ step }) => doneAt(step, job, plan) !== null);
  const offAt = off ? (doneAt(off.step, job, plan) ?? 0) : 0;
  return off && offAt > 0 ? offAt + off.wait.hours * MS_PER_HOUR : null;
}

/** Laid long enough, or begun already. */
const isRipe = ({ rub }: Job, { cure: { clock } }: PiecePlan): boolean =>
  rub.done.length > 0 || clock?.wetness === 'dry' || clock?.wetness === 'cured';

export const rub: Station<'rub', 'surface' | 'method' | 'lay'> = {
  id: 'rub',
  answer: ({ job, picture }, { surface, method: { binder, printKind }, lay: { room } }) => {
    const { record, print, ground } = surface;
    const verdict = verdictOf(job);
    const rubbing =
      binder && record && print && ground
        ? rubPlan({
            binder,
            print: printKind,
            ground: binder.bedCoat ? sealedGround(record) : ground,
            areaMm2: print.reachedMm2,
            room,
            passes: binder.passes.max > 0 ? job.rub.passes : null,
            left: binder.passes.max > 0 ? leftAfter(job, verdict) : null,
          })
        : null;
    return { rubbing, map: rubbing && mapOf(job, picture, surface, rubbing), verdict };
  },
  missing: lacksForCoat,
  state: (job, plan) => {
    if (isRubbed(job, plan)) return 'done';
    return lacksForCoat(job, plan).length === 0 && isRipe(job, plan) ? 'ready' : 'not-yet';
  },
  isBehind: never,
  next: rubNext,
  steps,
  doneAt,
  ripeAt: (step, job, plan) => {
    if (step.kind !== 'pass') return null;
    const isLast = step.number === job.rub.done.length;
    return isLast ? passDryAt(job, plan) : null;
  },
  complete: (step, job, { at, minutes }) => {
    if (step.kind === 'pass') return { rub: { done: [...job.rub.done, { at, minutes }] } };
    return { rub: { finishedAt: finishes(step, job) ? at : job.rub.finishedAt } };
  },
  revoke: (step, { rub: { done } }) =>
    step.kind === 'pass' ? { rub: { done: done.slice(0, -1), finishedAt: null } } : { rub: { finishedAt: null } },
  needs: () => null,
  cautions: (_, plan) => {
    const minded: CautionId[] = recipeHere(plan).flatMap(({ cautions }) => cautions);
    const { rubbing } = plan.rub;
    if (rubbing && rubbing.passes.length > 0) minded.push('fingertips');
    return minded;
  },
  tools: (_, plan) =>
    plan.rub.rubbing?.water === 'none'
      ? ['scissors-or-craft-knife', 'dust-cloth']
      : recipeHere(plan).some(({ step }) => step === 'passes')
        ? ['sponge-soft-side', 'terry-cloth', 'bowl-of-lukewarm-water', 'fan-or-hair-dryer']
        : ['sponge-soft-side', 'bowl-of-lukewarm-water'],
};

function mapOf(
  { picture: { turns, straightenDeg }, surface: { grain, baseCoat } }: Job,
  picture: Setting['picture'],
  { record, print, blank }: PiecePlan['surface'],
  { passes }: RubPlan,
): WorkMap | null {
  const [first, later = first] = passes;
  if (!first || !later || !record || !print || !blank) return null;
  // What is tucked behind isn't rubbed.
  const reached = unionRect(blank.reached.map(({ box }) => box));
  return workMap({
    picture,
    turning: { turns, straightenDeg },
    crop: print.crop,
    place: print.picture,
    box: intersection(print.rect, reached) ?? print.rect,
    blank,
    surface: record,
    bare: !baseCoatById(baseCoat).hidesGrain,
    knots: grain.knots,
    minutes: { first: first.minutes, later: later.minutes },
  });
}

function verdictOf({ rub: { readings, done, overruledAt } }: Job): ReadingVerdict | null {
  const verdict = readingVerdict(readings, done.length);
  return verdict?.at === overruledAt ? null : verdict;
}

/** What a photo leaves to do: nothing, one pass all over, or one over a few areas. */
function leftAfter({ rub: { done } }: Job, verdict: ReadingVerdict | null): NonNullable<RubInput['left']> | null {
  if (!verdict) return null;
  const { decision, minutesLeft } = verdict;
  if (decision === 'pass') return { passes: done.length + 1, minutes: null };
  return decision === 'areas'
    ? { passes: done.length + 1, minutes: minutesLeft }
    : { passes: done.length, minutes: null };
}

/** The last of its recipe's steps here ends it: a decal is stuck on after its paper is off. */
const finishes = (step: StepId, { method: { school } }: Job): boolean => {
  const last = school && schoolById(school).recipe.at(-1)?.step;
  return last === step.kind;
};

function doneAt(step: StepId, job: Job, plan: PiecePlan): number | null {
  const pass = step.kind === 'pass' ? job.rub.done[step.number - 1] : undefined;
  if (pass) return pass.at;
  const logged = step.kind === 'pass' ? undefined : loggedAt(job, stepText(step));
  if (logged !== undefined) return logged;
  return isRubbed(job, plan) ? (job.rub.finishedAt ?? 0) : null;
}

/** Waiting for the laid print, the first step, or the next one. */
export function rubNext(job: Job, plan: PiecePlan, now: number): NextStep {
  const open = steps(job, plan).find(({ step }) => doneAt(step, job, plan) === null);
  const minutes = open?.minutes ?? null;
  const rubs = plan.method.school?.removal === 'rub' || plan.method.school?.removal === 'peel-and-roll';
  if (job.rub.done.length > 0) return nextStep('next-pass', 'rub', passDryAt(job, plan), minutes);
  if (open?.step.kind === 'stick') return nextStep('stick-on', 'rub', passDryAt(job, plan), minutes);
  const ripeAt = plan.cure.clock?.readyAt ?? null;
  if (ripeAt !== null && now < ripeAt) return nextStep(rubs ? 'wait-cure' : 'wait-removal', 'cure', ripeAt, minutes);
  return nextStep(rubs ? 'start-rubbing' : 'take-off', 'rub', ripeAt, minutes);
}

/** Rubbing is left between two sections. */
const sectionMinutes = ({ sections }: WorkMap, pass: number): number[] =>
  sections.map(({ minutes, laterMinutes }) => (pass === 1 ? minutes : laterMinutes));

function steps(_: Job, plan: PiecePlan): StationStep[] {
  const {
    surface: { print },
    method: { school },
    lay: { laying, room },
    cure: { wait },
    rub: { rubbing, map },
  } = plan;
  if (!school || !laying || !wait || !print) return [];
  return recipeHere(plan).flatMap(({ step, labour, wait: after }): StationStep[] => {
    if (step === 'passes')
      return (rubbing?.passes ?? []).map(({ number, minutes, dampenMinutes, dryMinutes }) => ({
        step: { kind: 'pass', number },
        title: { code: school.removal === 'peel-and-roll' ? 'peel-pass' : 'rub-pass', number },
        minutes: minutes + dampenMinutes,
        wait: clockWait(dryMinutes / 60),
        labour: {
          work: 'rub',
          setUp: null,
          ...(map && dampenMinutes > 0 ? { sections: sectionMinutes(map, number) } : {}),
        },
        holdsBack: true,
      }));
    const kind = step === 'stick' ? 'stick' : 'remove';
    return [
      {
        step: { kind },
        title: kind === 'stick' ? { code: 'stick' } : { code: 'remove', school: school.id },
        minutes: labourMinutes(labour, print.reachedMm2, pagesOf(plan)),
        wait: openWait(after, room) ?? clockWait(0),
        labour: { work: 'rub', setUp: null },
        holdsBack: true,
      },
    ];
  });
}
