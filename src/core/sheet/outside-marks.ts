/** Marks that stand outside a print: trim corners, centres, joins. */
import type { RectMm } from '@/core/shape';
import type { Line } from './line';

const MARK_GAP_MM = 0.5;
const MARK_MM = 4;
/** A mark shorter than this can't be seen, so it is left out. */
const LEAST_MARK_MM = 0.7;

/** The four ways out of the print: how long a mark may be on each side before it leaves the printable area. */
function markLengths(print: RectMm, printable: RectMm) {
  const upTo = (roomMm: number) => {
    const length = Math.min(MARK_MM, roomMm - MARK_GAP_MM);
    return length >= LEAST_MARK_MM ? length : 0;
  };
  return {
    left: upTo(print.xMm - printable.xMm),
    right: upTo(printable.xMm + printable.widthMm - print.xMm - print.widthMm),
    top: upTo(print.yMm - printable.yMm),
    bottom: upTo(printable.yMm + printable.heightMm - print.yMm - print.heightMm),
  };
}

/** Marks that point away from the print along its edges, at the given heights and widths. */
export function marksOutside(print: RectMm, printable: RectMm, xs: readonly number[], ys: readonly number[]): Line[] {
  const lengths = markLengths(print, printable);
  const [left, top] = [print.xMm, print.yMm];
  const [right, bottom] = [left + print.widthMm, top + print.heightMm];
  const lines: Line[] = [];
  for (const y of ys) {
    if (lengths.left) lines.push({ x1: left - MARK_GAP_MM - lengths.left, y1: y, x2: left - MARK_GAP_MM, y2: y });
    if (lengths.right) lines.push({ x1: right + MARK_GAP_MM, y1: y, x2: right + MARK_GAP_MM + lengths.right, y2: y });
  }
  for (const x of xs) {
    if (lengths.top) lines.push({ x1: x, y1: top - MARK_GAP_MM - lengths.top, x2: x, y2: top - MARK_GAP_MM });
    if (lengths.bottom)
      lines.push({ x1: x, y1: bottom + MARK_GAP_MM, x2: x, y2: bottom + MARK_GAP_MM + lengths.bottom });
  }
  return lines;
}

export const trimCorners = (print: RectMm, printable: RectMm): Line[] =>
  marksOutside(print, printable, [print.xMm, print.xMm + print.widthMm], [print.yMm, print.yMm + print.heightMm]);

export const centreMarks = (print: RectMm, printable: RectMm): Line[] =>
  marksOutside(print, printable, [print.xMm + print.widthMm / 2], [print.yMm + print.heightMm / 2]);
