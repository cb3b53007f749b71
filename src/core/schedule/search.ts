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

const FIRST_HEAT = 0.02;
const LAST_HEAT = 0.0004;
const ASK_EVERY = 8;

export function searchSchedule(instance: Instance, limits: SearchLimits): Found {
  const bench = benchOf(instance);
  return searchOn(bench, limits);
}

export function searchOn(bench: Bench, { tries, seed, enough = () => false }: SearchLimits): Found {
  const chance = seededChance(seed);
  const { tasks, pieces } = bench.instance;
  let best: Found = { starts: new Float64Array(0), cost: Infinity, tries: 0 };
  let keys = new Float64Array(tasks.length);
  for (const rule of RULES) {
    const tried = rule(bench);
    const starts = placeByKeys(bench, tried);
    const { cost } = outcomeOf(bench, starts);
    if (cost < best.cost) { best = { starts, cost, tries: 0 }; keys = Float64Array.from(tried); }
  }
  if (tasks.filter((task) => task.pinnedAt === null).length < 2) return best;
  // Keys as ranks of the best schedule's starts: a small change of a key is a small change of the order.
  let current = ranksOf(best.starts);
  let cost = outcomeOf(bench, placeByKeys(bench, current)).cost;
  if (cost > best.cost) { current = ranksOf(keys); cost = outcomeOf(bench, placeByKeys(bench, current)).cost; }
  let tried = 0;
  while (tried < tries) {
    if (tried % ASK_EVERY === 0 && enough()) break;
    const heat = FIRST_HEAT * (LAST_HEAT / FIRST_HEAT) ** (tried / tries);
    const next = changed(current, bench, chance, pieces.length);
    const starts = placeByKeys(bench, next);
    const outcome = outcomeOf(bench, starts);
    tried++;
    if (outcome.cost < best.cost - 1e-9) best = { starts, cost: outcome.cost, tries: tried };
    if (outcome.cost <= cost || chance() < Math.exp((cost - outcome.cost) / (heat * (best.cost / pieces.length)))) { current = next; cost = outcome.cost; }
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
  const pick = Math.floor(chance() * keys.length);
  if (kind < 0.4) next[pick] += (chance() - 0.5) * keys.length * (chance() < 0.5 ? 0.2 : 1);
  else if (kind < 0.65) {
    const other = Math.floor(chance() * keys.length);
    [next[pick], next[other]] = [next[other], next[pick]];
  } else {
    const piece = Math.floor(chance() * pieces);
    const shift = (chance() - 0.5) * keys.length * (chance() < 0.5 ? 0.3 : 1.5);
    tasks.forEach((task, index) => { if (task.piece === piece && (kind < 0.85 || index >= pick)) next[index] += shift; });
  }
  return next;
}
