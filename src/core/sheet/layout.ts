/**
 * Where a print, its marks and its check bar go on the pages. Millimetres, origin at the page's top left corner, y down,
 * as the page is printed (mirrored). The printer leaves a margin on every side white; a strip below the print, or
 * beside it where only that side has room, holds the 100 mm bar and the words. A print larger than a page is cut into tiles: each but the last of a row and column
 * goes on over the join by the overlap, and the next begins exactly at it, so that only one side of a join is trimmed. Several prints share pages.
 */
import { fail, ok, type Result } from '@/core/shared';
import { MM_PER_INCH } from '@/core/measure';
import type { SizePx } from '@/core/picture';
import type { RectMm, SizeMm } from '@/core/shape';
import { fitsIn, nest, type NestedItem } from './nest';

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

/** One print, or a tile of it, on a page. */
export interface PlacedPrint {
  /** Index among the prints that were laid out, and which of its copies. */
  print: number;
  copy: number;
  /** Its place on the page; a turned one is a quarter turn clockwise, so that its width runs down. */
  place: RectMm;
  turned: boolean;
  tile: Tile;
  joinMarks: readonly Line[];
  trimCorners: readonly Line[];
  centreMarks: readonly Line[];
  /** Pixels that it is made with, before turning. */
  rasterPx: SizePx;
}

export interface SheetLayout {
  paper: Paper;
  orientation: Exclude<Orientation, 'auto'>;
  page: SizeMm;
  printable: RectMm;
  places: readonly PlacedPrint[];
  rasterPpi: number;
  /** The check bar, exactly 100 mm from end to end. */
  bar: Line;
  /** The strip's own frame: words run along it. */
  strip: { rect: RectMm; vertical: boolean };
}

/** All pages, tiles in reading order as printed, then what is nested. */
export interface SheetPack {
  pages: readonly SheetLayout[];
  /** Pages that the first print takes across and down: 1 × 1 where it is whole. */
  columns: number;
  rows: number;
  overlapMm: number;
  paper: Paper;
  orientation: Exclude<Orientation, 'auto'>;
  page: SizeMm;
  /** Size of each print, mm and dots. */
  prints: readonly (SizeMm & SizePx)[];
  copies: number;
  /** Pages that each print on pages of its own would take. */
  pagesApart: number;
}

/** From a print's own millimetres, as printed, to its page: x = a·x + c·y + e, y = b·x + d·y + f. */
export const placeMatrix = ({ place, turned, tile: { window } }: PlacedPrint): [number, number, number, number, number, number] =>
  turned ? [0, 1, -1, 0, place.xMm + place.widthMm + window.yMm, place.yMm - window.xMm] : [1, 0, 0, 1, place.xMm - window.xMm, place.yMm - window.yMm];

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
 * Lays prints out on as few pages as they need: one larger than a page is cut into tiles, the others are nested, turned where that helps.
 *
 * @returns `print-empty`, `print-too-large` (over 3 m), `page-too-small` where margins and overlap leave nothing of a page, or `too-many-pages`
 */
export function layoutPack(prints: readonly SizeMm[], choice: LayoutChoice, copies = 1): Result<SheetPack, LayoutCode> {
  const empty = prints.length === 0 ? { widthMm: 0, heightMm: 0 } : prints.find((print) => !(print.widthMm > 0 && print.heightMm > 0));
  if (empty) return fail('print-empty', `expected a print, got ${empty.widthMm} × ${empty.heightMm} mm`);
  const large = prints.find((print) => Math.max(print.widthMm, print.heightMm) > MAX_PRINT_MM);
  if (large) return fail('print-too-large', `expected at most ${MAX_PRINT_MM} mm, got ${large.widthMm} × ${large.heightMm} mm`, { values: { maxMm: MAX_PRINT_MM } });
  const natural = prints[0].widthMm > prints[0].heightMm ? 'landscape' : 'portrait';
  const ways = choice.orientation === 'auto' ? ([natural, natural === 'landscape' ? 'portrait' : 'landscape'] as const) : [choice.orientation];
  const frames = ways.map((way): Frame => { const page = pageSize(choice.paper, way); return { paper: choice.paper, orientation: way, page, printable: printableOf(page, choice.marginMm) }; });
  const packs = frames.map((frame) => packOf(prints, copies, choice.overlapMm, frame, frames));
  const best = packs.filter((pack) => pack.ok).sort((a, b) => a.value.pages.length - b.value.pages.length).at(0);
  return best ?? packs[0];
}

interface Frame { paper: Paper; orientation: Exclude<Orientation, 'auto'>; page: SizeMm; printable: RectMm }

const WHOLE_TILE = { index: 0, column: 0, row: 0, joinXMm: null, joinYMm: null } as const;
const wholeTile = (size: SizeMm): Tile => ({ ...WHOLE_TILE, window: { xMm: 0, yMm: 0, widthMm: size.widthMm, heightMm: size.heightMm } });

/** @param frame of what is nested or has a page to itself; each tiled print takes the one of `frames` that needs fewest pages */
function packOf(prints: readonly SizeMm[], copies: number, overlapMm: number, frame: Frame, frames: readonly Frame[]): Result<SheetPack, LayoutCode> {
  const { paper, orientation, page, printable } = frame;
  const tiled: SheetLayout[][] = [];
  const alone: { print: number; turned: boolean }[] = [];
  const nested: { print: number; size: SizeMm }[] = [];
  const room = nestRoom(printable);
  const one = prints.length * copies === 1;
  let grid = { columns: 1, rows: 1 };
  for (const [print, size] of prints.entries()) {
    if (!one && fitsIn(size, room)) nested.push({ print, size });
    else if (stripSide(size, printable)) alone.push({ print, turned: false });
    else if (!one && stripSide(turned(size), printable)) alone.push({ print, turned: true });
    else {
      const ways = one ? [frame] : frames;
      const tries = ways.map((way) => tilesOf(size, print, way, overlapMm));
      const tiles = tries.filter((tried) => tried.ok).sort((a, b) => a.value.pages.length - b.value.pages.length).at(0) ?? tries[0];
      if (!tiles.ok) return tiles;
      tiled.push(tiles.value.pages);
      if (print === 0) grid = tiles.value;
    }
  }
  const each = Array.from({ length: copies }, (_, copy) => copy);
  const ofCopy = (pages: readonly SheetLayout[], copy: number): SheetLayout[] => pages.map((sheet) => ({ ...sheet, places: sheet.places.map((place) => ({ ...place, copy })) }));
  const apart = each.flatMap((copy) => [
    ...tiled.flatMap((pages) => ofCopy(pages, copy)),
    ...alone.map(({ print, turned: quarter }) => pageWith([{ print, copy, size: prints[print], turned: quarter }], frame)),
  ]);
  const together = nest(each.flatMap((copy) => nested.map((item) => ({ ...item, copy }))), room).map((items) => nestedPage(items, frame, room));
  const pages = [...apart, ...together];
  if (pages.length > MOST_PAGES) return fail('too-many-pages', `expected at most ${MOST_PAGES} pages, got ${pages.length}`, { values: { pages: pages.length, most: MOST_PAGES } });
  return ok({
    pages, columns: grid.columns, rows: grid.rows, overlapMm, paper, orientation, page, copies,
    prints: prints.map((print) => ({ widthMm: print.widthMm, heightMm: print.heightMm, ...rasterSize(print) })), pagesApart: apart.length + nested.length * copies,
  });
}

/** Room for nested prints: the printable area above the strip, less what marks at the edge need. */
const nestRoom = (printable: RectMm): RectMm => ({
  xMm: printable.xMm + MARK_ROOM_MM, yMm: printable.yMm + MARK_ROOM_MM, widthMm: printable.widthMm - 2 * MARK_ROOM_MM, heightMm: printable.heightMm - STRIP_MM - 2 * MARK_ROOM_MM,
});

function tilesOf(print: SizeMm, index: number, frame: Frame, overlapMm: number): Result<{ pages: SheetLayout[]; columns: number; rows: number }, LayoutCode> {
  const { page, printable } = frame;
  const room = { widthMm: printable.widthMm - 2 * MARK_ROOM_MM, heightMm: printable.heightMm - STRIP_MM - 2 * MARK_ROOM_MM };
  if (room.widthMm - overlapMm < LEAST_TILE_MM || room.heightMm - overlapMm < LEAST_TILE_MM || printable.widthMm < BAR_MM + 2) {
    return fail('page-too-small', `expected a page with room for a tile, got ${page.widthMm} × ${page.heightMm} mm`);
  }
  const across = cut(print.widthMm, room.widthMm, overlapMm);
  const along = cut(print.heightMm, room.heightMm, overlapMm);
  if (across.count * along.count > MOST_PAGES) return fail('too-many-pages', `expected at most ${MOST_PAGES} pages, got ${across.count * along.count}`, { values: { pages: across.count * along.count, most: MOST_PAGES } });
  const pages: SheetLayout[] = [];
  for (let row = 0; row < along.count; row++) {
    for (let column = 0; column < across.count; column++) {
      const [left, top] = [column * across.ownMm, row * along.ownMm];
      const [lastX, lastY] = [column === across.count - 1, row === along.count - 1];
      const window: RectMm = {
        xMm: left, yMm: top, widthMm: lastX ? print.widthMm - left : Math.min(across.ownMm + overlapMm, print.widthMm - left), heightMm: lastY ? print.heightMm - top : Math.min(along.ownMm + overlapMm, print.heightMm - top),
      };
      const tile: Tile = { index: pages.length, column, row, window, joinXMm: lastX ? null : across.ownMm, joinYMm: lastY ? null : along.ownMm };
      pages.push(pageWith([{ print: index, copy: 0, size: window, turned: false, tile }], frame));
    }
  }
  return ok({ pages, columns: across.count, rows: along.count });
}

interface Item { print: number; copy: number; size: SizeMm; turned: boolean; tile?: Tile }

/** A page with one print, or one tile, in the middle. */
function pageWith([item]: readonly Item[], frame: Frame): SheetLayout {
  const { printable } = frame;
  const size = item.turned ? turned(item.size) : item.size;
  const below = stripSide(size, printable) !== 'beside';
  const room = { widthMm: printable.widthMm - (below ? 0 : STRIP_MM), heightMm: printable.heightMm - (below ? STRIP_MM : 0) };
  const place: RectMm = { xMm: printable.xMm + (room.widthMm - size.widthMm) / 2, yMm: printable.yMm + (room.heightMm - size.heightMm) / 2, widthMm: size.widthMm, heightMm: size.heightMm };
  return sheetWith([placed(item, place, printable, item.tile === undefined || (item.tile.joinXMm === null && item.tile.joinYMm === null && item.tile.index === 0))], frame, below);
}

const nestedPage = (items: readonly NestedItem<{ print: number; copy: number; size: SizeMm }>[], frame: Frame, room: RectMm): SheetLayout =>
  sheetWith(items.map(({ item, xMm, yMm, turned: quarter }) => {
    const size = quarter ? turned(item.size) : item.size;
    return placed({ ...item, turned: quarter }, { xMm: room.xMm + xMm, yMm: room.yMm + yMm, widthMm: size.widthMm, heightMm: size.heightMm }, frame.printable, true);
  }), frame, true);

function sheetWith(places: readonly PlacedPrint[], frame: Frame, below: boolean): SheetLayout {
  const { printable } = frame;
  const strip: RectMm = below
    ? { xMm: printable.xMm, yMm: printable.yMm + printable.heightMm - STRIP_MM, widthMm: printable.widthMm, heightMm: STRIP_MM }
    : { xMm: printable.xMm + printable.widthMm - STRIP_MM, yMm: printable.yMm, widthMm: STRIP_MM, heightMm: printable.heightMm };
  return { ...frame, places, rasterPpi: PRINT_PPI, bar: checkBar(strip, !below), strip: { rect: strip, vertical: !below } };
}

function placed({ print, copy, size, turned: quarter, tile = wholeTile(size) }: Item, place: RectMm, printable: RectMm, centred: boolean): PlacedPrint {
  return {
    print, copy, place, turned: quarter, tile, rasterPx: rasterSize(size),
    trimCorners: trimCorners(place, printable), centreMarks: centred ? centreMarks(place, printable) : [],
    joinMarks: marksOutside(place, printable, tile.joinXMm === null ? [] : [place.xMm + tile.joinXMm], tile.joinYMm === null ? [] : [place.yMm + tile.joinYMm]),
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
