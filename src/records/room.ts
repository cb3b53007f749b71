import Joi from 'joi';
import { atFirstUse } from '@/core/shared';
import { figure, instant, item, list, maybe, oneOf, section } from './fields';
import type { Air, AirReading } from '@/core/cure';
import type { Result } from '@/core/shared';
import { checkRecord, migrateToCurrent, type VersionCode } from './version';

const ROOM_VERSION = 1;

/** What is known of the workroom's air: readings of the sensor, and a usual day where one was typed. */
export interface RoomRecord {
  id: 'room';
  version: 1;
  /** Ascending, one for each stretch of ten minutes. */
  readings: AirReading[];
  /** A usual day from its extremes; null where none was typed. */
  day: { coldestC: number; warmestC: number; humidityPercent: number } | null;
  /** Hour by hour from midnight, overruling the usual day; null where none was typed. */
  hours: Air[] | null;
}

export const EMPTY_ROOM: RoomRecord = { id: 'room', version: 1, readings: [], day: null, hours: null };

/** Three weeks of readings at one every ten minutes. */
export const MOST_READINGS = 3024;

const celsius = () => figure(-40, 70);
const percent = () => figure(0, 100);

const roomSchema = atFirstUse(() =>
  section<RoomRecord>({
    id: oneOf('room'),
    version: Joi.number().valid(1).required(),
    readings: list(
      item<AirReading>({ at: instant(), temperatureC: celsius(), humidityPercent: percent() }),
      MOST_READINGS,
    ),
    day: maybe(
      item<NonNullable<RoomRecord['day']>>({
        coldestC: celsius(),
        warmestC: celsius(),
        humidityPercent: percent(),
      }),
    ),
    hours: maybe(list(item<Air>({ temperatureC: celsius(), humidityPercent: percent() }), 24).length(24)),
  }),
);

export const checkRoom = (data: unknown): Result<RoomRecord, 'record-invalid'> => checkRecord(roomSchema(), data);

/** Reads a stored room. */
export function readRoom(data: unknown): Result<RoomRecord, VersionCode> {
  const current = migrateToCurrent(data, ROOM_VERSION, []);
  return current.ok ? checkRoom(current.value) : current;
}
