import { differenceInCalendarDays } from 'date-fns';
import { formatSpans, type DaySpan } from '@/core/measure';
import { MS_PER_MINUTE } from '@/core/shared';
import { IS_ENGLISH, LANGUAGE, localeHere } from '@/words/language';
import { say } from '@/words/say';

/** How a date is written: weekday, day, month, year, hour and minute, as said by these signs. */
export type DatePattern =
  | 'HH:mm'
  | 'EEE HH:mm'
  | 'd MMM HH:mm'
  | 'EEE d MMM HH:mm'
  | 'd MMM'
  | 'EEE d MMM'
  | 'EEEE'
  | 'EEEE d MMM'
  | 'd MMM yyyy'
  | 'd MMMM yyyy';

const named = (options: Intl.DateTimeFormatOptions) => {
  const format = new Intl.DateTimeFormat(IS_ENGLISH ? 'en-US' : LANGUAGE.tag, options);
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
  h: (date) => String(date.getHours() % 12 || 12),
  a: (date) => (date.getHours() < 12 ? 'AM' : 'PM'),
  mm: (date) => twoDigits(date.getMinutes()),
};

/**
 * Noon of a day "YYYY-MM-DD" in this machine's time: far from both its ends, so that no change of the clocks moves the
 * day.
 */
export const noonOf = (day: string): Date => new Date(`${day}T12:00:00`);

/** How dates and times are written where the person is. */
export interface DateWriting {
  /** "Dec 12", not "12 Dec". */
  monthFirst: boolean;
  clock: 12 | 24;
}

/** @param locale a language tag, such as "en-US" */
export function writingOf(locale: string): DateWriting {
  const order = new Intl.DateTimeFormat(locale, { day: 'numeric', month: 'short' })
    .formatToParts(0)
    .map(({ type }) => type);
  const { hour12 } = new Intl.DateTimeFormat(locale, { hour: 'numeric' }).resolvedOptions();
  return { monthFirst: order.indexOf('month') < order.indexOf('day'), clock: hour12 ? 12 : 24 };
}

let written: DateWriting | null = null;
export const writingHere = (): DateWriting => (written ??= writingOf(localeHere()));

const MONTH_FIRST: readonly [RegExp, string][] = [
  [/d (MMMM?) yyyy/, '$1 d, yyyy'],
  [/d (MMM) HH/, '$1 d, HH'],
  [/d (MMM)/, '$1 d'],
];

function patternIn(pattern: string, { monthFirst, clock }: DateWriting): string {
  const [turn, to] = MONTH_FIRST.find(([form]) => form.test(pattern)) ?? [];
  const ordered = monthFirst && turn && to ? pattern.replace(turn, to) : pattern;
  return clock === 12 ? ordered.replace('HH:mm', 'h:mm a') : ordered;
}

/** Stretches of a day, on the clock of this place. */
export const formatHours = (spans: readonly DaySpan[]): string => formatSpans(spans, writingHere().clock);

/**
 * "Sat 12 Dec 09:40", or "Sat Dec 12, 9:40 AM" where that is usual, and its parts, in this machine's time. The
 * browser's own names: a formatter with a locale of its own would weigh on every page.
 */
export const dated = (at: number | Date, pattern: DatePattern, writing = writingHere()): string =>
  patternIn(pattern, writing).replace(
    /EEEE|EEE|MMMM|MMM|yyyy|HH|mm|d|h|a/g,
    (sign) => SIGNS[sign]?.(new Date(at)) ?? sign,
  );

/** "14:20", "tomorrow 09:40", "Thursday 09:40", "Sat 12 Dec, 09:40". */
export function clockTime(at: number, now: number): string {
  const days = differenceInCalendarDays(at, now);
  const time = dated(at, 'HH:mm');
  if (days === 0) return time;
  if (days === 1) return say`tomorrow ${time}`;
  if (days === -1) return say`yesterday ${time}`;
  return days > 1 && days < 7 ? `${dated(at, 'EEEE')} ${time}` : `${dated(at, 'EEE d MMM')}, ${time}`;
}

/** "today after 14:20", "Thursday after 09:40". */
export function afterTime(at: number, now: number): string {
  const days = differenceInCalendarDays(at, now);
  const time = dated(at, 'HH:mm');
  if (days === 0) return say`today after ${time}`;
  if (days === 1) return say`tomorrow after ${time}`;
  if (days === -1) return say`yesterday after ${time}`;
  return say`${days > 1 && days < 7 ? dated(at, 'EEEE') : dated(at, 'EEE d MMM')} after ${time}`;
}

const [NIGHT_FROM, NIGHT_UNTIL] = [21, 6];

/** Whether an instant is at a time when hands rest, here. */
export function isAtNight(at: number): boolean {
  const hour = new Date(at).getHours();
  return hour >= NIGHT_FROM || hour < NIGHT_UNTIL;
}

/** "today", "Saturday", "Sat 12 Dec". */
export function dayName(at: number, now: number): string {
  const days = differenceInCalendarDays(at, now);
  if (days === 0) return say`today`;
  if (days === 1) return say`tomorrow`;
  return days > 1 && days < 7 ? dated(at, 'EEEE') : dated(at, 'EEE d MMM');
}

/** "12 December 2026", for labels and files. */
export const longDate = (at: number): string => dated(at, 'd MMMM yyyy');

/** "35 min", "6 h 20 min", "3 days". */
export function lasting(ms: number): string {
  const minutes = Math.round(Math.abs(ms) / MS_PER_MINUTE);
  if (minutes < 60) return say`${minutes} min`;
  return minutes < 2880 ? hoursText(Math.floor(minutes / 60), minutes % 60) : say`${Math.round(minutes / 1440)} days`;
}

/** "in 35 min", "in 6 h 20 min", "2 h ago". */
export const span = (ms: number): string => (ms >= 0 ? say`in ${lasting(ms)}` : say`${lasting(ms)} ago`);

const hoursText = (hours: number, minutes: number): string =>
  minutes ? say`${hours} h ${minutes} min` : say`${hours} h`;

/** The time zone of this machine, as the calendar names it. */
export const timeZoneHere = (): string => Intl.DateTimeFormat().resolvedOptions().timeZone;
