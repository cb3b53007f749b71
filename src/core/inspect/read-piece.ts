/**
 * Reads a photo of the dried piece: finds the print in it, lays it over the expected one to a fraction of a millimetre,
 * and says for each cell how much paper still veils it and how much of its toner is there. With a second photo, of the
 * wetted piece, both are told apart on every ground.
 */
import type { Point, Rgba } from '@/core/photo';
import { fail, ok, type Result } from '@/core/shared';
import { sightOf } from './cells';
import { estimate, type Estimate } from './estimate';
import { CHANNELS, FIBRES, showsBare, type Cells, type Sight, type Triple } from './layers';
import type { PieceReading } from './reading';
import { register, type InspectCode, type Registered } from './register';
import type { Sought } from './seek';

/** Cells of so little toner tell nothing of it. */
const LEAST_TONER = 0.05;
const LEAST_CARRIED = 0.25;
const UNSURE = 0.2;
const NEAR_WHITE = 0.14;

/** What the cells of a millimetre say, gathered into cells of about four. */
function gathered({ cells, told }: Sought, found: Estimate, dry: Sight, reading: Registered): PieceReading {
  const { columns, left, top, boxColumns, boxRows, toner, under: ground } = cells;
  const { colours, ...cell } = told;
  const [across, down] = [cell.columns, cell.rows];
  const isWhitened =
    found.wetHaze === null && CHANNELS.every((channel) => Math.abs(ground[channel] - FIBRES) < NEAR_WHITE);
  const haze: (number | null)[] = [];
  const kept: (number | null)[] = [];
  const seen: (number | null)[] = [];
  const clears: (number | null)[] = [];
  for (let row = 0; row < down; row++)
    for (let column = 0; column < across; column++) {
      const [x0, x1] = [Math.round((column * boxColumns) / across), Math.round(((column + 1) * boxColumns) / across)];
      const [y0, y1] = [Math.round((row * boxRows) / down), Math.round(((row + 1) * boxRows) / down)];
      let [all, carried, judged, h, k, w] = [0, 0, 0, 0, 0, 0];
      for (let y = y0; y < y1; y++)
        for (let x = x0; x < x1; x++) {
          const at = (y + top) * columns + x + left;
          all++;
          const taken =
            ground[0] * (1 - toner[0][at]) + ground[1] * (1 - toner[1][at]) + ground[2] * (1 - toner[2][at]);
          if (taken < 3 * LEAST_TONER) continue;
          carried++;
          if (!dry.seen[at] || found.unsure[at] > UNSURE) continue;
          judged++;
          h += found.haze[at];
          k += found.kept[at];
          w += found.wetHaze?.[at] ?? 0;
        }
      const carries = carried >= all * LEAST_CARRIED;
      const isTold = carries && judged >= carried * 0.4;
      haze.push(isTold ? h / judged : null);
      kept.push(isTold && !isWhitened ? k / judged : null);
      seen.push(carries ? judged / carried : null);
      clears.push(isTold && found.wetHaze ? cleared(h / judged, w / judged) : null);
    }
  return {
    corners: reading.corners,
    register: { rmsMm: reading.rmsMm, sure: reading.sure },
    cell,
    haze,
    kept,
    seen,
    clearsWet: found.wetHaze ? clears : null,
    colours,
    isWhitened,
  };
}

const cleared = (dry: number, wet: number): number => (dry < 0.03 ? 1 : Math.max(0, Math.min(1, 1 - wet / dry)));

/**
 * A binder may have soaked into the ground under the print, or not: seen against bare blank the one that fits better is
 * taken.
 */
function groundsOf(cells: Cells): Cells[] {
  const soaks = cells.underWet.some((share) => share < DRINKS);
  if (!soaks || !showsBare(cells)) return [cells];
  const under = CHANNELS.map((channel) => cells.under[channel] * cells.underWet[channel]) as Triple<number>;
  return [cells, { ...cells, under, underWet: [1, 1, 1] }];
}

const DRINKS = 0.95;

/**
 * @param sought the print, as `seek` finds what it can be told by
 * @param corners the print's box in the dry photo where it was set by hand
 * @param onPart how far it is, 0–1, and where the print seems to lie, as soon as that is known
 */
export function readPiece(
  sought: Sought,
  photos: { dry: Rgba; wet: Rgba | null },
  corners: readonly Point[] | null = null,
  onPart: (share: number, outline?: readonly Point[]) => void = () => undefined,
): Result<PieceReading, InspectCode> {
  const laid = register(sought, photos.dry, corners, (outline) => onPart(0.2, outline));
  if (!laid.ok) return laid;
  onPart(0.5, laid.value.corners);
  const wetLaid = photos.wet ? register(sought, photos.wet, null) : null;
  if (wetLaid && (!wetLaid.ok || wetLaid.value.sure === 0))
    return fail('wet-not-found', wetLaid.ok ? 'expected the wetted piece to lie for sure' : wetLaid.error.message);
  onPart(0.7);
  const { cells } = sought;
  const dry = sightOf(cells, photos.dry, laid.value.at);
  const wet = photos.wet && wetLaid?.ok ? sightOf(cells, photos.wet, wetLaid.value.at) : null;
  const found = estimate(groundsOf(cells), dry, wet);
  onPart(1);
  return ok(gathered(sought, found, dry, laid.value));
}
