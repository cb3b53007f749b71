/**
 * Mending from a reading: each hole with its size and place, and the mix that matches the picture round it. Holes of
 * about one colour share a mix. A hole is painted with a brush a third as wide as it is, and thin paint dries within the
 * hour. Source: bench practice.
 */
import { PIGMENTS, type PigmentId, type PigmentRecord } from '@/core/craft';
import { deltaE2000, encodeLight, findMix, labOfHex, linearLight, type FoundMix } from '@/core/colour';
import { judgePiece, type InspectArea, type PieceReading } from '@/core/inspect';
import { clamp, sum } from '@/core/shared';

export interface Hole extends Pick<InspectArea, 'areaCm2' | 'box' | 'minutes'> {
  /** Counted through in working order, from 1. */
  number: number;
  /** As the picture lands there, #rrggbb. */
  colour: string;
}

export interface HoleMix {
  holes: readonly Hole[];
  colour: string;
  mix: FoundMix<PigmentRecord>;
  /** Width of the brush, mm. */
  brushMm: number;
  minutes: number;
}

/** Colours this near each other are painted with one mix. */
const ALIKE = 7;
const BRUSH = { share: 1 / 3, leastMm: 0.5, mostMm: 8 };
const STIRRING_MINUTES = 2;
const MOST_MIXES = 8;
/** So small in all that a brushful does it: nobody stirs forty parts for that. */
const SPOT_CM2 = 2;
const MOST_PARTS_FOR_A_SPOT = 8;
/** A picture this near what lies under it shows nothing where it is gone. */
const SHOWS = 5;

/** @param under linear light of what lies under the print; white binder or bare blank */
export function holesOf(reading: PieceReading, under: readonly number[]): Hole[] {
  const bare = labOfHex(landedColour([0xffffff], under));
  return judgePiece(reading)
    .areas.filter(({ kind }) => kind === 'loss')
    .map(({ areaCm2, box, minutes, cells }) => ({
      ...{ areaCm2, box, minutes },
      colour: landedColour(
        cells.map((cell) => reading.colours[cell] ?? 0xffffff),
        under,
      ),
    }))
    .filter(({ colour }) => deltaE2000(labOfHex(colour), bare) > SHOWS)
    .map((hole, at) => ({ ...hole, number: at + 1 }));
}

/** The mean of the print's colours as a filter over what lies under it. */
function landedColour(colours: readonly number[], under: readonly number[]): string {
  const levels = [16, 8, 0].map((shift, channel) => {
    const mean = sum(colours.map((colour) => linearLight((colour >> shift) & 255))) / Math.max(1, colours.length);
    return Math.round(clamp(encodeLight(mean * (under[channel] ?? 1)), 0, 255));
  });
  return `#${levels.map((level) => level.toString(16).padStart(2, '0')).join('')}`;
}

/** @param atHand pigments that the person has; all of the small set where there are too few to mix with */
export function mixesFor(holes: readonly Hole[], atHand: readonly PigmentId[]): HoleMix[] {
  const own = PIGMENTS.filter(({ id }) => atHand.includes(id));
  const paints = own.length >= LEAST_PIGMENTS ? own : PIGMENTS;
  const groups: Hole[][] = [];
  for (const hole of [...holes].sort((a, b) => b.areaCm2 - a.areaCm2)) {
    const alike = groups.find(([first]) => first && deltaE2000(labOfHex(first.colour), labOfHex(hole.colour)) < ALIKE);
    if (alike) alike.push(hole);
    else groups.push([hole]);
  }
  return groups.slice(0, MOST_MIXES).flatMap((group) => {
    const [largest] = group;
    const isSpot = sum(group.map(({ areaCm2 }) => areaCm2)) < SPOT_CM2;
    const mix = largest && findMix(largest.colour, paints, isSpot ? MOST_PARTS_FOR_A_SPOT : undefined);
    if (!largest || !mix) return [];
    const least = Math.min(...group.map(({ box }) => Math.min(box.widthMm, box.heightMm)));
    return [
      {
        holes: group.sort((a, b) => a.number - b.number),
        colour: largest.colour,
        mix,
        brushMm: clamp(least * BRUSH.share, BRUSH.leastMm, BRUSH.mostMm),
        minutes: STIRRING_MINUTES + sum(group.map(({ minutes }) => minutes)),
      },
    ];
  });
}

/** White, a dark and three colours: with fewer a picture's colours can't be met. */
const LEAST_PIGMENTS = 4;
