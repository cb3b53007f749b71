import type { Migration } from '../../version';

/** The letters that schools had up to version 5, and the ids that speak. */
const SPEAKING: Readonly<Record<string, string>> = {
  A: 'dry-and-rub',
  A2: 'opaque-base',
  A3: 'varnish-bed',
  A4: 'quick-varnish',
  B: 'tacky-peel',
  C: 'slip-paper',
  D: 'tape-decal',
  E1: 'liner-peel',
  E2: 'liner-heat',
  E3: 'liner-press',
  F: 'film-bed',
  G: 'trace',
};

type Chosen = { school?: unknown };

const named = <T extends Chosen>(chosen: T): T =>
  typeof chosen.school === 'string' ? { ...chosen, school: SPEAKING[chosen.school] ?? chosen.school } : chosen;

/** What version 6 changes, as it was when it was shipped. */
export const schoolsNamed: Migration = {
  from: 5,
  to: 6,
  name: 'schools get ids that speak',
  migrate: (data) => {
    const method = (data.method ?? {}) as Chosen & { tryOn?: unknown };
    const tryOn = Array.isArray(method.tryOn) ? (method.tryOn as Chosen[]).map(named) : method.tryOn;
    return { ...data, method: { ...named(method), tryOn } };
  },
};
