import type { RecordKind } from '@/records';

/** What stash, hours, room and settings are called, and what a change in them is. */
export const RECORD_WORDS: Readonly<Record<RecordKind, string>> = {
  stash: 'Stash',
  agenda: 'Hours and plan',
  room: 'Room',
  settings: 'Settings',
};

const KEY_WORDS: Readonly<Record<string, string>> = {
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
};

const MOST_NAMED = 2;

/** What one change changed: its things by name, else what kind of thing it was. */
export function changeWords(kind: RecordKind, what: readonly { key: string; name: string | null }[]): string {
  const named = [...new Set(what.flatMap(({ name }) => (name ? [name] : [])))];
  const kinds = [...new Set(what.map(({ key }) => KEY_WORDS[`${kind}.${key}`] ?? key))];
  if (named.length === 0 || named.length < what.length) return kinds.join(', ');
  return named.length <= MOST_NAMED
    ? named.join(', ')
    : `${named.slice(0, MOST_NAMED).join(', ')} and ${named.length - MOST_NAMED} more`;
}

const MEGABYTE = 2 ** 20;
/** A size on the disk, as people say it. */
export function sizeWords(bytes: number): string {
  if (bytes < MEGABYTE) return `${Math.ceil(bytes / 1024)} kB`;
  const megabytes = bytes / MEGABYTE;
  if (megabytes < 1000) return `${megabytes < 10 ? megabytes.toFixed(1) : Math.round(megabytes)} MB`;
  return `${(megabytes / 1024).toFixed(1)} GB`;
}
