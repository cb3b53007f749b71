/**
 * The outline of a motif on white, for cutting close round it: what is not white, and white that it encloses, as closed
 * outlines in shares of the picture. White is what reaches the picture's edge through pixels that toner hardly covers.
 * Read on a grid of up to `MOST_CELLS`; a cell with any ink in it belongs to the motif, so that nothing is cut off.
 */
import { Clipper } from 'clipper2-ts';
import { fail, ok, type Result } from '@/core/shared';
import type { PictureRows } from './analysis';

/** sRGB level from which paper shows as white. Source: bench practice: under 3 % of toner nothing is laid down. */
const WHITE_LEVEL = 246;
const MOST_CELLS = 640;
const BAND_ROWS = 64;
/** Corners nearer to a straight line than this many cells fall away. */
const SMOOTH_CELLS = 0.75;
/** Specks smaller than this share of the picture are dust. */
const LEAST_SHARE = 0.0002;

export type MotifCode = 'motif-none' | 'motif-everything';
export type MotifRing = { x: number; y: number }[];

/**
 * @returns `motif-none` where all is white, `motif-everything` where no white reaches the edge: there is nothing to cut
 * round
 */
export function motifOutline(picture: PictureRows): Result<MotifRing[], MotifCode> {
  const { ink, columns, rows } = inkGrid(picture);
  const outside = whiteFromEdge(ink, columns, rows);
  const inside = outside.reduce((count, is) => count + Number(is === 0), 0);
  if (inside === 0) return fail('motif-none', 'expected a motif, got white');
  if (inside === columns * rows) return fail('motif-everything', 'expected white round a motif, got none');
  const rings = borders(outside, columns, rows)
    .map((ring) => Clipper.ramerDouglasPeuckerD(ring, SMOOTH_CELLS))
    .filter((ring) => ring.length >= 3 && Math.abs(Clipper.areaD(ring)) > LEAST_SHARE * columns * rows)
    .map((ring) => ring.map(({ x, y }) => ({ x: x / columns, y: y / rows })));
  return rings.length > 0 ? ok(rings) : fail('motif-none', 'expected a motif, got specks');
}

/** 1 where any pixel of a cell has ink. */
function inkGrid(picture: PictureRows): { ink: Uint8Array; columns: number; rows: number } {
  const { widthPx, heightPx } = picture;
  const scale = Math.min(1, MOST_CELLS / Math.max(widthPx, heightPx));
  const [columns, rows] = [Math.max(1, Math.round(widthPx * scale)), Math.max(1, Math.round(heightPx * scale))];
  const ink = new Uint8Array(columns * rows);
  for (let first = 0; first < heightPx; first += BAND_ROWS) {
    const count = Math.min(BAND_ROWS, heightPx - first);
    const rgba = picture.readRows(first, count);
    for (let row = 0; row < count; row++) {
      const line = Math.min(rows - 1, Math.floor(((first + row) * rows) / heightPx)) * columns;
      for (let x = 0, at = row * widthPx * 4; x < widthPx; x++, at += 4) {
        if (
          rgba[at + 3]! > 8 &&
          (rgba[at]! < WHITE_LEVEL || rgba[at + 1]! < WHITE_LEVEL || rgba[at + 2]! < WHITE_LEVEL)
        )
          ink[line + Math.floor((x * columns) / widthPx)] = 1;
      }
    }
  }
  return { ink, columns, rows };
}

/** 1 where white is joined to the edge. */
function whiteFromEdge(ink: Uint8Array, columns: number, rows: number): Uint8Array {
  const outside = new Uint8Array(columns * rows);
  const stack: number[] = [];
  const visit = (cell: number) => {
    if (ink[cell] === 0 && outside[cell] === 0) {
      outside[cell] = 1;
      stack.push(cell);
    }
  };
  for (let x = 0; x < columns; x++) {
    visit(x);
    visit((rows - 1) * columns + x);
  }
  for (let y = 0; y < rows; y++) {
    visit(y * columns);
    visit(y * columns + columns - 1);
  }
  for (let cell = stack.pop(); cell !== undefined; cell = stack.pop()) {
    const x = cell % columns;
    if (x > 0) visit(cell - 1);
    if (x < columns - 1) visit(cell + 1);
    if (cell >= columns) visit(cell - columns);
    if (cell < columns * (rows - 1)) visit(cell + columns);
  }
  return outside;
}

/** Borders of the inside along the cells' edges: each edge is walked with the inside on its right. */
function borders(outside: Uint8Array, columns: number, rows: number): { x: number; y: number }[][] {
  const isIn = (x: number, y: number) => x >= 0 && y >= 0 && x < columns && y < rows && outside[y * columns + x] === 0;
  const stride = columns + 1;
  // From each corner, where its edges lead: two at the most, where two cells touch by a corner.
  const next = new Map<number, number[]>();
  const edge = (x1: number, y1: number, x2: number, y2: number) => {
    const key = y1 * stride + x1;
    const to = y2 * stride + x2;
    const known = next.get(key);
    if (known) known.push(to);
    else next.set(key, [to]);
  };
  for (let y = 0; y < rows; y++)
    for (let x = 0; x < columns; x++) {
      if (!isIn(x, y)) continue;
      if (!isIn(x, y - 1)) edge(x, y, x + 1, y);
      if (!isIn(x + 1, y)) edge(x + 1, y, x + 1, y + 1);
      if (!isIn(x, y + 1)) edge(x + 1, y + 1, x, y + 1);
      if (!isIn(x - 1, y)) edge(x, y + 1, x, y);
    }
  const rings: { x: number; y: number }[][] = [];
  for (const [start] of next) {
    while ((next.get(start)?.length ?? 0) > 0) {
      const ring: { x: number; y: number }[] = [];
      let at = start;
      do {
        ring.push({ x: at % stride, y: Math.floor(at / stride) });
        const to = next.get(at)?.pop();
        if (to === undefined) break;
        at = to;
      } while (at !== start);
      rings.push(ring);
    }
  }
  return rings;
}
