import Joi from 'joi';
import { LATEST_INSTANT_MS } from '@/records/fields';
import { MS_PER_DAY, fail, ok, type Result } from '@/core/shared';

interface SensorQuery {
  /** How far the caller's clock is ahead, ms. */
  ahead: number;
  /** What it knows already, epoch ms. */
  since: number;
}

const LONGEST_AHEAD_MS = 367 * MS_PER_DAY;
const QUERY = Joi.object<SensorQuery>({
  ahead: Joi.number().min(0).max(LONGEST_AHEAD_MS).default(0),
  since: Joi.number().min(0).max(LATEST_INSTANT_MS).default(0),
});

/** @returns `sensor-query` for what no clock can be */
export function readQuery(query: URLSearchParams): Result<SensorQuery, 'sensor-query'> {
  const checked = QUERY.validate(Object.fromEntries(query));
  return checked.error ? fail('sensor-query', checked.error.message) : ok(checked.value);
}
