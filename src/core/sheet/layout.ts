/**
 * Where a print, its marks and its check bar go on the pages. Millimetres, origin at the page's top left corner, y down,
 * as the page is printed (mirrored). The printer leaves a margin on every side white; a strip below the print, or
 * beside it where only that side has room, holds the 100 mm bar and the words. A print larger than a page is cut into tiles: each but the last of a row and column
 * goes on over the join by the overlap, and the next begins exactly at it, so that only one side of a join is trimmed.
 */
import { fail, ok, type Result } from '@/core/shared';
import { MM_PER_INCH } from '@/core/measure';
import type { SizePx } from '@/core/picture';
import type { RectMm, SizeMm } from '@/core/shape';

export type PaperId = 'letter' | 'legal' | 'tabloid' | 'a4' | 'a3' | 'custom';
export type Orientation = 'auto' | 'portrait' | 'landscape';

export const PAPERS: Readonly<Record<Exclude<PaperId, 'custom'>, { name: string } & SizeMm>> = {
  letter: { name: 'Letter', widthMm: 215.9, heightMm: 279.4 },
  legal: { name: 'Legal', widthMm: 215.9, heightMm: 355.6 },
  tabloid: { name: 'Tabloid', widthMm: 279.4, heightMm: 431.8 },
  a4: { name: 'A4', widthMm: 210, heightMm: 297 },
  a3: { name: 'A3', widthMm: 297, heightMm: 420 },
};
export const PAPER_IDS: readonly PaperId[] = ['letter', 'legal', 'tabloid', 'a4', 'a3', 'custom'];

/** A paper with its upright size. */
export interface Paper extends SizeMm { id: PaperId; name: string }
export const paperOf = (id: PaperId, custom: SizeMm): Paper => (id === 'custom' ? { id, name: 'Own size', ...custom } : { id, ...PAPERS[id] });

export interface Line { x1: number; y1: number; x2: number; y2: number }

/** Which part of the print a page holds. Windows in mm from the print's top left corner, as printed. */
export interface Tile {
  index: number;
  column: number;
  row: number;
  window: RectMm;
  /** Where the next page is glued on, mm from the window's left and top; null at the last of a row or column. */
  joinXMm: number | null;
  joinYMm: number | null;
}

export interface SheetLayout {
  paper: Paper;
  orientation: Exclude<Orientation, 'auto'>;
  page: SizeMm;
  printable: RectMm;
  /** The tile's place on the page: the whole print where there is one page. */
  print: RectMm;
  tile: Tile;
  joinMarks: readonly Line[];
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

/** All pages of one print, in reading order as printed. */
export interface SheetPack { pages: readonly SheetLayout[]; columns: number; rows: number; overlapMm: number; paper: Paper; orientation: Exclude<Orientation, 'auto'>; page: SizeMm; printPx: SizePx }

export type LayoutCode = 'print-too-large' | 'print-empty' | 'page-too-small' | 'too-many-pages';

/** What most printers leave white; a calibrated printer says its own. */
export const UNPRINTABLE_MM = 5;
export const DEFAULT_OVERLAP_MM = 10;
const MOST_PAGES = 100;
export const BAR_MM = 100;
const STRIP_MM = 12;
/** Room kept round a tile so that its join marks can be seen. */
const MARK_ROOM_MM = 2;
/** A tile smaller than this is not worth a page. */
const LEAST_TILE_MM = 40;
const MARK_GAP_MM = 0.5;
const MARK_MM = 4;
/** A mark shorter than this can't be seen, so it is left out. */
const LEAST_MARK_MM = 0.7;
const PRINT_PPI = 300;
/** Larger than any blank that a pair of hands turns over. */
export const MAX_PRINT_MM = 3000;

const turned = ({ widthMm, heightMm }: SizeMm): SizeMm => ({ widthMm: heightMm, heightMm: widthMm });

export const pageSize = (paper: SizeMm, orientation: Exclude<Orientation, 'auto'>): SizeMm =>
  orientation === 'portrait' ? { widthMm: paper.widthMm, heightMm: paper.heightMm } : turned(paper);

const printableOf = (page: SizeMm, marginMm: number): RectMm => ({ xMm: marginMm, yMm: marginMm, widthMm: page.widthMm - 2 * marginMm, heightMm: page.heightMm - 2 * marginMm });

/** Room along the page for the strip: below the print, beside it, or none. */
function stripSide(print: SizeMm, printable: SizeMm): 'below' | 'beside' | null {
  const spareX = printable.widthMm - print.widthMm;
  const spareY = printable.heightMm - print.heightMm;
  if (spareX < 0 || spareY < 0) return null;
  if (spareY >= STRIP_MM) return 'below';
  return spareX >= STRIP_MM ? 'beside' : null;
}

const WAYS = ['portrait', 'landscape'] as const;

/** Papers and ways round that hold the print on one page. */
export const pagesThatHold = (print: SizeMm, marginMm = UNPRINTABLE_MM): { paper: Paper; orientation: Exclude<Orientation, 'auto'> }[] =>
  (Object.keys(PAPERS) as Exclude<PaperId, 'custom'>[]).flatMap((id) => {
    const paper = paperOf(id, PAPERS[id]);
    return WAYS.filter((way) => stripSide(print, printableOf(pageSize(paper, way), marginMm))).map((orientation) => ({ paper, orientation }));
  });

export interface LayoutChoice { paper: Paper; orientation: Orientation; overlapMm: number; marginMm: number }

const toDots = (mm: number, round: (dots: number) => number): number => (round((mm * PRINT_PPI) / MM_PER_INCH - 1e-9) * MM_PER_INCH) / PRINT_PPI;

/** How many tiles a length needs, and how long each but the last is without its overlap, on the grid of the print's dots. Alike where there is room for it. */
function cut(lengthMm: number, roomMm: number, overlapMm: number): { count: number; ownMm: number } {
  if (lengthMm <= roomMm) return { count: 1, ownMm: lengthMm };
  for (let count = Math.max(2, Math.ceil((lengthMm - overlapMm) / (roomMm - overlapMm) - 1e-9)); ; count++) {
    const ownMm = Math.min(toDots(lengthMm / count, Math.ceil), toDots(roomMm - overlapMm, Math.floor));
    if (lengthMm - (count - 1) * ownMm <= roomMm) return { count, ownMm };
  }
}

/**
 * Lays one print out on as many pages as it needs.
 *
 * @returns `print-empty`, `print-too-large` (over 3 m), `page-too-small` where margins and overlap leave nothing of a page, or `too-many-pages`
 */
export function layoutPack(print: SizeMm, choice: LayoutChoice): Result<SheetPack, LayoutCode> {
  if (!(print.widthMm > 0 && print.heightMm > 0)) return fail('print-empty', `expected a print, got ${print.widthMm} × ${print.heightMm} mm`);
  if (Math.max(print.widthMm, print.heightMm) > MAX_PRINT_MM) {
    return fail('print-too-large', `expected at most ${MAX_PRINT_MM} mm, got ${print.widthMm} × ${print.heightMm} mm`, { values: { maxMm: MAX_PRINT_MM } });
  }
  const natural = print.widthMm > print.heightMm ? 'landscape' : 'portrait';
  const ways = choice.orientation === 'auto' ? ([natural, natural === 'landscape' ? 'portrait' : 'landscape'] as const) : [choice.orientation];
  const packs = ways.map((way) => packOf(print, choice, way));
  const best = packs.filter((pack) => pack.ok).sort((a, b) => a.value.pages.length - b.value.pages.length).at(0);
  return best ?? packs[0];
}

function packOf(print: SizeMm, { paper, overlapMm, marginMm }: LayoutChoice, orientation: Exclude<Orientation, 'auto'>): Result<SheetPack, LayoutCode> {
  const page = pageSize(paper, orientation);
  const printable = printableOf(page, marginMm);
  const whole = stripSide(print, printable) !== null;
  const room = whole ? { widthMm: printable.widthMm, heightMm: printable.heightMm } : { widthMm: printable.widthMm - 2 * MARK_ROOM_MM, heightMm: printable.heightMm - STRIP_MM - 2 * MARK_ROOM_MM };
  if (room.widthMm - overlapMm < LEAST_TILE_MM || room.heightMm - overlapMm < LEAST_TILE_MM || (whole ? false : printable.widthMm < BAR_MM + 2)) {
    return fail('page-too-small', `expected a page with room for a tile, got ${page.widthMm} × ${page.heightMm} mm less ${marginMm} mm`);
  }
  const across = whole ? { count: 1, ownMm: print.widthMm } : cut(print.widthMm, room.widthMm, overlapMm);
  const along = whole ? { count: 1, ownMm: print.heightMm } : cut(print.heightMm, room.heightMm, overlapMm);
  if (across.count * along.count > MOST_PAGES) return fail('too-many-pages', `expected at most ${MOST_PAGES} pages, got ${across.count * along.count}`, { values: { pages: across.count * along.count, most: MOST_PAGES } });
  const pages: SheetLayout[] = [];
  for (let row = 0; row < along.count; row++) {
    for (let column = 0; column < across.count; column++) {
      const [left, top] = [column * across.ownMm, row * along.ownMm];
      const [lastX, lastY] = [column === across.count - 1, row === along.count - 1];
      const window: RectMm = {
        xMm: left, yMm: top, widthMm: lastX ? print.widthMm - left : Math.min(across.ownMm + overlapMm, print.widthMm - left), heightMm: lastY ? print.heightMm - top : Math.min(along.ownMm + overlapMm, print.heightMm - top),
      };
      pages.push(pageOf({ index: pages.length, column, row, window, joinXMm: lastX ? null : across.ownMm, joinYMm: lastY ? null : along.ownMm }, paper, orientation, page, printable));
    }
  }
  return ok({ pages, columns: across.count, rows: along.count, overlapMm, paper, orientation, page, printPx: rasterSize(print) });
}

function pageOf(tile: Tile, paper: Paper, orientation: Exclude<Orientation, 'auto'>, page: SizeMm, printable: RectMm): SheetLayout {
  const size: SizeMm = tile.window;
  const below = stripSide(size, printable) !== 'beside';
  const room = { widthMm: printable.widthMm - (below ? 0 : STRIP_MM), heightMm: printable.heightMm - (below ? STRIP_MM : 0) };
  const placed: RectMm = {
    xMm: printable.xMm + (room.widthMm - size.widthMm) / 2, yMm: printable.yMm + (room.heightMm - size.heightMm) / 2, widthMm: size.widthMm, heightMm: size.heightMm,
  };
  const strip: RectMm = below
    ? { xMm: printable.xMm, yMm: printable.yMm + printable.heightMm - STRIP_MM, widthMm: printable.widthMm, heightMm: STRIP_MM }
    : { xMm: printable.xMm + printable.widthMm - STRIP_MM, yMm: printable.yMm, widthMm: STRIP_MM, heightMm: printable.heightMm };
  return {
    paper, orientation, page, printable, print: placed, tile, rasterPx: rasterSize(size), rasterPpi: PRINT_PPI,
    trimCorners: trimCorners(placed, printable), centreMarks: tile.joinXMm === null && tile.joinYMm === null && tile.index === 0 ? centreMarks(placed, printable) : [],
    joinMarks: marksOutside(placed, printable, tile.joinXMm === null ? [] : [placed.xMm + tile.joinXMm], tile.joinYMm === null ? [] : [placed.yMm + tile.joinYMm]),
    bar: checkBar(strip, !below), strip: { rect: strip, vertical: !below },
  };
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
