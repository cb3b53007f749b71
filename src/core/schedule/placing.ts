/**
 * Steps put into a schedule one after the other, each at its earliest place (a serial scheme; for costs that only grow
 * with time some order of steps gives the best schedule there is). A step with a latest wait is placed together with
 * the one that follows it.
 */
import { Hands, PlaceUse } from './bookings';
import { LATE_WEIGHT, type Instance, type Outcome, type PlaceId, type Starts, type Task } from './instance';
import { ripenessOf, type Ripeness } from './ripeness';

/** What stays the same over many schedules of one instance. */
export interface Bench {
  instance: Instance;
  ripeness: Ripeness;
  followers: readonly (readonly number[])[];
  /** The step that must follow within a step's latest wait, -1 for none. */
  tied: Int32Array;
  /** How many steps each waits for, and the steps that nothing holds back or that are pinned. */
  waitsFor: Int32Array;
  ofPiece: readonly (readonly number[])[];
  pinned: readonly number[];
  unplaced: Float64Array;
}

export function benchOf(instance: Instance): Bench {
  const { tasks } = instance;
  const followers: number[][] = tasks.map(() => []);
  tasks.forEach((task, index) => task.after.forEach((before) => followers[before].push(index)));
  const tied = new Int32Array(tasks.length).fill(-1);
  tasks.forEach(({ wait }, index) => {
    if (wait.maxMinutes !== null && followers[index].length > 0) tied[index] = followers[index][0];
  });
  return {
    instance,
    ripeness: ripenessOf(instance),
    followers,
    tied,
    waitsFor: Int32Array.from(tasks, (task) => task.after.length),
    pinned: [...tasks.keys()].filter((index) => tasks[index].pinnedAt !== null),
    ofPiece: instance.pieces.map((_, piece) => [...tasks.keys()].filter((index) => tasks[index].piece === piece)),
    unplaced: new Float64Array(tasks.length).fill(NaN),
  };
}

/** A schedule being made. */
export class Placing {
  readonly starts: Starts;
  /** When each placed step's wait is over. */
  private readonly ripe: Float64Array;
  private readonly hands: Hands;
  private readonly use: Record<PlaceId, PlaceUse>;

  constructor(private readonly bench: Bench) {
    const { instance } = bench;
    this.starts = bench.unplaced.slice();
    this.ripe = bench.unplaced.slice();
    this.hands = new Hands(instance.windows, instance.gridMinutes);
    this.use = {
      bench: new PlaceUse(instance.places.bench),
      rack: new PlaceUse(instance.places.rack),
      oven: new PlaceUse(instance.places.oven),
    };
    for (const { place, until } of instance.occupied) this.use[place].book(0, until);
  }

  ripeAt(index: number): number {
    return this.ripe[index];
  }

  /** The earliest minute at which a step's predecessors, as far as they are placed, let it begin. */
  lowerBound(index: number): number {
    const task = this.task(index);
    let from = Math.max(0, task.notBefore);
    for (const before of task.after) if (!Number.isNaN(this.starts[before])) from = Math.max(from, this.ripeAt(before));
    return from;
  }

  book(index: number, start: number): void {
    const task = this.task(index);
    const end = start + task.minutes;
    this.starts[index] = start;
    this.ripe[index] = this.bench.ripeness.ripeAt(task, end);
    this.hands.book(start, task.minutes);
    this.use.bench.book(start, end);
    if (task.wait.place) this.use[task.wait.place].book(end, this.ripeAt(index));
  }

  /** Takes a step out again. */
  free(index: number): void {
    const task = this.task(index);
    const end = this.starts[index] + task.minutes;
    this.hands.free(this.starts[index], task.minutes);
    this.use.bench.free(this.starts[index], end);
    if (task.wait.place) this.use[task.wait.place].free(end, this.ripeAt(index));
    this.starts[index] = NaN;
    this.ripe[index] = NaN;
  }

  /** Places a step, and those tied to it, from a minute on. False where there is no place within the windows. */
  placeFrom(index: number, from: number): boolean {
    const chain = this.chainOf(index);
    if (chain.length === 1 && this.bench.tied[index] < 0) {
      const start = this.earliestOf(index, from);
      if (start === Infinity) return false;
      this.book(index, start);
      return true;
    }
    const starts = this.earliestChain(chain, from);
    if (!starts) return false;
    chain.forEach((task, at) => this.book(task, starts[at]));
    return true;
  }

  /** Whether a step can stand alone at a minute: hands, bench and place free. */
  fits(index: number, start: number): boolean {
    return this.earliestOf(index, start) === start;
  }

  placeLatest(index: number, by: number, from: number): boolean {
    const start = this.latestOf(index, by, from);
    if (start === null) return false;
    this.book(index, start);
    return true;
  }

  /** A step and those tied to it that are not placed yet. */
  private chainOf(index: number): number[] {
    const chain = [index];
    for (let next = this.bench.tied[index]; next >= 0 && Number.isNaN(this.starts[next]); next = this.bench.tied[next])
      chain.push(next);
    return chain;
  }

  /** The earliest start of a step by itself; Infinity for none. */
  private earliestOf(index: number, from: number): number {
    const task = this.task(index);
    let start = from;
    for (let tries = 0; tries < MOST_TRIES; tries++) {
      start = this.hands.earliest(start, task.minutes);
      if (start === Infinity) return Infinity;
      const end = start + task.minutes;
      const ripe = this.bench.ripeness.ripeAt(task, end);
      const taken = this.use.bench.conflict(start, end);
      if (taken) {
        start = Math.max(start + 1, taken.firstFreeAt);
        continue;
      }
      const lies = task.wait.place ? this.use[task.wait.place].conflict(end, ripe) : null;
      if (lies) {
        start = Math.max(start + 1, lies.firstFreeAt - task.minutes);
        continue;
      }
      if (task.attended && this.hands.stretchEnd(start) < ripe) {
        start = this.hands.stretchEnd(start);
        continue;
      }
      return start;
    }
    return Infinity;
  }

  /** The earliest starts of a step and those tied to it; null for none. */
  private earliestChain(chain: readonly number[], from: number): number[] | null {
    const last = this.task(chain[chain.length - 1]);
    const pinned = this.bench.tied[chain[chain.length - 1]];
    // Tied to a pinned step: not so early that this would wait too long for it.
    let floor =
      pinned >= 0 && chain.length === 1
        ? Math.max(from, this.starts[pinned] - (last.wait.maxMinutes ?? 0) - last.minutes)
        : from;
    for (let tries = 0; tries < MOST_TRIES; tries++) {
      const starts: number[] = [];
      let next = floor;
      let late = 0;
      for (let at = 0; at < chain.length && late === 0; at++) {
        const task = this.task(chain[at]);
        const start = this.earliestOf(chain[at], at === 0 ? next : Math.max(next, this.lowerBound(chain[at])));
        if (start === Infinity) return null;
        if (at > 0) {
          const before = this.task(chain[at - 1]);
          late = Math.max(0, start - (starts[at - 1] + before.minutes + (before.wait.maxMinutes ?? Infinity)));
        }
        starts.push(start);
        next = this.bench.ripeness.ripeAt(task, start + task.minutes);
      }
      if (late === 0) return starts;
      floor = starts[0] + late;
    }
    return null;
  }

  private latestOf(index: number, by: number, from: number): number | null {
    const task = this.task(index);
    let end = by;
    for (let tries = 0; tries < MOST_TRIES; tries++) {
      const start = this.hands.latest(end, task.minutes);
      if (start < from) return null;
      end = start + task.minutes;
      const ripe = this.bench.ripeness.ripeAt(task, end);
      const taken =
        this.use.bench.conflict(start, end) ?? (task.wait.place ? this.use[task.wait.place].conflict(end, ripe) : null);
      if (taken) {
        end = Math.min(end - 1, Math.max(from, taken.takenFrom));
        continue;
      }
      if (task.attended && this.hands.stretchEnd(start) < ripe) {
        end -= 5;
        continue;
      }
      return start;
    }
    return null;
  }

  private task(index: number): Task {
    return this.bench.instance.tasks[index];
  }
}

const MOST_TRIES = 4000;

/** A schedule that holds only what the person pinned. */
export function withPinned(bench: Bench): Placing {
  const placing = new Placing(bench);
  for (const index of bench.pinned) placing.book(index, bench.instance.tasks[index].pinnedAt ?? 0);
  return placing;
}

/**
 * A schedule from an order of keys: among the steps whose predecessors are placed, the one with the least key is next.
 * Pinned ones are booked first.
 */
export function placeByKeys(bench: Bench, keys: ArrayLike<number>): Starts {
  const { followers } = bench;
  const placing = withPinned(bench);
  const waiting = bench.waitsFor.slice();
  const open: number[] = [];
  for (let index = 0; index < waiting.length; index++) if (waiting[index] === 0) open.push(index);
  while (open.length > 0) {
    let best = 0;
    for (let at = 1; at < open.length; at++)
      if (keys[open[at]] < keys[open[best]] || (keys[open[at]] === keys[open[best]] && open[at] < open[best]))
        best = at;
    const index = open[best];
    open[best] = open[open.length - 1];
    open.pop();
    if (Number.isNaN(placing.starts[index]) && !placing.placeFrom(index, placing.lowerBound(index))) continue;
    for (const next of followers[index]) if (--waiting[next] === 0) open.push(next);
  }
  return placing.starts;
}

/**
 * What a schedule comes to. A piece with a step that found no place finishes beyond the last window and counts as late.
 */
export function outcomeOf({ instance, ripeness }: Bench, starts: Starts): Outcome {
  const { tasks, pieces, windows } = instance;
  const beyond = (windows.at(-1)?.until ?? 0) + BEYOND_MINUTES;
  const finishes = new Array<number>(pieces.length).fill(0);
  const unplaced: number[] = [];
  tasks.forEach((task, index) => {
    const placed = !Number.isNaN(starts[index]);
    if (!placed) unplaced.push(index);
    const finish = placed ? ripeness.ripeAt(task, starts[index] + task.minutes) : beyond;
    if (finish > finishes[task.piece]) finishes[task.piece] = finish;
  });
  const tardiness = pieces.map(({ dueMinute }, piece) =>
    dueMinute === null ? 0 : Math.max(0, finishes[piece] - dueMinute),
  );
  let cost = 0;
  for (let piece = 0; piece < pieces.length; piece++) cost += finishes[piece] + LATE_WEIGHT * tardiness[piece];
  return { finishes, tardiness, cost, unplaced };
}

const BEYOND_MINUTES = 7 * 1440;
