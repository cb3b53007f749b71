/**
 * Stretches of a day as people type them: "18-21", "9:30–12, 14–17", "6 pm - 9 pm", "22-7" over midnight where one is
 * allowed. Minutes of the day.
 */
import { fail, ok, type Result } from '@/core/shared';

/** `untilMinute` up to 1440; before `fromMinute` only for one over midnight. */
export interface DaySpan {
  fromMinute: number;
  untilMinute: number;
}
export type SpansCode = 'spans-unreadable' | 'spans-backwards' | 'spans-overlap' | 'spans-too-many';

/** Stretches that one day may have. */
export const MOST_SPANS = 12;

const DAY_MINUTES = 1440;
const TIME = String.raw`(\d{1,2})(?:[:.](\d{2}))?\s*(am|pm)?`;
const SPAN = new RegExp(`^${TIME}\\s*(?:-|–|to|until)\\s*${TIME}$`, 'i');

/** @param overMidnight a single span may run over midnight */
export function parseSpans(text: string, overMidnight = false): Result<DaySpan[], SpansCode> {
  const spans: DaySpan[] = [];
  for (const part of text
    .split(/[,;]|\band\b/)
    .map((one) => one.trim())
    .filter((one) => one !== '')) {
    const match = SPAN.exec(part);
    const [from, until] = match
      ? [minuteOf(match[1]!, match[2], match[3]), minuteOf(match[4]!, match[5], match[6])]
      : [null, null];
    if (from === null || until === null)
      return fail('spans-unreadable', `expected times such as 18-21, got "${part}"`, { values: { text: part } });
    if (until <= from && !overMidnight)
      return fail('spans-backwards', `expected the end after the beginning, got "${part}"`, { values: { text: part } });
    spans.push({ fromMinute: from, untilMinute: until });
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

function minuteOf(hours: string, minutes: string | undefined, half: string | undefined): number | null {
  let hour = Number(hours);
  const minute = Number(minutes ?? 0);
  if (half) {
    if (hour < 1 || hour > 12) return null;
    hour = (hour % 12) + (half.toLowerCase() === 'pm' ? 12 : 0);
  }
  const total = hour * 60 + minute;
  return minute < 60 && total <= DAY_MINUTES ? total : null;
}

const clockText = (minute: number): string =>
  `${String(Math.floor(minute / 60)).padStart(2, '0')}:${String(minute % 60).padStart(2, '0')}`;
export const formatSpans = (spans: readonly DaySpan[]): string =>
  spans.map(({ fromMinute, untilMinute }) => `${clockText(fromMinute)}–${clockText(untilMinute)}`).join(', ');
