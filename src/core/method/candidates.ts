/**
 * Which school and binder for this piece. Every pair of a school and a binder it works with gets an answer: works,
 * works if something is done first, or refused; the ones that work are ranked by points, each with its reason. Points
 * are judgement put in figures (source: bench practice): 50 to begin with, and no single wish outweighs how the binder
 * suits the surface.
 */
import {
  SCHOOLS,
  binderFor,
  recipeStepOf,
  sealedGround,
  sealerById,
  type BinderRecord,
  type PrintId,
  type SchoolRecord,
} from '@/core/craft';
import { coatAmount } from '@/core/coat';
import { bedHours, cureWait, plainWait } from '@/core/cure';
import { rubPlan, type RubPlan } from '@/core/rub';
import { defaultSealer, sealPlan, sealerAsBought } from '@/core/seal';
import { clamp, sum } from '@/core/shared';
import { DARK_GROUND_LIGHTNESS, STRONG_GRAIN_MM, conditionsFor, type ConditionCode } from './conditions';
import type { LookWanted, MethodContext } from './context';
import { keptToner } from './kept';
import { isBare, refusalFor, type Refusal } from './refusals';

/** A point for or against, with the figures its sentence says. */
export type Reason = { points: number } & ReasonFact;

type ReasonFact =
  | { code: 'condition'; condition: ConditionCode }
  | { code: 'look-lands' | 'look-lands-not'; wanted: Exclude<LookWanted, 'any'>; lands: SchoolRecord['looks'][number] }
  | { code: 'needs-toner' | 'needs-inkjet' }
  | { code: 'needs-paper'; print: PrintId }
  | { code: 'comes-off-whole' }
  | { code: 'costs'; cost: number }
  | { code: 'outlines-only' }
  | { code: 'white-stays' | 'white-shows-surface' | 'surface-shows' | 'surface-hidden' }
  | { code: 'carries-on-dark' | 'dull-on-dark' }
  | { code: 'penetrates' | 'fills-texture' | 'few-bubbles' | 'made-for-paint' | 'meant-for-paint' }
  | { code: 'best-on-bare-wood' | 'bed-evens-ground' | 'lasts-on-fabric' }
  | { code: 'keeps-toner' | 'loses-toner'; keptShare: number; lettering: boolean }
  | { code: 'no-waiting' }
  | { code: 'ready-after' | 'ready-in-time' | 'too-late'; hours: number }
  | { code: 'nothing-to-rub' }
  | { code: 'rubbing'; minutes: number; passes: number }
  | { code: 'washable' | 'soft-under-wear' | 'hard-enough' }
  | { code: 'forgiving' | 'lacks-practice' | 'asks-for-practice' };

export interface Candidate {
  school: SchoolRecord;
  binder: BinderRecord;
  verdict: 'works' | 'works-if' | 'refused';
  refusal: Refusal | null;
  conditions: readonly ConditionCode[];
  reasons: readonly Reason[];
  /** 0–100; 0 for refused. */
  score: number;
  /** Figures to compare by; null for refused. */
  figures: MethodFigures | null;
}

interface MethodFigures {
  waitHours: number;
  /** Waits after it: between passes, after the last, of paint, and of the sealer until it is dry to the touch. */
  finishHours: number;
  minutes: number;
  passes: number;
  kept: number;
  mediumMl: number;
  cost: number | null;
}

/** What a candidate is judged by: the pair, and how the piece is rubbed and dried with it. */
interface Judged {
  school: SchoolRecord;
  binder: BinderRecord;
  context: MethodContext;
  figures: MethodFigures;
}

type Reasoner = (judged: Judged) => Reason[];

/** Where every candidate begins. */
export const START_POINTS = 50;
const CONDITION_POINTS = -12;
/** What is risked, not only prepared. */
const RISK_POINTS = -36;
const pointsOf = (condition: ConditionCode): number =>
  condition === 'much-paler-ink' ? RISK_POINTS : CONDITION_POINTS;

export function rankMethods(context: MethodContext): Candidate[] {
  return SCHOOLS.flatMap((school) =>
    school.binders.map((id) =>
      judge(school, binderFor(id, school, context.print, context.atHand.labels[id] ?? null), context),
    ),
  ).sort((a, b) => b.score - a.score);
}

/** Every reason counts on its own: the score is their sum on top of the points to begin with. */
function judge(school: SchoolRecord, binder: BinderRecord, context: MethodContext): Candidate {
  const refusal = refusalFor(school, binder, context);
  if (refusal)
    return { school, binder, verdict: 'refused', refusal, conditions: [], reasons: [], score: 0, figures: null };
  const conditions = conditionsFor(school, binder, context);
  const figures = figuresOf(school, binder, context);
  const judged: Judged = { school, binder, context, figures };
  const reasons = [
    ...REASONERS.flatMap((reasoner) => reasoner(judged)),
    ...conditions.map((condition): Reason => ({ points: pointsOf(condition), code: 'condition', condition })),
  ].sort((a, b) => Math.abs(b.points) - Math.abs(a.points));
  const score = clamp(Math.round(reasons.reduce((total, { points }) => total + points, START_POINTS)), 1, 100);
  const verdict = conditions.length > 0 ? 'works-if' : 'works';
  return { school, binder, verdict, refusal: null, conditions, reasons, score, figures };
}

function figuresOf(school: SchoolRecord, binder: BinderRecord, context: MethodContext): MethodFigures {
  const { surface, ground, room, print, places, reachedMm2, atHand } = context;
  const under = binder.bedCoat ? sealedGround(surface) : ground;
  const rub = rubPlan({ binder, print, ground: under, areaMm2: reachedMm2, room, passes: null });
  const mediumMl = coatAmount({ places, binder, ground, filmUm: null, faces: null }).totalMl;
  const price = atHand.pricePerMl[binder.id];
  return {
    waitHours: laidHours(school, binder, context) + bedHours(binder, room, ground),
    finishHours: finishHours(school, binder, rub, context),
    minutes: rub.minutesTotal,
    passes: rub.passes.length,
    kept: keptToner(school, binder, context).share,
    mediumMl,
    cost: price === undefined ? null : price * mediumMl,
  };
}

/** From laying until it can be worked on, h. */
function laidHours(school: SchoolRecord, binder: BinderRecord, { ground, room, waitBy }: MethodContext): number {
  const wait = recipeStepOf(school, 'lay')?.wait ?? { kind: 'none' };
  if (wait.kind === 'soak' || wait.kind === 'cool') return wait.minutes / 60;
  if (wait.kind === 'none') return 0;
  if ('hours' in wait) return plainWait('open', wait.hours, room).likelyHours;
  return cureWait({ binder, ground, filmUm: null, room, waitBy, labelHours: null }).likelyHours;
}

const PAINT_DRIES_HOURS = 0.75;

function finishHours(
  school: SchoolRecord,
  binder: BinderRecord,
  { passes }: RubPlan,
  { surface, use, room }: MethodContext,
): number {
  const dries = sum(passes.map(({ dryMinutes }) => dryMinutes / 60));
  const sheen = school.glossClears ? 'gloss' : 'matte';
  const { sealsItself } = school;
  const id = defaultSealer({ use, sheen, binder, fabric: surface.class === 'fabric', sealsItself });
  if (!id) return dries + PAINT_DRIES_HOURS;
  const { coats, betweenHours, touchHours } = sealPlan(sealerAsBought(sealerById(id), binder), 0, room, null);
  return dries + PAINT_DRIES_HOURS + (coats > 0 ? (coats - 1) * betweenHours + touchHours : 0);
}

function look({ school, context: { look: wanted } }: Judged): Reason[] {
  if (wanted === 'any') return [];
  const lands = school.looks[0]!;
  return school.looks.includes(wanted)
    ? [{ points: 9, code: 'look-lands', wanted, lands }]
    : [{ points: -9, code: 'look-lands-not', wanted, lands }];
}

function atHandReasons({ school, context: { print, atHand } }: Judged): Reason[] {
  const reasons: Reason[] = [];
  const usual = atHand.printer === 'inkjet' ? 'inkjet' : 'toner';
  if (print.printer !== usual)
    reasons.push({ points: -5, code: print.printer === 'toner' ? 'needs-toner' : 'needs-inkjet' });
  if (!print.everywhere && !atHand.papers.includes(print.id))
    reasons.push({ points: -6, code: 'needs-paper', print: print.id });
  if (school.removal === 'peel' || school.removal === 'lift') reasons.push({ points: 4, code: 'comes-off-whole' });
  return reasons;
}

/** Medium for up to this is cheap; each as much more costs a point. */
const CHEAP = 1;

const costReasons = ({ figures: { cost } }: Judged): Reason[] =>
  cost === null ? [] : [{ points: Math.round(clamp(2 - cost / CHEAP, -6, 2)), code: 'costs', cost }];

const traced = ({ school }: Judged): Reason[] => (school.traced ? [{ points: -16, code: 'outlines-only' }] : []);

function whites({ binder: { base }, context: { whites: wanted, groundLightness } }: Judged): Reason[] {
  const reasons: Reason[] = [];
  const opaque = base === 'white';
  if (wanted === 'stay-white')
    reasons.push(opaque ? { points: 18, code: 'white-stays' } : { points: -14, code: 'white-shows-surface' });
  if (wanted === 'surface-shows')
    reasons.push(opaque ? { points: -18, code: 'surface-hidden' } : { points: 14, code: 'surface-shows' });
  if (groundLightness < DARK_GROUND_LIGHTNESS)
    reasons.push(opaque ? { points: 16, code: 'carries-on-dark' } : { points: -16, code: 'dull-on-dark' });
  return reasons;
}

function surfaceFit({ school, binder, context: { surface, finish, hasBaseCoat } }: Judged): Reason[] {
  const reasons: Reason[] = [];
  const bareWood = surface.class === 'wood' && isBare(finish, hasBaseCoat);
  if (binder.penetrates && school.removal === 'rub') reasons.push({ points: 10, code: 'penetrates' });
  if (binder.fillsTexture) {
    const textured = surface.textureMm >= STRONG_GRAIN_MM;
    reasons.push(textured ? { points: 9, code: 'fills-texture' } : { points: 3, code: 'few-bubbles' });
  }
  if (binder.madeForPaint) {
    const painted = surface.class === 'painted' || hasBaseCoat;
    reasons.push(painted ? { points: 12, code: 'made-for-paint' } : { points: -6, code: 'meant-for-paint' });
  }
  if (binder.bestOnBareWood && bareWood) reasons.push({ points: 6, code: 'best-on-bare-wood' });
  if (binder.bedCoat) reasons.push({ points: 2, code: 'bed-evens-ground' });
  if (binder.base === 'white' && surface.class === 'fabric') reasons.push({ points: 12, code: 'lasts-on-fabric' });
  return reasons;
}

/** What keeps more than this is counted for it; most ink is lost far below, and no further against it than so much. */
const USUALLY_KEPT = 0.94;
const MOST_AGAINST = -14;

function clarity({ figures: { kept }, context: { lettering } }: Judged): Reason[] {
  const points = Math.max(MOST_AGAINST, Math.round((kept - USUALLY_KEPT) * (lettering ? 320 : 200)));
  return [{ points, code: points >= 0 ? 'keeps-toner' : 'loses-toner', keptShare: kept, lettering }];
}

const HOURS_PER_DAY = 24;

function time({ figures: { waitHours: hours, finishHours: rest, minutes }, context: { hoursLeft } }: Judged): Reason[] {
  if (hours === 0) return [{ points: 4, code: 'no-waiting' }];
  const unhurried = Math.round(4 - hours / 6);
  if (hoursLeft === null) return [{ points: unhurried, code: 'ready-after', hours }];
  if (hours + rest + minutes / 60 > hoursLeft) return [{ points: -20, code: 'too-late', hours }];
  const hurried = hoursLeft < 3 * HOURS_PER_DAY;
  return [{ points: hurried ? Math.round(10 - hours / 4) : unhurried, code: 'ready-in-time', hours }];
}

const EASY_MINUTES = 20;

function fingers({ figures: { minutes, passes } }: Judged): Reason[] {
  if (passes === 0) return [{ points: 3, code: 'nothing-to-rub' }];
  return [{ points: Math.round(clamp((EASY_MINUTES - minutes) / 6, -10, 3)), code: 'rubbing', minutes, passes }];
}

function wear({ binder, context: { use } }: Judged): Reason[] {
  if (use === 'cloth') return binder.washable ? [{ points: 14, code: 'washable' }] : [];
  if (use !== 'handled' && use !== 'table-top') return [];
  if (binder.wear === 'soft') return [{ points: -10, code: 'soft-under-wear' }];
  return binder.wear === 'hard' ? [{ points: 6, code: 'hard-enough' }] : [];
}

function skill({ binder: { skill: level }, context: { atHand } }: Judged): Reason[] {
  if (level === 1) return [{ points: 4, code: 'forgiving' }];
  const lacking = level - atHand.skill;
  if (lacking > 0) return [{ points: -5 * lacking, code: 'lacks-practice' }];
  return level === 3 ? [{ points: -2, code: 'asks-for-practice' }] : [];
}

const REASONERS: readonly Reasoner[] = [
  whites,
  surfaceFit,
  clarity,
  look,
  time,
  fingers,
  wear,
  skill,
  atHandReasons,
  costReasons,
  traced,
];
