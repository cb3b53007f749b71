import Joi from 'joi';
import type { Air, AirReading } from '@/core/cure';

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

const celsius = () => Joi.number().min(-40).max(70).required();
const percent = () => Joi.number().min(0).max(100).required();
const ROOM_SCHEMA = Joi.object({
  id: Joi.string().valid('room').required(), version: Joi.number().valid(1).required(),
  readings: Joi.array().items(Joi.object({ at: Joi.number().min(0).max(8.64e15).required(), temperatureC: celsius(), humidityPercent: percent() })).max(MOST_READINGS).required(),
  day: Joi.object({ coldestC: celsius(), warmestC: celsius(), humidityPercent: percent() }).allow(null).required(),
  hours: Joi.array().items(Joi.object({ temperatureC: celsius(), humidityPercent: percent() })).length(24).allow(null).required(),
});

/** What can't be read becomes an unknown room. */
export const readRoom = (data: unknown): RoomRecord => (data === undefined || ROOM_SCHEMA.validate(data, { convert: false }).error ? EMPTY_ROOM : (data as RoomRecord));
