import { FINISHES, type BinderRecord, type SchoolRecord } from '@/core/craft';
import type { MethodContext } from './context';

/** Below this CIE L* of the ground, toner under a clear binder hardly shows. */
export const DARK_GROUND_LIGHTNESS = 55;
/** From about A3 on, a coat skins before the paper is down unless two people lay it. */
const LARGE_MM2 = 297 * 420;
/** Tape and liner come in widths of a page at most. */
const PAGE_MM2 = 215.9 * 279.4;

/** What must be done first for a method to work on this piece: "works if …". Source: bench practice. */
export function conditionsFor(school: SchoolRecord, binder: BinderRecord, context: MethodContext): string[] {
  const { surface, finish, hasBaseCoat, groundLightness, print, areaMm2 } = context;
  const found: string[] = [];
  const hold = FINISHES.find((one) => one.id === finish)?.holds;
  const wet = binder.id !== 'none';
  if (wet && hold === 'badly' && !hasBaseCoat) found.push('If the slick finish is scuffed or stripped and primed first: nothing grips it as it is.');
  if (wet && hold === 'fair' && !hasBaseCoat) found.push('If the wall paint is fully hard and scuffed matte.');
  if (wet && surface.id === 'hard-wood' && finish === 'bare' && !hasBaseCoat) found.push('If a test swatch holds, or a base coat goes on: tight grain can let the toner go.');
  if (wet && surface.class === 'smooth' && !hasBaseCoat) found.push('If it is degreased, and better with a base coat of chalk-type paint.');
  if (!wet && surface.class === 'smooth' && school.id !== 'G') found.push('If it is degreased.');
  if (groundLightness < DARK_GROUND_LIGHTNESS && binder.base === 'clear' && school.id !== 'G') found.push('If a light base coat goes on first: toner only darkens, so on dark ground the picture disappears.');
  if (school.id === 'G' && groundLightness < DARK_GROUND_LIGHTNESS) found.push('If white or light transfer chalk takes the place of graphite: pencil does not show on dark ground.');
  if (print.wet === 'risky' && school.removal === 'rub') found.push('If a swatch of the heat-set print does not bleed. Expect a paler picture.');
  if (school.id === 'B' && print.printer === 'inkjet') found.push('If a paler, softer picture will do: the dye runs a little before it is peeled.');
  if (surface.id === 'led-candle') found.push('If it holds an LED: never on a candle that will burn.');
  if (wet && areaMm2 > LARGE_MM2 && binder.openMinutes < 6) found.push('If two people coat and lay together: this binder skins before one pair of hands is round.');
  if (['C', 'D', 'E1', 'E2', 'E3', 'F'].includes(school.id) && areaMm2 > PAGE_MM2) found.push('If it is laid in parts: these sheets are no larger than a page.');
  if (school.id === 'E1' && surface.textureMm >= 0.3) found.push('If it is sanded and base-coated until it is smooth: the liner must touch everywhere.');
  return found;
}
