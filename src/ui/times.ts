import { differenceInCalendarDays, format } from 'date-fns';

/** "14:20", "tomorrow 09:40", "Thursday 09:40", "Sat 12 Dec, 09:40". */
export function clockTime(at: number, now: number): string {
  const days = differenceInCalendarDays(at, now);
  const time = format(at, 'HH:mm');
  if (days === 0) return time;
  if (days === 1) return `tomorrow ${time}`;
  if (days === -1) return `yesterday ${time}`;
  return days > 1 && days < 7 ? `${format(at, 'EEEE')} ${time}` : `${format(at, 'EEE d MMM')}, ${time}`;
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
  return days > 1 && days < 7 ? format(at, 'EEEE') : format(at, 'EEE d MMM');
}

/** "Saturday 12 December", for labels and files. */
export const longDate = (at: number): string => format(at, 'd MMMM yyyy');

/** "in 35 min", "in 6 h 20 min", "2 h ago". */
export function span(ms: number): string {
  const minutes = Math.round(Math.abs(ms) / 60_000);
  const words = minutes < 60 ? `${minutes} min` : minutes < 2880 ? `${Math.floor(minutes / 60)} h${minutes % 60 ? ` ${minutes % 60} min` : ''}` : `${Math.round(minutes / 1440)} days`;
  return ms >= 0 ? `in ${words}` : `${words} ago`;
}

/** The time zone of this machine, as the calendar names it. */
export const timeZoneHere = (): string => Intl.DateTimeFormat().resolvedOptions().timeZone;
