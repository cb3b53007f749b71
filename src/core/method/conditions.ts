import {
  isUnsetInk,
  finishById,
  hasWindow,
  type BinderRecord,
  type PrintRecord,
  type SchoolRecord,
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

export type ConditionCode =
  | 'scuff-slick-finish'
  | 'scuff-wall-paint'
  | 'swatch-on-tight-grain'
  | 'degrease-and-base-coat'
  | 'degrease'
  | 'light-base-coat'
  | 'chalk-for-graphite'
  | 'swatch-of-heat-set'
  | 'paler-ink'
  | 'much-paler-ink'
  | 'coated-smooth-first'
  | 'led-only'
  | 'two-people'
  | 'in-parts'
  | 'smooth-first';

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
  const darkGround = groundLightness < DARK_GROUND_LIGHTNESS;
  const asked: readonly [ConditionCode, boolean][] = [
    ['scuff-slick-finish', uncoated && holds === 'badly'],
    ['scuff-wall-paint', uncoated && holds === 'fair'],
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
    ['two-people', wet && areaMm2 > LARGE_MM2 && binder.openMinutes < QUICK_TO_SKIN_MINUTES],
    ['in-parts', school.pageSized && areaMm2 > PAGE_MM2],
    ['smooth-first', school.needsSmooth && surface.textureMm >= STRONG_GRAIN_MM && surface.class !== 'fabric'],
  ];
  return asked.filter(([, applies]) => applies).map(([code]) => code);
}
