/**
 * A reading as a piece keeps it: its maps as a letter a cell, coarser where there would be very many, so that a record
 * stays small. A share is one of the 57 letters from `#` to `[`, `!` is null: within a hundredth of what was read.
 */
import { letterShare, shareLetter } from '@/core/shared';
import type { SizeMm } from '@/core/shape';
import type { CellMap, PieceReading } from './reading';

/** What a photo of the rubbed piece said: maps of one letter a cell, row by row over the print's box. */
export interface KeptReading {
  at: number;
  /** Passes that were done when it was read. */
  pass: number;
  dryPhotoId: string | null;
  wetPhotoId: string | null;
  /** The dry photo's size, and the corners of the print's box in shares of it, from its top left clockwise. */
  photo: { width: number; height: number };
  corners: { x: number; y: number }[];
  rmsMm: number;
  /** 0 where it may as well lie elsewhere, or another way round. */
  sure: number;
  cell: { widthMm: number; heightMm: number; columns: number; rows: number };
  haze: string;
  kept: string;
  seen: string;
  clearsWet: string | null;
  /** Colour of the expected print in each cell: three letters, red, green and blue. */
  colours: string;
  isWhitened: boolean;
}

const NOTHING = '!';
export const MOST_KEPT_CELLS = 4000;

const letter = (value: number | null): string => (value === null ? NOTHING : shareLetter(value));
const share = (text: string): number | null => (text === NOTHING ? null : letterShare(text));

/** Nobody has to look whether the print lies where it was found. */
export const isPlaced = ({ sure }: Pick<KeptReading, 'sure'>): boolean => sure > 0;
/** The last reading that tells of the piece: whose place is sure, or was looked at. @param readings oldest first */
export const lastPlaced = (readings: readonly KeptReading[]): KeptReading | null => readings.findLast(isPlaced) ?? null;
/** Somebody has looked: it lies so. */
export const placedByEye = (reading: KeptReading): KeptReading => ({ ...reading, sure: 1 });

/** A letter that is one of these, so that a record can be checked. */
export const KEPT_LETTERS = /^[!#-[]*$/;

type Map = readonly (number | null)[];

/** Means of what is told, where so many cells become one. */
function merged(map: Map, cell: CellMap, by: number): (number | null)[] {
  if (by === 1) return [...map];
  const [columns, rows] = [Math.ceil(cell.columns / by), Math.ceil(cell.rows / by)];
  return Array.from({ length: columns * rows }, (_, at) => {
    const [x0, y0] = [(at % columns) * by, Math.floor(at / columns) * by];
    const told: number[] = [];
    for (let y = y0; y < Math.min(cell.rows, y0 + by); y++)
      for (let x = x0; x < Math.min(cell.columns, x0 + by); x++) {
        const value = map[y * cell.columns + x];
        if (value !== null && value !== undefined) told.push(value);
      }
    return told.length === 0 ? null : told.reduce((sum, value) => sum + value, 0) / told.length;
  });
}

const written = (map: Map): string => map.map(letter).join('');
const read = (text: string): (number | null)[] => Array.from(text, share);

/** @param corners of the reading, in shares of the photo's size */
export function keepReading(
  reading: PieceReading,
  {
    at,
    pass,
    photo,
    photos,
  }: Pick<KeptReading, 'at' | 'pass' | 'photo'> & {
    photos: { dry: string | null; wet: string | null };
  },
): KeptReading {
  const { cell } = reading;
  const by = Math.ceil(Math.sqrt((cell.columns * cell.rows) / MOST_KEPT_CELLS));
  const kept = (map: Map) => written(merged(map, cell, by));
  const channels = [16, 8, 0].map((shift) =>
    merged(
      reading.colours.map((colour) => ((colour >> shift) & 255) / 255),
      cell,
      by,
    ),
  );
  return {
    at,
    pass,
    dryPhotoId: photos.dry,
    wetPhotoId: photos.wet,
    photo,
    corners: reading.corners,
    rmsMm: reading.register.rmsMm,
    sure: reading.register.sure,
    cell:
      by === 1
        ? cell
        : {
            widthMm: cell.widthMm * by,
            heightMm: cell.heightMm * by,
            columns: Math.ceil(cell.columns / by),
            rows: Math.ceil(cell.rows / by),
          },
    haze: kept(reading.haze),
    kept: kept(reading.kept),
    seen: kept(reading.seen),
    clearsWet: reading.clearsWet && kept(reading.clearsWet),
    colours: (channels[0] ?? []).map((_, k) => channels.map((channel) => letter(channel[k] ?? 1)).join('')).join(''),
    isWhitened: reading.isWhitened,
  };
}

/** The reading it was, as well as it was kept. */
export function readKept(kept: KeptReading): PieceReading {
  const levels = read(kept.colours).map((level) => Math.round((level ?? 1) * 255));
  return {
    corners: kept.corners,
    register: { rmsMm: kept.rmsMm, sure: kept.sure },
    cell: kept.cell,
    haze: read(kept.haze),
    kept: read(kept.kept),
    seen: read(kept.seen),
    clearsWet: kept.clearsWet === null ? null : read(kept.clearsWet),
    colours: Array.from({ length: kept.cell.columns * kept.cell.rows }, (_, at) => {
      const [red, green, blue] = [0, 1, 2].map((channel) => levels[at * 3 + channel] ?? 255);
      return ((red ?? 255) << 16) | ((green ?? 255) << 8) | (blue ?? 255);
    }),
    isWhitened: kept.isWhitened,
  };
}

/**
 * The wet test told by hand, for cells of one area: its haze was gone when it was wet, or it stayed. Other cells keep what
 * is known of them.
 */
export function toldWet(kept: KeptReading, cells: readonly number[], clears: boolean): KeptReading {
  const map = Array.from(kept.clearsWet ?? NOTHING.repeat(kept.haze.length));
  for (const at of cells) if (at < map.length) map[at] = letter(clears ? 1 : 0);
  return { ...kept, clearsWet: map.join('') };
}

const SAME_SHARE = 0.02;
/** Whether it was read of a print of this size: a piece that is measured or cropped anew has another. */
export const isReadingOf = ({ cell }: Pick<KeptReading, 'cell'>, size: SizeMm): boolean =>
  Math.abs(cell.widthMm * cell.columns - size.widthMm) <= SAME_SHARE * size.widthMm + cell.widthMm &&
  Math.abs(cell.heightMm * cell.rows - size.heightMm) <= SAME_SHARE * size.heightMm + cell.heightMm;

/** Whether its maps are as long as its cells are many. */
export function isWholeReading({ cell, haze, kept, seen, clearsWet, colours }: KeptReading): boolean {
  const count = cell.columns * cell.rows;
  return [haze, kept, seen, clearsWet ?? haze].every((map) => map.length === count) && colours.length === 3 * count;
}
