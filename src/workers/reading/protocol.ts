import type { Result } from '@/core/shared';
import type { OutlineCode, SvgOutline } from '@/core/shape';
import type { BusyCode, BusyTime, CsvCode } from '@/records';
import type { StashCsv } from '@/storage';

/** Files that come from elsewhere, read beside the page. */
export interface ReadingJob {
  busy: (text: string, fromAt: number, untilAt: number) => Promise<Result<BusyTime[], BusyCode>>;
  stash: (text: string, now: number, idSeed: string) => Promise<Result<StashCsv, CsvCode>>;
  outline: (text: string) => Promise<Result<SvgOutline, OutlineCode>>;
}
