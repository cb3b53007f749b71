import { coatAmount, layingSteps, openMinutes, spreadMinutes } from '@/core/coat';
import {
  labourMinutes,
  nominalFilmUm,
  recipeStepOf,
  takesPencil,
  type BinderRecord,
  type CautionId,
  type Ground,
  type HandStep,
  type SchoolRecord,
  type SurfaceRecord,
} from '@/core/craft';
import { bedHours, ovenById, type Room } from '@/core/cure';
import type { Blank } from '@/core/shape';
import { airAtStart, roomThrough, typedRoom } from './air';
import type { LayPlan, PiecePlan, PrintPlan } from './answers';
import { cureStepWait } from './cure-wait';
import type { Job } from './job';
import { setUpOf, type StatedLabour } from './labour';
import { lacksForCoat } from './lacking';
import { pagesOf } from './sheet';
import { clockWait, isLaid, loggedAt, nextStep, type StashNeed, type Station, type StationStep } from './station';
import { stepText } from './step';
import { isHeavy } from './surface';
import { hasBaseCoat } from './surface/preparation';

export const lay: Station<'lay', 'surface' | 'method'> = {
  id: 'lay',
  answer: ({ job, now, atHand }, { surface: { record, ground, blank, print }, method: { binder, school } }) => {
    const room = typedRoom(job);
    const through = binder ? roomThrough(job, room, now, atHand) : null;
    if (!record || !ground || !blank || !print || !binder || !school) return { room, through, laying: null };
    const laidIn = through && !isLaid(job) ? airAtStart(through.course, room) : room;
    return {
      room,
      through,
      laying: planLaying(job, { surface: record, ground, blank, print, binder, school, room: laidIn }),
    };
  },
  missing: lacksForCoat,
  state: (job, plan) => {
    if (isLaid(job)) return 'done';
    return lacksForCoat(job, plan).length === 0 ? 'ready' : 'not-yet';
  },
  isBehind: isLaid,
  next: (job, plan) => nextStep('lay-print', 'lay', null, steps(job, plan).at(-1)?.minutes ?? null),
  steps,
  doneAt: (step, job) => {
    if (step.kind === 'lay') return job.lay.laidAt;
    const logged = loggedAt(job, stepText(step));
    return isLaid(job) || logged !== undefined ? (logged ?? 0) : null;
  },
  ripeAt: (step, _, { cure: { clock } }) => (step.kind === 'lay' && clock ? clock.readyAt : null),
  complete: (step, _, { at }) => (step.kind === 'lay' ? { lay: { laidAt: at } } : {}),
  revoke: (step) => (step.kind === 'lay' ? { lay: { laidAt: null } } : {}),
  needs: (step, job, { lay: { laying }, method: { binder } }): StashNeed | null => {
    if (!laying || !binder?.wet) return null;
    const { bed, totalMl } = laying.coat;
    const bedMl = bed?.volumeMl ?? 0;
    const amount = step.kind === 'bed' ? bedMl : (job.lay.mediumUsedMl ?? totalMl - bedMl);
    return amount > 0 ? { kind: 'binder', material: binder.id, amount } : null;
  },
  cautions,
  tools: () => ['foam-or-soft-brush', 'flexible-card-or-roller', 'baking-parchment', 'plastic-sheet', 'kitchen-towel'],
};

function cautions(_: Job, { surface: { record }, method: { binder, school }, cure: { wait } }: PiecePlan): CautionId[] {
  const minded: CautionId[] = [];
  if (record?.sharpEdges) minded.push('glass-edges');
  if (wait?.rule === 'oven') minded.push('oven');
  minded.push(...((school && recipeStepOf(school, 'lay')?.cautions) ?? []));
  if (wait?.warnings.includes('too-cold') || wait?.warnings.includes('cold-hours')) minded.push('cold-film');
  if (wait?.warnings.includes('damp')) minded.push('damp-air');
  if (binder?.wet) minded.push('back-of-paper', 'brushes', 'label-first');
  return minded;
}

function steps(job: Job, plan: PiecePlan): StationStep[] {
  const {
    method: { binder, school, chosen },
    surface: { print, ground, blank },
    lay: { laying, room },
    cure: { wait },
  } = plan;
  const recipe = school && recipeStepOf(school, 'lay');
  if (!recipe || !binder || !laying || !wait || !print || !ground) return [];
  const labour: StatedLabour = {
    ...{ work: 'lay', setUp: setUpOf('lay', binder.id) },
    heatC: job.cure.oven ? ovenById(job.cure.oven).temperatureC : null,
  };
  const bedStep = recipeStepOf(school, 'bed');
  const bed: StationStep[] =
    bedStep && binder.bedCoat
      ? [
          {
            step: { kind: 'bed' },
            title: { code: 'bed' },
            minutes: labourMinutes(bedStep.labour, laying.coat.bed?.areaMm2 ?? print.areaMm2),
            wait: clockWait(bedHours(binder, room, ground)),
            labour,
          },
        ]
      : [];
  return [
    ...bed,
    {
      step: { kind: 'lay' },
      title: { code: 'lay', school: school.id },
      minutes: labourMinutes(recipe.labour, print.areaMm2, pagesOf(plan)),
      wait: cureStepWait(wait, recipe.wait.kind),
      labour: { ...labour, takesTwo: isHeavy(blank) || (chosen?.conditions.includes('two-people') ?? false) },
      attended: wait.rule === 'oven',
      holdsBack: true,
    },
  ];
}

/** What hands do where nothing is coated. */
export function handsAtLay({ method: { school, chosen } }: Pick<PiecePlan, 'method'>): HandStep[] {
  const chalk = chosen?.conditions.includes('chalk-for-graphite') ?? false;
  const hands = (school && recipeStepOf(school, 'lay')?.does) ?? [];
  return hands.map((hand) => (hand === 'graphite-and-tape' && chalk ? 'chalk-and-tape' : hand));
}

interface Laid {
  surface: SurfaceRecord;
  ground: Ground;
  blank: Blank;
  print: PrintPlan;
  binder: BinderRecord;
  school: SchoolRecord;
  room: Room;
}

function planLaying(job: Job, { surface, ground, blank, print, binder, school, room }: Laid): LayPlan {
  const { filmUm, faces, extendMm } = job.lay;
  const coat = coatAmount({ places: print.coat, binder, ground, filmUm, faces });
  return {
    coat,
    steps: layingSteps(
      coat,
      { binder, school, surface, blank, print: print.rect },
      {
        extendMm,
        bedHours: bedHours(binder, room, ground),
        pencil: takesPencil(surface, hasBaseCoat(job.surface, surface)),
      },
    ),
    filmUm: filmUm ?? nominalFilmUm(binder),
    room,
    openMinutes: openMinutes(binder, room),
    spreadMinutes: Math.max(...coat.faces.map((face) => spreadMinutes(face.areaMm2)), 0),
  };
}
