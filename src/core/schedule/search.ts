/**
 * A good schedule: orders by simple rules first; then orders of whole pieces, grown from the front, each made through
 * time so that hands never stand idle; then the order of steps changed a little again and again. What costs less is
 * kept, and now and then what costs a little more (annealing). Seeded: the same instance, seed and number of tries give
 * the same schedule. Source: standard practice for scheduling under scarce resources; bench/ compares it with an exact
 * solver.
 */
import { clamp, seededChance } from '@/core/shared';
import { handsMinutesOf, nothingPlaced, type Instance, type Outcome, type Placed } from './instance';
import { batchesOf } from './batches';
import { benchOf, type Bench } from './bench';
import { grownOrder } from './growing';
import { outcomeOf, placeByKeys, placeInTime } from './partial-schedule';

export interface SearchLimits {
  tries: number;
  seed: number;
}

export interface SearchResult {
  placed: Placed;
  cost: number;
  tries: number;
}

/**
 * How many orders are tried for a plan: by count, never by the clock, so that the same data has the same plan on every
 * machine. About so much work as a usual machine does in half a second, and in two; within ten for very many steps.
 */
export function triesFor(steps: number, thorough: boolean): number {
  const work = thorough ? WORK.thorough * (clamp(steps, MANY.from, MANY.to) / MANY.from) ** MANY.share : WORK.quick;
  return Math.round(clamp(work / Math.max(1, steps) ** GROWTH, LEAST_TRIES, thorough ? MOST_TRIES : MOST_TRIES / 4));
}

/** A try's work grows a little faster than the steps. */
const GROWTH = 1.2;
const WORK = { quick: 600_000, thorough: 2_800_000 } as const;
/** Where there are very many steps, a thorough plan may take more work by this power of their number. */
const MANY = { from: 360, to: 1200, share: 0.7 } as const;
const LEAST_TRIES = 60;
const MOST_TRIES = 12_000;

const FIRST_HEAT = 0.002;
const LAST_HEAT = 0.0002;
/** Of all tries, those on orders of whole pieces: so many for each piece, within these shares. */
const LEAST_ORDER_SHARE = 0.5;
const ORDER_SHARE = 0.8;
const ORDERS_A_PIECE = 90;
const ORDER_HEAT = 0.08;
/** Of these, those an order is grown in; and the heat of what follows then. */
const GROWN_SHARE = 0.6;
const GROWN_HEAT = 0.04;
/** A schedule made through time takes as long as so many made step by step. */
const IN_TIME_TRIES = 1.25;
/** Few pieces: of all tries, those that look for a place to begin from. */
const DRAWN_SHARE = 0.1;
const MOST_DRAWN = 200;
const SHORTEST_ROUND = 120;
const ROUND_PER_STEP = 10;

export function searchSchedule(instance: Instance, limits: SearchLimits): SearchResult {
  const bench = benchOf(instance);
  return searchOn(bench, limits);
}

/** Rules first, then changes: what follows begins from the best so far, so that looking longer never costs more. */
export function searchOn(bench: Bench, limits: SearchLimits): SearchResult {
  const ruled = longestWaitFirst(bench, byRules(bench));
  if (limits.tries < 1 || bench.instance.tasks.filter((task) => task.pinnedAt === null).length < 2) return ruled;
  const found = annealed(bench, ruled, limits);
  return found.cost < ruled.cost ? longestWaitFirst(bench, found) : found;
}

/** Within a batch what waits longest after it comes first, where that costs nothing. */
function longestWaitFirst(bench: Bench, found: SearchResult): SearchResult {
  const keys = ranksOf(found.placed.starts);
  const tails = tailsOf(bench);
  for (const batch of batchesOf(bench.instance, found.placed)) {
    const ranks = batch.map((index) => keys[index]).sort((a, b) => a - b);
    const order = [...batch].sort((a, b) => tails[b] - tails[a] || a - b);
    order.forEach((index, at) => {
      keys[index] = ranks[at];
    });
  }
  const placed = placeByKeys(bench, keys);
  const { cost } = outcomeOf(bench, placed);
  return cost <= found.cost ? { ...found, placed, cost } : found;
}

function byRules(bench: Bench): SearchResult {
  let best: SearchResult = { placed: nothingPlaced(bench.instance.tasks.length), cost: Infinity, tries: 0 };
  const ways: readonly Way[] = [placeByKeys, placeInTime];
  for (const keys of [...RULES.map((rule) => rule(bench)), ...pieceOrders(bench)])
    for (const way of ways) {
      const placed = way(bench, keys, best.cost);
      const cost = placed ? outcomeOf(bench, placed).cost : Infinity;
      if (placed && cost < best.cost) best = { placed, cost, tries: 0 };
    }
  return best;
}

type Way = (bench: Bench, keys: Float64Array, most: number) => Placed | null;

/** The best found so far, and what a try comes to: null where it was given up, costing more than the most. */
class Trials {
  tried = 0;
  constructor(
    readonly bench: Bench,
    public best: SearchResult,
  ) {}

  hold(keys: Float64Array, most: number, way: Way = placeByKeys): { placed: Placed; outcome: Outcome } | null {
    this.tried += way === placeInTime ? IN_TIME_TRIES : 1;
    const placed = way(this.bench, keys, most);
    return placed && { placed, outcome: this.outcome(placed) };
  }

  outcome(placed: Placed): Outcome {
    const outcome = outcomeOf(this.bench, placed);
    if (outcome.cost < this.best.cost - LEAST_GAIN) this.best = { placed, cost: outcome.cost, tries: this.tried };
    return outcome;
  }

  /**
   * What a try may cost to be kept: drawn beforehand, so that an order that will cost too much is given up half made.
   */
  mostOf(cost: number, done: number, chance: () => number, first: number = FIRST_HEAT): number {
    const heat = first * (LAST_HEAT / first) ** done;
    return cost - Math.log(1 - chance()) * heat * (this.best.cost / this.bench.instance.pieces.length);
  }
}

function annealed(bench: Bench, from: SearchResult, { tries, seed }: SearchLimits): SearchResult {
  const chance = seededChance(seed);
  const { tasks, pieces } = bench.instance;
  const trials = new Trials(bench, from);
  // First for a good place to begin from: orders of whole pieces, or orders drawn by chance where there are few.
  const tails = tailsOf(bench);
  if (bench.sets.length > MOST_ORDERED || bench.sets.length < pieces.length)
    orderPieces(
      trials,
      tails,
      clamp(bench.sets.length * ORDERS_A_PIECE, tries * LEAST_ORDER_SHARE, tries * ORDER_SHARE),
      chance,
    );
  else
    while (trials.tried < Math.min(tries * DRAWN_SHARE, MOST_DRAWN))
      trials.hold(drawn(bench, tails, chance), trials.best.cost);
  // In rounds: from the best so far, and in between from an order drawn by chance, for what no small change reaches.
  const round = Math.max(SHORTEST_ROUND, tasks.length * ROUND_PER_STEP);
  for (let rounds = 0; trials.tried < tries; rounds++) {
    let current = rounds % 2 === 0 ? ranksOf(trials.best.placed.starts) : drawn(bench, tails, chance);
    let { cost, tardiness } = outcomeOf(bench, placeByKeys(bench, current));
    // A round that will be cut short cools the sooner.
    const length = Math.min(round, tries - trials.tried);
    for (let step = 0; step < length; step++) {
      const most = trials.mostOf(cost, step / length, chance);
      const found = trials.hold(changed(current, bench, chance, tardiness), most);
      if (found && found.outcome.cost <= most) {
        current = ranksOf(found.placed.starts);
        ({ cost, tardiness } = found.outcome);
      }
    }
  }
  return { ...trials.best, tries: Math.round(trials.tried) };
}

/**
 * Orders of whole pieces, a set as one: whenever hands are free, the first piece goes on that can. Grown from the front
 * where there are more than a few; then one moved or two exchanged, near each other more often.
 */
function orderPieces(trials: Trials, tails: Float64Array, tries: number, chance: () => number): void {
  const { bench } = trials;
  const { tasks, pieces } = bench.instance;
  const begun = trials.tried;
  const longest = Math.max(1, ...tails);
  const keysOf = (of: readonly number[]) => {
    const rank = new Float64Array(pieces.length);
    of.forEach((set, at) => {
      for (const piece of bench.sets[set]) rank[piece] = at;
    });
    return Float64Array.from(tasks, (task, index) => rank[task.piece] - tails[index] / (2 * longest));
  };
  let order: readonly number[];
  let heat = ORDER_HEAT;
  if (bench.sets.length > MOST_ORDERED) {
    const grown = grownOrder(bench, keysOf, tries * GROWN_SHARE, trials.best.placed);
    trials.tried += grown.tried;
    trials.outcome(grown.placed);
    ({ order } = grown);
    heat = GROWN_HEAT;
  } else {
    const { finishes } = outcomeOf(bench, trials.best.placed);
    const ends = bench.sets.map((set) => Math.min(...set.map((piece) => finishes[piece])));
    order = [...ends.keys()].sort((a, b) => ends[a] - ends[b] || a - b);
  }
  const from = trials.tried;
  let cost = Infinity;
  while (trials.tried < begun + tries) {
    const next = cost === Infinity ? order : reordered(order, chance);
    const done = (trials.tried - from) / (begun + tries - from);
    const most = cost === Infinity ? Infinity : trials.mostOf(cost, done, chance, heat);
    const found = trials.hold(keysOf(next), most, placeInTime);
    if (found && found.outcome.cost <= most) {
      order = next;
      ({ cost } = found.outcome);
    }
  }
}

function reordered(order: readonly number[], chance: () => number): number[] {
  const next = order.slice();
  const from = Math.floor(chance() * next.length);
  const by = (chance() < 0.5 ? -1 : 1) * Math.max(1, Math.round(next.length ** chance()));
  const to = clamp(from + by, 0, next.length - 1);
  if (chance() < 0.5) next.splice(to, 0, ...next.splice(from, 1));
  else [next[from], next[to]] = [next[to], next[from]];
  return next;
}

const LEAST_GAIN = 1e-9;

/** Minutes of hands and waits from each step to its piece's end, in usual air. */
function tailsOf({ instance: { tasks }, followers, ripeness }: Bench): Float64Array {
  const tails = new Float64Array(tasks.length);
  for (let index = tasks.length - 1; index >= 0; index--) {
    const task = tasks[index];
    const rest = Math.max(0, ...followers[index].map((next) => tails[next]));
    tails[index] = handsMinutesOf(task, 0) + ripeness.ripeAt(task, 0) + rest;
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
      work[task.piece] += handsMinutesOf(task, 0);
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
    const set = bench.sets[bench.setAt[piece]];
    // One of a set goes with the others as often as by itself.
    for (const one of set.length > 1 && chance() < 0.5 ? set : [piece]) {
      const own = bench.ofPiece[one];
      const from = whole ? -Infinity : keys[own[any(own.length)]];
      for (const index of own) if (keys[index] >= from) next[index] += by;
    }
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
  else if (kind < BY_ITS_KIND) {
    // Next to one that needs the same got ready.
    const index = bench.sharing[any(bench.sharing.length)];
    const kin = bench.kin[index] ?? [];
    if (kin.length > 0) next[index] = keys[kin[any(kin.length)]] + (chance() < 0.5 ? -0.5 : 0.5);
    else next[any(count)] += (chance() < 0.5 ? -1 : 1) * stretch(count, chance);
  } else if (kind < TWO_STEPS) {
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
const FORWARD = 0.3;
const LATE_FIRST = 0.7;
const ONE_STEP = 0.38;
const BY_ITS_KIND = 0.5;
const TWO_STEPS = 0.53;
const ONE_PIECE = 0.73;
const TO_THE_END = 0.82;
