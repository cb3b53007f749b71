import { coatAmount, layingSteps, openMinutes, spreadMinutes } from '@/core/coat';
import { nominalFilmUm, type BinderRecord, type CautionId, type SurfaceRecord } from '@/core/craft';
import type { Room } from '@/core/cure';
import type { Blank } from '@/core/shape';
import { airAtStart, roomThrough, typedRoom } from './air';
import type { LayPlan, PiecePlan, PrintPlan } from './answers';
import { cureStepWait } from './cure-wait';
import type { Job } from './job';
import { lacksForCoat } from './lacking';
import { clockWait, isLaid, loggedAt, nextStep, type StashNeed, type Station, type StationStep } from './station';
import { stepText } from './step';

const LAY_MINUTES = 15;

export const lay: Station<'lay', 'surface' | 'method'> = {
  id: 'lay',
  answer: ({ job, now, atHand }, { surface: { record, blank, print }, method: { binder } }) => {
    const room = typedRoom(job);
    const through = binder ? roomThrough(job, room, now, atHand) : null;
    if (!record || !blank || !print || !binder) return { room, through, laying: null };
    const laidIn = through && !isLaid(job) ? airAtStart(through.course, room) : room;
    return { room, through, laying: planLaying(job, { surface: record, blank, print, binder, room: laidIn }) };
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
  ripeAt: (step, _, { cure: { clock, peel } }) => {
    if (step.kind !== 'lay' || !clock) return null;
    return peel ? clock.earliestAt : clock.likelyAt;
  },
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
  if (school?.hot) minded.push('heat-set');
  if (wait?.rule === 'oven') minded.push('oven');
  if (school?.knife) minded.push('knife');
  if (wait?.warnings.includes('too-cold') || wait?.warnings.includes('cold-hours')) minded.push('cold-film');
  if (wait?.warnings.includes('damp')) minded.push('damp-air');
  if (binder?.wet) minded.push('back-of-paper', 'brushes', 'label-first');
  return minded;
}

function steps(_: Job, plan: PiecePlan): StationStep[] {
  const {
    method,
    lay: { laying },
    cure: { wait },
  } = plan;
  const { binder, school } = method;
  if (!school || !binder || !laying || !wait) return [];
  const bed: StationStep[] =
    laying.coat.bed && binder.bedCoat
      ? [
          {
            step: { kind: 'bed' },
            title: { code: 'bed' },
            minutes: LAY_MINUTES,
            wait: clockWait(binder.bedCoat.dryHours),
          },
        ]
      : [];
  return [
    ...bed,
    {
      step: { kind: 'lay' },
      title: binder.wet ? { code: 'lay' } : { code: 'lay-dry', school: school.id },
      minutes: LAY_MINUTES + Math.round(laying.spreadMinutes),
      wait: cureStepWait(wait, school.window),
      attended: wait.rule === 'oven',
    },
  ];
}

interface Laid {
  surface: SurfaceRecord;
  blank: Blank;
  print: PrintPlan;
  binder: BinderRecord;
  room: Room;
}

function planLaying(job: Job, { surface, blank, print, binder, room }: Laid): LayPlan {
  const { filmUm, faces, extendMm } = job.lay;
  const coat = coatAmount({ blank, print: print.formed.landed, binder, surface, filmUm, faces, extendMm });
  return {
    coat,
    steps: layingSteps(coat, binder, surface, print.rect, extendMm),
    filmUm: filmUm ?? nominalFilmUm(binder),
    room,
    openMinutes: openMinutes(binder, room),
    spreadMinutes: Math.max(...coat.faces.map((face) => spreadMinutes(face.areaMm2)), 0),
  };
}
