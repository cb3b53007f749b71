/**
 * Run beside the tests, whose own engine computes slowly: draws photos of half-rubbed pieces by their seeds and reads
 * them back. `node read-half-rubbed.cjs JOB.json`, readings to standard output.
 */
import { readFileSync } from 'node:fs';
import { readPiece, seek, type ExpectedPiece, type InspectCode, type PieceReading } from '@/core/inspect';
import type { Point, Rgba } from '@/core/photo';
import type { Result } from '@/core/shared';
import { DENSITY, halfRubbed, photograph, type ShotOrder, type Truth } from './half-rubbed';

export interface PieceShot {
  order: ShotOrder;
  wet: boolean;
  /** Shown instead of the piece: an even wall of this level, or another piece. */
  wall?: number;
  other?: ShotOrder;
}

export interface PieceShotRead {
  reading: Result<PieceReading, InspectCode>;
  /** Where the print's corners are in the dry photo, and what is true of each cell of the reading. */
  corners: Point[];
  haze: number[];
  kept: number[];
}

export const expectedOf = ({ marginMm }: ShotOrder, truth: Truth): ExpectedPiece => ({
  picture: { data: truth.picture, width: truth.width, height: truth.height },
  landed: new Uint8Array(truth.width * truth.height).fill(255),
  pxPerMm: DENSITY,
  margin: { leftMm: marginMm, topMm: marginMm, rightMm: marginMm, bottomMm: marginMm },
  ground: truth.ground,
  wetted: truth.wetted,
  white: null,
});

/** Means of what is true over the cells of a reading. */
export function trueCells(truth: Truth, { cell: { columns, rows } }: PieceReading, of: Float32Array): number[] {
  const [sx, sy] = [truth.width / columns, truth.height / rows];
  return Array.from({ length: columns * rows }, (_, at) => {
    const [column, row] = [at % columns, Math.floor(at / columns)];
    let [sum, n] = [0, 0];
    for (let y = Math.floor(row * sy); y < Math.floor((row + 1) * sy); y++)
      for (let x = Math.floor(column * sx); x < Math.floor((column + 1) * sx); x++) {
        sum += of[y * truth.width + x];
        n++;
      }
    return sum / Math.max(1, n);
  });
}

const wallOf = (level: number, { width, height }: ShotOrder['photo']): Rgba => ({
  data: new Uint8ClampedArray(width * height * 4).map((_, at) => (at % 4 === 3 ? 255 : level)),
  width,
  height,
});

function readShot({ order, wet, wall, other }: PieceShot): PieceShotRead {
  const truth = halfRubbed(order);
  const shown = other ?? order;
  const dry = photograph(shown, other ? halfRubbed(other) : truth, false);
  const reading = readPiece(seek(expectedOf(order, truth)), {
    dry: wall === undefined ? dry.photo : wallOf(wall, order.photo),
    wet: wet ? photograph(order, truth, true).photo : null,
  });
  const cells = (of: Float32Array) => (reading.ok ? trueCells(truth, reading.value, of) : []);
  return { reading, corners: dry.corners, haze: cells(truth.haze), kept: cells(truth.kept) };
}

/** What the tests hand over; the bench reads its own. */
const [, , file] = process.argv;
if (file?.endsWith('.json'))
  process.stdout.write(JSON.stringify((JSON.parse(readFileSync(file, 'utf8')) as PieceShot[]).map(readShot)));
