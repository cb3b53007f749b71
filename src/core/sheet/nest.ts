/**
 * Nesting: rectangles on as few pages as possible, turned by quarters where that helps, never nearer to each other than
 * the spacing. A maximal-rectangles packer is run with several orders and rules, and a plain grid where all are alike;
 * the fewest pages win, then the fullest first pages.
 */
import { MaxRectsPacker, PACKING_LOGIC } from 'maxrects-packer';
import { sum } from '@/core/shared';
import type { SizeMm } from '@/core/shape';

export interface NestedItem<T> {
  item: T;
  xMm: number;
  yMm: number;
  turned: boolean;
}

/** Between prints: room for the marks of both. */
export const SPACING_MM = 7;

export const fitsIn = (size: SizeMm, room: SizeMm): boolean =>
  (size.widthMm <= room.widthMm && size.heightMm <= room.heightMm) ||
  (size.heightMm <= room.widthMm && size.widthMm <= room.heightMm);

type Sized = { size: SizeMm };
type Pages<T> = NestedItem<T>[][];

const area = ({ size }: Sized) => size.widthMm * size.heightMm;
const longest = ({ size }: Sized) => Math.max(size.widthMm, size.heightMm);
const ORDERS: readonly ((item: Sized) => number)[] = [
  area,
  longest,
  ({ size }) => size.heightMm,
  ({ size }) => size.widthMm,
  ({ size }) => size.widthMm + size.heightMm,
];

/** @param items each fits the room, one way or the other; places are from the room's top left corner */
export function nest<T extends Sized>(items: readonly T[], room: SizeMm): Pages<T> {
  if (items.length === 0) return [];
  const tried: Pages<T>[] = [];
  for (const order of ORDERS) {
    const sorted = [...items].sort((a, b) => order(b) - order(a));
    for (const logic of [PACKING_LOGIC.MAX_AREA, PACKING_LOGIC.MAX_EDGE])
      for (const upright of [false, true]) tried.push(packed(sorted, room, logic, upright));
  }
  const grid = gridOf(items, room);
  if (grid) tried.push(grid);
  const filled = (pages: Pages<T>) => sum(pages[0]!.map(({ item }) => area(item)));
  return tried
    .filter((pages) => sum(pages.map((page) => page.length)) === items.length)
    .sort((a, b) => a.length - b.length || filled(b) - filled(a))[0]!;
}

/** @param upright the page is packed lying down and turned afterwards, which fills it by columns */
function packed<T extends Sized>(items: readonly T[], room: SizeMm, logic: PACKING_LOGIC, upright: boolean): Pages<T> {
  const [across, down] = upright ? [room.heightMm, room.widthMm] : [room.widthMm, room.heightMm];
  const packer = new MaxRectsPacker(across + SPACING_MM, down + SPACING_MM, 0, {
    smart: false,
    pot: false,
    square: false,
    allowRotation: true,
    border: 0,
    logic,
  });
  // One after the other: the packer would sort a whole array its own way.
  for (const item of items) {
    const [width, height] = upright ? [item.size.heightMm, item.size.widthMm] : [item.size.widthMm, item.size.heightMm];
    packer.add(width + SPACING_MM, height + SPACING_MM, item);
  }
  return packer.bins.map((bin) =>
    bin.rects.map((rect) => ({
      item: rect.data as T,
      xMm: upright ? rect.y : rect.x,
      yMm: upright ? rect.x : rect.y,
      turned: rect.rot ?? false,
    })),
  );
}

/** Identical prints in rows, turned the way that holds more; null where they differ. */
function gridOf<T extends Sized>(items: readonly T[], room: SizeMm): Pages<T> | null {
  const { size } = items[0]!;
  if (items.some((one) => one.size.widthMm !== size.widthMm || one.size.heightMm !== size.heightMm)) return null;
  const ways = [false, true].map((turned) => {
    const [w, h] = turned ? [size.heightMm, size.widthMm] : [size.widthMm, size.heightMm];
    return {
      turned,
      w,
      h,
      columns: Math.floor((room.widthMm + SPACING_MM) / (w + SPACING_MM)),
      rows: Math.floor((room.heightMm + SPACING_MM) / (h + SPACING_MM)),
    };
  });
  const { turned, w, h, columns, rows } = ways.sort((a, b) => b.columns * b.rows - a.columns * a.rows)[0]!;
  const each = columns * rows;
  return Array.from({ length: Math.ceil(items.length / each) }, (_, page) =>
    items.slice(page * each, (page + 1) * each).map((item, index) => ({
      item,
      xMm: (index % columns) * (w + SPACING_MM),
      yMm: Math.floor(index / columns) * (h + SPACING_MM),
      turned,
    })),
  );
}
