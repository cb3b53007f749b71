import { MS_PER_MINUTE } from '@/core/shared';

/** Height of a row, and of the days and hours above all rows, px. */
export const ROW = 46;
export const HEAD = 44;

/** Blocks are dragged in steps of this. */
export const SNAP_MS = 5 * MS_PER_MINUTE;
export const snapped = (at: number): number => Math.round(at / SNAP_MS) * SNAP_MS;

/** How instants lie on the drawing. */
export interface TimeScale {
  fromAt: number;
  untilAt: number;
  /** Where it begins and ends, px. */
  left: number;
  right: number;
  msPerPx: number;
  x: (at: Date | number) => number;
}

export function scaleOf(fromAt: number, untilAt: number, left: number, right: number): TimeScale {
  const msPerPx = (untilAt - fromAt) / Math.max(1, right - left);
  return { fromAt, untilAt, left, right, msPerPx, x: (at) => left + (Number(at) - fromAt) / msPerPx };
}

/** Whether some of a stretch lies on the drawing. */
export const isShown = (from: number, until: number, { fromAt, untilAt }: TimeScale): boolean =>
  until > fromAt && from < untilAt;

/** Rows come and go so many at once, and as many wait above and below what is seen. */
export const ROWS_AT_ONCE = 12;

/**
 * The rows near what is seen, first and one past the last.
 *
 * @param above px of the drawing above what is seen, negative where it begins below; @param seen px
 */
export function rowsInSight(above: number, seen: number): readonly [number, number] {
  const step = ROW * ROWS_AT_ONCE;
  const first = Math.floor((above - HEAD) / step) - 1;
  const end = Math.ceil((above - HEAD + seen) / step) + 1;
  return [Math.max(0, first) * ROWS_AT_ONCE, Math.max(0, end) * ROWS_AT_ONCE];
}
