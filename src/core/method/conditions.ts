import {
  isScuffable,
  isUnsetInk,
  finishById,
  hasWindow,
  type BinderRecord,
  type PrintRecord,
  type SchoolRecord,
  type SurfaceRecord,
} from '@/core/craft';
import type { MethodContext } from './context';
import { isBare } from './refusals';

/** Below this CIE L* of the ground, toner under a clear binder hardly shows. */
export const DARK_GROUND_LIGHTNESS = 55;
/** Grain and weave from here on show through the picture, mm. */
export const STRONG_GRAIN_MM = 0.3;
/** From about A3 on, a coat skins before the paper is down unless two people lay it. */
const LARGE_MM2 = 297 * 420;
/** Binders that skin sooner than this are too quick for one pair of hands on a large face, minutes. */
const QUICK_TO_SKIN_MINUTES = 6;
/** Tape and liner come in widths of a page at most. */
const PAGE_MM2 = 215.9 * 279.4;

/** How each condition is met: by a step of the run, by a base coat that is put on, or by an answer of the person. */
export const CONDITIONS_MET_BY = {
  'scuff-slick-finish': 'step',
  'scuff-wall-paint': 'step',
  'swatch-on-tight-grain': 'answer',
  'degrease-and-base-coat': 'step',
  degrease: 'step',
  'light-base-coat': 'base-coat',
  'chalk-for-graphite': 'step',
  'swatch-of-heat-set': 'answer',
  'paler-ink': 'answer',
  'much-paler-ink': 'answer',
  'coated-smooth-first': 'base-coat',
  'led-only': 'answer',
  'light-hidden': 'answer',
  'two-people': 'step',
  'in-parts': 'step',
  'smooth-first': 'step',
  'sand-really-smooth': 'step',
} as const satisfies Record<string, 'step' | 'base-coat' | 'answer'>;

export type ConditionCode = keyof typeof CONDITIONS_MET_BY;
type MetBy<How> = {
  [Code in ConditionCode]: (typeof CONDITIONS_MET_BY)[Code] extends How ? Code : never;
}[ConditionCode];
/** What only the person can say. */
export type AskedCondition = MetBy<'answer'>;
export const isAsked = (condition: ConditionCode): condition is AskedCondition =>
  CONDITIONS_MET_BY[condition] === 'answer';
export const ASKED_CONDITIONS = (Object.keys(CONDITIONS_MET_BY) as ConditionCode[]).filter(isAsked);

/** The sheet must touch everywhere, and would not. */
const isTooRough = ({ needsSmooth }: SchoolRecord, surface: SurfaceRecord): boolean =>
  needsSmooth && surface.textureMm >= STRONG_GRAIN_MM && surface.class !== 'fabric';
/** Wood on which the school failed as it comes. */
const isWoodToSmooth = ({ smoothWood }: SchoolRecord, surface: SurfaceRecord): boolean =>
  smoothWood && surface.class === 'wood';
/** Whether a school has the surface sanded finer than others do. */
export const isSandedFine = (school: SchoolRecord, surface: SurfaceRecord): boolean =>
  isTooRough(school, surface) || isWoodToSmooth(school, surface);

/** Dye that nothing has set, rubbed wet: it runs with every pass. */
const isRawInkRubbed = ({ removal }: SchoolRecord, print: PrintRecord): boolean =>
  removal === 'rub' && isUnsetInk(print);

/** What must be done first for a method to work on this piece: "works if …". Source: bench practice. */
export function conditionsFor(school: SchoolRecord, binder: BinderRecord, context: MethodContext): ConditionCode[] {
  const { surface, finish, hasBaseCoat, groundLightness, print, places } = context;
  const areaMm2 = places.paperMm2;
  const { holds } = finishById(finish);
  const { wet } = binder;
  const uncoated = wet && !hasBaseCoat;
  const scuffed = uncoated && isScuffable(surface);
  const darkGround = groundLightness < DARK_GROUND_LIGHTNESS;
  const asked: readonly [ConditionCode, boolean][] = [
    ['scuff-slick-finish', scuffed && holds === 'badly'],
    ['scuff-wall-paint', scuffed && holds === 'fair'],
    ['swatch-on-tight-grain', wet && surface.tightGrain && isBare(finish, hasBaseCoat)],
    ['degrease-and-base-coat', uncoated && surface.class === 'smooth'],
    ['degrease', !wet && surface.class === 'smooth' && !school.traced],
    ['light-base-coat', darkGround && binder.base === 'clear' && !school.traced],
    ['chalk-for-graphite', darkGround && school.traced],
    ['swatch-of-heat-set', print.heatSet !== null && school.removal === 'rub'],
    ['paler-ink', hasWindow(school) && print.printer === 'inkjet'],
    ['much-paler-ink', isRawInkRubbed(school, print)],
    ['coated-smooth-first', school.coatedFabricOnly && surface.class === 'fabric' && !hasBaseCoat],
    ['led-only', surface.ledOnly],
    ['light-hidden', surface.ledOnly && binder.base === 'white'],
    ['two-people', wet && areaMm2 > LARGE_MM2 && binder.openMinutes < QUICK_TO_SKIN_MINUTES],
    ['in-parts', school.pageSized && areaMm2 > PAGE_MM2],
    ['smooth-first', isTooRough(school, surface)],
    ['sand-really-smooth', isWoodToSmooth(school, surface)],
  ];
  return asked.filter(([, applies]) => applies).map(([code]) => code);
}
