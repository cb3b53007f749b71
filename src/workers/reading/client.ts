import type { Remote } from 'comlink';
import { fail, type Result } from '@/core/shared';
import type { OutlineCode, SvgOutline } from '@/core/shape';
import type { BusyCode, BusyTime, CsvCode } from '@/records';
import type { DecimalSign, StashCsv } from '@/storage';
import { startWorker } from '../running';
import type { ReadingJob } from './protocol';

/** What takes longer than this to read is nothing that anybody made on purpose. */
const LONGEST_MS = 6000;

/** Reads a file beside the page, and for so long only. */
async function within<T, C extends string>(
  read: (job: Remote<ReadingJob>) => Promise<Result<T, C>>,
  { broken, slow }: { broken: C; slow: C },
): Promise<Result<T, C>> {
  const failed = (reason: string, isSlow: boolean) => fail(isSlow ? slow : broken, reason);
  const reading = startWorker<ReadingJob, Result<T, C>>(
    () => new Worker(new URL('./reading.worker.ts', import.meta.url), { type: 'module' }),
    read,
    failed,
    LONGEST_MS,
  );
  return (await reading.done) ?? failed('cancelled', false);
}

/** Busy times of a calendar file. */
export const busyTimesOf = (text: string, fromAt: number, untilAt: number) =>
  within<BusyTime[], BusyCode>((job) => job.busy(text, fromAt, untilAt), {
    broken: 'calendar-unreadable',
    slow: 'calendar-too-slow',
  });

/** Items of a table. @param idSeed what the ids of new items begin with; @param sign the decimal sign, where it was said */
export const stashTableOf = (bytes: Uint8Array, now: number, idSeed: string, sign: DecimalSign | null) =>
  within<StashCsv, CsvCode>((job) => job.stash(bytes, now, idSeed, sign), {
    broken: 'csv-no-header',
    slow: 'csv-too-slow',
  });

/** The outline of a drawing. */
export const outlineOf = (text: string) =>
  within<SvgOutline, OutlineCode>((job) => job.outline(text), {
    broken: 'outline-unreadable',
    slow: 'outline-too-slow',
  });
