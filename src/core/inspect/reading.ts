/** What a photo of the rubbed piece says, cell by cell. */
import type { Point } from '@/core/photo';

export interface CellMap {
  widthMm: number;
  heightMm: number;
  columns: number;
  rows: number;
}

export interface PieceReading {
  /** The print's box in the photo's pixels, from its top left clockwise. */
  corners: Point[];
  /** How far it lies off at most places, mm; and 0 where it may as well lie elsewhere, or another way round. */
  register: { rmsMm: number; sure: number };
  cell: CellMap;
  /** Row by row; null where it is not seen, or nothing tells. */
  haze: (number | null)[];
  kept: (number | null)[];
  /** How much of each cell's toner was judged, 0–1; null where it carries none. */
  seen: (number | null)[];
  /** Of a cell's haze, what was gone on the wet photo, 0–1; null without one. */
  clearsWet: (number | null)[] | null;
  /** Colour of the expected print in each cell, 0xRRGGBB. */
  colours: number[];
  /** Haze and loss look alike on this ground when it is dry: what is called haze is whitened by either. */
  isWhitened: boolean;
}
