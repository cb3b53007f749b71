import { PRINTS, type BinderRecord, type PrintId, type SchoolRecord } from '@/core/craft';
import type { MethodContext } from './context';

export type RefusalCode =
  | 'glue-washes-out' | 'clear-medium-on-cloth' | 'paper-does-not-break-down' | 'inkjet-bleeds' | 'other-print'
  | 'needs-opaque-medium' | 'wrong-surface' | 'never-on-candle' | 'white-bed-hides' | 'wash-takes-it' | 'heat-harms';

export interface Refusal {
  code: RefusalCode;
  text: string;
  /** The print that would make it possible. */
  switchTo: PrintId | null;
}

const refuse = (code: RefusalCode, text: string, switchTo: PrintId | null = null): Refusal => ({ code, text, switchTo });

/** Why a school and binder can't be used on this piece, or null. What can't work is never only ranked low. Source: bench practice. */
export function refusalFor(school: SchoolRecord, binder: BinderRecord, { surface, print, finish, hasBaseCoat, use }: MethodContext): Refusal | null {
  if (binder.id === 'school-glue') return refuse('glue-washes-out', 'Water dissolves washable glue again: the picture would come off with the paper at the first pass.');
  if (!school.prints.includes(print.id)) return wrongPrint(school, print);
  if (surface.id === 'cloth' && binder.id === 'clear-medium') return refuse('clear-medium-on-cloth', 'Clear transfer medium is not for cloth: it does not hold on threads and does not wash.');
  if (surface.id === 'led-candle' && binder.base === 'white') return refuse('never-on-candle', 'An opaque white coat hides the light of an LED candle.');
  if ((surface.id === 'cloth' || surface.id === 'leather') && binder.base === 'clear' && binder.id !== 'none') {
    return refuse('needs-opaque-medium', `${surface.id === 'cloth' ? 'Cloth' : 'Leather'} takes opaque photo-transfer medium only: a clear binder cracks off and the picture does not show.`);
  }
  if (school.only && !school.only.surfaces.includes(surface.id) && !school.only.classes.includes(surface.class)) return refuse('wrong-surface', school.only.why);
  if (school.id === 'A4' && (finish !== 'bare' || hasBaseCoat)) return refuse('wrong-surface', school.only?.why ?? '');
  if (school.id === 'E3' && (finish !== 'bare' || hasBaseCoat)) return refuse('wrong-surface', 'Wet ink has nothing to soak into under paint or finish: bare faces only.');
  if (use === 'cloth' && surface.class === 'fabric' && !binder.washable) return refuse('wash-takes-it', 'Cloth that is worn or washed needs opaque medium: everything else washes out.');
  return null;
}

function wrongPrint(school: SchoolRecord, print: MethodContext['print']): Refusal {
  const needs = school.prints[0];
  const wanted = PRINTS.find((one) => one.id === needs)?.name ?? needs;
  const paperSchool = school.prints.includes('laser-plain');
  if (paperSchool && print.id === 'inkjet-plain') return refuse('inkjet-bleeds', 'Inkjet dye dissolves in a wet binder: it bleeds and fades. Take a toner copy of the print, or heat-set it and choose that kind.', 'inkjet-heat-set');
  if (print.wet === 'never') return refuse('paper-does-not-break-down', `${print.name}: ${print.note}`, needs);
  if (paperSchool && print.wet === 'own-school') return refuse('other-print', `${print.name}: ${print.note} This way needs plain paper.`, needs);
  return refuse('other-print', `Needs another print: ${wanted.charAt(0).toLowerCase()}${wanted.slice(1)}.`, needs);
}
