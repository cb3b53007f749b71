/**
 * Haze and toner kept, a cell of a millimetre at a time, from one photo of the dry piece or from that and one of the wet
 * piece together. Light is fitted in turns with them, on what tells of it: bare blank, and light parts that are clear.
 */
import {
  WET_VEIL,
  bareLight,
  coarser,
  coarserSight,
  fitLight,
  showsBare,
  veiled,
  type Cells,
  type LightField,
  type Sight,
  type Triple,
} from './layers';
import { isMargin } from './misfit';
import { hazeWhenWet, solveAlongPaths, solveTogether, type Solved, type Weighed } from './solve';

interface Lights {
  light: LightField;
  wetLight: LightField | null;
}
export interface Estimate extends Solved, Lights {
  /** Haze that is still in sight on the wet photo; null without one. */
  wetHaze: Float32Array | null;
}

/** How much less a cell tells of the light that is lighter than expected, once haze is known. */
const LIGHTER = 1.7;
/**
 * And at first: little is veiled, or much. Beside bare blank one is enough; without it both are tried, and what explains
 * the photo better is taken.
 */
const FIRST_LIGHTER = { bare: [1.7], none: [1.2, 4] } as const;

/** Cells that tell of the light before anything is known: bare blank, and after it what is light and even. */
function firstWeights(cells: Cells, sight: Sight): Float32Array {
  const weight = new Float32Array(cells.columns * cells.rows);
  const margin = isMargin(cells);
  let bare = 0;
  for (let at = 0; at < weight.length; at++) if (margin(at) && sight.seen[at]) bare++;
  const trust = bare > 300 ? 0.15 : 1;
  for (let at = 0; at < weight.length; at++) {
    if (!sight.seen[at]) continue;
    const bright = (cells.toner[0][at] + cells.toner[1][at] + cells.toner[2][at]) / 3;
    weight[at] = margin(at) ? 1 : (trust * bright ** 3) / (1 + (cells.rough[at] / 0.05) ** 2);
  }
  return weight;
}

/**
 * Tried on cells twice as large: which ground, and how much is veiled at first. What explains the photos best is then
 * worked out in full from the light that was found.
 *
 * @param grounds the cells as they may be: bare, or with binder soaked in
 * @param wet a photo of the wetted piece, laid over the same cells
 */
export function estimate(grounds: readonly Cells[], dry: Sight, wet: Sight | null): Estimate {
  const by = Math.min(grounds[0].boxColumns, grounds[0].boxRows) >= LEAST_COARSE ? COARSE : 1;
  const [dryCoarse, wetCoarse] = [coarserSight(grounds[0], dry, by), wet && coarserSight(grounds[0], wet, by)];
  const first = grounds.flatMap((cells) => {
    const coarse = coarser(cells, by);
    return FIRST_LIGHTER[showsBare(cells) ? 'bare' : 'none'].map((lighter) => {
      const lights = firstLights(coarse, dryCoarse, wetCoarse, lighter);
      return { cells, coarse, found: turned(coarse, dryCoarse, wetCoarse, lights, 1) };
    });
  });
  const least = Math.min(...first.map(({ found }) => found.misfit));
  const tried = first
    .filter(({ found }) => found.misfit <= least * HOPELESS)
    .map(({ cells, coarse, found }) => {
      const lights = litAnew(coarse, dryCoarse, wetCoarse, found);
      return { cells, found: turned(coarse, dryCoarse, wetCoarse, lights, COARSE_ROUNDS) };
    });
  const { cells, found } = tried.reduce((best, other) => (other.found.misfit < best.found.misfit ? other : best));
  if (!wet) {
    const light = showsBare(cells) ? found.light : lightWithoutBare(cells, dry, found.light);
    return { ...solveAlongPaths(cells, { sight: dry, light }), light, wetLight: null, wetHaze: null };
  }
  const fine = by === 1 ? found : turned(cells, dry, wet, found, FINE_ROUNDS);
  const wetHaze = fine.wetLight && hazeWhenWet(cells, { sight: wet, light: fine.wetLight }, fine.kept);
  return { ...fine, wetHaze };
}

/**
 * Without bare blank a light that is fitted in turns with what lies on the print may settle where neither is right; what
 * both leave unexplained tells it. So each way that a light may differ in is tried, over large cells, while it helps; and
 * what is clear under that light tells it at last.
 */
function lightWithoutBare(cells: Cells, dry: Sight, from: LightField): LightField {
  const by = Math.max(1, Math.floor(Math.sqrt((cells.boxColumns * cells.boxRows) / SEARCH_CELLS)));
  const [coarse, sight] = [coarser(cells, by), coarserSight(cells, dry, by)];
  const costOf = (light: LightField): number =>
    solveTogether(coarse, { sight, light }, null).misfit * (1 + unevenness(light[0]));
  let best = from;
  let least = costOf(from);
  for (let share = 1; share >= LAST_STEP; share /= 2)
    for (let round = 0, better = true; better && round < SEARCH_ROUNDS; round++) {
      better = false;
      for (const { channels, term, step } of WAYS)
        for (const change of [step * share, -step * share]) {
          const light = moved(best, channels, term, change);
          const cost = costOf(light);
          if (cost >= least) continue;
          [best, least, better] = [light, cost, true];
          break;
        }
    }
  return litAnew(cells, dry, null, solveTogether(cells, { sight: dry, light: best }, null)).light;
}

/** Light that leans costs a little, and light that bows more. */
const unevenness = ([, leanX, leanY, ...bows]: readonly number[]): number =>
  0.3 * (leanX ** 2 + leanY ** 2) + bows.reduce((sum, bow) => sum + bow ** 2, 0);

function moved([red, green, blue]: LightField, channels: readonly number[], term: number, by: number): LightField {
  const one = (terms: readonly number[], channel: number): readonly number[] =>
    channels.includes(channel) ? terms.map((value, at) => (at === term ? value + by : value)) : terms;
  return [one(red, 0), one(green, 1), one(blue, 2)];
}

const SEARCH_CELLS = 1800;
const SEARCH_ROUNDS = 4;
const LAST_STEP = 0.2;
/** Level, tints of red and of blue, leans and bows, and the steps they are tried in, as logarithms. */
const WAYS = [
  { channels: [0, 1, 2], term: 0, step: 0.16 },
  { channels: [0], term: 0, step: 0.1 },
  { channels: [2], term: 0, step: 0.1 },
  { channels: [0, 1, 2], term: 1, step: 0.1 },
  { channels: [0, 1, 2], term: 2, step: 0.1 },
  { channels: [0, 1, 2], term: 3, step: 0.08 },
  { channels: [0, 1, 2], term: 4, step: 0.08 },
  { channels: [0, 1, 2], term: 5, step: 0.08 },
] as const;

/** What explains the photo so much worse after one turn is tried no further. */
const HOPELESS = 1.75;
const COARSE = 2;
const LEAST_COARSE = 40;
const COARSE_ROUNDS = 2;
const FINE_ROUNDS = 2;

function firstLights(cells: Cells, dry: Sight, wet: Sight | null, lighter: number): Lights {
  const count = cells.columns * cells.rows;
  const [haze, kept] = [new Float32Array(count).fill(FIRST_HAZE), new Float32Array(count).fill(1)];
  const lit = (sight: Sight, isWet: boolean, less: number) =>
    fitLight(cells, sight, expectedLight(cells, haze, kept, isWet), firstWeights(cells, sight), less);
  return { light: lit(dry, false, lighter), wetLight: wet && lit(wet, true, LIGHTER) };
}

const FIRST_HAZE = 0.05;

/** Layers and light in turns. */
function turned(cells: Cells, dry: Sight, wet: Sight | null, from: Lights, rounds: number): Weighed & Lights {
  let lights = from;
  for (let round = 1; ; round++) {
    const { light, wetLight } = lights;
    const lit = wet && wetLight ? { sight: wet, light: wetLight } : null;
    const found = solveTogether(cells, { sight: dry, light }, lit);
    if (round === rounds) return { ...found, ...lights };
    lights = litAnew(cells, dry, wet, found);
  }
}

/** The light that what was found leaves. */
function litAnew(cells: Cells, dry: Sight, wet: Sight | null, { haze, kept }: Solved): Lights {
  const lit = (sight: Sight, isWet: boolean) =>
    fitLight(cells, sight, expectedLight(cells, haze, kept, isWet), clearWeights(cells, sight, haze, kept), LIGHTER);
  return { light: lit(dry, false), wetLight: wet && lit(wet, true) };
}

/** What each cell would show in even light. */
function expectedLight(cells: Cells, haze: Float32Array, kept: Float32Array, wet: boolean): Triple<Float32Array> {
  const margin = isMargin(cells);
  const veil = wet ? WET_VEIL : 1;
  const shown = (channel: 0 | 1 | 2) => {
    const light = new Float32Array(haze.length);
    const blank = cells.ground[channel] * (wet ? cells.wetted[channel] : 1);
    const [ground, wetted] = [cells.under[channel], wet ? cells.underWet[channel] : 1];
    const toner = cells.toner[channel];
    for (let at = 0; at < light.length; at++)
      light[at] = margin(at) ? blank : veiled(bareLight(ground, toner[at], kept[at], wetted), haze[at] * veil);
    return light;
  };
  return [shown(0), shown(1), shown(2)];
}

/** Once haze and loss are known: what is clear tells of the light. */
function clearWeights(cells: Cells, sight: Sight, haze: Float32Array, kept: Float32Array): Float32Array {
  const weight = firstWeights(cells, sight);
  const margin = isMargin(cells);
  for (let at = 0; at < weight.length; at++)
    if (!margin(at)) weight[at] *= Math.exp(-((haze[at] / 0.2) ** 2)) * (kept[at] > 0.85 ? 1 : 0);
  return weight;
}
