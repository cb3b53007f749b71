import {
  groundOf,
  printById,
  schoolById,
  purposeOf,
  type CautionId,
  type SchoolRecord,
  type SheenId,
} from '@/core/craft';
import { usualPrint } from '@/core/at-hand';
import { placesOf } from '@/core/coat';
import {
  CONDITIONS_MET_BY,
  keptToner,
  rankMethods,
  type Candidate,
  type ConditionCode,
  type KeptToner,
} from '@/core/method';
import { lightnessOf } from '@/core/colour';
import { areaMm2 } from '@/core/shape';
import { MS_PER_HOUR } from '@/core/shared';
import { typedRoom } from './air';
import type { MethodAnswer, SurfaceAnswer } from './answers';
import { dueAt, type Job } from './job';
import { letteringOf } from './picture';
import { lacksKind, lacksMethod } from './lacking';
import { WITHOUT_STEPS, isLaid, nextStep, type Setting, type Station } from './station';

/** What is reckoned with before the picture and the blank are known: a letter page. */
const DEFAULT_PRINT_AREA_MM2 = 215.9 * 279.4;

export const method: Station<'method', 'surface'> = {
  ...WITHOUT_STEPS,
  id: 'method',
  answer,
  missing: (_, plan) => {
    const kind = lacksKind(plan);
    return kind.length > 0 ? kind : lacksMethod(plan);
  },
  state: (_, plan) => {
    if (plan.method.chosen?.verdict === 'refused') return 'doubtful';
    return plan.method.binder === null ? 'not-yet' : 'done';
  },
  isBehind: isLaid,
  next: () => nextStep('choose-method', 'method'),
  cautions: (_, { surface, method: { school, chosen } }) => {
    const cautions: CautionId[] = ['label-first'];
    if ((school ?? chosen?.school)?.hot) cautions.push('heat-set');
    if (surface.record?.ledOnly) cautions.push('no-flame');
    return cautions;
  },
};

function answer({ job, now, atHand }: Setting, { surface }: { surface: SurfaceAnswer }): MethodAnswer {
  const printKind = printById(job.method.print ?? usualPrint(atHand.printer));
  const candidates = surface.record
    ? rankMethods({
        surface: surface.record,
        room: typedRoom(job),
        print: printKind,
        finish: job.surface.finish,
        groundLightness: lightnessOf(surface.groundColour),
        hasBaseCoat: job.surface.baseCoat !== 'none',
        ground: surface.ground ?? groundOf(surface.record, job.surface),
        places: surface.print?.coat ?? placesOf(windowArea(surface)),
        reachedMm2: surface.print?.reachedMm2 ?? windowArea(surface),
        lettering: letteringOf(job) === 'yes',
        whites: job.method.whites,
        use: purposeOf(surface.record, job.seal.use),
        waitBy: job.cure.waitBy,
        hoursLeft: hoursLeft(job.dueOn, now),
        look: job.method.look,
        atHand,
      })
    : [];
  const chosen =
    candidates.find(({ binder, school }) => binder.id === job.method.binder && school.id === job.method.school) ?? null;
  const usable = chosen && chosen.verdict !== 'refused' ? chosen : null;
  return {
    printKind,
    candidates,
    chosen,
    binder: usable?.binder ?? null,
    school: usable ? schoolById(usable.school.id) : null,
    open: usable ? openConditions(job, usable) : [],
    mirrored: usable?.school.mirrored ?? true,
    kept: usable
      ? keptToner(schoolById(usable.school.id), usable.binder, {
          print: printKind,
          finish: job.surface.finish,
          hasBaseCoat: job.surface.baseCoat !== 'none',
        })
      : ALL_KEPT,
    sheen: job.seal.sheen ?? sheenFor(usable?.school ?? null),
  };
}

/** Of what a method asks for, what no step of the run meets and was not answered of this surface. */
function openConditions({ method: { settled }, surface: { kind } }: Job, { conditions }: Candidate): ConditionCode[] {
  const isSettled = (code: ConditionCode) =>
    settled.some(({ condition, surface: of }) => condition === code && of === kind);
  return conditions.filter((code) => CONDITIONS_MET_BY[code] !== 'step' && !isSettled(code));
}

const ALL_KEPT: KeptToner = { share: 1, worn: 0, cloud: 0 };

/** Gloss where the school leaves paper that only gloss clears. */
const sheenFor = (school: SchoolRecord | null): SheenId => (school?.glossClears ? 'gloss' : 'matte');

function windowArea({ window }: SurfaceAnswer): number {
  return window ? areaMm2(window) : DEFAULT_PRINT_AREA_MM2;
}

function hoursLeft(dueOn: string | null, now: number): number | null {
  const due = dueAt(dueOn);
  return due === null ? null : (due - now) / MS_PER_HOUR;
}
