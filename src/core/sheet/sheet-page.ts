/**
 * A page with its prints, marks, strip and check bar. Millimetres, origin at the page's top left corner, y down, as the
 * page is printed (mirrored). A strip below the print, or beside it where only that side has room, holds the 100 mm bar
 * and the words.
 */
import { BAR_MM } from '@/core/at-hand';
import { MM_PER_INCH } from '@/core/measure';
import type { SizePx } from '@/core/picture';
import type { RectMm, SizeMm } from '@/core/shape';
import type { Line } from './line';
import { centreMarks, marksOutside, trimCorners } from './outside-marks';
import { turnedSize, type Frame } from './papers';
import type { NestedItem } from './nest';

/** Height of the strip; on a short page its words take more lines. */
const STRIP_MM = { long: 12, short: 20 } as const;
export const LONG_STRIP_MM = 185;
export const stripMm = (lengthMm: number): number => (lengthMm >= LONG_STRIP_MM ? STRIP_MM.long : STRIP_MM.short);
/** Room kept round a tile so that its join marks can be seen. */
export const MARK_ROOM_MM = 2;
export const PRINT_PPI = 300;

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

export interface SheetLayout extends Frame {
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
  paper: Frame['paper'];
  orientation: Frame['orientation'];
  page: SizeMm;
  /** Size of each print, mm and dots. */
  prints: readonly (SizeMm & SizePx)[];
  copies: number;
  /** Pages that each print on pages of its own would take. */
  pagesApart: number;
}

/** From a print's own millimetres, as printed, to its page: x = a·x + c·y + e, y = b·x + d·y + f. */
export const placeMatrix = ({
  place,
  turned,
  tile: { window },
}: PlacedPrint): [number, number, number, number, number, number] =>
  turned
    ? [0, 1, -1, 0, place.xMm + place.widthMm + window.yMm, place.yMm - window.xMm]
    : [1, 0, 0, 1, place.xMm - window.xMm, place.yMm - window.yMm];

/** Room along the page for the strip: below the print, beside it, or none. */
export function stripSide(print: SizeMm, printable: SizeMm): 'below' | 'beside' | null {
  const spareX = printable.widthMm - print.widthMm;
  const spareY = printable.heightMm - print.heightMm;
  if (spareX < 0 || spareY < 0) return null;
  if (spareY >= stripMm(printable.widthMm)) return 'below';
  return spareX >= stripMm(printable.heightMm) ? 'beside' : null;
}

const WHOLE_TILE = { index: 0, column: 0, row: 0, joinXMm: null, joinYMm: null } as const;
const wholeTile = (size: SizeMm): Tile => ({
  ...WHOLE_TILE,
  window: { xMm: 0, yMm: 0, widthMm: size.widthMm, heightMm: size.heightMm },
});

/** What is put on a page. */
export interface PageItem {
  print: number;
  copy: number;
  size: SizeMm;
  turned: boolean;
  tile?: Tile;
}

/** A page with one print, or one tile, in the middle. */
export function pageWith(item: PageItem, frame: Frame): SheetLayout {
  const { printable } = frame;
  const size = item.turned ? turnedSize(item.size) : item.size;
  const below = stripSide(size, printable) !== 'beside';
  const room = {
    widthMm: printable.widthMm - (below ? 0 : stripMm(printable.heightMm)),
    heightMm: printable.heightMm - (below ? stripMm(printable.widthMm) : 0),
  };
  const place: RectMm = {
    xMm: printable.xMm + (room.widthMm - size.widthMm) / 2,
    yMm: printable.yMm + (room.heightMm - size.heightMm) / 2,
    widthMm: size.widthMm,
    heightMm: size.heightMm,
  };
  return sheetWith(
    [
      placed(
        item,
        place,
        printable,
        item.tile === undefined || (item.tile.joinXMm === null && item.tile.joinYMm === null && item.tile.index === 0),
      ),
    ],
    frame,
    below,
  );
}

/** A page with several prints, nested. */
export const nestedPage = (
  items: readonly NestedItem<{ print: number; copy: number; size: SizeMm }>[],
  frame: Frame,
  room: RectMm,
): SheetLayout =>
  sheetWith(
    items.map(({ item, xMm, yMm, turned: quarter }) => {
      const size = quarter ? turnedSize(item.size) : item.size;
      return placed(
        { ...item, turned: quarter },
        { xMm: room.xMm + xMm, yMm: room.yMm + yMm, widthMm: size.widthMm, heightMm: size.heightMm },
        frame.printable,
        true,
      );
    }),
    frame,
    true,
  );

function sheetWith(places: readonly PlacedPrint[], frame: Frame, below: boolean): SheetLayout {
  const { printable } = frame;
  const thickMm = stripMm(below ? printable.widthMm : printable.heightMm);
  const strip: RectMm = below
    ? {
        xMm: printable.xMm,
        yMm: printable.yMm + printable.heightMm - thickMm,
        widthMm: printable.widthMm,
        heightMm: thickMm,
      }
    : {
        xMm: printable.xMm + printable.widthMm - thickMm,
        yMm: printable.yMm,
        widthMm: thickMm,
        heightMm: printable.heightMm,
      };
  return {
    ...frame,
    places,
    rasterPpi: PRINT_PPI,
    bar: checkBar(strip, !below),
    strip: { rect: strip, vertical: !below },
  };
}

function placed(
  { print, copy, size, turned: quarter, tile = wholeTile(size) }: PageItem,
  place: RectMm,
  printable: RectMm,
  centred: boolean,
): PlacedPrint {
  return {
    print,
    copy,
    place,
    turned: quarter,
    tile,
    rasterPx: rasterSize(size),
    trimCorners: trimCorners(place, printable),
    centreMarks: centred ? centreMarks(place, printable) : [],
    joinMarks: marksOutside(
      place,
      printable,
      tile.joinXMm === null ? [] : [place.xMm + tile.joinXMm],
      tile.joinYMm === null ? [] : [place.yMm + tile.joinYMm],
    ),
  };
}

/** Dots of a print. */
export const rasterSize = (print: SizeMm): SizePx => ({
  widthPx: Math.max(1, Math.round((print.widthMm / MM_PER_INCH) * PRINT_PPI)),
  heightPx: Math.max(1, Math.round((print.heightMm / MM_PER_INCH) * PRINT_PPI)),
});

/** Where the bar lies in the strip, from the strip's inner side. */
const BAR_AT_MM = 10.4;

function checkBar(strip: RectMm, vertical: boolean): Line {
  if (vertical) {
    const x = strip.xMm + BAR_AT_MM;
    return { x1: x, y1: strip.yMm + 1, x2: x, y2: strip.yMm + 1 + BAR_MM };
  }
  const y = strip.yMm + BAR_AT_MM;
  return { x1: strip.xMm + 1, y1: y, x2: strip.xMm + 1 + BAR_MM, y2: y };
}
