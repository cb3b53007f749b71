/**
 * When a laid print may be rubbed: earliest, likely and safe, in hours from laying.
 * Two schools of waiting: by the sign (evenly opaque, no cool patch, a corner that will not lift: earliest on) and by the clock
 * (the full label time, always; opaque and clear transfer media allow no other, with a floor of 24 h).
 */
import { nominalFilmUm, type BinderRecord, type SurfaceRecord } from '@/core/craft';
import { dryingFactor, type DryingFactor } from './drying';
import type { Room } from './vapour';

export type WaitRule = 'sign' | 'clock' | 'clock-floor' | 'label';
export type WaitWarning = 'too-cold' | 'damp';

export interface CureWait {
  earliestHours: number;
  likelyHours: number;
  safeHours: number;
  rule: WaitRule;
  factor: DryingFactor;
  baseHours: { min: number; max: number };
  floorHours: number;
  warnings: readonly WaitWarning[];
}

export interface CureInput {
  binder: BinderRecord;
  surface: SurfaceRecord;
  filmUm: number | null;
  room: Room;
  school: 'sign' | 'clock';
  /** Hours from the bottle's label or the person's own log: replaces the record's, and is not scaled. */
  labelHours: number | null;
}

export const COLDEST_FILM_C = 10;
export const DAMPEST_PERCENT = 85;

export function cureWait({ binder, surface, filmUm, room, school, labelHours }: CureInput): CureWait {
  const nominal = nominalFilmUm(binder);
  const factor = dryingFactor(nominal > 0 ? (filmUm ?? nominal) / nominal : 1, room, surface.dryingFactor);
  const { min, max } = binder.waitHours;
  const floorHours = binder.clockFloorHours;
  const floored = (hours: number) => Math.max(hours, floorHours);
  const shared = { factor, baseHours: binder.waitHours, floorHours, warnings: roomWarnings(room) };
  if (labelHours !== null) {
    const hours = floored(labelHours);
    return { ...shared, earliestHours: hours, likelyHours: hours, safeHours: hours, rule: hours > labelHours ? 'clock-floor' : 'label' };
  }
  const safeHours = floored(max * factor.total);
  if (floorHours > 0) return { ...shared, earliestHours: floored(min * factor.total), likelyHours: safeHours, safeHours, rule: 'clock-floor' };
  if (school === 'clock') return { ...shared, earliestHours: safeHours, likelyHours: safeHours, safeHours, rule: 'clock' };
  return { ...shared, earliestHours: min * factor.total, likelyHours: ((min + max) / 2) * factor.total, safeHours, rule: 'sign' };
}

function roomWarnings({ temperatureC, humidityPercent }: Room): WaitWarning[] {
  return [
    ...(temperatureC < COLDEST_FILM_C ? (['too-cold'] as const) : []),
    ...(humidityPercent > DAMPEST_PERCENT ? (['damp'] as const) : []),
  ];
}
