import { wrap } from 'comlink';
import { fail, type Result } from '@/core/shared';
import type { BusyCode, BusyTime } from '@/records';
import { startWorker } from '../running';
import type { CalendarJob } from './protocol';

/** A rule that takes longer than this to turn out is none that anybody keeps. */
const LONGEST_MS = 6000;

/** Busy times of a calendar file, read beside the page and for so long only. */
export async function busyTimesOf(
  text: string,
  fromAt: number,
  untilAt: number,
): Promise<Result<BusyTime[], BusyCode>> {
  const reading = startWorker<Result<BusyTime[], BusyCode>>(
    () => new Worker(new URL('./calendar.worker.ts', import.meta.url), { type: 'module' }),
    (worker) => wrap<CalendarJob>(worker).busy(text, fromAt, untilAt),
    (reason) => fail('calendar-unreadable', reason),
  );
  const limit = setTimeout(() => reading.cancel(), LONGEST_MS);
  const read = await reading.done;
  clearTimeout(limit);
  return read ?? fail('calendar-too-slow', `expected to end within ${LONGEST_MS} ms`);
}
