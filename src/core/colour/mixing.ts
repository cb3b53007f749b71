/**
 * What colour paints give when they are mixed: Kubelka–Munk in one constant for each wavelength, over spectra made from
 * the paints' own colours (source: the library spectral.js, whose method stands in docs/models/mixing.md). Parts are by
 * volume; a pigment counts by its tinting strength. Known weakness: spectra are made up from colours, not measured, and
 * a pigment's undertone is only as good as its strength.
 */
import { Color, mix } from 'spectral.js';
import { deltaE2000, labOfHex } from './difference';

export interface Paint {
  /** Its colour unmixed, laid on thick, #rrggbb. */
  masstone: string;
  /** How strongly it tints, against white. */
  strength: number;
}
export interface Part<P extends Paint> {
  paint: P;
  parts: number;
}

/** A paint's spectrum is worked out once. */
const colours = new Map<string, Color>();

function asColour({ masstone, strength }: Paint): Color {
  const key = `${masstone} ${strength}`;
  const known = colours.get(key);
  if (known) return known;
  const colour = new Color(masstone);
  colour.tintingStrength = strength;
  colours.set(key, colour);
  return colour;
}

/** @returns #rrggbb */
export function mixedColour(parts: readonly Part<Paint>[]): string {
  const inIt = parts.filter((part) => part.parts > 0);
  const [only] = inIt;
  if (!only) return '#ffffff';
  if (inIt.length === 1) return only.paint.masstone.toLowerCase();
  const entries = inIt.map(({ paint, parts: volume }): [Color, number] => {
    // The library squares what it is given; parts are linear.
    return [asColour(paint), Math.sqrt(volume)];
  });
  return mix(...entries)
    .toString({ format: 'hex' })
    .toLowerCase();
}

export interface FoundMix<P extends Paint> {
  parts: readonly Part<P>[];
  colour: string;
  /** How far it is off what was wanted, ΔE 2000. */
  off: number;
}

/** Whole parts that a brush can measure out. */
const PARTS = [1, 2, 3, 4, 6, 8, 12, 20, 40] as const;
/** What the tip of a brush brings in: less than can be measured out. */
export const TOUCH = 0.1;
/** How often two mixed paints are taken against one part of a third. */
const SCALES = [1, 2, 4, 8] as const;
const MOST_PARTS = 40;
const MOST_IN_ALL = 3 * MOST_PARTS;
/** Parts that a touch of another still tints. */
const TOUCHED = [1, 2, 4] as const;
const MOST_PAINTS = 3;
/** Another paint must better the mix by so much. */
const WORTH_A_PAINT = 1.5;
/** The best so far that are tried with one more paint. */
const KEPT = 8;

/**
 * The fewest paints in small whole parts that come near a colour.
 *
 * @param most parts in all that are stirred for it: what is too strong for them goes in as a touch
 * @returns null without paints
 */
export function findMix<P extends Paint>(wanted: string, paints: readonly P[], most = MOST_IN_ALL): FoundMix<P> | null {
  // Where all can be measured out, nothing goes in unmeasured.
  const fits = (parts: readonly Part<P>[]) =>
    parts.reduce((total, part) => total + part.parts, 0) <= most &&
    (most < MOST_IN_ALL || parts.every((part) => part.parts >= 1));
  const target = labOfHex(wanted);
  const tried = (parts: readonly Part<P>[]): FoundMix<P> => {
    const colour = mixedColour(parts);
    return { parts, colour, off: deltaE2000(target, labOfHex(colour)) };
  };
  const byOff = (a: FoundMix<P>, b: FoundMix<P>) => a.off - b.off;
  let front = paints.map((paint) => tried([{ paint, parts: 1 }])).sort(byOff);
  let best = front[0] ?? null;
  // Every pair is tried; of those the best with one paint more.
  for (let count = 2; count <= MOST_PAINTS && best; count++) {
    const from = count === 2 ? front : front.slice(0, KEPT);
    front = from
      .flatMap(({ parts }) =>
        paints
          .filter((paint) => !parts.some((part) => part.paint === paint))
          .flatMap((paint) =>
            (count === 2 ? ratios(parts, paint) : ratiosOfThree(parts, paint)).filter(fits).map(tried),
          ),
      )
      .sort(byOff);
    const [better] = front;
    if (better && better.off < best.off - WORTH_A_PAINT) best = better;
  }
  return best;
}

const ratios = <P extends Paint>([first]: readonly Part<P>[], paint: P): Part<P>[][] =>
  first
    ? [...PARTS.map((volume) => [volume, 1] as const), ...TOUCHED.map((volume) => [volume, TOUCH] as const)].map(
        ([volume, other]) => [
          { ...first, parts: volume },
          { paint, parts: other },
        ],
      )
    : [];

/** Two paints as they stand, with one more; and those two anew. */
function ratiosOfThree<P extends Paint>(parts: readonly Part<P>[], paint: P): Part<P>[][] {
  return SCALES.flatMap((scale) =>
    [...PARTS.slice(0, 2), TOUCH].map((volume) => [
      ...parts.map((part) => ({ ...part, parts: part.parts * scale })),
      { paint, parts: volume },
    ]),
  ).filter((mixed) => mixed.every((part) => part.parts <= MOST_PARTS));
}
