import type { Result } from '@/core/shared';
import type { BusyCode, BusyTime } from '@/records';

export interface CalendarJob {
  busy: (text: string, fromAt: number, untilAt: number) => Result<BusyTime[], BusyCode>;
}
