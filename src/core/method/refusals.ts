import {
  PRINTS,
  hasWindow,
  isUnsetInk,
  type BinderRecord,
  type FinishId,
  type PrintId,
  type SchoolId,
  type SchoolRecord,
  type SurfaceId,
} from '@/core/craft';
import type { MethodContext } from './context';

/** Why a school and binder can't be used on a piece, with what the sentence needs to say so. */
export type Refusal = RefusalReason & {
  /** The print that would make it possible. */
  switchTo: PrintId | null;
};

type RefusalReason =
  | { code: 'glue-washes-out' }
  | { code: 'clear-medium-on-cloth' }
  | { code: 'needs-opaque-medium'; surface: SurfaceId }
  | { code: 'wrong-surface'; school: SchoolId }
  | { code: 'needs-bare-face'; school: SchoolId }
  | { code: 'wash-takes-it' }
  | { code: 'inkjet-bleeds' }
  | { code: 'paper-does-not-break-down'; print: PrintId }
  | { code: 'needs-plain-paper'; print: PrintId }
  | { code: 'photo-not-traced' }
  | { code: 'other-print'; needs: PrintId };

const refuse = (reason: RefusalReason, switchTo: PrintId | null = null): Refusal => ({ ...reason, switchTo });

/**
 * Why a school and binder can't be used on this piece, or null. What can't work is never only ranked low. Source: bench
 * practice.
 */
export function refusalFor(school: SchoolRecord, binder: BinderRecord, context: MethodContext): Refusal | null {
  const { surface, print, finish, hasBaseCoat, use, lettering } = context;
  if (binder.washesOut) return refuse({ code: 'glue-washes-out' });
  if (!school.prints.includes(print.id)) return wrongPrint(school, print);
  if (isUnsetInk(print) && !school.traced && !takesRawInk(school, binder, context))
    return refuse({ code: 'inkjet-bleeds' }, 'inkjet-heat-set');
  if (school.traced && !lettering) return refuse({ code: 'photo-not-traced' });
  if (surface.laundered && !binder.holdsOnThreads) return refuse({ code: 'clear-medium-on-cloth' });
  if (surface.opaqueMediumOnly && binder.wet && binder.base === 'clear')
    return refuse({ code: 'needs-opaque-medium', surface: surface.id });
  if (school.only && !school.only.surfaces.includes(surface.id) && !school.only.classes.includes(surface.class))
    return refuse({ code: 'wrong-surface', school: school.id });
  if (school.bareOnly && !isBare(finish, hasBaseCoat)) return refuse({ code: 'needs-bare-face', school: school.id });
  if (use === 'cloth' && surface.class === 'fabric' && !binder.washable) return refuse({ code: 'wash-takes-it' });
  return null;
}

/** Gel holds some of it where the ground drinks the water away from it; a sheet that is peeled in time, anywhere. */
const takesRawInk = (school: SchoolRecord, binder: BinderRecord, { ground }: MethodContext): boolean =>
  school.palerInk.includes(binder.id) && (ground.porous || hasWindow(school));

export const isBare = (finish: FinishId, hasBaseCoat: boolean): boolean => finish === 'bare' && !hasBaseCoat;

function wrongPrint(school: SchoolRecord, print: MethodContext['print']): Refusal {
  const needs = school.prints[0]!;
  const onPaper = school.prints.some((id) => PRINTS.find((kind) => kind.id === id)?.wet === 'yes');
  if (onPaper && isUnsetInk(print)) return refuse({ code: 'inkjet-bleeds' }, 'inkjet-heat-set');
  if (print.wet === 'never') return refuse({ code: 'paper-does-not-break-down', print: print.id }, needs);
  if (onPaper && print.wet === 'own-school') return refuse({ code: 'needs-plain-paper', print: print.id }, needs);
  return refuse({ code: 'other-print', needs }, needs);
}
