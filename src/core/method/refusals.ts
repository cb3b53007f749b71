import type { BinderRecord, SchoolRecord } from '@/core/craft';
import type { MethodContext } from './context';

export type RefusalCode =
  | 'glue-washes-out' | 'clear-medium-on-cloth' | 'paper-does-not-break-down' | 'inkjet-bleeds' | 'print-of-own-school'
  | 'needs-opaque-medium' | 'film-bed-only' | 'bare-soft-wood-only' | 'never-on-candle';

export interface Refusal { code: RefusalCode; text: string }

const refuse = (code: RefusalCode, text: string): Refusal => ({ code, text });

/** Why a school and binder can't be used on this piece, or null. What can't work is never only ranked low. Source: bench practice. */
export function refusalFor(school: SchoolRecord, binder: BinderRecord, { surface, print, finish, hasBaseCoat }: MethodContext): Refusal | null {
  if (binder.id === 'school-glue') return refuse('glue-washes-out', 'Water dissolves washable glue again: the picture would come off with the paper at the first pass.');
  if (print.wet === 'never' && print.id === 'inkjet-plain') return refuse('inkjet-bleeds', 'Inkjet dye dissolves in a wet binder: it bleeds and fades. Take a toner copy of the print, or heat-set it and choose that kind.');
  if (print.wet === 'never') return refuse('paper-does-not-break-down', `${print.name}: ${print.note}`);
  if (print.wet === 'own-school') return refuse('print-of-own-school', `${print.name}: ${print.note} For this way of working print on plain paper.`);
  if (binder.id === 'gesso') return refuse('film-bed-only', 'Gesso and paint hold a print on film, not paper: the paper would be bedded in white. Use it as the base coat.');
  if (surface.id === 'led-candle' && binder.base === 'white') return refuse('never-on-candle', 'An opaque white coat hides the light of an LED candle.');
  if (surface.id === 'cloth' && binder.id === 'clear-medium') return refuse('clear-medium-on-cloth', 'Clear transfer medium is not for cloth: it does not hold on threads and does not wash.');
  if ((surface.id === 'cloth' || surface.id === 'leather') && binder.base === 'clear') {
    return refuse('needs-opaque-medium', `${surface.id === 'cloth' ? 'Cloth' : 'Leather'} takes opaque photo-transfer medium only: a clear binder cracks off and the picture does not show.`);
  }
  if (school.id === 'A4' && !(surface.id === 'soft-wood' && finish === 'bare' && !hasBaseCoat)) {
    return refuse('bare-soft-wood-only', 'Quick varnish is rubbed after an hour or two only because bare soft wood drinks its water. Any other ground keeps it wet.');
  }
  return null;
}
