/**
 * Which school and binder for this piece. Every pair of the wet face-down schools gets an answer: works, works if something is
 * done first, or refused; the ones that work are ranked by points, each with its reason. Points are judgement put in figures
 * (source: bench practice): 50 to begin with, and no single wish outweighs how the binder suits the surface.
 */
import { SCHOOLS, binderById, type BinderRecord, type SchoolRecord } from '@/core/craft';
import { cureWait } from '@/core/cure';
import { rubPlan } from '@/core/rub';
import { clamp } from '@/core/shared';
import { DARK_GROUND_LIGHTNESS, conditionsFor } from './conditions';
import type { MethodContext } from './context';
import { refusalFor, type Refusal } from './refusals';

export interface Reason { points: number; text: string }

export interface Candidate {
  school: SchoolRecord;
  binder: BinderRecord;
  verdict: 'works' | 'works-if' | 'refused';
  refusal: Refusal | null;
  conditions: readonly string[];
  reasons: readonly Reason[];
  /** 0–100; 0 for refused. */
  score: number;
}

const START_POINTS = 50;
const CONDITION_POINTS = -12;

export function rankMethods(context: MethodContext): Candidate[] {
  return SCHOOLS.flatMap((school) => school.binders.map((id) => judge(school, binderById(id), context)))
    .sort((a, b) => b.score - a.score || a.binder.name.localeCompare(b.binder.name));
}

function judge(school: SchoolRecord, binder: BinderRecord, context: MethodContext): Candidate {
  const refusal = refusalFor(school, binder, context);
  if (refusal) return { school, binder, verdict: 'refused', refusal, conditions: [], reasons: [], score: 0 };
  const conditions = conditionsFor(binder, context);
  const reasons = [
    ...REASONERS.flatMap((reasoner) => reasoner(binder, context)),
    ...conditions.map((text) => ({ points: CONDITION_POINTS, text })),
  ].sort((a, b) => Math.abs(b.points) - Math.abs(a.points));
  const score = clamp(Math.round(reasons.reduce((total, { points }) => total + points, START_POINTS)), 1, 100);
  return { school, binder, verdict: conditions.length ? 'works-if' : 'works', refusal: null, conditions, reasons, score };
}

const REASONERS: readonly Reasoner[] = [whites, surfaceFit, clarity, time, fingers, wear, skill];

type Reasoner = (binder: BinderRecord, context: MethodContext) => Reason[];

function whites({ base }: BinderRecord, { whites: wanted, groundLightness }: MethodContext): Reason[] {
  const found: Reason[] = [];
  if (wanted === 'stay-white') found.push(base === 'white' ? { points: 18, text: 'White stays white, as you want it.' } : { points: -14, text: 'White areas will show the surface; you want them white.' });
  if (wanted === 'surface-shows') found.push(base === 'clear' ? { points: 14, text: 'The surface shows in the whites, as you want it.' } : { points: -18, text: 'Hides the surface under white.' });
  if (groundLightness < DARK_GROUND_LIGHTNESS) found.push(base === 'white' ? { points: 16, text: 'Its white ground carries the picture on this dark surface.' } : { points: -16, text: 'On this dark ground a clear binder leaves the picture dull.' });
  return found;
}

function surfaceFit(binder: BinderRecord, { surface, finish, hasBaseCoat }: MethodContext): Reason[] {
  const found: Reason[] = [];
  const bareWood = surface.class === 'wood' && finish === 'bare' && !hasBaseCoat;
  if (binder.id === 'fluid-gel') found.push({ points: 10, text: 'Penetrates well, into paper and surface alike.' });
  if (binder.id === 'heavy-gel') {
    found.push(surface.textureMm >= 0.3 ? { points: 9, text: 'Its body fills grain and weave.' } : { points: 3, text: 'Fewer bubbles and wrinkles, but harder to spread.' });
  }
  if (binder.id === 'furniture-gel') found.push(surface.class === 'painted' || hasBaseCoat ? { points: 12, text: 'Made for painted faces; hides the print’s outline.' } : { points: -6, text: 'Meant for painted faces.' });
  if (binder.id === 'acrylic-varnish' && bareWood) found.push({ points: 6, text: 'At its best on bare soft wood.' });
  if (binder.id === 'polyurethane') found.push({ points: 2, text: 'The dried first coat evens out the ground.' });
  if (binder.base === 'white' && surface.class === 'fabric') found.push({ points: 12, text: 'Bends and lasts on fabric.' });
  return found;
}

function clarity({ tonerKept }: BinderRecord, { lettering }: MethodContext): Reason[] {
  const points = Math.round((tonerKept - 0.9) * (lettering ? 160 : 100));
  const percent = Math.round(tonerKept * 100);
  if (points >= 0) return [{ points, text: `Keeps about ${percent} % of the toner: dark and clear${lettering ? ', which lettering needs' : ''}.` }];
  return [{ points, text: `Loses toner in rubbing (keeps about ${percent} %)${lettering ? ': thin strokes of lettering suffer' : ': a paler, more worn look'}.` }];
}

const SEAL_AND_FINISH_HOURS = 12;
const HOURS_PER_DAY = 24;

function time(binder: BinderRecord, { surface, room, school, hoursLeft }: MethodContext): Reason[] {
  const wait = cureWait({ binder, surface, filmUm: null, room, school, labelHours: null });
  const bed = binder.bedCoat?.dryHours ?? 0;
  const hours = wait.likelyHours + bed;
  const shown = hours < 3 ? `${Math.round(hours * 60)} min` : `${Math.round(hours)} h`;
  if (hoursLeft === null) return [{ points: Math.round(4 - hours / 6), text: `Ready to rub after about ${shown} in this room.` }];
  if (hours + SEAL_AND_FINISH_HOURS > hoursLeft) return [{ points: -20, text: `Needs about ${shown} before rubbing, and about 12 h more to finish: later than the due date.` }];
  return [{ points: hoursLeft < 3 * HOURS_PER_DAY ? Math.round(10 - hours / 4) : Math.round(4 - hours / 6), text: `Ready to rub after about ${shown}: in time.` }];
}

const EASY_MINUTES = 20;

function fingers(binder: BinderRecord, { print, areaMm2, room }: MethodContext): Reason[] {
  const { minutesTotal, passes } = rubPlan({ binder, print, areaMm2, room, passes: null });
  return [{ points: Math.round(clamp((EASY_MINUTES - minutesTotal) / 6, -10, 3)), text: `About ${minutesTotal} min of rubbing in ${passes.length} passes.` }];
}

function wear({ washable, id }: BinderRecord, { use }: MethodContext): Reason[] {
  if (use === 'cloth') return washable ? [{ points: 14, text: 'Washable on cloth.' }] : [];
  if ((use === 'handled' || use === 'table-top') && id === 'glue-sealer') return [{ points: -10, text: 'Stays soft: poor under wear.' }];
  if ((use === 'handled' || use === 'table-top') && id === 'polyurethane') return [{ points: 6, text: 'Hard enough for wear.' }];
  return [];
}

function skill({ skill: level }: BinderRecord): Reason[] {
  if (level === 1) return [{ points: 4, text: 'Forgiving for a first piece.' }];
  return level === 3 ? [{ points: -4, text: 'Asks for practice.' }] : [];
}
