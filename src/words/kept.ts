import type { RecordKind } from '@/records';
import { said, say } from './say';
import { figure } from './figure';

/** What stash, hours, room and settings are called, and what a change in them is. */
export const RECORD_WORDS: Readonly<Record<RecordKind, string>> = said({
  stash: 'Stash',
  agenda: 'Hours and plan',
  room: 'Room',
  settings: 'Settings',
});

const KEY_WORDS: Readonly<Record<string, string>> = said({
  'stash.printer': 'where prints come from',
  'stash.papers': 'papers',
  'stash.skill': 'practice',
  'stash.truth': 'printer’s measure',
  'stash.items': 'items',
  'agenda.weekly': 'weekly hours',
  'agenda.days': 'hours of a day',
  'agenda.quiet': 'quiet hours',
  'agenda.busy': 'busy times',
  'agenda.busyFrom': 'busy times',
  'agenda.places': 'places',
  'agenda.mode': 'how steps are placed',
  'agenda.reserveHours': 'time in reserve',
  'agenda.alarmMinutes': 'when the calendar rings',
  'agenda.pins': 'pinned steps',
  'agenda.notBefore': 'late steps',
  'agenda.aside': 'pieces in the plan',
  'room.day': 'usual day',
  'room.hours': 'hours of a day',
  'settings.unitSystem': 'units',
  'settings.theme': 'light',
  'settings.room': 'usual room',
  'settings.sensor': 'room sensor',
  'settings.sound': 'tone',
  'settings.speech': 'reading aloud',
  'settings.benchContrast': 'contrast at the bench',
  'settings.keysOn': 'single keys',
  'settings.keys': 'keys',
  'settings.notices': 'how long notices stand',
  'settings.contrast': 'contrast',
  'settings.unfolded': 'parts open or folded',
});

const MOST_NAMED = 2;

/** What one change changed: its things by name, else what kind of thing it was. */
export function changeWords(kind: RecordKind, what: readonly { key: string; name: string | null }[]): string {
  const named = [...new Set(what.flatMap(({ name }) => (name ? [name] : [])))];
  const kinds = [...new Set(what.map(({ key }) => KEY_WORDS[`${kind}.${key}`] ?? key))];
  if (named.length === 0 || named.length < what.length) return kinds.join(', ');
  return named.length <= MOST_NAMED
    ? named.join(', ')
    : say`${named.slice(0, MOST_NAMED).join(', ')} and ${named.length - MOST_NAMED} more`;
}

const UNIT = 1024;
/** A size on the disk, as people say it. */
export function sizeWords(bytes: number): string {
  const [size, unit] =
    bytes < UNIT ** 2
      ? [bytes / UNIT, 'kB']
      : bytes < UNIT ** 3
        ? [bytes / UNIT ** 2, 'MB']
        : [bytes / UNIT ** 3, 'GB'];
  return `${figure(size < 10 && unit !== 'kB' ? Number(size.toFixed(1)) : Math.ceil(size))} ${unit}`;
}
