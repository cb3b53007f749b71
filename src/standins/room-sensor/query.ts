import Joi from 'joi';
import { LATEST_INSTANT_MS } from '@/records/fields';
import { fail, ok, type Result } from '@/core/shared';

interface SensorQuery {
  /** The time by the caller's clock, epoch ms: the room is read at it. Null by the machine's. */
  now: number | null;
  /** What it knows already, epoch ms. */
  since: number;
}

const QUERY = Joi.object<SensorQuery>({
  now: Joi.number().min(0).max(LATEST_INSTANT_MS).allow(null).default(null),
  since: Joi.number().min(0).max(LATEST_INSTANT_MS).default(0),
});

/** @returns `sensor-query` for what no clock can be */
export function readQuery(query: URLSearchParams): Result<SensorQuery, 'sensor-query'> {
  const checked = QUERY.validate(Object.fromEntries(query));
  return checked.error ? fail('sensor-query', checked.error.message) : ok(checked.value);
}
