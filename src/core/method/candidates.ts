/**
 * Which school and binder for this piece. Every pair of a school and a binder it works with gets an answer: works, works if something is
 * done first, or refused; the ones that work are ranked by points, each with its reason. Points are judgement put in figures
 * (source: bench practice): 50 to begin with, and no single wish outweighs how the binder suits the surface.
 */
import { SCHOOLS, binderFor, type BinderRecord, type SchoolRecord } from '@/core/craft';
import { coatVolumeMl } from '@/core/coat';
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
  /** Figures to compare by; null for refused. */
  figures: { waitHours: number; minutes: number; passes: number; kept: number; mediumMl: number; cost: number | null } | null;
}

const START_POINTS = 50;
const CONDITION_POINTS = -12;

export function rankMethods(context: MethodContext): Candidate[] {
  return SCHOOLS.flatMap((school) => school.binders.map((id) => judge(school, binderFor(id, school, context.atHand.labels[id] ?? null), context)))
    .sort((a, b) => b.score - a.score || a.binder.name.localeCompare(b.binder.name));
}

function judge(school: SchoolRecord, binder: BinderRecord, context: MethodContext): Candidate {
  const refusal = refusalFor(school, binder, context);
  if (refusal) return { school, binder, verdict: 'refused', refusal, conditions: [], reasons: [], score: 0, figures: null };
  const conditions = conditionsFor(school, binder, context);
  const figures = figuresOf(binder, context);
  const reasons = [
    ...REASONERS.flatMap((reasoner) => reasoner(binder, context, school)),
    ...conditions.map((text) => ({ points: CONDITION_POINTS, text })),
  ].sort((a, b) => Math.abs(b.points) - Math.abs(a.points));
  const score = clamp(Math.round(reasons.reduce((total, { points }) => total + points, START_POINTS)), 1, 100);
  return { school, binder, verdict: conditions.length ? 'works-if' : 'works', refusal: null, conditions, reasons, score, figures };
}

function figuresOf(binder: BinderRecord, { surface, room, school, print, areaMm2, atHand }: MethodContext): NonNullable<Candidate['figures']> {
  const rub = rubPlan({ binder, print, areaMm2, room, passes: null });
  const mediumMl = coatVolumeMl(binder, surface, areaMm2);
  const price = atHand.pricePerMl[binder.id];
  return {
    waitHours: cureWait({ binder, surface, filmUm: null, room, school, labelHours: null }).likelyHours + (binder.bedCoat?.dryHours ?? 0),
    minutes: rub.minutesTotal, passes: rub.passes.length, kept: binder.tonerKept, mediumMl, cost: price === undefined ? null : price * mediumMl,
  };
}

const REASONERS: readonly Reasoner[] = [whites, surfaceFit, clarity, look, time, fingers, wear, skill, atHandReasons, costReasons, traced];

type Reasoner = (binder: BinderRecord, context: MethodContext, school: SchoolRecord) => Reason[];

const LOOK_WORDS = { crisp: 'Lands crisp, as you want it.', soft: 'Lands soft, as you want it.', distressed: 'Lands worn, as you want it.' } as const;

function look(_: BinderRecord, { look: wanted }: MethodContext, school: SchoolRecord): Reason[] {
  if (wanted === 'any') return [];
  return school.looks.includes(wanted) ? [{ points: 9, text: LOOK_WORDS[wanted] }] : [{ points: -9, text: `Does not land ${wanted}: more ${school.looks[0]}.` }];
}

function atHandReasons(_: BinderRecord, { print, atHand }: MethodContext, school: SchoolRecord): Reason[] {
  const found: Reason[] = [];
  const usual = atHand.printer === 'inkjet' ? 'inkjet' : 'toner';
  if (print.printer !== usual) found.push({ points: -5, text: print.printer === 'toner' ? 'Needs a toner print: a copy shop makes it.' : 'Needs an inkjet printer, which you did not name.' });
  if (print.id !== 'laser-plain' && !atHand.papers.includes(print.id)) found.push({ points: -6, text: `Needs paper you do not have: ${print.name.charAt(0).toLowerCase()}${print.name.slice(1)}.` });
  if (school.removal === 'peel' || school.removal === 'lift') found.push({ points: 4, text: 'No rubbing: the sheet comes off whole.' });
  return found;
}

const CHEAP = 1;

function costReasons(binder: BinderRecord, { surface, areaMm2, atHand }: MethodContext): Reason[] {
  const price = atHand.pricePerMl[binder.id];
  if (price === undefined) return [];
  const cost = price * coatVolumeMl(binder, surface, areaMm2);
  return [{ points: Math.round(clamp(2 - cost / CHEAP, -6, 2)), text: `Medium for about ${cost.toFixed(2)} from your stash.` }];
}

function traced(_: BinderRecord, { lettering }: MethodContext, school: SchoolRecord): Reason[] {
  if (school.id !== 'G') return [];
  return lettering ? [{ points: -16, text: 'Good for lettering and outlines; not for the rest of a picture.' }] : [{ points: -30, text: 'Only outlines can be traced: a photo can’t.' }];
}

function whites({ base }: BinderRecord, { whites: wanted, groundLightness }: MethodContext): Reason[] {
  const found: Reason[] = [];
  if (wanted === 'stay-white') found.push(base === 'white' ? { points: 18, text: 'White stays white, as you want it.' } : { points: -14, text: 'White areas will show the surface; you want them white.' });
  if (wanted === 'surface-shows') found.push(base === 'clear' ? { points: 14, text: 'The surface shows in the whites, as you want it.' } : { points: -18, text: 'Hides the surface under white.' });
  if (groundLightness < DARK_GROUND_LIGHTNESS) found.push(base === 'white' ? { points: 16, text: 'Its white ground carries the picture on this dark surface.' } : { points: -16, text: 'On this dark ground a clear binder leaves the picture dull.' });
  return found;
}

function surfaceFit(binder: BinderRecord, { surface, finish, hasBaseCoat }: MethodContext, school: SchoolRecord): Reason[] {
  const found: Reason[] = [];
  const bareWood = surface.class === 'wood' && finish === 'bare' && !hasBaseCoat;
  if (binder.id === 'fluid-gel' && school.removal === 'rub') found.push({ points: 10, text: 'Penetrates well, into paper and surface alike.' });
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
  if (hours === 0) return [{ points: 4, text: 'No waiting: done at one sitting.' }];
  const shown = hours < 3 ? `${Math.round(hours * 60)} min` : `${Math.round(hours)} h`;
  if (hoursLeft === null) return [{ points: Math.round(4 - hours / 6), text: `Ready to rub after about ${shown} in this room.` }];
  if (hours + SEAL_AND_FINISH_HOURS > hoursLeft) return [{ points: -20, text: `Needs about ${shown} before rubbing, and about 12 h more to finish: later than the due date.` }];
  return [{ points: hoursLeft < 3 * HOURS_PER_DAY ? Math.round(10 - hours / 4) : Math.round(4 - hours / 6), text: `Ready to rub after about ${shown}: in time.` }];
}

const EASY_MINUTES = 20;

function fingers(binder: BinderRecord, { print, areaMm2, room }: MethodContext): Reason[] {
  const { minutesTotal, passes } = rubPlan({ binder, print, areaMm2, room, passes: null });
  if (passes.length === 0) return [{ points: 3, text: 'Nothing to rub.' }];
  return [{ points: Math.round(clamp((EASY_MINUTES - minutesTotal) / 6, -10, 3)), text: `About ${minutesTotal} min of rubbing in ${passes.length} ${passes.length === 1 ? 'pass' : 'passes'}.` }];
}

function wear({ washable, id }: BinderRecord, { use }: MethodContext): Reason[] {
  if (use === 'cloth') return washable ? [{ points: 14, text: 'Washable on cloth.' }] : [];
  if ((use === 'handled' || use === 'table-top') && id === 'glue-sealer') return [{ points: -10, text: 'Stays soft: poor under wear.' }];
  if ((use === 'handled' || use === 'table-top') && id === 'polyurethane') return [{ points: 6, text: 'Hard enough for wear.' }];
  return [];
}

function skill({ skill: level }: BinderRecord, { atHand }: MethodContext): Reason[] {
  if (level === 1) return [{ points: 4, text: 'Forgiving for a first piece.' }];
  const lacking = level - atHand.skill;
  return lacking > 0 ? [{ points: -5 * lacking, text: 'Asks for more practice than you say you have.' }] : level === 3 ? [{ points: -2, text: 'Asks for practice.' }] : [];
}
