import type { UnitSystem } from '@/core/measure';
import { MS_PER_DAY, type Result } from '@/core/shared';
import { figure, oneOf, section, yesOrNo } from './fields';
import { checkRecord } from './version';

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

export const DEFAULT_SETTINGS: Settings = {
  id: 'settings',
  unitSystem: 'metric',
  theme: 'auto',
  clockAheadMs: 0,
  room: { temperatureC: 21, humidityPercent: 50 },
  sensor: false,
  sound: true,
  speech: false,
  benchContrast: false,
};

const LONGEST_AHEAD_MS = 366 * MS_PER_DAY;

const SETTINGS_SCHEMA = section<Settings>({
  id: oneOf('settings'),
  unitSystem: oneOf('metric', 'inch'),
  theme: oneOf('auto', 'light', 'dark'),
  clockAheadMs: figure(0, LONGEST_AHEAD_MS),
  room: section<Settings['room']>({ temperatureC: figure(-20, 60), humidityPercent: figure(0, 100) }),
  sensor: yesOrNo(),
  sound: yesOrNo(),
  speech: yesOrNo(),
  benchContrast: yesOrNo(),
});

export function checkSettings(data: unknown): Result<Settings, 'settings-refused'> {
  const checked = checkRecord(SETTINGS_SCHEMA, data);
  return checked.ok ? checked : { ok: false, error: { ...checked.error, code: 'settings-refused' } };
}

/**
 * Settings are never worth refusing to start for: what is missing or can't be read is as usual, key by key. Who changes
 * one lays it over what is stored, so that keys of another version stay.
 */
export function readSettings(data: unknown): Settings {
  const stored: Readonly<Record<string, unknown>> = typeof data === 'object' && data !== null ? { ...data } : {};
  const kept = Object.entries(stored).filter(
    ([key, value]) => key in DEFAULT_SETTINGS && checkRecord(SETTINGS_SCHEMA, { ...DEFAULT_SETTINGS, [key]: value }).ok,
  );
  return { ...DEFAULT_SETTINGS, ...Object.fromEntries(kept) };
}
