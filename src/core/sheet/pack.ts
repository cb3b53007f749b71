/**
 * Several prints on as few pages as they need: one larger than a page is cut into tiles, the others are nested, turned
 * where that helps.
 */
import type { RectMm, SizeMm } from '@/core/shape';
import { fail, ok, type Result } from '@/core/shared';
import { fitsIn, nest } from './nest';
import {
  PAPERS,
  UNPRINTABLE_MM,
  frameOf,
  pageSize,
  paperOf,
  printableOf,
  turnedSize,
  type Frame,
  type Orientation,
  type Paper,
  type PaperId,
} from './papers';
import {
  MARK_ROOM_MM,
  nestedPage,
  pageWith,
  rasterSize,
  stripMm,
  stripSide,
  type SheetLayout,
  type SheetPack,
} from './sheet-page';
import { MOST_PAGES, tilesOf, type TileCode } from './tiles';

export type LayoutCode = 'print-too-large' | 'print-empty' | TileCode;

export const DEFAULT_OVERLAP_MM = 10;
/** Larger than any blank that a pair of hands turns over. */
export const MAX_PRINT_MM = 3000;

const WAYS = ['portrait', 'landscape'] as const;

/**
 * By how much a print must be narrower and lower to go on one page of a paper, mm, whichever way round it lies and
 * wherever its strip; null where it fits already.
 *
 * @param marginMm what the printer leaves white
 */
export function lessForOnePage(print: SizeMm, paper: Paper, marginMm: number): SizeMm | null {
  const ways = WAYS.flatMap((way): SizeMm[] => {
    const printable = printableOf(pageSize(paper, way), marginMm);
    return [
      { widthMm: printable.widthMm, heightMm: printable.heightMm - stripMm(printable.widthMm) },
      { widthMm: printable.widthMm - stripMm(printable.heightMm), heightMm: printable.heightMm },
    ];
  });
  const over = ways.map((room) => ({
    widthMm: Math.max(0, print.widthMm - room.widthMm),
    heightMm: Math.max(0, print.heightMm - room.heightMm),
  }));
  const least = over.reduce((best, one) => (one.widthMm + one.heightMm < best.widthMm + best.heightMm ? one : best));
  return least.widthMm + least.heightMm === 0 ? null : least;
}

/** What is taken off is known to this. */
const LESS_STEP_MM = 0.5;

/**
 * By how much a print over several pages must be narrower, lower or both to take fewer of them.
 *
 * @param mostMm more than this is another picture
 * @returns the least that is to be taken off, mm, with the pages it takes then; null where nothing within it helps
 */
export function lessForFewerPages(
  print: SizeMm,
  choice: LayoutChoice,
  mostMm: number,
): { less: SizeMm; pages: number } | null {
  const pagesOf = (lessX: number, lessY: number): number => {
    const pack = layoutPack([{ widthMm: print.widthMm - lessX, heightMm: print.heightMm - lessY }], choice);
    return pack.ok ? pack.value.pages.length : Infinity;
  };
  const now = pagesOf(0, 0);
  const found = SHRUNK.flatMap(([x, y]) => {
    if (!(pagesOf(x * mostMm, y * mostMm) < now)) return [];
    let [tooLittle, enough] = [0, mostMm];
    while (enough - tooLittle > LESS_STEP_MM) {
      const middle = (tooLittle + enough) / 2;
      if (pagesOf(x * middle, y * middle) < now) enough = middle;
      else tooLittle = middle;
    }
    return [{ less: { widthMm: x * enough, heightMm: y * enough }, pages: pagesOf(x * enough, y * enough) }];
  });
  const taken = ({ less }: { less: SizeMm }) => less.widthMm + less.heightMm;
  return found.sort((a, b) => taken(a) - taken(b))[0] ?? null;
}

/** Narrower, lower, or both alike. */
const SHRUNK = [
  [1, 0],
  [0, 1],
  [1, 1],
] as const;

/** Papers and ways round that hold the print on one page. */
export const pagesThatHold = (
  print: SizeMm,
  marginMm = UNPRINTABLE_MM,
): { paper: Paper; orientation: Exclude<Orientation, 'auto'> }[] =>
  (Object.keys(PAPERS) as Exclude<PaperId, 'custom'>[]).flatMap((id) => {
    const paper = paperOf(id, PAPERS[id]);
    return WAYS.filter((way) => stripSide(print, printableOf(pageSize(paper, way), marginMm))).map((orientation) => ({
      paper,
      orientation,
    }));
  });

export interface LayoutChoice {
  paper: Paper;
  orientation: Orientation;
  overlapMm: number;
  marginMm: number;
}

/**
 * Lays prints out on as few pages as they need: one larger than a page is cut into tiles, the others are nested, turned
 * where that helps.
 *
 * @returns `print-empty`, `print-too-large` (over 3 m), `page-too-small` where margins and overlap leave nothing of a
 * page, or `too-many-pages`
 */
export function layoutPack(prints: readonly SizeMm[], choice: LayoutChoice, copies = 1): Result<SheetPack, LayoutCode> {
  const empty =
    prints.length === 0
      ? { widthMm: 0, heightMm: 0 }
      : prints.find((print) => !(print.widthMm > 0 && print.heightMm > 0));
  if (empty) return fail('print-empty', `expected a print, got ${empty.widthMm} × ${empty.heightMm} mm`);
  const large = prints.find((print) => Math.max(print.widthMm, print.heightMm) > MAX_PRINT_MM);
  if (large)
    return fail('print-too-large', `expected at most ${MAX_PRINT_MM} mm, got ${large.widthMm} × ${large.heightMm} mm`, {
      values: { maxMm: MAX_PRINT_MM },
    });
  const natural = prints[0]!.widthMm > prints[0]!.heightMm ? 'landscape' : 'portrait';
  const ways =
    choice.orientation === 'auto'
      ? ([natural, natural === 'landscape' ? 'portrait' : 'landscape'] as const)
      : [choice.orientation];
  const frames = ways.map((way) => frameOf(choice.paper, way, choice.marginMm));
  const packs = frames.map((frame) => packOf(prints, copies, choice.overlapMm, frame, frames));
  const best = packs
    .filter((pack) => pack.ok)
    .sort((a, b) => a.value.pages.length - b.value.pages.length)
    .at(0);
  return best ?? packs[0]!;
}

/**
 * @param frame of what is nested or has a page to itself; each tiled print takes the one of `frames` that needs fewest
 * pages
 */
function packOf(
  prints: readonly SizeMm[],
  copies: number,
  overlapMm: number,
  frame: Frame,
  frames: readonly Frame[],
): Result<SheetPack, LayoutCode> {
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
    else if (!one && stripSide(turnedSize(size), printable)) alone.push({ print, turned: true });
    else {
      const ways = one ? [frame] : frames;
      const tries = ways.map((way) => tilesOf(size, print, way, overlapMm));
      const tiles =
        tries
          .filter((tried) => tried.ok)
          .sort((a, b) => a.value.pages.length - b.value.pages.length)
          .at(0) ?? tries[0]!;
      if (!tiles.ok) return tiles;
      tiled.push(tiles.value.pages);
      if (print === 0) grid = tiles.value;
    }
  }
  const each = Array.from({ length: copies }, (_, copy) => copy);
  const ofCopy = (pages: readonly SheetLayout[], copy: number): SheetLayout[] =>
    pages.map((sheet) => ({ ...sheet, places: sheet.places.map((place) => ({ ...place, copy })) }));
  const apart = each.flatMap((copy) => [
    ...tiled.flatMap((pages) => ofCopy(pages, copy)),
    ...alone.map(({ print, turned: quarter }) =>
      pageWith({ print, copy, size: prints[print]!, turned: quarter }, frame),
    ),
  ]);
  const together = nest(
    each.flatMap((copy) => nested.map((item) => ({ ...item, copy }))),
    room,
  ).map((items) => nestedPage(items, frame, room));
  const pages = [...apart, ...together];
  if (pages.length > MOST_PAGES)
    return fail('too-many-pages', `expected at most ${MOST_PAGES} pages, got ${pages.length}`, {
      values: { pages: pages.length, most: MOST_PAGES },
    });
  return ok({
    pages,
    columns: grid.columns,
    rows: grid.rows,
    overlapMm,
    paper,
    orientation,
    page,
    copies,
    prints: prints.map((print) => ({ widthMm: print.widthMm, heightMm: print.heightMm, ...rasterSize(print) })),
    pagesApart: apart.length + nested.length * copies,
  });
}

/** Room for nested prints: the printable area above the strip, less what marks at the edge need. */
const nestRoom = (printable: RectMm): RectMm => ({
  xMm: printable.xMm + MARK_ROOM_MM,
  yMm: printable.yMm + MARK_ROOM_MM,
  widthMm: printable.widthMm - 2 * MARK_ROOM_MM,
  heightMm: printable.heightMm - stripMm(printable.widthMm) - 2 * MARK_ROOM_MM,
});
