import {
  OVEN_CYCLES,
  cureClock,
  cureWait,
  ovenById,
  ovenCondition,
  ovenHours,
  ovenRefusal,
  peelWindow,
  plainWait,
  signsSayDry,
  type CureWait,
  type OvenPiece,
} from '@/core/cure';
import { nominalFilmUm, recipeStepOf, type CautionId, type RecipeWait } from '@/core/craft';
import type { CureAnswer, LayAnswer, MethodAnswer, SurfaceAnswer } from './answers';
import type { Job } from './job';
import { lacksKind, lacksMethod } from './lacking';
import { isRubbed, rubNext } from './rub';
import { WITHOUT_STEPS, isLaid, need, never, type Setting, type Station } from './station';

const isRubbing = ({ rub }: Job): boolean => rub.done.length > 0 || rub.finishedAt !== null;

export const cure: Station<'cure', 'surface' | 'method' | 'lay'> = {
  ...WITHOUT_STEPS,
  id: 'cure',
  answer,
  missing: (job, plan) => [...lacksKind(plan), ...lacksMethod(plan), ...need(!isLaid(job), 'not-laid', 'lay')],
  state: (job, plan) => {
    const { wait, clock } = plan.cure;
    if (isLaid(job) && job.rub.done.length === 0 && (wait?.warnings.length ?? 0) > 0) return 'doubtful';
    if (isLaid(job) && (isRubbing(job) || isRubbed(job, plan))) return 'done';
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
  { surface: { record, ground }, method: { binder, school }, lay }: Before,
): CureAnswer {
  const bridged = lay.through?.course.bridged ?? [];
  if (!record || !ground || !binder || !school)
    return { kind: null, wait: null, clock: null, ovens: [], peel: null, bridged };
  const recipe = recipeStepOf(school, 'lay')?.wait ?? { kind: 'none' };
  const { filmUm, laidAt } = job.lay;
  const plain = waitWithoutCoat(recipe, lay);
  const { finish, baseCoat, bakeSafe } = job.surface;
  const piece: OvenPiece = { surface: record, finish, baseCoat, bakeSafe, binder, limitC: atHand.ovenLimitC };
  const inHeatUm = filmUm ?? nominalFilmUm(binder);
  const wanted = job.cure.oven ? ovenById(job.cure.oven) : null;
  const wait =
    plain ??
    cureWait({
      binder,
      ground,
      filmUm,
      room: lay.room,
      waitBy: job.cure.waitBy,
      labelHours: job.cure.labelHours,
      through: lay.through,
      signs: laidAt === null ? [] : job.cure.signs,
      oven: wanted && ovenRefusal(piece, wanted) === null && recipe.kind === 'dry' ? wanted : null,
    });
  return {
    kind: recipe.kind,
    wait,
    clock:
      laidAt === null
        ? null
        : cureClock(
            wait,
            laidAt,
            now,
            recipe.kind === 'window' || (wait.rule === 'sign' && signsSayDry(job.cure.signs)),
          ),
    ovens: plain
      ? []
      : OVEN_CYCLES.map((cycle) => ({
          cycle,
          refusal: ovenRefusal(piece, cycle),
          condition: ovenCondition(piece, cycle),
          hours: ovenHours(cycle, inHeatUm),
        })),
    peel: peelWindow(school, binder, wait),
    bridged,
  };
}

/** A recipe's wait that has no coat under a sheet; null where it has one. */
function waitWithoutCoat(recipe: RecipeWait, { room }: LayAnswer): CureWait | null {
  if (recipe.kind === 'none') return plainWait('none', 0, room);
  if (recipe.kind === 'soak' || recipe.kind === 'cool') return plainWait(recipe.kind, recipe.minutes / 60, room);
  return 'hours' in recipe ? plainWait('open', recipe.hours, room) : null;
}
