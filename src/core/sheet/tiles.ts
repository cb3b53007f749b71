/**
 * A print larger than a page, cut into tiles: each but the last of a row and column goes on over the join by the
 * overlap, and the next begins exactly at it, so that only one side of a join is trimmed.
 */
import { BAR_MM } from '@/core/at-hand';
import { MM_PER_INCH } from '@/core/measure';
import type { RectMm, SizeMm } from '@/core/shape';
import { fail, ok, type Result } from '@/core/shared';
import type { Frame } from './papers';
import { MARK_ROOM_MM, PRINT_PPI, pageWith, stripMm, type SheetLayout, type Tile } from './sheet-page';

export const MOST_PAGES = 100;
/** A tile smaller than this is not worth a page. */
const LEAST_TILE_MM = 40;

export type TileCode = 'page-too-small' | 'too-many-pages';

const toDots = (mm: number, round: (dots: number) => number): number =>
  (round((mm * PRINT_PPI) / MM_PER_INCH - 1e-9) * MM_PER_INCH) / PRINT_PPI;

/**
 * How many tiles a length needs, and how long each but the last is without its overlap, on the grid of the print's
 * dots. Alike where there is room for it.
 */
function cut(lengthMm: number, roomMm: number, overlapMm: number): { count: number; ownMm: number } {
  if (lengthMm <= roomMm) return { count: 1, ownMm: lengthMm };
  for (let count = Math.max(2, Math.ceil((lengthMm - overlapMm) / (roomMm - overlapMm) - 1e-9)); ; count++) {
    const ownMm = Math.min(toDots(lengthMm / count, Math.ceil), toDots(roomMm - overlapMm, Math.floor));
    if (lengthMm - (count - 1) * ownMm <= roomMm) return { count, ownMm };
  }
}

/**
 * @param index which of the prints it is @returns `page-too-small` where margins and overlap leave nothing of a page,
 * or `too-many-pages`
 */
export function tilesOf(
  print: SizeMm,
  index: number,
  frame: Frame,
  overlapMm: number,
): Result<{ pages: SheetLayout[]; columns: number; rows: number }, TileCode> {
  const { page, printable } = frame;
  const room = {
    widthMm: printable.widthMm - 2 * MARK_ROOM_MM,
    heightMm: printable.heightMm - stripMm(printable.widthMm) - 2 * MARK_ROOM_MM,
  };
  if (
    room.widthMm - overlapMm < LEAST_TILE_MM ||
    room.heightMm - overlapMm < LEAST_TILE_MM ||
    printable.widthMm < BAR_MM + 2
  ) {
    return fail('page-too-small', `expected a page with room for a tile, got ${page.widthMm} × ${page.heightMm} mm`);
  }
  const across = cut(print.widthMm, room.widthMm, overlapMm);
  const along = cut(print.heightMm, room.heightMm, overlapMm);
  if (across.count * along.count > MOST_PAGES)
    return fail('too-many-pages', `expected at most ${MOST_PAGES} pages, got ${across.count * along.count}`, {
      values: { pages: across.count * along.count, most: MOST_PAGES },
    });
  const pages: SheetLayout[] = [];
  for (let row = 0; row < along.count; row++) {
    for (let column = 0; column < across.count; column++) {
      const [left, top] = [column * across.ownMm, row * along.ownMm];
      const [lastX, lastY] = [column === across.count - 1, row === along.count - 1];
      const window: RectMm = {
        xMm: left,
        yMm: top,
        widthMm: lastX ? print.widthMm - left : Math.min(across.ownMm + overlapMm, print.widthMm - left),
        heightMm: lastY ? print.heightMm - top : Math.min(along.ownMm + overlapMm, print.heightMm - top),
      };
      const tile: Tile = {
        index: pages.length,
        column,
        row,
        window,
        joinXMm: lastX ? null : across.ownMm,
        joinYMm: lastY ? null : along.ownMm,
      };
      pages.push(pageWith({ print: index, copy: 0, size: window, turned: false, tile }, frame));
    }
  }
  return ok({ pages, columns: across.count, rows: along.count });
}
