/**
 * Haze and toner kept of each cell, given the light. Quickly, for finding the light: haze shared with the cells round
 * about, loss each cell's own. And at last along paths: haze changes smoothly from cell to cell, loss with an edge, and
 * of all that explains the photo what changes least is taken. So a dark patch that is gone is told from one that is
 * veiled, where both look alike: by its rim.
 */
import { CHANNELS, FIBRES, bareLight, lightAt, type Cells } from './layers';
import { costFor, hazeFor, misfitsOf, spreadOf, valueOf, type Lit, type Quadratic } from './misfit';
import { LANES, cheapestAlongPaths } from './paths';

export interface Solved {
  /** Shares 0–1 for each cell of the frame. */
  haze: Float32Array;
  kept: Float32Array;
  /** How well each is known: the standard deviation of haze; large where nothing tells. */
  unsure: Float32Array;
}
export interface Weighed extends Solved {
  /** What is left unexplained, with the price of what was said. */
  misfit: number;
}

/** What a loss and a haze cost, against a squared misfit in standard deviations: nothing is seen where nothing is. */
const LOSS_PRICE = 2.2;
const LOSS_ENTRY = 0.7;
const HAZE_PRICE = 0.25;
const MOST_COST = 40;
const SMOOTH_RADIUS = 2;
const TURNS = 3;
/** Toner is tried in so many steps: fewer of one photo, which only finds the light so. */
const KEPT_STEPS = { both: 11, one: 6 };
const pricesOf = (steps: number) =>
  Float64Array.from({ length: steps }, (_, step) =>
    step === steps - 1 ? 0 : LOSS_ENTRY + LOSS_PRICE * (1 - step / (steps - 1)),
  );
const PRICES = { both: pricesOf(KEPT_STEPS.both), one: pricesOf(KEPT_STEPS.one) };
const CELLS_AROUND = (2 * SMOOTH_RADIUS + 1) ** 2;

/** Along paths: what is tried, and what it costs. */
const ALONG = { hazePrice: 0.8, lossPrice: 0.5, lossEntry: 0.2 };
const HAZES = [0, 0.05, 0.1, 0.16, 0.23, 0.32, 0.42, 0.54, 0.68, 0.85] as const;
const KEPT = [0, 0.33, 0.67, 1] as const;
/** What a change from one cell to the next costs: of haze by its size, of loss an edge. */
const CHANGES = { smooth: HAZES, edged: KEPT.length, slope: 50, edge: 3, most: 40 };
/** Fibres lie unevenly: by this share of itself, and a little, a cell's haze differs from that round about. */
const UNEVEN = 0.1;
const LEAST_UNEVEN = 0.01;

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

/** Quickly. */
export function solveTogether(cells: Cells, dry: Lit, wet: Lit | null): Weighed {
  const { columns, rows } = cells;
  const count = columns * rows;
  const own = misfitsOf(cells, dry, wet);
  const prices = PRICES[wet ? 'both' : 'one'];
  const [steps, stepSize] = [prices.length, 1 / (prices.length - 1)];
  const held = new Float32Array(count);
  const around = (quadratic: Quadratic) =>
    quadratic.map((values) => {
      const summed = values.slice();
      windowed(summed, columns, rows, SMOOTH_RADIUS, held);
      return summed;
    }) as Quadratic;
  const all = { slope: around(own.slope), bow: around(own.bow), misfit: around(own.misfit) };
  // First, all of a neighbourhood together.
  const haze = new Float32Array(count);
  const kept = new Float32Array(count);
  for (let at = 0; at < count; at++) {
    let least = Infinity;
    for (let step = 0; step < steps; step++) {
      const k = step * stepSize;
      const slope = valueOf(all.slope, at, k);
      const bow = valueOf(all.bow, at, k);
      const h = hazeFor(slope, bow, HAZE_PRICE * CELLS_AROUND);
      const misfit = costFor(slope, bow, valueOf(all.misfit, at, k), h);
      const cost = misfit + CELLS_AROUND * (prices[step] + 2 * HAZE_PRICE * h);
      if (cost < least) {
        least = cost;
        haze[at] = h;
        kept[at] = k;
      }
    }
  }
  // Then each cell its own loss under its neighbours' haze, and the haze anew.
  const [slope, bow] = [new Float32Array(count), new Float32Array(count)];
  const {
    slope: [t0, t1, t2],
    bow: [c0, c1, c2],
    misfit: [n0, n1, n2],
  } = own;
  let misfit = 0;
  for (let turn = 0; turn < TURNS; turn++) {
    misfit = 0;
    for (let at = 0; at < count; at++) {
      const h = haze[at];
      // At this haze the misfit is a parabola in toner.
      const a0 = costFor(t0[at], c0[at], n0[at], h);
      const a1 = costFor(t1[at], c1[at], n1[at], h);
      const a2 = costFor(t2[at], c2[at], n2[at], h);
      let best = Infinity;
      for (let step = 0; step < steps; step++) {
        const k = step * stepSize;
        const off = a0 + k * (a1 + k * a2);
        const cost = (off < MOST_COST ? off : MOST_COST) + prices[step];
        if (cost < best) {
          best = cost;
          kept[at] = k;
        }
      }
      misfit += best + 2 * HAZE_PRICE * h;
      slope[at] = valueOf(own.slope, at, kept[at]);
      bow[at] = valueOf(own.bow, at, kept[at]);
    }
    windowed(slope, columns, rows, SMOOTH_RADIUS, held);
    windowed(bow, columns, rows, SMOOTH_RADIUS, held);
    for (let at = 0; at < count; at++) haze[at] = hazeFor(slope[at], bow[at], HAZE_PRICE * CELLS_AROUND);
  }
  return { haze, kept, unsure: unsureOf(bow), misfit };
}

/** From how bent the misfit is over a neighbourhood. */
const unsureOf = (bow: Float32Array): Float32Array =>
  Float32Array.from(bow, (value) => (value <= 0 ? 1 : Math.min(1, Math.sqrt(CELLS_AROUND / value))));

/** How firmly each haze that is tried holds a cell's own to it. */
const HOLDS = HAZES.map((haze) => 1 / (LEAST_UNEVEN + UNEVEN * haze) ** 2);

/** A cell's haze where it is about the one that is tried. */
function ownHaze(slope: number, bow: number, tried: number): number {
  const fit = (slope + HAZES[tried] * HOLDS[tried]) / (bow + HOLDS[tried]);
  return fit > 0 ? fit : 0;
}

/** The misfit of a cell whose haze is about the one that is tried. */
function unevenCost(slope: number, bow: number, misfit: number, tried: number): number {
  const own = ownHaze(slope, bow, tried);
  const off = own - HAZES[tried];
  return costFor(slope, bow, misfit, own) + off * off * HOLDS[tried];
}

/** At last, along paths. */
export function solveAlongPaths(cells: Cells, dry: Lit): Solved {
  const { columns, rows } = cells;
  const count = columns * rows;
  const own = misfitsOf(cells, dry, null);
  const costsOf = (at: number, into: Float32Array, from: number) => {
    // Bare blank, and what is not seen, follows what lies round about.
    if (own.bow[0][at] === 0) return;
    for (let e = 0; e < KEPT.length; e++) {
      const k = KEPT[e];
      const slope = valueOf(own.slope, at, k);
      const bow = valueOf(own.bow, at, k);
      const misfit = valueOf(own.misfit, at, k);
      const price = k === 1 ? 0 : ALONG.lossEntry + ALONG.lossPrice * (1 - k);
      for (let i = 0; i < HAZES.length; i++) {
        const cost = unevenCost(slope, bow, misfit, i);
        into[from + i * LANES + e] = (cost < MOST_COST ? cost : MOST_COST) + price + ALONG.hazePrice * HAZES[i];
      }
    }
  };
  const chosen = cheapestAlongPaths(costsOf, columns, rows, CHANGES);
  const [haze, kept, bow] = [new Float32Array(count), new Float32Array(count), new Float32Array(count)];
  for (let at = 0; at < count; at++) {
    kept[at] = KEPT[Math.floor(chosen[at] / HAZES.length)];
    bow[at] = valueOf(own.bow, at, kept[at]);
    haze[at] = ownHaze(valueOf(own.slope, at, kept[at]), bow[at], chosen[at] % HAZES.length);
  }
  windowed(bow, columns, rows, SMOOTH_RADIUS, new Float32Array(count));
  return { haze, kept, unsure: unsureOf(bow) };
}

/** Haze that the wet photo alone shows, with the loss known. */
export function hazeWhenWet(cells: Cells, { sight, light }: Lit, kept: Float32Array): Float32Array {
  const { columns, rows, under: ground, underWet: wetted, toner, rough } = cells;
  const count = columns * rows;
  const [slope, bow] = [new Float32Array(count), new Float32Array(count)];
  for (let at = 0; at < count; at++) {
    if (!sight.seen[at]) continue;
    const [u, v] = [(2 * ((at % columns) + 0.5)) / columns - 1, (2 * (Math.floor(at / columns) + 0.5)) / rows - 1];
    for (const channel of CHANNELS) {
      const bare = bareLight(ground[channel], toner[channel][at], kept[at], wetted[channel]);
      const seen = sight.light[channel][at] / lightAt(light[channel], u, v);
      const spread = spreadOf(seen, ground[channel], rough[at]);
      slope[at] += ((seen - bare) * (FIBRES - bare)) / (spread * spread);
      bow[at] += ((FIBRES - bare) / spread) ** 2;
    }
  }
  const held = new Float32Array(count);
  windowed(slope, columns, rows, SMOOTH_RADIUS, held);
  windowed(bow, columns, rows, SMOOTH_RADIUS, held);
  return Float32Array.from(slope, (value, at) => hazeFor(value, bow[at], 0));
}
