/**
 * Stretches of a day as people type them: "18-21", "9:30–12, 14–17", "6 pm - 9 pm", "6-9 pm" (the evening), "18h-21h30",
 * "8-12 and 1-5 pm", "22-7" over midnight where one is allowed. What would only fit the night is asked about, never
 * assumed. Minutes of the day.
 */
import { fail, ok, type Result } from '@/core/shared';

/** `untilMinute` up to 1440; before `fromMinute` only for one over midnight. */
export interface DaySpan {
  fromMinute: number;
  untilMinute: number;
}
export type SpansCode = 'spans-unreadable' | 'spans-unclear' | 'spans-backwards' | 'spans-overlap' | 'spans-too-many';

/** Stretches that one day may have. */
export const MOST_SPANS = 12;

const DAY_MINUTES = 1440;
const TIME = String.raw`(\d{1,2})(?:\s*[:.h]\s*(\d{2}))?\s*(?:h|uhr|o['’]clock)?\s*(am|pm)?`;
const SPAN = new RegExp(`^${TIME}\\s*(?:-|–|to|until)\\s*${TIME}$`, 'i');

/** Earlier hours than this, typed without a zero before them, are asked about. */
const FIRST_WAKING_HOUR = 5;
/** Earlier hours than this that stand after later ones may be meant for the afternoon. */
const LAST_MORNING_HOUR = 8;

interface TypedTime {
  hour: number;
  minute: number;
  half: 'am' | 'pm' | null;
  /** Typed as on a clock of 24 hours: with a zero before it, or past noon. */
  isFull: boolean;
}

/** @param overMidnight a single span may run over midnight */
export function parseSpans(text: string, overMidnight = false): Result<DaySpan[], SpansCode> {
  const spans: DaySpan[] = [];
  const parts = plainHours(text)
    .split(/[,;&]|\band\b/)
    .map((one) => one.trim())
    .filter((one) => one !== '');
  for (const part of parts) {
    const match = SPAN.exec(part);
    const [from, until] = match
      ? [typedTime(match[1]!, match[2], match[3]), typedTime(match[4]!, match[5], match[6])]
      : [null, null];
    const span = from && until ? spanOf(from, until) : null;
    if (!from || !span)
      return fail('spans-unreadable', `expected times such as 18-21, got "${part}"`, { values: { text: part } });
    if (span.untilMinute <= span.fromMinute && !overMidnight)
      return fail('spans-backwards', `expected the end after the beginning, got "${part}"`, { values: { text: part } });
    const isSaid = from.isFull || from.half !== null || until?.half != null;
    const isNight = !isSaid && from.hour < FIRST_WAKING_HOUR;
    const goesBack = !isSaid && from.hour < LAST_MORNING_HOUR && span.fromMinute < (spans.at(-1)?.fromMinute ?? 0);
    if ((isNight || goesBack) && !overMidnight)
      return fail('spans-unclear', `expected morning or afternoon said, got "${part}"`, { values: { text: part } });
    spans.push(span);
  }
  spans.sort((a, b) => a.fromMinute - b.fromMinute);
  if (spans.some((span, index) => index > 0 && span.fromMinute < spans[index - 1]!.untilMinute))
    return fail('spans-overlap', 'two spans overlap');
  if (spans.length > MOST_SPANS)
    return fail('spans-too-many', `expected at most ${MOST_SPANS}, got ${spans.length}`, {
      values: { most: MOST_SPANS },
    });
  return ok(spans);
}

/** "6 p.m." as "6 pm", "noon" as 12:00. */
const plainHours = (text: string): string =>
  text
    .toLowerCase()
    .replace(/[\u00a0\u2009\u202f]/g, ' ')
    .replace(/\b([ap])\.?\s?m\b\.?/g, '$1m')
    .replace(/\bnoon\b/g, '12:00')
    .replace(/\bmidnight\b/g, '24:00');

function typedTime(hours: string, minutes: string | undefined, half: string | undefined): TypedTime | null {
  const [hour, minute] = [Number(hours), Number(minutes ?? 0)];
  if (minute >= 60 || hour * 60 + minute > DAY_MINUTES) return null;
  if (half && (hour < 1 || hour > 12)) return null;
  return {
    hour,
    minute,
    half: half === 'am' || half === 'pm' ? half : null,
    isFull: hours.startsWith('0') || hour > 12,
  };
}

const minuteAt = ({ hour, minute, isFull }: TypedTime, half: TypedTime['half']): number =>
  (half === null || isFull ? hour : (hour % 12) + (half === 'pm' ? 12 : 0)) * 60 + minute;

/**
 * A half of the day that one end names holds for the other where the stretch then runs forward: "6-9 pm" is the
 * evening, "11-1 pm" begins in the morning.
 */
function spanOf(from: TypedTime, until: TypedTime): DaySpan {
  const other = (half: 'am' | 'pm') => (half === 'am' ? 'pm' : 'am');
  if (from.half === null && until.half !== null && !from.isFull) {
    const untilMinute = minuteAt(until, until.half);
    const same = minuteAt(from, until.half);
    return { fromMinute: same < untilMinute ? same : minuteAt(from, other(until.half)), untilMinute };
  }
  if (from.half !== null && until.half === null && !until.isFull) {
    const fromMinute = minuteAt(from, from.half);
    const same = minuteAt(until, from.half);
    return { fromMinute, untilMinute: same > fromMinute ? same : minuteAt(until, other(from.half)) };
  }
  return { fromMinute: minuteAt(from, from.half), untilMinute: minuteAt(until, until.half) };
}

/** A clock of two halves, or of 24 hours. */
type ClockHours = 12 | 24;

function clockText(minute: number, clock: ClockHours): string {
  const [hour, past] = [Math.floor(minute / 60), String(minute % 60).padStart(2, '0')];
  if (clock === 24) return `${String(hour).padStart(2, '0')}:${past}`;
  if (hour === 24) return 'midnight';
  return `${hour % 12 || 12}:${past} ${hour < 12 ? 'AM' : 'PM'}`;
}

/** As it can be typed again. */
export const formatSpans = (spans: readonly DaySpan[], clock: ClockHours = 24): string =>
  spans
    .map(({ fromMinute, untilMinute }) => `${clockText(fromMinute, clock)}–${clockText(untilMinute, clock)}`)
    .join(', ');

export type TimeCode = 'time-unreadable';
const ONE_TIME = new RegExp(`^${TIME}$`, 'i');

/** A time of the day, minutes from midnight: "18:30", "6.30 pm", "noon". @returns `time-unreadable` (values.text) */
export function parseTimeOfDay(text: string): Result<number, TimeCode> {
  const match = ONE_TIME.exec(plainHours(text).trim());
  const time = match ? typedTime(match[1]!, match[2], match[3]) : null;
  const minute = time ? minuteAt(time, time.half) : DAY_MINUTES;
  if (minute >= DAY_MINUTES)
    return fail('time-unreadable', `expected a time such as 18:30, got "${text}"`, { values: { text } });
  return ok(minute);
}
