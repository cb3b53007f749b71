import type { AtHand } from '@/core/at-hand';
import { airCourse, saturationPressureKpa, type AirCourse, type Room } from '@/core/cure';
import { MS_PER_DAY, clamp } from '@/core/shared';
import type { LayAnswer, RoomThrough } from './answers';
import type { Job } from './job';

/** How long a room is followed ahead. */
const COURSE_DAYS = 14;

/** The room as it is typed at Cure. */
export const typedRoom = ({ cure: { temperatureC, humidityPercent, air, cover } }: Job): Room => ({
  temperatureC,
  humidityPercent,
  air,
  cover,
});

/**
 * The room's air from the laying on, where the piece follows it and something is known of it, or where signs are
 * measured along it.
 */
export function roomThrough(
  { cure, lay: { laidAt } }: Job,
  room: Room,
  now: number,
  { air }: AtHand,
): RoomThrough | null {
  if (air && cure.through === 'room') {
    const startAt = laidAt ?? now;
    const span = { fromAt: startAt, untilAt: startAt + COURSE_DAYS * MS_PER_DAY };
    return { course: airCourse(air, room, span), startAt };
  }
  return cure.signs.length > 0 && laidAt !== null ? steadyThrough(room, laidAt) : null;
}

/** A piece whose room stays as typed, as a course. */
const steadyThrough = (room: Room, startAt: number): RoomThrough => ({
  course: airCourse({ readings: [], profile: null }, room, { fromAt: startAt, untilAt: startAt + MS_PER_DAY }),
  startAt,
});

/** The room that days are reckoned with: as typed, or the mean of its course where that is followed. */
export function airOf({ room, through }: LayAnswer): Room {
  if (!through) return room;
  const { temperatureC, vpdKpa } = through.course;
  const mean = (values: Float64Array) => values.reduce((total, value) => total + value, 0) / values.length;
  const celsius = mean(temperatureC);
  const humidity = 100 * (1 - mean(vpdKpa) / saturationPressureKpa(celsius));
  return { ...room, temperatureC: celsius, humidityPercent: clamp(humidity, 0, 100) };
}

/** The room as it is at the start of its course. */
export function airAtStart(course: AirCourse, room: Room): Room {
  const [temperatureC, vpdKpa] = [course.temperatureC[0]!, course.vpdKpa[0]!];
  return { ...room, temperatureC, humidityPercent: 100 * (1 - vpdKpa / saturationPressureKpa(temperatureC)) };
}
