/** Sides of a print where what should be dark came out white: the printer cut it off. */

import type { RectMm, SizeMm } from '@/core/shape';
import type { PageSide } from './verdict';

/** A place of the page, shares of its size, with the levels that were sent and that are seen there, against paper. */
export interface Spot {
  x: number;
  y: number;
  sent: number[];
  seen: number[];
}

/** Less than this is hardly printed. */
export const INKED = 0.12;

const EDGE_FROM_MM = 0.6;
const EDGE_TO_MM = 2.2;
const LOST_SHARE = 0.3;
const CUT_SHARE = 0.5;
const VEIL_FROM_MM = 7;
const VEIL_TO_MM = 14;
const VEILED_SHARE = 0.8;

const darkOf = (levels: readonly number[]): number => 1 - (levels[0] + levels[1] + levels[2]) / 3;

export function cutSides(
  seenSpots: readonly Spot[],
  spots: readonly Spot[],
  {
    page,
    places,
    flipped,
    kept,
    glare,
  }: { page: SizeMm; places: readonly RectMm[]; flipped: boolean; kept: number; glare: boolean },
): PageSide[] {
  const placed = places.map((place) => (flipped ? { ...place, xMm: page.widthMm - place.xMm - place.widthMm } : place));
  const [left, top] = [Math.min(...placed.map((place) => place.xMm)), Math.min(...placed.map((place) => place.yMm))];
  const right = Math.max(...placed.map((place) => place.xMm + place.widthMm));
  const bottom = Math.max(...placed.map((place) => place.yMm + place.heightMm));
  const band: Record<PageSide, (xMm: number, yMm: number) => number> = {
    left: (x) => x - left,
    right: (x) => right - x,
    top: (_, y) => y - top,
    bottom: (_, y) => bottom - y,
  };
  const within = (side: PageSide, { x, y, sent }: Spot, fromMm: number, toMm: number): boolean => {
    const inside = band[side](x * page.widthMm, y * page.heightMm);
    return inside >= fromMm && inside <= toMm && darkOf(sent) >= INKED;
  };
  const inBand = (side: PageSide, spot: Spot): boolean => within(side, spot, EDGE_FROM_MM, EDGE_TO_MM);
  // A printer cuts sharply; a lamp's veil runs on inwards.
  const runsOn = (side: PageSide): boolean => {
    const near = seenSpots.filter((spot) => within(side, spot, VEIL_FROM_MM, VEIL_TO_MM));
    const full = near.filter(({ sent, seen }) => darkOf(seen) > VEILED_SHARE * kept * darkOf(sent)).length;
    return full < near.length * VEILED_SHARE;
  };
  return (Object.keys(band) as PageSide[]).filter((side) => {
    // What a lamp hides counts as there.
    const inked = spots.filter((spot) => inBand(side, spot)).length;
    const lost = seenSpots.filter(
      (spot) => inBand(side, spot) && darkOf(spot.seen) < LOST_SHARE * kept * darkOf(spot.sent),
    ).length;
    return inked > 12 && lost / inked > CUT_SHARE && !(glare && runsOn(side));
  });
}
