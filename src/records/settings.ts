import type { UnitSystem } from '@/core/measure';
import { atFirstUse, MS_PER_DAY, type Result } from '@/core/shared';
import { figure, oneOf, section, words, yesOrNo } from './fields';
import { checkRecord } from './version';

/** What a single key can do. Digits open the stations: they go with the others, and are not changed one by one. */
export const KEY_IDS = ['turn', 'units', 'newPiece', 'bench', 'find', 'help'] as const;
export type KeyId = (typeof KEY_IDS)[number];

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
  /** Single keys: none acts while they are off; an empty one is off by itself. */
  keysOn: boolean;
  keys: Record<KeyId, string>;
  /** How long a notice stands: seven seconds, twenty, or until it is closed. */
  notices: 'short' | 'long' | 'stay';
  /** More contrast than the system asks for. */
  contrast: boolean;
  /** Every part of a worksheet stands open. */
  unfolded: boolean;
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
  keysOn: true,
  keys: { turn: 'm', units: 'u', newPiece: 'n', bench: 'b', find: '/', help: '?' },
  notices: 'short',
  contrast: false,
  unfolded: false,
};

const LONGEST_AHEAD_MS = 366 * MS_PER_DAY;

/** One sign that a key gives; digits are the stations'. */
const key = () => words(2).pattern(/^[^\s\d]?$/u);

const settingsSchema = atFirstUse(() =>
  section<Settings>({
    id: oneOf('settings'),
    unitSystem: oneOf('metric', 'inch'),
    theme: oneOf('auto', 'light', 'dark'),
    clockAheadMs: figure(0, LONGEST_AHEAD_MS),
    room: section<Settings['room']>({ temperatureC: figure(-20, 60), humidityPercent: figure(0, 100) }),
    sensor: yesOrNo(),
    sound: yesOrNo(),
    speech: yesOrNo(),
    benchContrast: yesOrNo(),
    keysOn: yesOrNo(),
    keys: section<Settings['keys']>({
      turn: key(),
      units: key(),
      newPiece: key(),
      bench: key(),
      find: key(),
      help: key(),
    }),
    notices: oneOf('short', 'long', 'stay'),
    contrast: yesOrNo(),
    unfolded: yesOrNo(),
  }),
);

export function checkSettings(data: unknown): Result<Settings, 'settings-refused'> {
  const checked = checkRecord(settingsSchema(), data);
  return checked.ok ? checked : { ok: false, error: { ...checked.error, code: 'settings-refused' } };
}

/**
 * Settings are never worth refusing to start for: what is missing or can't be read is as usual, key by key. Who changes
 * one lays it over what is stored, so that keys of another version stay.
 */
export function readSettings(data: unknown): Settings {
  const stored: Readonly<Record<string, unknown>> = typeof data === 'object' && data !== null ? { ...data } : {};
  const kept = Object.entries(stored).filter(
    ([key, value]) =>
      key in DEFAULT_SETTINGS && checkRecord(settingsSchema(), { ...DEFAULT_SETTINGS, [key]: value }).ok,
  );
  return { ...DEFAULT_SETTINGS, ...Object.fromEntries(kept) };
}
