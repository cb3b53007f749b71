import { hasWindow, type BinderRecord, type SchoolRecord, type SignOfTime } from '@/core/craft';
import type { CureWait } from './wait';

/** From when until when a tacky sheet is peeled, hours from laying, with the sign to go by. */
export interface PeelWindow {
  fromHours: number;
  untilHours: number;
  sign: SignOfTime | null;
}

/** Null for a school that waits without a late limit. */
export function peelWindow(
  school: SchoolRecord | null,
  binder: BinderRecord | null,
  wait: CureWait | null,
): PeelWindow | null {
  if (!school || !hasWindow(school) || !binder || !wait) return null;
  return { fromHours: wait.earliestHours, untilHours: wait.safeHours, sign: school.sign };
}
