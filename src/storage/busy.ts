import ICAL from 'ical.js';
import { MS_PER_DAY, fail, ok, type Result } from '@/core/shared';
import type { BusyCode, BusyTime } from '@/records';

const MOST_CALENDAR_BYTES = 2_000_000;
const MOST_BUSY = 2000;
/** Turns of one repeating event that are looked at, those before the span included. */
const MOST_TURNS = 60_000;

/**
 * Busy times of a calendar file (RFC 5545) within a span: repeating events turned out, cancelled and transparent ones
 * left out, whole days from midnight to midnight. A time zone that the file names but does not describe is taken as the
 * reader's own.
 *
 * @returns `calendar-too-large`, `calendar-unreadable`, `calendar-none` where nothing busy lies in the span,
 * `calendar-too-many`
 */
export function readBusyTimes(text: string, fromAt: number, untilAt: number): Result<BusyTime[], BusyCode> {
  if (text.length > MOST_CALENDAR_BYTES)
    return fail('calendar-too-large', `expected at most ${MOST_CALENDAR_BYTES} characters, got ${text.length}`);
  // The parser takes a file that was cut short for a shorter one.
  const times = (mark: string) => text.split(mark).length;
  if (times('BEGIN:VCALENDAR') !== times('END:VCALENDAR'))
    return fail('calendar-unreadable', 'expected an end for each calendar');
  let component: ICAL.Component;
  try {
    const parsed = ICAL.parse(text) as unknown[];
    // Several calendars in one file come as a list of them.
    component = new ICAL.Component(
      (Array.isArray(parsed[0]) ? parsed[0] : parsed) as ConstructorParameters<typeof ICAL.Component>[0],
    );
  } catch (error) {
    return fail('calendar-unreadable', error instanceof Error ? error.message : String(error));
  }
  if (component.name !== 'vcalendar') return fail('calendar-unreadable', `expected a VCALENDAR, got ${component.name}`);
  const zones = new Map(
    component.getAllSubcomponents('vtimezone').map((zone) => {
      const made = new ICAL.Timezone(zone);
      return [made.tzid, made] as const;
    }),
  );
  const busy: BusyTime[] = [];
  let turns = 0;
  try {
    const events = component.getAllSubcomponents('vevent').map((one) => new ICAL.Event(one));
    const exceptions = events.filter((event) => event.isRecurrenceException());
    for (const event of events) {
      if (event.isRecurrenceException() || !isBusy(event)) continue;
      exceptions.filter((one) => one.uid === event.uid).forEach((one) => event.relateException(one));
      for (const { item, start, end } of occurrences(nearTo(event, fromAt))) {
        if (++turns > MOST_TURNS)
          return fail('calendar-too-many', `more than ${MOST_TURNS} turns`, { values: { most: MOST_BUSY } });
        const [from, until] = [instant(start), instant(end)];
        if (from >= untilAt) break;
        if (until <= fromAt || until <= from || !isBusy(item)) continue;
        busy.push({
          id: `${event.uid}@${from}`.slice(0, 400),
          title: String(item.summary ?? '').slice(0, 400),
          fromAt: from,
          untilAt: until,
        });
        if (busy.length > MOST_BUSY)
          return fail('calendar-too-many', `more than ${MOST_BUSY} busy times`, { values: { most: MOST_BUSY } });
      }
    }
  } catch (error) {
    return fail('calendar-unreadable', error instanceof Error ? error.message : String(error));
  }
  if (busy.length === 0) return fail('calendar-none', 'no busy time in the span');
  return ok(busy.sort((a, b) => a.fromAt - b.fromAt));

  function instant(time: ICAL.Time): number {
    const zone = zones.get(String((time as unknown as { timezone?: string }).timezone ?? ''));
    if (zone && time.zone.tzid === 'floating') time.zone = zone;
    return time.toJSDate().getTime();
  }
}

const isBusy = (event: ICAL.Event): boolean => {
  const value = (name: string) => String(event.component.getFirstPropertyValue(name) ?? '').toUpperCase();
  return value('status') !== 'CANCELLED' && value('transp') !== 'TRANSPARENT';
};

/** Lengths of what repeats evenly, by the clock on the wall. */
const DAYS_BETWEEN: Readonly<Record<string, number>> = { DAILY: 1, WEEKLY: 7 };

/**
 * An event that repeats by days or weeks without end, begun anew shortly before an instant: whole turns on from its own
 * beginning, so that every later turn stays what it was.
 */
function nearTo(event: ICAL.Event, at: number): ICAL.Event {
  const rules = event.component.getAllProperties('rrule');
  const rule = rules[0]?.getFirstValue() as ICAL.Recur | undefined;
  const between = rule && (DAYS_BETWEEN[rule.freq] ?? 0) * Math.max(1, rule.interval);
  if (!rule || !between || rules.length > 1 || rule.count || !event.startDate) return event;
  const began = event.startDate.toJSDate().getTime();
  const lasts = Math.max(0, event.endDate.toJSDate().getTime() - began);
  const days = Math.floor((at - lasts - began) / MS_PER_DAY / between - TURNS_BEFORE) * between;
  if (!(days > 0)) return event;
  // Beside the zones of its calendar, like the event itself.
  const component = new ICAL.Component(
    structuredClone(event.component.toJSON()) as ConstructorParameters<typeof ICAL.Component>[0],
    event.component.parent ?? undefined,
  );
  for (const name of ['dtstart', 'dtend']) {
    const property = component.getFirstProperty(name);
    const time = property?.getFirstValue() as ICAL.Time | undefined;
    if (!property || !time) continue;
    time.adjust(days, 0, 0, 0);
    property.setValue(time);
  }
  const moved = new ICAL.Event(component);
  for (const exception of Object.values(event.exceptions)) moved.relateException(exception);
  return moved;
}
const TURNS_BEFORE = 2;

function* occurrences(event: ICAL.Event): Generator<{ item: ICAL.Event; start: ICAL.Time; end: ICAL.Time }> {
  if (!event.isRecurring()) {
    yield { item: event, start: event.startDate, end: event.endDate };
    return;
  }
  const turns = event.iterator();
  for (let next = turns.next() as ICAL.Time | null; next; next = turns.next() as ICAL.Time | null) {
    const { item, startDate, endDate } = event.getOccurrenceDetails(next);
    yield { item, start: startDate, end: endDate };
  }
}
