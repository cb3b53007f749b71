import { differenceInCalendarDays } from 'date-fns';
import { MS_PER_MINUTE } from '@/core/shared';

/** How a date is written: weekday, day, month, year, hour and minute, as said by these signs. */
export type DatePattern =
  | 'HH:mm'
  | 'EEE HH:mm'
  | 'd MMM HH:mm'
  | 'EEE d MMM HH:mm'
  | 'd MMM'
  | 'EEE d MMM'
  | 'EEEE'
  | 'd MMM yyyy'
  | 'd MMMM yyyy';

const named = (options: Intl.DateTimeFormatOptions) => {
  const format = new Intl.DateTimeFormat('en-US', options);
  return (date: Date): string => format.format(date);
};
const twoDigits = (figure: number): string => String(figure).padStart(2, '0');
const SIGNS: Readonly<Record<string, (date: Date) => string>> = {
  EEEE: named({ weekday: 'long' }),
  EEE: named({ weekday: 'short' }),
  MMMM: named({ month: 'long' }),
  MMM: named({ month: 'short' }),
  yyyy: (date) => String(date.getFullYear()),
  d: (date) => String(date.getDate()),
  HH: (date) => twoDigits(date.getHours()),
  mm: (date) => twoDigits(date.getMinutes()),
};

/**
 * Noon of a day "YYYY-MM-DD" in this machine's time: far from both its ends, so that no change of the clocks moves the
 * day.
 */
export const noonOf = (day: string): Date => new Date(`${day}T12:00:00`);

/**
 * "Sat 12 Dec 09:40" and its parts, in this machine's time. The browser's own names: a formatter with a locale of its
 * own would weigh on every page.
 */
export const dated = (at: number | Date, pattern: DatePattern): string =>
  pattern.replace(/EEEE|EEE|MMMM|MMM|yyyy|HH|mm|d/g, (sign) => SIGNS[sign]?.(new Date(at)) ?? sign);

/** "14:20", "tomorrow 09:40", "Thursday 09:40", "Sat 12 Dec, 09:40". */
export function clockTime(at: number, now: number): string {
  const days = differenceInCalendarDays(at, now);
  const time = dated(at, 'HH:mm');
  if (days === 0) return time;
  if (days === 1) return `tomorrow ${time}`;
  if (days === -1) return `yesterday ${time}`;
  return days > 1 && days < 7 ? `${dated(at, 'EEEE')} ${time}` : `${dated(at, 'EEE d MMM')}, ${time}`;
}

/** "today after 14:20", "Thursday after 09:40". */
export function afterTime(at: number, now: number): string {
  const text = clockTime(at, now);
  return /^\d/.test(text) ? `today after ${text}` : text.replace(/,? (\d\d:)/, ' after $1');
}

/** "today", "Saturday", "Sat 12 Dec". */
export function dayName(at: number, now: number): string {
  const days = differenceInCalendarDays(at, now);
  if (days === 0) return 'today';
  if (days === 1) return 'tomorrow';
  return days > 1 && days < 7 ? dated(at, 'EEEE') : dated(at, 'EEE d MMM');
}

/** "12 December 2026", for labels and files. */
export const longDate = (at: number): string => dated(at, 'd MMMM yyyy');

/** "in 35 min", "in 6 h 20 min", "2 h ago". */
export function span(ms: number): string {
  const minutes = Math.round(Math.abs(ms) / MS_PER_MINUTE);
  const words =
    minutes < 60
      ? `${minutes} min`
      : minutes < 2880
        ? `${Math.floor(minutes / 60)} h${minutes % 60 ? ` ${minutes % 60} min` : ''}`
        : `${Math.round(minutes / 1440)} days`;
  return ms >= 0 ? `in ${words}` : `${words} ago`;
}

/** The time zone of this machine, as the calendar names it. */
export const timeZoneHere = (): string => Intl.DateTimeFormat().resolvedOptions().timeZone;
