import { OVEN_CYCLES, cureClock, cureWait, ovenById, ovenRefusal, peelWindow, type OvenPiece } from '@/core/cure';
import type { CautionId } from '@/core/craft';
import type { CureAnswer, LayAnswer, MethodAnswer, SurfaceAnswer } from './answers';
import type { Job } from './job';
import { lacksKind, lacksMethod } from './lacking';
import { rubNext } from './rub';
import { WITHOUT_STEPS, isLaid, need, never, type Setting, type Station } from './station';

const isRubbing = ({ rub }: Job): boolean => rub.done.length > 0 || rub.finishedAt !== null;

export const cure: Station<'cure', 'surface' | 'method' | 'lay'> = {
  ...WITHOUT_STEPS,
  id: 'cure',
  answer,
  missing: (job, plan) => [...lacksKind(plan), ...lacksMethod(plan), ...need(!isLaid(job), 'not-laid', 'lay')],
  state: (job, { cure: { wait, clock } }) => {
    if (isLaid(job) && job.rub.done.length === 0 && (wait?.warnings.length ?? 0) > 0) return 'doubtful';
    if (isLaid(job) && isRubbing(job)) return 'done';
    if (!clock) return 'not-yet';
    return clock.wetness === 'wet' || clock.wetness === 'tacky' ? 'waiting' : 'ready';
  },
  isBehind: never,
  next: rubNext,
  cautions: (job, { surface: { record }, cure: { wait, ovens } }) => {
    const minded: CautionId[] = [];
    if (wait?.warnings.includes('too-cold') || wait?.warnings.includes('cold-hours')) minded.push('cold-film');
    if (wait?.warnings.includes('damp')) minded.push('damp-air');
    if (ovens.some(({ cycle, refusal }) => cycle.id === job.cure.oven && refusal === null))
      minded.push('oven', ...(record?.sharpEdges ? (['glass-edges'] as const) : []));
    return [...minded, 'label-first'];
  },
};

interface Before {
  surface: SurfaceAnswer;
  method: MethodAnswer;
  lay: LayAnswer;
}

function answer(
  { job, now, atHand }: Setting,
  { surface: { record }, method: { binder, school }, lay }: Before,
): CureAnswer {
  if (!record || !binder)
    return { wait: null, clock: null, ovens: [], peel: null, bridged: lay.through?.course.bridged ?? [] };
  const { filmUm, laidAt } = job.lay;
  const { finish, baseCoat } = job.surface;
  const piece: OvenPiece = { surface: record, finish, baseCoat, binder, limitC: atHand.ovenLimitC };
  const wanted = job.cure.oven ? ovenById(job.cure.oven) : null;
  const wait = cureWait({
    binder,
    surface: record,
    filmUm,
    room: lay.room,
    school: job.cure.school,
    labelHours: job.cure.labelHours,
    through: lay.through,
    signs: laidAt === null ? [] : job.cure.signs,
    oven: wanted && ovenRefusal(piece, wanted) === null ? wanted : null,
  });
  return {
    wait,
    clock: laidAt === null ? null : cureClock(wait, laidAt, now),
    ovens: OVEN_CYCLES.map((cycle) => ({ cycle, refusal: ovenRefusal(piece, cycle) })),
    peel: peelWindow(school, binder, wait),
    bridged: lay.through?.course.bridged ?? [],
  };
}
