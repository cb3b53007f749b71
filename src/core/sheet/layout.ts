/**
 * Where a print, its marks and its check bar go on one page. Millimetres, origin at the page's top left corner, y down,
 * as the page is printed (mirrored). The printer leaves `UNPRINTABLE_MM` on every side white; a strip below the print, or
 * beside it where only that side has room, holds the 100 mm bar and the words.
 */
import { fail, ok, type Result } from '@/core/shared';
import { MM_PER_INCH } from '@/core/measure';
import type { SizePx } from '@/core/picture';
import type { RectMm, SizeMm } from '@/core/shape';

export type PaperId = 'letter' | 'a4';
export type Orientation = 'auto' | 'portrait' | 'landscape';

export const PAPERS: Readonly<Record<PaperId, { name: string } & SizeMm>> = {
  letter: { name: 'Letter', widthMm: 215.9, heightMm: 279.4 },
  a4: { name: 'A4', widthMm: 210, heightMm: 297 },
};

export interface Line { x1: number; y1: number; x2: number; y2: number }

export interface SheetLayout {
  paper: PaperId;
  orientation: Exclude<Orientation, 'auto'>;
  page: SizeMm;
  printable: RectMm;
  print: RectMm;
  /** Pixels that the print is made with, and their density. */
  rasterPx: SizePx;
  rasterPpi: number;
  trimCorners: readonly Line[];
  centreMarks: readonly Line[];
  /** The check bar, exactly 100 mm from end to end. */
  bar: Line;
  /** The strip's own frame: words run along it. */
  strip: { rect: RectMm; vertical: boolean };
}

export type LayoutCode = 'print-exceeds-page' | 'print-too-large' | 'print-empty';

export const UNPRINTABLE_MM = 5;
export const BAR_MM = 100;
const STRIP_MM = 12;
const MARK_GAP_MM = 0.5;
const MARK_MM = 4;
/** A mark shorter than this can't be seen, so it is left out. */
const LEAST_MARK_MM = 0.7;
const PRINT_PPI = 300;
/** Larger than any blank that a pair of hands turns over. */
export const MAX_PRINT_MM = 3000;

const turned = ({ widthMm, heightMm }: SizeMm): SizeMm => ({ widthMm: heightMm, heightMm: widthMm });

export const pageSize = (paper: PaperId, orientation: Exclude<Orientation, 'auto'>): SizeMm =>
  orientation === 'portrait' ? { widthMm: PAPERS[paper].widthMm, heightMm: PAPERS[paper].heightMm } : turned(PAPERS[paper]);

const printableOf = (page: SizeMm): RectMm => ({
  xMm: UNPRINTABLE_MM, yMm: UNPRINTABLE_MM, widthMm: page.widthMm - 2 * UNPRINTABLE_MM, heightMm: page.heightMm - 2 * UNPRINTABLE_MM,
});

/** Room along the page for the strip: below the print, beside it, or none. */
function stripSide(print: SizeMm, printable: SizeMm): 'below' | 'beside' | null {
  const spareX = printable.widthMm - print.widthMm;
  const spareY = printable.heightMm - print.heightMm;
  if (spareX < 0 || spareY < 0) return null;
  if (spareY >= STRIP_MM) return 'below';
  return spareX >= STRIP_MM ? 'beside' : null;
}

/** Papers and ways round that hold the print on one page. */
export function pagesThatHold(print: SizeMm): { paper: PaperId; orientation: Exclude<Orientation, 'auto'> }[] {
  const papers = Object.keys(PAPERS) as PaperId[];
  return papers.flatMap((paper) =>
    (['portrait', 'landscape'] as const).filter((way) => stripSide(print, printableOf(pageSize(paper, way)))).map((orientation) => ({ paper, orientation })),
  );
}

/** The largest print of the same shape that the page holds, mm. */
export function largestOnPage(print: SizeMm, page: SizeMm): SizeMm {
  const { widthMm, heightMm } = printableOf(page);
  const scale = Math.max(
    Math.min(widthMm / print.widthMm, (heightMm - STRIP_MM) / print.heightMm),
    Math.min((widthMm - STRIP_MM) / print.widthMm, heightMm / print.heightMm),
  );
  return { widthMm: print.widthMm * scale, heightMm: print.heightMm * scale };
}

function resolveOrientation(print: SizeMm, paper: PaperId, wanted: Orientation): Exclude<Orientation, 'auto'> {
  if (wanted !== 'auto') return wanted;
  const natural = print.widthMm > print.heightMm ? 'landscape' : 'portrait';
  const holding = pagesThatHold(print).filter((page) => page.paper === paper).map((page) => page.orientation);
  return holding.includes(natural) || holding.length === 0 ? natural : holding[0];
}

/**
 * Lays one print out on one page.
 *
 * @returns `print-empty`, `print-too-large` (over 3 m), or `print-exceeds-page` with the largest that would fit
 */
export function layoutSheet(print: SizeMm, paper: PaperId, wanted: Orientation): Result<SheetLayout, LayoutCode> {
  if (!(print.widthMm > 0 && print.heightMm > 0)) return fail('print-empty', `expected a print, got ${print.widthMm} × ${print.heightMm} mm`);
  if (Math.max(print.widthMm, print.heightMm) > MAX_PRINT_MM) {
    return fail('print-too-large', `expected at most ${MAX_PRINT_MM} mm, got ${print.widthMm} × ${print.heightMm} mm`, { values: { maxMm: MAX_PRINT_MM } });
  }
  const orientation = resolveOrientation(print, paper, wanted);
  const page = pageSize(paper, orientation);
  const printable = printableOf(page);
  const side = stripSide(print, printable);
  if (!side) {
    const largest = largestOnPage(print, page);
    return fail('print-exceeds-page', `expected at most ${largest.widthMm} × ${largest.heightMm} mm, got ${print.widthMm} × ${print.heightMm} mm`, {
      values: { largestWidthMm: largest.widthMm, largestHeightMm: largest.heightMm, paper, orientation },
    });
  }
  const below = side === 'below';
  const room = { widthMm: printable.widthMm - (below ? 0 : STRIP_MM), heightMm: printable.heightMm - (below ? STRIP_MM : 0) };
  const placed: RectMm = {
    xMm: printable.xMm + (room.widthMm - print.widthMm) / 2,
    yMm: printable.yMm + (room.heightMm - print.heightMm) / 2,
    widthMm: print.widthMm,
    heightMm: print.heightMm,
  };
  const strip: RectMm = below
    ? { xMm: printable.xMm, yMm: printable.yMm + printable.heightMm - STRIP_MM, widthMm: printable.widthMm, heightMm: STRIP_MM }
    : { xMm: printable.xMm + printable.widthMm - STRIP_MM, yMm: printable.yMm, widthMm: STRIP_MM, heightMm: printable.heightMm };
  return ok({
    paper, orientation, page, printable, print: placed,
    rasterPx: rasterSize(print), rasterPpi: PRINT_PPI,
    trimCorners: trimCorners(placed, printable),
    centreMarks: centreMarks(placed, printable),
    bar: checkBar(strip, !below),
    strip: { rect: strip, vertical: !below },
  });
}

const rasterSize = (print: SizeMm): SizePx => ({
  widthPx: Math.max(1, Math.round((print.widthMm / MM_PER_INCH) * PRINT_PPI)),
  heightPx: Math.max(1, Math.round((print.heightMm / MM_PER_INCH) * PRINT_PPI)),
});

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
function marksOutside(print: RectMm, printable: RectMm, xs: readonly number[], ys: readonly number[]): Line[] {
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
    if (lengths.bottom) lines.push({ x1: x, y1: bottom + MARK_GAP_MM, x2: x, y2: bottom + MARK_GAP_MM + lengths.bottom });
  }
  return lines;
}

const trimCorners = (print: RectMm, printable: RectMm): Line[] =>
  marksOutside(print, printable, [print.xMm, print.xMm + print.widthMm], [print.yMm, print.yMm + print.heightMm]);

const centreMarks = (print: RectMm, printable: RectMm): Line[] =>
  marksOutside(print, printable, [print.xMm + print.widthMm / 2], [print.yMm + print.heightMm / 2]);

const BAR_INSET_MM = 3;

function checkBar(strip: RectMm, vertical: boolean): Line {
  if (vertical) {
    const x = strip.xMm + strip.widthMm - BAR_INSET_MM;
    return { x1: x, y1: strip.yMm + 1, x2: x, y2: strip.yMm + 1 + BAR_MM };
  }
  const y = strip.yMm + strip.heightMm - BAR_INSET_MM;
  return { x1: strip.xMm + 1, y1: y, x2: strip.xMm + 1 + BAR_MM, y2: y };
}
