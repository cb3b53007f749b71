/**
 * A good schedule: orders of steps by simple rules first, then changed a little again and again, kept when they cost
 * less and now and then when they cost a little more (annealing over keys). Seeded: the same instance, seed and number
 * of tries give the same schedule. Source: standard practice for scheduling under scarce resources; bench/ compares it
 * with an exact solver.
 */
import { seededChance } from '@/core/shared';
import type { Instance, Starts } from './instance';
import { benchOf, outcomeOf, placeByKeys, type Bench } from './placing';

export interface SearchLimits {
  tries: number;
  seed: number;
  /** The share of its time that is used up, asked every few tries; from 1 on the search ends with the best so far. */
  progress?: () => number;
}

export interface Found {
  starts: Starts;
  cost: number;
  tries: number;
}

const FIRST_HEAT = 0.006;
const LAST_HEAT = 0.0004;
const ASK_EVERY = 8;
/** First a few orders drawn by chance, to begin from a good one. */
const DRAWN_SHARE = 0.1;
const MOST_DRAWN = 200;
const SHORTEST_ROUND = 120;
const ROUND_PER_STEP = 10;

export function searchSchedule(instance: Instance, limits: SearchLimits): Found {
  const bench = benchOf(instance);
  return searchOn(bench, limits);
}

export function searchOn(bench: Bench, { tries, seed, progress = () => 0 }: SearchLimits): Found {
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
  let used = 0;
  for (; tried < Math.min(tries * DRAWN_SHARE, MOST_DRAWN) && used < DRAWN_SHARE; tried++) {
    const starts = placeByKeys(bench, drawn(bench, tails, chance));
    const { cost } = outcomeOf(bench, starts);
    if (cost < best.cost) best = { starts, cost, tries: tried };
    if (tried % ASK_EVERY === 0) used = progress();
  }
  for (let rounds = 0; tried < tries; rounds++) {
    let current = rounds % 2 === 0 ? ranksOf(best.starts) : drawn(bench, tails, chance);
    let { cost, tardiness } = outcomeOf(bench, placeByKeys(bench, current));
    for (let step = 0; step < round && tried < tries; step++) {
      if (tried % ASK_EVERY === 0) used = progress();
      if (used >= 1) return { ...best, tries: tried };
      // A round that time will cut short cools with the time.
      const heat = FIRST_HEAT * (LAST_HEAT / FIRST_HEAT) ** Math.max(step / round, used);
      const starts = placeByKeys(bench, changed(current, bench, chance, tardiness));
      const outcome = outcomeOf(bench, starts);
      tried++;
      if (outcome.cost < best.cost - 1e-9) best = { starts, cost: outcome.cost, tries: tried };
      if (outcome.cost <= cost || chance() < Math.exp((cost - outcome.cost) / (heat * (best.cost / pieces.length)))) {
        current = ranksOf(starts);
        ({ cost, tardiness } = outcome);
      }
    }
  }
  return { ...best, tries: tried };
}

/** Minutes of hands and waits from each step to its piece's end, in usual air. */
function tailsOf({ instance: { tasks }, followers, ripeness }: Bench): Float64Array {
  const tails = new Float64Array(tasks.length);
  for (let index = tasks.length - 1; index >= 0; index--) {
    const task = tasks[index];
    const rest = Math.max(0, ...followers[index].map((next) => tails[next]));
    tails[index] = task.minutes + ripeness.ripeAt(task, 0) + rest;
  }
  return tails;
}

type Rule = (bench: Bench) => Float64Array;

const RULES: readonly Rule[] = [
  // The longest way to go first: keeps waits running side by side.
  (bench) => tailsOf(bench).map((tail) => -tail),
  // Least slack to the due date first.
  (bench) => {
    const tails = tailsOf(bench);
    return tails.map(
      (tail, index) => (bench.instance.pieces[bench.instance.tasks[index].piece].dueMinute ?? 1e6) - tail,
    );
  },
  // The piece that is soonest done first.
  (bench) => {
    const tails = tailsOf(bench);
    const whole = wholeOf(bench, tails);
    return tails.map((tail, index) => whole[bench.instance.tasks[index].piece] * 1e3 - tail / 1e3);
  },
  // The piece with the least work first.
  (bench) => {
    const { tasks } = bench.instance;
    const work = new Float64Array(bench.instance.pieces.length);
    tasks.forEach((task) => {
      work[task.piece] += task.minutes;
    });
    return Float64Array.from(tasks, (task, index) => work[task.piece] * 1e4 + index);
  },
];

/**
 * An order by chance: pieces dealt into a few groups, one group before the next, in each the longest way to go first,
 * more or less.
 */
function drawn({ instance: { tasks, pieces } }: Bench, tails: Float64Array, chance: () => number): Float64Array {
  const groups = 1 + Math.floor(chance() * Math.min(4, pieces.length));
  const group = pieces.map(() => Math.floor(chance() * groups));
  const loose = chance() * 0.5;
  return Float64Array.from(
    tasks,
    (task, index) => group[task.piece] * FAR - tails[index] * (1 + loose * (chance() - 0.5)),
  );
}

const FAR = 1e7;

/** Few pieces: every order of them, each piece whole before the next. */
function pieceOrders({ instance: { tasks, pieces } }: Bench): Float64Array[] {
  if (pieces.length > MOST_ORDERED) return [];
  const orders = (left: number[]): number[][] =>
    left.length < 2
      ? [left]
      : left.flatMap((first) => orders(left.filter((value) => value !== first)).map((rest) => [first, ...rest]));
  return orders(pieces.map((_, piece) => piece)).map((order) =>
    Float64Array.from(tasks, (task, index) => order.indexOf(task.piece) * tasks.length + index),
  );
}

const MOST_ORDERED = 4;

function wholeOf({ instance: { tasks, pieces } }: Bench, tails: Float64Array): Float64Array {
  const whole = new Float64Array(pieces.length);
  tasks.forEach((task, index) => {
    whole[task.piece] = Math.max(whole[task.piece], tails[index]);
  });
  return whole;
}

function ranksOf(values: ArrayLike<number>): Float64Array {
  const of = Float64Array.from(values, (value) => (Number.isNaN(value) ? Infinity : value));
  const order = Uint32Array.from(of, (_, index) => index).sort((a, b) => of[a] - of[b] || a - b);
  const ranks = new Float64Array(of.length);
  for (let rank = 0; rank < order.length; rank++) ranks[order[rank]] = rank;
  return ranks;
}

/** A stretch of the order, short ones as often as long ones. */
const stretch = (count: number, chance: () => number): number => count ** chance() + 0.5;

/**
 * A neighbour of an order: a step or two moved, a piece or what is left of one moved, two pieces exchanged; late pieces
 * forward more often.
 */
function changed(keys: Float64Array, bench: Bench, chance: () => number, tardiness: readonly number[]): Float64Array {
  const next = keys.slice();
  const count = keys.length;
  const pieces = tardiness.length;
  const { tasks } = bench.instance;
  const any = (below: number) => Math.floor(chance() * below);
  const move = (piece: number, by: number, whole: boolean) => {
    const own = bench.ofPiece[piece];
    const from = whole ? -Infinity : keys[own[any(own.length)]];
    for (const index of own) if (keys[index] >= from) next[index] += by;
  };
  const kind = chance();
  if (kind < FORWARD) {
    let piece = any(pieces);
    if (chance() < LATE_FIRST)
      for (let tried = 0; tried < pieces; tried++)
        if (tardiness[(piece + tried) % pieces] > 0) {
          piece = (piece + tried) % pieces;
          break;
        }
    move(piece, -stretch(count, chance), chance() < 0.5);
  } else if (kind < ONE_STEP) next[any(count)] += (chance() < 0.5 ? -1 : 1) * stretch(count, chance);
  else if (kind < TWO_STEPS) {
    const [one, other] = [any(count), any(count)];
    [next[one], next[other]] = [next[other], next[one]];
  } else if (kind < ONE_PIECE)
    move(tasks[any(count)].piece, (chance() < 0.5 ? -1 : 1) * stretch(count, chance), chance() < 0.6);
  else if (kind < TO_THE_END) move(tasks[any(count)].piece, (chance() < 0.7 ? -1 : 1) * count * 2, chance() < 0.55);
  else {
    const [one, other] = [any(pieces), any(pieces)];
    const first = (piece: number) =>
      bench.ofPiece[piece].reduce((least, index) => Math.min(least, keys[index]), Infinity);
    const apart = first(one) - first(other);
    if (one !== other && Number.isFinite(apart)) {
      move(one, -apart, true);
      move(other, apart, true);
    }
  }
  return next;
}

/** Shares of the kinds of move, one after the other. */
const FORWARD = 0.4;
const LATE_FIRST = 0.7;
const ONE_STEP = 0.58;
const TWO_STEPS = 0.66;
const ONE_PIECE = 0.82;
const TO_THE_END = 0.91;
