import type { Result } from '@/core/shared';
import type { OutlineCode, SvgOutline } from '@/core/shape';
import type { BusyCode, BusyTime, CsvCode } from '@/records';
import type { DecimalSign, StashCsv } from '@/storage';

/** Files that come from elsewhere, read beside the page. */
export interface ReadingJob {
  busy: (text: string, fromAt: number, untilAt: number) => Promise<Result<BusyTime[], BusyCode>>;
  stash: (
    bytes: Uint8Array,
    now: number,
    idSeed: string,
    sign: DecimalSign | null,
  ) => Promise<Result<StashCsv, CsvCode>>;
  outline: (text: string) => Promise<Result<SvgOutline, OutlineCode>>;
}
