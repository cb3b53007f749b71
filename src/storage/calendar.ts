import { createEvents, type EventAttributes } from 'ics';

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

const utcParts = (instant: number): [number, number, number, number, number] => {
  const date = new Date(instant);
  return [date.getUTCFullYear(), date.getUTCMonth() + 1, date.getUTCDate(), date.getUTCHours(), date.getUTCMinutes()];
};

/** Writes events as iCalendar (RFC 5545), in UTC with an alarm at their start. `sequence` rises with each change of the piece. */
export function writeCalendar(entries: readonly CalendarEntry[], sequence: number): string {
  const events = entries.map((entry): EventAttributes => ({
    uid: `${entry.id}@fobbet`, sequence, productId: 'fobbet', calName: 'Fobbet',
    title: entry.title, description: entry.description,
    start: utcParts(entry.startsAt), startInputType: 'utc', startOutputType: 'utc', duration: { minutes: Math.max(1, Math.round(entry.minutes)) },
    alarms: [{ action: 'display', description: entry.title, trigger: { minutes: entry.alarmMinutes ?? 0, before: true } }],
  }));
  const { error, value } = createEvents(events);
  if (error || !value) throw error ?? new Error('no calendar written');
  return value;
}
