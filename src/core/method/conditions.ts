import { FINISHES, type BinderRecord } from '@/core/craft';
import type { MethodContext } from './context';

/** Below this CIE L* of the ground, toner under a clear binder hardly shows. */
export const DARK_GROUND_LIGHTNESS = 55;
/** From about A3 on, a coat skins before the paper is down unless two people lay it. */
const LARGE_MM2 = 297 * 420;

/** What must be done first for a binder to work on this piece: "works if …". Source: bench practice. */
export function conditionsFor(binder: BinderRecord, context: MethodContext): string[] {
  const { surface, finish, hasBaseCoat, groundLightness, print, areaMm2 } = context;
  const found: string[] = [];
  const hold = FINISHES.find((one) => one.id === finish)?.holds;
  if (hold === 'badly' && !hasBaseCoat) found.push('If the slick finish is scuffed or stripped and primed first: nothing grips it as it is.');
  if (hold === 'fair' && !hasBaseCoat) found.push('If the wall paint is fully hard and scuffed matte.');
  if (surface.id === 'hard-wood' && finish === 'bare' && !hasBaseCoat) found.push('If a test swatch holds, or a base coat goes on: tight grain can let the toner go.');
  if (surface.class === 'smooth' && !hasBaseCoat) found.push('If it is degreased, and better with a base coat of chalk-type paint.');
  if (groundLightness < DARK_GROUND_LIGHTNESS && binder.base === 'clear') found.push('If a light base coat goes on first: toner only darkens, so on dark ground the picture disappears.');
  if (print.wet === 'risky') found.push('If a swatch of the heat-set print does not bleed. Expect a paler picture.');
  if (surface.id === 'led-candle') found.push('If it holds an LED: never on a candle that will burn.');
  if (areaMm2 > LARGE_MM2 && binder.openMinutes < 6) found.push('If two people coat and lay together: this binder skins before one pair of hands is round.');
  return found;
}
