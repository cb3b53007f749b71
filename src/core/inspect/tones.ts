/**
 * How much of what a photo shows the expected print explains where it is laid over it, by its broad tones and colours:
 * what a picture without points and edges is told by. Light on the piece changes smoothly and hardly in colour, so what
 * it may do is taken out first; paper left pales a tone and never turns it round.
 */
import { solve } from '@/core/photo';
import { CHANNELS, type Cells, type Sight, type Triple } from './layers';

const FLOOR = 0.03;
/** Of light, and of each colour: what noise, grain and uneven paper leave, as logarithms. */
const NOISE = [0.1, 0.05, 0.05] as const;
/** How far light may lean across the piece, and a colour of it; a prior in logarithms. */
const LEANS = [0.6, 0.03, 0.03] as const;

/** Sum over light and two colours of the logarithm of how much of the spread goes; 0 where nothing does. */
export function tonesExplained(cells: Cells, { light, seen }: Sight): number {
  const inside = insideOf(cells).filter((at) => seen[at]);
  if (inside.length < LEAST_CELLS) return 0;
  const shown = opposed(inside, (channel, at) => light[channel][at]);
  const places = placesOf(cells, inside);
  return tonesOf(cells, inside).reduce((sum, should, axis) => {
    const without = leftOver(places, shown[axis], null, LEANS[axis]);
    const withIt = leftOver(places, shown[axis], should, LEANS[axis]);
    if (!withIt || !without || withIt.share <= 0) return sum;
    const noise = NOISE[axis] ** 2;
    return sum + Math.log((without.square + noise) / (withIt.square + noise));
  }, 0);
}

/** How much there is to explain in a clean print that paper has paled to a half. */
export function tonesToTell(cells: Cells): number {
  const inside = insideOf(cells);
  const places = placesOf(cells, inside);
  return tonesOf(cells, inside).reduce((sum, shown, axis) => {
    const square = leftOver(places, shown, null, LEANS[axis])?.square ?? 0;
    return sum + Math.log(1 + square / 4 / NOISE[axis] ** 2);
  }, 0);
}

function insideOf({ columns, left, top, boxColumns, boxRows }: Cells): number[] {
  return Array.from(
    { length: boxColumns * boxRows },
    (_, at) => (top + Math.floor(at / boxColumns)) * columns + left + (at % boxColumns),
  );
}
const tonesOf = ({ under, toner }: Cells, inside: readonly number[]) =>
  opposed(inside, (channel, at) => under[channel] * toner[channel][at]);
const placesOf = ({ columns, rows }: Cells, inside: readonly number[]) =>
  inside.map((at) => ({
    u: (2 * ((at % columns) + 0.5)) / columns - 1,
    v: (2 * (Math.floor(at / columns) + 0.5)) / rows - 1,
  }));

const LEAST_CELLS = 40;

/** Light, red against green, and yellow against blue. */
function opposed(at: readonly number[], of: (channel: 0 | 1 | 2, at: number) => number): Triple<Float64Array> {
  const out: Triple<Float64Array> = [
    new Float64Array(at.length),
    new Float64Array(at.length),
    new Float64Array(at.length),
  ];
  at.forEach((cell, k) => {
    const [r, g, b] = CHANNELS.map((channel) => Math.log(of(channel, cell) + FLOOR));
    out[0][k] = (r + g + b) / 3;
    out[1][k] = r - g;
    out[2][k] = (r + g) / 2 - b;
  });
  return out;
}

/**
 * What a smooth light, and a share of the expected tones, leave of what is shown.
 *
 * @returns the mean square left, and that share
 */
function leftOver(
  places: readonly { u: number; v: number }[],
  shown: Float64Array,
  should: Float64Array | null,
  lean: number,
): { square: number; share: number } | null {
  const terms = (k: number): number[] => {
    const { u, v } = places[k];
    return [1, u, v, u * u, u * v, v * v, ...(should ? [should[k]] : [])];
  };
  const size = should ? 7 : 6;
  const matrix = Array.from({ length: size }, () => new Array<number>(size).fill(0));
  const right = new Array<number>(size).fill(0);
  for (let k = 0; k < shown.length; k++) {
    const row = terms(k);
    for (let i = 0; i < size; i++) {
      right[i] += row[i] * shown[k];
      for (let j = 0; j < size; j++) matrix[i][j] += row[i] * row[j];
    }
  }
  const spread = 0.1 ** 2;
  for (let i = 1; i < 6; i++) matrix[i][i] += (shown.length * spread) / (i < 3 ? lean : lean / 2) ** 2 / 10;
  const by = solve(matrix, right);
  if (!by) return null;
  let square = 0;
  for (let k = 0; k < shown.length; k++) {
    const off = shown[k] - terms(k).reduce((sum, term, i) => sum + term * by[i], 0);
    square += off * off;
  }
  return { square: square / shown.length, share: by[6] ?? 0 };
}
