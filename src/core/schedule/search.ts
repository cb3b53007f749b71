/**
 * A good schedule: orders of steps by simple rules first, then changed a little again and again, kept when they cost less and now and then when they cost
 * a little more (annealing over keys). Seeded: the same instance, seed and number of tries give the same schedule. Source: standard practice for scheduling under
 * scarce resources; bench/ compares it with an exact solver.
 */
import { seededChance } from '@/core/shared';
import type { Instance, Starts } from './instance';
import { benchOf, outcomeOf, placeByKeys, type Bench } from './placing';

export interface SearchLimits {
  tries: number;
  seed: number;
  /** Asked every few tries; true ends the search with the best so far. */
  enough?: () => boolean;
}

export interface Found { starts: Starts; cost: number; tries: number }

const FIRST_HEAT = 0.06;
const LAST_HEAT = 0.0004;
const ASK_EVERY = 8;
const SHORTEST_ROUND = 120;
const ROUND_PER_STEP = 10;

export function searchSchedule(instance: Instance, limits: SearchLimits): Found {
  const bench = benchOf(instance);
  return searchOn(bench, limits);
}

export function searchOn(bench: Bench, { tries, seed, enough = () => false }: SearchLimits): Found {
  const chance = seededChance(seed);
  const { tasks, pieces } = bench.instance;
  let best: Found = { starts: new Float64Array(0), cost: Infinity, tries: 0 };
  for (const tried of [...RULES.map((rule) => rule(bench)), ...pieceOrders(bench)]) {
    const starts = placeByKeys(bench, tried);
    const { cost } = outcomeOf(bench, starts);
    if (cost < best.cost) best = { starts, cost, tries: 0 };
  }
  if (tasks.filter((task) => task.pinnedAt === null).length < 2) return best;
  // In rounds: from the best so far, and in between from an order drawn by chance, for what no small change reaches.
  const round = Math.max(SHORTEST_ROUND, tasks.length * ROUND_PER_STEP);
  const tails = tailsOf(bench);
  let tried = 0;
  for (let rounds = 0; tried < tries; rounds++) {
    let current = rounds % 2 === 0 ? ranksOf(best.starts) : drawn(bench, tails, chance);
    let cost = outcomeOf(bench, placeByKeys(bench, current)).cost;
    for (let step = 0; step < round && tried < tries; step++) {
      if (tried % ASK_EVERY === 0 && enough()) return { ...best, tries: tried };
      const heat = FIRST_HEAT * (LAST_HEAT / FIRST_HEAT) ** (step / round);
      const starts = placeByKeys(bench, changed(current, bench, chance, pieces.length));
      const outcome = outcomeOf(bench, starts);
      tried++;
      if (outcome.cost < best.cost - 1e-9) best = { starts, cost: outcome.cost, tries: tried };
      if (outcome.cost <= cost || chance() < Math.exp((cost - outcome.cost) / (heat * (best.cost / pieces.length)))) { current = ranksOf(starts); cost = outcome.cost; }
    }
  }
  return { ...best, tries: tried };
}

/** Minutes of hands and waits from each step to its piece's end, in usual air. */
export function tailsOf({ instance: { tasks }, followers, ripeness }: Bench): Float64Array {
  const tails = new Float64Array(tasks.length);
  for (let index = tasks.length - 1; index >= 0; index--) {
    const task = tasks[index];
    const rest = Math.max(0, ...followers[index].map((next) => tails[next]));
    tails[index] = task.minutes + (ripeness.ripeAt(task, 0)) + rest;
  }
  return tails;
}

type Rule = (bench: Bench) => Float64Array;

const RULES: readonly Rule[] = [
  // The longest way to go first: keeps waits running side by side.
  (bench) => tailsOf(bench).map((tail) => -tail),
  // Least slack to the due date first.
  (bench) => { const tails = tailsOf(bench); return tails.map((tail, index) => (bench.instance.pieces[bench.instance.tasks[index].piece].dueMinute ?? 1e6) - tail); },
  // The piece that is soonest done first.
  (bench) => { const tails = tailsOf(bench); const whole = wholeOf(bench, tails); return tails.map((tail, index) => whole[bench.instance.tasks[index].piece] * 1e3 - tail / 1e3); },
  // The piece with the least work first.
  (bench) => { const { tasks } = bench.instance; const work = new Float64Array(bench.instance.pieces.length); tasks.forEach((task) => { work[task.piece] += task.minutes; }); return Float64Array.from(tasks, (task, index) => work[task.piece] * 1e4 + index); },
];

/** An order by chance: pieces dealt into a few groups, one group before the next, in each the longest way to go first, more or less. */
function drawn({ instance: { tasks, pieces } }: Bench, tails: Float64Array, chance: () => number): Float64Array {
  const groups = 1 + Math.floor(chance() * Math.min(4, pieces.length));
  const group = pieces.map(() => Math.floor(chance() * groups));
  const loose = chance() * 0.5;
  return Float64Array.from(tasks, (task, index) => group[task.piece] * FAR - tails[index] * (1 + loose * (chance() - 0.5)));
}

const FAR = 1e7;

/** Few pieces: every order of them, each piece whole before the next. */
function pieceOrders({ instance: { tasks, pieces } }: Bench): Float64Array[] {
  if (pieces.length > MOST_ORDERED) return [];
  const orders = (left: number[]): number[][] => (left.length < 2 ? [left] : left.flatMap((first) => orders(left.filter((one) => one !== first)).map((rest) => [first, ...rest])));
  return orders(pieces.map((_, piece) => piece)).map((order) => Float64Array.from(tasks, (task, index) => order.indexOf(task.piece) * tasks.length + index));
}

const MOST_ORDERED = 4;

function wholeOf({ instance: { tasks, pieces } }: Bench, tails: Float64Array): Float64Array {
  const whole = new Float64Array(pieces.length);
  tasks.forEach((task, index) => { whole[task.piece] = Math.max(whole[task.piece], tails[index]); });
  return whole;
}

function ranksOf(values: ArrayLike<number>): Float64Array {
  const order = Array.from(values, (value, index) => ({ value: Number.isNaN(value) ? Infinity : value, index })).sort((a, b) => a.value - b.value || a.index - b.index);
  const ranks = new Float64Array(values.length);
  order.forEach(({ index }, rank) => { ranks[index] = rank; });
  return ranks;
}

/** A neighbour: a step moved in the order, two steps exchanged, or a whole piece moved forward or back. */
function changed(keys: Float64Array, { instance: { tasks } }: Bench, chance: () => number, pieces: number): Float64Array {
  const next = Float64Array.from(keys);
  const kind = chance();
  const count = keys.length;
  const pick = Math.floor(chance() * count);
  const { piece } = tasks[pick];
  if (kind < 0.3) next[pick] += (chance() - 0.5) * count * (chance() < 0.5 ? 0.2 : 1);
  else if (kind < 0.45) {
    const other = Math.floor(chance() * count);
    [next[pick], next[other]] = [next[other], next[pick]];
  } else if (kind < 0.7) {
    const shift = (chance() - 0.5) * count * (chance() < 0.5 ? 0.3 : 1.5);
    tasks.forEach((task, index) => { if (task.piece === piece && (kind < 0.6 || index >= pick)) next[index] += shift; });
  } else if (kind < 0.85) {
    // A piece, or the rest of one, before everything else, or after it.
    const shift = (chance() < 0.7 ? -1 : 1) * count * 2;
    tasks.forEach((task, index) => { if (task.piece === piece && (kind < 0.78 || index >= pick)) next[index] += shift; });
  } else {
    const other = Math.floor(chance() * pieces);
    // Two pieces change their places in the order.
    const of = (which: number) => { let least = Infinity; tasks.forEach((task, index) => { if (task.piece === which) least = Math.min(least, keys[index]); }); return least; };
    const apart = of(piece) - of(other);
    tasks.forEach((task, index) => { if (task.piece === piece) next[index] -= apart; else if (task.piece === other) next[index] += apart; });
  }
  return next;
}
