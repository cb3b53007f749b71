import ICAL from 'ical.js';
import { MS_PER_MINUTE } from '@/core/shared';

export interface CalendarEntry {
  /** Stable: a second import updates the event. */
  id: string;
  title: string;
  description: string;
  startsAt: number;
  minutes: number;
  /** Minutes before its start at which it rings; 0 at the start. */
  alarmMinutes?: number;
}

// The library counts without the space that a folded line begins with.
ICAL.foldLength = 74;

/** A carriage return ends a line of the file wherever it stands. */
const oneLine = (text: string): string => text.replace(/[\r\n]+/g, ' ');

/** An instant in UTC, to the minute. */
const utc = (instant: number): ICAL.Time =>
  ICAL.Time.fromJSDate(new Date(Math.floor(instant / MS_PER_MINUTE) * MS_PER_MINUTE), true);

const component = (name: string, properties: Readonly<Record<string, string | number | ICAL.Time | ICAL.Duration>>) => {
  const written = new ICAL.Component(name);
  for (const [property, value] of Object.entries(properties)) written.addPropertyWithValue(property, value);
  return written;
};

/**
 * Writes events as iCalendar (RFC 5545), in UTC with an alarm at their start. `sequence` rises with each change of the
 * piece.
 *
 * @param writtenAt epoch ms
 */
export function writeCalendar(entries: readonly CalendarEntry[], sequence: number, writtenAt: number): string {
  const calendar = component('vcalendar', {
    version: '2.0',
    prodid: '-//Fobbet//Fobbet//EN',
    calscale: 'GREGORIAN',
    method: 'PUBLISH',
    'x-wr-calname': 'Fobbet',
  });
  for (const { id, title, description, startsAt, minutes, alarmMinutes = 0 } of entries) {
    const event = component('vevent', {
      uid: `${id}@fobbet`,
      sequence,
      dtstamp: utc(writtenAt),
      summary: oneLine(title),
      description: description.replace(/\r\n?/g, '\n'),
      dtstart: utc(startsAt),
      duration: ICAL.Duration.fromSeconds(60 * Math.max(1, Math.round(minutes))),
    });
    const trigger = ICAL.Duration.fromSeconds(-60 * alarmMinutes);
    event.addSubcomponent(component('valarm', { action: 'DISPLAY', description: oneLine(title), trigger }));
    calendar.addSubcomponent(event);
  }
  return `${calendar.toString()}\r\n`;
}
