import { labourRate, labourMinutes, sealerById, purposeOf, type CautionId } from '@/core/craft';
import { defaultSealer, sealClock, sealPlan, sealerAsBought, sealerChoices } from '@/core/seal';
import { airOf } from './air';
import type { PiecePlan } from './answers';
import type { Job } from './job';
import { setUpOf } from './labour';
import { lacksBlank } from './lacking';
import { isRubbed, passDryAt } from './rub';
import { clockWait, need, never, nextStep, type Station, type StationStep } from './station';

const COATING = labourRate(5, 0.5);
/** What gloss clears takes two coats of it. */
const CLEARING_COATS = 2;

/** All coats are on, or the person left it as it is; a decal that nothing else was asked for is sealed by its own tape. */
export const isSealed = (job: Job, plan: PiecePlan): boolean => {
  const { seal: choice } = job;
  const { sealing } = plan.seal;
  if (choice.finishedAt !== null) return true;
  if (sealing?.sealer.bare) return (plan.method.school?.sealsItself ?? false) && isRubbed(job, plan);
  return sealing !== null && sealing.coats > 0 && choice.coatsAt.length >= sealing.coats;
};

const coatMinutes = ({ surface: { faceMm2 } }: Pick<PiecePlan, 'surface'>): number => labourMinutes(COATING, faceMm2);

export const seal: Station<'seal', 'surface' | 'method' | 'lay'> = {
  id: 'seal',
  answer: (
    { job: { seal: choice } },
    { surface: { record, blank, faceMm2 }, method: { binder, school, sheen }, lay },
  ) => {
    const fabric = record?.class === 'fabric';
    const wanted = {
      use: purposeOf(record, choice.use),
      sheen,
      binder,
      fabric,
      sealsItself: school?.sealsItself ?? false,
    };
    const sealer = record?.laundered ? 'none' : (choice.sealer ?? defaultSealer(wanted));
    const least = school?.glossClears ? CLEARING_COATS : 0;
    const sealing =
      sealer && blank
        ? sealPlan(sealerAsBought(sealerById(sealer), binder), faceMm2, airOf(lay), choice.coats, least)
        : null;
    return {
      choices: sealerChoices(wanted),
      sealing,
      clock: sealing ? sealClock(sealing, choice.coatsAt) : null,
    };
  },
  missing,
  state: (job, plan) => {
    if (isSealed(job, plan)) return 'done';
    if (missing(job, plan).length > 0 || !isRubbed(job, plan)) return 'not-yet';
    return plan.seal.clock?.nextCoatAt != null ? 'waiting' : 'ready';
  },
  isBehind: never,
  next: (job, plan) =>
    job.seal.coatsAt.length === 0
      ? nextStep('first-seal-coat', 'seal', passDryAt(job, plan), coatMinutes(plan))
      : nextStep('next-seal-coat', 'seal', plan.seal.clock?.nextCoatAt ?? null, coatMinutes(plan)),
  steps,
  doneAt: (step, { seal: { coatsAt, finishedAt } }) =>
    (step.kind === 'coat' ? coatsAt[step.number - 1] : undefined) ?? finishedAt,
  complete: (_, { seal: { coatsAt } }, { at }) => ({ seal: { coatsAt: [...coatsAt, at] } }),
  revoke: (_, { seal: { coatsAt } }) => ({ seal: { coatsAt: coatsAt.slice(0, -1), finishedAt: null } }),
  needs: (_, __, { seal: { sealing }, method: { binder } }) => {
    if (!sealing || sealing.volumeMlPerCoat <= 0) return null;
    const amount = sealing.volumeMlPerCoat;
    return sealing.sealer.isBinder && binder
      ? { kind: 'binder', material: binder.id, amount }
      : { kind: 'sealer', material: sealing.sealer.id, amount };
  },
  cautions: (_, { surface: { record }, seal: { sealing } }) => {
    const minded: CautionId[] = ['no-food', 'outdoors'];
    if (sealing?.sealer.sprayed) minded.push('spray');
    if (sealing?.sealer.oily) minded.push('oily-rags');
    if (record?.laundered) minded.push('wash');
    return [...minded, 'label-first'];
  },
  tools: (_, { seal: { sealing } }) => {
    if (sealing?.sealer.sprayed) return ['dust-mask', 'dust-cloth'];
    return sealing?.sealer.oily ? ['lint-free-cloth', 'dust-cloth'] : ['soft-flat-brush', 'dust-cloth'];
  },
};

function missing(_: Job, plan: PiecePlan) {
  return [...lacksBlank(plan), ...need(plan.surface.blank !== null && plan.seal.sealing === null, 'sealer', 'seal')];
}

function steps(_: Job, plan: PiecePlan): StationStep[] {
  const { sealing } = plan.seal;
  if (!sealing) return [];
  const { coats, betweenHours, touchHours, sealer } = sealing;
  const work = sealer.sprayed ? 'spray' : 'seal';
  return Array.from({ length: coats }, (__, index) => ({
    step: { kind: 'coat', number: index + 1 },
    title: { code: 'coat', number: index + 1 },
    minutes: coatMinutes(plan),
    wait: clockWait(index + 1 === coats ? touchHours : betweenHours),
    labour: { work, setUp: setUpOf(work, sealer.id) },
  }));
}
