/**
 * Haze and toner kept, a cell of a millimetre at a time, from one photo of the dry piece or from that and one of the wet
 * piece together. Kept toner is tried in eleven steps, and for each the haze that fits best follows in closed form; haze
 * is smooth and shared with the cells round about, loss has edges and is each cell's own. Light is fitted in turns with
 * them, on what tells of it: bare blank, and light parts that are clear.
 */
import {
  CHANNELS,
  FIBRES,
  WET_VEIL,
  bareLight,
  coarser,
  coarserSight,
  fitLight,
  lightAt,
  showsBare,
  veiled,
  type Cells,
  type LightField,
  type Sight,
  type Triple,
} from './layers';

export interface Estimate {
  /** Shares 0–1 for each cell of the frame. */
  haze: Float32Array;
  kept: Float32Array;
  /** Haze that is still in sight on the wet photo; null without one. */
  wetHaze: Float32Array | null;
  /** How well each is known: the standard deviation of haze; large where nothing tells. */
  unsure: Float32Array;
  light: LightField;
  wetLight: LightField | null;
  /** What is left unexplained, with the price of what was said. */
  misfit: number;
}

const KEPT_STEPS = 11;
/** Noise of camera and texture, and how much of a sudden change within a cell may be a shift. */
const NOISE = 0.012;
const TEXTURE = 0.07;
const SHIFT = 0.3;
const WET_NOISE = 1.3;
/** What a loss and a haze cost, against a squared misfit in standard deviations: nothing is seen where nothing is. */
const LOSS_PRICE = 2.2;
const LOSS_ENTRY = 0.7;
const HAZE_PRICE = 0.25;
const MOST_HAZE = 0.97;
const MOST_COST = 40;
const SMOOTH_RADIUS = 2;
const TURNS = 3;
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

/** Whether a cell lies in the frame beside the print's box. */
function isMargin({ columns, left, top, boxColumns, boxRows }: Cells): (at: number) => boolean {
  return (at) => {
    const [x, y] = [at % columns, Math.floor(at / columns)];
    return x < left || y < top || x >= left + boxColumns || y >= top + boxRows;
  };
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
  const tried = grounds.flatMap((cells) => {
    const coarse = coarser(cells, by);
    return FIRST_LIGHTER[showsBare(cells) ? 'bare' : 'none'].map((lighter) => {
      const lights = firstLights(coarse, dryCoarse, wetCoarse, lighter);
      return { cells, found: estimateFrom(coarse, dryCoarse, wetCoarse, lights, COARSE_ROUNDS) };
    });
  });
  const { cells, found } = tried.reduce((best, other) => (other.found.misfit < best.found.misfit ? other : best));
  return by === 1 ? found : estimateFrom(cells, dry, wet, found, FINE_ROUNDS);
}

const COARSE = 2;
const LEAST_COARSE = 40;
const COARSE_ROUNDS = 3;
const FINE_ROUNDS = 2;

interface Lights {
  light: LightField;
  wetLight: LightField | null;
}

function firstLights(cells: Cells, dry: Sight, wet: Sight | null, lighter: number): Lights {
  const count = cells.columns * cells.rows;
  const [haze, kept] = [new Float32Array(count).fill(FIRST_HAZE), new Float32Array(count).fill(1)];
  const lit = (sight: Sight, isWet: boolean, less: number) =>
    fitLight(cells, sight, expectedLight(cells, haze, kept, isWet), firstWeights(cells, sight), less);
  return { light: lit(dry, false, lighter), wetLight: wet && lit(wet, true, LIGHTER) };
}

const FIRST_HAZE = 0.05;

function estimateFrom(cells: Cells, dry: Sight, wet: Sight | null, from: Lights, rounds: number): Estimate {
  let { light, wetLight } = from;
  const solved = () =>
    solveLayers(cells, { sight: dry, light }, wet && wetLight ? { sight: wet, light: wetLight } : null);
  let found = solved();
  for (let round = 1; round < rounds; round++) {
    const { haze, kept } = found;
    const lit = (sight: Sight, isWet: boolean) => {
      const should = expectedLight(cells, haze, kept, isWet);
      return fitLight(cells, sight, should, clearWeights(cells, sight, haze, kept), LIGHTER);
    };
    light = lit(dry, false);
    wetLight = wet && lit(wet, true);
    found = solved();
  }
  return { ...found, light, wetLight };
}

function expectedLight(cells: Cells, haze: Float32Array, kept: Float32Array, wet: boolean): Triple<Float32Array> {
  const margin = isMargin(cells);
  return CHANNELS.map((channel) =>
    Float32Array.from({ length: haze.length }, (_, at) => {
      const wetted = wet ? cells.wetted[channel] : 1;
      if (margin(at)) return cells.ground[channel] * wetted;
      const bare = bareLight(
        cells.under[channel],
        cells.toner[channel][at],
        kept[at],
        wet ? cells.underWet[channel] : 1,
      );
      return veiled(bare, wet ? haze[at] * WET_VEIL : haze[at]);
    }),
  ) as Triple<Float32Array>;
}

/** Once haze and loss are known: what is clear tells of the light. */
function clearWeights(cells: Cells, sight: Sight, haze: Float32Array, kept: Float32Array): Float32Array {
  const weight = firstWeights(cells, sight);
  const margin = isMargin(cells);
  for (let at = 0; at < weight.length; at++)
    if (!margin(at)) weight[at] *= Math.exp(-((haze[at] / 0.2) ** 2)) * (kept[at] > 0.85 ? 1 : 0);
  return weight;
}

interface Lit {
  sight: Sight;
  light: LightField;
}

/** Sums over a square of `2·radius + 1`, in place of each cell. */
function windowed(values: Float32Array, columns: number, rows: number, radius: number, held: Float32Array): void {
  for (let y = 0; y < rows; y++) {
    const row = y * columns;
    let sum = 0;
    for (let x = 0; x < Math.min(radius, columns); x++) sum += values[row + x];
    for (let x = 0; x < columns; x++) {
      if (x + radius < columns) sum += values[row + x + radius];
      if (x - radius - 1 >= 0) sum -= values[row + x - radius - 1];
      held[row + x] = sum;
    }
  }
  for (let x = 0; x < columns; x++) {
    let sum = 0;
    for (let y = 0; y < Math.min(radius, rows); y++) sum += held[y * columns + x];
    for (let y = 0; y < rows; y++) {
      if (y + radius < rows) sum += held[(y + radius) * columns + x];
      if (y - radius - 1 >= 0) sum -= held[(y - radius - 1) * columns + x];
      values[y * columns + x] = sum;
    }
  }
}

const keptAt = (step: number): number => step / (KEPT_STEPS - 1);

/** Of each step of kept toner: how steeply the misfit falls with haze, how bent that is, and the misfit without any. */
interface Steps {
  slope: Float32Array[];
  bow: Float32Array[];
  misfit: Float32Array[];
}

function stepsOf(cells: Cells, dry: Lit, wet: Lit | null): Steps {
  const { columns, rows, under: ground, underWet: wetted, toner, rough } = cells;
  const count = columns * rows;
  const arrays = () => Array.from({ length: KEPT_STEPS }, () => new Float32Array(count));
  const [slope, bow, misfit] = [arrays(), arrays(), arrays()];
  const margin = isMargin(cells);
  for (let y = 0; y < rows; y++) {
    const v = (2 * (y + 0.5)) / rows - 1;
    for (let x = 0; x < columns; x++) {
      const at = y * columns + x;
      if (margin(at)) continue;
      const u = (2 * (x + 0.5)) / columns - 1;
      for (let photo = 0; photo < 2; photo++) {
        const lit = photo === 0 ? dry : wet;
        if (!lit || !lit.sight.seen[at]) continue;
        const veil = photo === 0 ? 1 : WET_VEIL;
        for (let channel = 0; channel < 3; channel++) {
          const g = ground[channel];
          const seen = lit.sight.light[channel][at] / lightAt(lit.light[channel], u, v);
          const bareShare = photo === 0 ? 1 : wetted[channel];
          const t = toner[channel][at];
          const spread = NOISE + TEXTURE * Math.min(seen, g) + SHIFT * g * rough[at];
          const trust = 1 / (spread * spread * (photo === 0 ? 1 : WET_NOISE));
          for (let step = 0; step < KEPT_STEPS; step++) {
            const k = step / (KEPT_STEPS - 1);
            const bare = g * ((1 - k) * bareShare + k * t);
            const off = seen - bare;
            const reach = veil * (FIBRES - bare);
            slope[step][at] += trust * off * reach;
            bow[step][at] += trust * reach * reach;
            misfit[step][at] += trust * off * off;
          }
        }
      }
    }
  }
  return { slope, bow, misfit };
}

const hazeFor = (slope: number, bow: number, price: number): number =>
  bow <= 0 ? 0 : Math.min(MOST_HAZE, Math.max(0, (slope - price) / bow));
const costFor = (slope: number, bow: number, misfit: number, haze: number): number =>
  misfit - 2 * haze * slope + haze * haze * bow;

function solveLayers(cells: Cells, dry: Lit, wet: Lit | null): Omit<Estimate, 'light' | 'wetLight'> {
  const { columns, rows } = cells;
  const count = columns * rows;
  const own = stepsOf(cells, dry, wet);
  const held = new Float32Array(count);
  const around = (values: Float32Array) => {
    const summed = values.slice();
    windowed(summed, columns, rows, SMOOTH_RADIUS, held);
    return summed;
  };
  const cellsAround = (2 * SMOOTH_RADIUS + 1) ** 2;
  const price = (step: number) => {
    const lost = 1 - keptAt(step);
    return lost === 0 ? 0 : LOSS_ENTRY + LOSS_PRICE * lost;
  };
  // First, all of a neighbourhood together.
  const haze = new Float32Array(count);
  const chosen = new Uint8Array(count);
  const least = new Float32Array(count).fill(Infinity);
  for (let step = 0; step < KEPT_STEPS; step++) {
    const [slope, bow, misfit] = [around(own.slope[step]), around(own.bow[step]), around(own.misfit[step])];
    for (let at = 0; at < count; at++) {
      const h = hazeFor(slope[at], bow[at], HAZE_PRICE * cellsAround);
      const cost = costFor(slope[at], bow[at], misfit[at], h) + cellsAround * (price(step) + 2 * HAZE_PRICE * h);
      if (cost < least[at]) {
        least[at] = cost;
        haze[at] = h;
        chosen[at] = step;
      }
    }
  }
  // Then each cell its own loss under its neighbours' haze, and the haze anew.
  const [slope, bow] = [new Float32Array(count), new Float32Array(count)];
  let misfit = 0;
  for (let turn = 0; turn < TURNS; turn++) {
    misfit = 0;
    for (let at = 0; at < count; at++) {
      const h = haze[at];
      let best = Infinity;
      for (let step = 0; step < KEPT_STEPS; step++) {
        const cost =
          Math.min(MOST_COST, costFor(own.slope[step][at], own.bow[step][at], own.misfit[step][at], h)) + price(step);
        if (cost < best) {
          best = cost;
          chosen[at] = step;
        }
      }
      misfit += best + 2 * HAZE_PRICE * h;
      slope[at] = own.slope[chosen[at]][at];
      bow[at] = own.bow[chosen[at]][at];
    }
    windowed(slope, columns, rows, SMOOTH_RADIUS, held);
    windowed(bow, columns, rows, SMOOTH_RADIUS, held);
    for (let at = 0; at < count; at++) haze[at] = hazeFor(slope[at], bow[at], HAZE_PRICE * cellsAround);
  }
  const unsure = Float32Array.from(bow, (value) => (value <= 0 ? 1 : Math.min(1, Math.sqrt(cellsAround / value))));
  const kept = Float32Array.from(chosen, (step) => keptAt(step));
  return { haze, kept, unsure, misfit, wetHaze: wet ? hazeWhenWet(cells, wet, kept) : null };
}

/** Haze that the wet photo alone shows, with the loss known. */
function hazeWhenWet(cells: Cells, { sight, light }: Lit, kept: Float32Array): Float32Array {
  const { columns, rows, under: ground, underWet: wetted, toner, rough } = cells;
  const count = columns * rows;
  const [slope, bow] = [new Float32Array(count), new Float32Array(count)];
  for (let at = 0; at < count; at++) {
    if (!sight.seen[at]) continue;
    const [u, v] = [(2 * ((at % columns) + 0.5)) / columns - 1, (2 * (Math.floor(at / columns) + 0.5)) / rows - 1];
    for (const channel of CHANNELS) {
      const bare = bareLight(ground[channel], toner[channel][at], kept[at], wetted[channel]);
      const seen = sight.light[channel][at] / lightAt(light[channel], u, v);
      const spread = NOISE + TEXTURE * Math.min(seen, ground[channel]) + SHIFT * ground[channel] * rough[at];
      slope[at] += ((seen - bare) * (FIBRES - bare)) / (spread * spread);
      bow[at] += ((FIBRES - bare) / spread) ** 2;
    }
  }
  const held = new Float32Array(count);
  windowed(slope, columns, rows, SMOOTH_RADIUS, held);
  windowed(bow, columns, rows, SMOOTH_RADIUS, held);
  return Float32Array.from(slope, (value, at) => hazeFor(value, bow[at], 0));
}
