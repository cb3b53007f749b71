/**
 * Open time: minutes from the first stroke until the coat skins. The record's minutes at the reference room, shortened
 * by warm, dry or moving air with the square root of the drying rate (a skin forms faster than the film dries through,
 * but less than in proportion), within 3–10 min by practice. Known weakness: thick pours stay open longer.
 */
import type { BinderRecord } from '@/core/craft';
import { REFERENCE_VPD_KPA, vapourPressureDeficitKpa, type Room } from '@/core/cure';
import { clamp } from '@/core/shared';

const SHORTEST_MINUTES = 2;
const LONGEST_MINUTES = 12;

export function openMinutes(binder: BinderRecord, room: Room): number {
  const rate = vapourPressureDeficitKpa(room) / REFERENCE_VPD_KPA / (room.air === 'fan' ? 0.7 : 1);
  return clamp(binder.openMinutes / Math.sqrt(Math.max(rate, 0.01)), SHORTEST_MINUTES, LONGEST_MINUTES);
}

/** How fast a pair of hands spreads medium: about a letter-size face in a minute and a half. */
const SPREAD_MM2_PER_MINUTE = 40_000;

/** Minutes of spreading for one face; over half the open time a second pair of hands, or sections, are needed. */
export const spreadMinutes = (areaMm2: number): number => areaMm2 / SPREAD_MM2_PER_MINUTE;
