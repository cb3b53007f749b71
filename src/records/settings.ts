import Joi from 'joi';
import type { UnitSystem } from '@/core/measure';

export interface Settings {
  id: 'settings';
  unitSystem: UnitSystem;
  theme: 'auto' | 'light' | 'dark';
  /** How far the clock is set ahead, ms: demo and tests see a day pass in a moment. */
  clockAheadMs: number;
  /** The room of the last piece, offered to the next one. */
  room: { temperatureC: number; humidityPercent: number };
  /** Whether the room's sensor is listened to. */
  sensor: boolean;
  /** At the bench: a tone when a timer ends, steps read out. */
  sound: boolean;
  speech: boolean;
  /** Black on white or white on black at the bench, whatever the rest is. */
  benchContrast: boolean;
}

export const DEFAULT_SETTINGS: Settings = { id: 'settings', unitSystem: 'metric', theme: 'auto', clockAheadMs: 0, room: { temperatureC: 21, humidityPercent: 50 }, sensor: false, sound: true, speech: false, benchContrast: false };

const SETTINGS_SCHEMA = Joi.object({
  id: Joi.string().valid('settings').required(),
  unitSystem: Joi.string().valid('metric', 'inch').required(),
  theme: Joi.string().valid('auto', 'light', 'dark').required(),
  clockAheadMs: Joi.number().min(0).max(366 * 86_400_000).required(),
  room: Joi.object({ temperatureC: Joi.number().min(-20).max(60).required(), humidityPercent: Joi.number().min(0).max(100).required() }).required(),
  sensor: Joi.boolean().required(), sound: Joi.boolean().required(), speech: Joi.boolean().required(), benchContrast: Joi.boolean().required(),
});

/** Settings are never worth refusing to start for: what can't be read becomes the default. */
export const readSettings = (data: unknown): Settings => {
  const merged = { ...DEFAULT_SETTINGS, ...(typeof data === 'object' ? data : null) };
  return SETTINGS_SCHEMA.validate(merged).error ? DEFAULT_SETTINGS : merged;
};
