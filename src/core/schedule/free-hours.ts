/**
 * When hands are free: a weekly pattern in local time, single days that replace it, quiet hours and busy times taken
 * out. Instants are epoch ms; the local clock is that of a named time zone, so that days on which the clock is changed
 * have the hours they really have.
 */
import { TZDate } from '@date-fns/tz';
import { MS_PER_DAY, MS_PER_MINUTE } from '@/core/shared';
import type { DaySpan } from '@/core/measure';

export interface TimeSpan {
  fromAt: number;
  untilAt: number;
}

export interface FreeHours {
  /** Seven days from Sunday, each with its spans. */
  weekly: readonly (readonly DaySpan[])[];
  /** Single days, YYYY-MM-DD, that are other than their weekday. */
  days: Readonly<Record<string, readonly DaySpan[]>>;
  /** No hands and no noise, over midnight where `from` is later than `until`; null for none. */
  quiet: DaySpan | null;
  busy: readonly TimeSpan[];
}

const DAY_MINUTES = 1440;
const MOST_DAYS = 400;
const pad = (value: number): string => String(value).padStart(2, '0');

/** The calendar day of an instant in a time zone, YYYY-MM-DD. */
export function dayOf(at: number, timeZone: string): string {
  const date = new TZDate(at, timeZone);
  return `${date.getFullYear()}-${pad(date.getMonth() + 1)}-${pad(date.getDate())}`;
}

/** The instant of a minute of a local day; one that the clock skips is as much later as the clock is put on. */
export function instantOf(day: string, minute: number, timeZone: string): number {
  const { startAt, isEven } = localDay(day, timeZone);
  return isEven && minute <= DAY_MINUTES ? startAt + minute * MS_PER_MINUTE : inZone(day, minute, timeZone);
}

function inZone(day: string, minute: number, timeZone: string): number {
  const [year, month, date] = day.split('-');
  return new TZDate(
    Number(year),
    Number(month) - 1,
    Number(date),
    Math.floor(minute / 60),
    minute % 60,
    timeZone,
  ).getTime();
}

/** When a day begins, and whether the clock is left alone on it. Zones are slow to ask, so it is kept. */
interface LocalDay {
  startAt: number;
  isEven: boolean;
}
const localDays = new Map<string, LocalDay>();
const MOST_DAYS_KEPT = 4000;

function localDay(day: string, timeZone: string): LocalDay {
  const key = `${timeZone} ${day}`;
  let found = localDays.get(key);
  if (!found) {
    const startAt = inZone(day, 0, timeZone);
    found = { startAt, isEven: inZone(day, DAY_MINUTES, timeZone) - startAt === MS_PER_DAY };
    if (localDays.size >= MOST_DAYS_KEPT) localDays.clear();
    localDays.set(key, found);
  }
  return found;
}

const nextDay = (day: string): string =>
  new Date(Date.parse(`${day}T00:00:00Z`) + MS_PER_DAY).toISOString().slice(0, 10);
export const weekdayOf = (day: string): number => new Date(`${day}T00:00:00Z`).getUTCDay();

/** Free stretches between two instants, ascending, without those shorter than five minutes. */
export function freeWindows(hours: FreeHours, fromAt: number, untilAt: number, timeZone: string): TimeSpan[] {
  const free: TimeSpan[] = [];
  const closed: TimeSpan[] = [...hours.busy];
  let day = dayOf(fromAt, timeZone);
  const span = (on: string, { fromMinute, untilMinute }: DaySpan): TimeSpan => ({
    fromAt: instantOf(on, fromMinute, timeZone),
    untilAt:
      untilMinute >= DAY_MINUTES
        ? instantOf(nextDay(on), untilMinute - DAY_MINUTES, timeZone)
        : instantOf(on, untilMinute, timeZone),
  });
  for (let count = 0; count < MOST_DAYS && instantOf(day, 0, timeZone) < untilAt; count++, day = nextDay(day)) {
    for (const one of hours.days[day] ?? hours.weekly[weekdayOf(day)] ?? []) free.push(span(day, one));
    for (const one of quietOf(hours.quiet)) closed.push(span(day, one));
  }
  return subtract(unite(free), unite(closed))
    .map((one) => ({ fromAt: Math.max(fromAt, one.fromAt), untilAt: Math.min(untilAt, one.untilAt) }))
    .filter((one) => one.untilAt - one.fromAt >= SHORTEST_MS);
}

const SHORTEST_MS = 5 * MS_PER_MINUTE;

const quietOf = (quiet: DaySpan | null): DaySpan[] => {
  if (!quiet) return [];
  if (quiet.fromMinute < quiet.untilMinute) return [quiet];
  return [
    { fromMinute: 0, untilMinute: quiet.untilMinute },
    { fromMinute: quiet.fromMinute, untilMinute: DAY_MINUTES },
  ];
};

/** Minutes of the local day at an instant. */
export function minuteOfDay(at: number, timeZone: string): number {
  const date = new TZDate(at, timeZone);
  return date.getHours() * 60 + date.getMinutes();
}

/** Whether a moment lies in the quiet hours. */
export function isQuiet(quiet: DaySpan | null, at: number, timeZone: string): boolean {
  const minute = minuteOfDay(at, timeZone);
  return quietOf(quiet).some((span) => minute >= span.fromMinute && minute < span.untilMinute);
}

function unite(spans: readonly TimeSpan[]): TimeSpan[] {
  const united: TimeSpan[] = [];
  for (const span of [...spans].filter((one) => one.untilAt > one.fromAt).sort((a, b) => a.fromAt - b.fromAt)) {
    const last = united.at(-1);
    if (last && span.fromAt <= last.untilAt) last.untilAt = Math.max(last.untilAt, span.untilAt);
    else united.push({ ...span });
  }
  return united;
}

function subtract(spans: readonly TimeSpan[], holes: readonly TimeSpan[]): TimeSpan[] {
  return spans.flatMap((span) => {
    const left: TimeSpan[] = [];
    let from = span.fromAt;
    for (const hole of holes) {
      if (hole.untilAt <= from || hole.fromAt >= span.untilAt) continue;
      if (hole.fromAt > from) left.push({ fromAt: from, untilAt: hole.fromAt });
      from = Math.max(from, hole.untilAt);
    }
    return from < span.untilAt ? [...left, { fromAt: from, untilAt: span.untilAt }] : left;
  });
}
