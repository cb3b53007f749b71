/** Signs that a photo of the piece shows by itself: to be looked at, and confirmed. */
import type { FaultSignId } from '@/core/craft';
import { judgePiece, type InspectArea, type PieceReading } from '@/core/inspect';
import { sum } from '@/core/shared';

/** More than this of what is judged is milky. */
const VEILED_SHARE = 0.1;
const HAZY = 0.15;
const LEAST_HOLES = 2;
/** An area so much longer than it is wide is drawn out; one that fills its box so far is round. */
const DRAWN_OUT = 2.2;
const ROUND_FILL = 0.5;
/** Loss within this of the print's edge is the edge's. */
const EDGE_CELLS = 2;
const EDGE_SHARE = 0.6;

export function proposedSigns(reading: PieceReading): FaultSignId[] {
  const { haze, cell } = reading;
  const judged = haze.filter((value) => value !== null);
  const milky = judged.filter((value) => value > HAZY).length / Math.max(1, judged.length);
  const holes = judgePiece(reading).areas.filter(({ kind }) => kind === 'loss');
  const shape = ({ box: { widthMm, heightMm } }: InspectArea) =>
    Math.max(widthMm, heightMm) / Math.max(1e-9, Math.min(widthMm, heightMm));
  const fill = ({ areaCm2, box: { widthMm, heightMm } }: InspectArea) => (areaCm2 * 100) / (widthMm * heightMm);
  const round = holes.filter((hole) => shape(hole) < DRAWN_OUT && fill(hole) >= ROUND_FILL);
  const long = holes.filter((hole) => shape(hole) >= DRAWN_OUT || fill(hole) < ROUND_FILL);
  const lost = sum(holes.map(({ cells }) => cells.length));
  const atEdge = sum(holes.map(({ cells }) => cells.filter((at) => isAtEdge(at, cell)).length));
  return [
    ...(milky > VEILED_SHARE ? ['veil' as const] : []),
    ...(round.length >= LEAST_HOLES ? ['holes-round' as const] : []),
    ...(long.length >= LEAST_HOLES ? ['holes-long' as const] : []),
    ...(lost > 0 && atEdge / lost > EDGE_SHARE ? ['edges-lift' as const] : []),
  ];
}

const isAtEdge = (at: number, { columns, rows }: PieceReading['cell']): boolean => {
  const [x, y] = [at % columns, Math.floor(at / columns)];
  return x < EDGE_CELLS || y < EDGE_CELLS || x >= columns - EDGE_CELLS || y >= rows - EDGE_CELLS;
};
