/** Whole schedules from orders, by steps or through time, and what they come to. */
import type { Bench } from './bench';
import { LATE_WEIGHT, endOf, horizonOf, readyCost, type Outcome, type Placed } from './instance';
import { withPinned, Placing, type Spot } from './placing';

/** What is placed so far, what may be placed next, and what it costs at the least. */
class PartialSchedule {
  readonly placing: Placing;
  /** Steps whose predecessors are all placed; pinned ones are taken as they stand. */
  protected readonly open: number[];
  cost = 0;
  private readonly waiting: Int32Array;
  /** When each set is finished at the earliest, as far as it is placed. */
  readonly finishes: Float64Array;

  /** @param from what is placed already; what is pinned where it is left out */
  constructor(
    readonly bench: Bench,
    from?: PartialSchedule,
  ) {
    this.placing = from ? new Placing(bench, from.placing) : withPinned(bench);
    this.open = from ? from.open.slice() : [];
    this.waiting = (from ? from.waiting : bench.waitsFor).slice();
    this.finishes = from ? from.finishes.slice() : new Float64Array(bench.dueOf.length);
    if (from) this.cost = from.cost;
  }

  begin(): void {
    const { waitsFor } = this.bench;
    for (let index = 0; index < waitsFor.length; index++) if (waitsFor[index] === 0) this.opened(index);
  }

  /** After a step was placed: what it costs, and what it lets begin. */
  protected goOn(index: number): void {
    const { placing, finishes, waiting } = this;
    const { followers, rest, setAt, dueOf, instance } = this.bench;
    const task = instance.tasks[index];
    const set = setAt[task.piece];
    this.cost += readyCost(task, placing.placed.shared[index]);
    const finish = placing.endAt(index) + rest[index];
    if (finish > finishes[set]) {
      this.cost += laterCost(finishes[set], finish, dueOf[set]);
      finishes[set] = finish;
    }
    for (const next of followers[index]) if (--waiting[next] === 0) this.opened(next);
  }

  protected onOpen(index: number): void {
    this.open.push(index);
  }

  private opened(index: number): void {
    if (this.placing.isPlaced(index)) this.goOn(index);
    else this.onOpen(index);
  }
}

/** What it costs to finish at one minute instead of another before it. */
export const laterCost = (from: number, to: number, due: number): number =>
  to - from + (to > due ? LATE_WEIGHT * (to - Math.max(due, from)) : 0);

/**
 * A schedule from an order of keys: among the steps whose predecessors are placed, the one with the least key is next.
 * Pinned ones are booked first.
 */
export function placeByKeys(bench: Bench, keys: ArrayLike<number>): Placed;
/** @returns null as soon as it is seen to cost more than `most` */
export function placeByKeys(bench: Bench, keys: ArrayLike<number>, most: number): Placed | null;
export function placeByKeys(bench: Bench, keys: ArrayLike<number>, most = Infinity): Placed | null {
  return new BySteps(bench).unfolded(keys, most);
}

class BySteps extends PartialSchedule {
  unfolded(keys: ArrayLike<number>, most: number): Placed | null {
    const { placing, open } = this;
    this.begin();
    while (open.length > 0) {
      let best = 0;
      for (let at = 1; at < open.length; at++)
        if (keys[open[at]] < keys[open[best]] || (keys[open[at]] === keys[open[best]] && open[at] < open[best]))
          best = at;
      const index = open[best];
      open[best] = open[open.length - 1];
      open.pop();
      if (!placing.placeFrom(index, placing.lowerBound(index))) continue;
      this.goOn(index);
      if (this.cost > most) return null;
    }
    return placing.placed;
  }
}

/**
 * A schedule made through time (a parallel scheme): whenever hands are free, the step with the least key that can begin
 * then does. Hands never stand idle while anything can be done, so the short waits of one piece are filled by the next;
 * the best schedule need not be among these, but a good one is soon found. Half made it can be copied, to go on in
 * another order.
 */
export class InTime extends PartialSchedule {
  now = 0;
  /** No earlier than this each open step can begin. */
  private readonly from: Float64Array;

  /** @param from what is placed already; what is pinned where it is left out */
  constructor(
    bench: Bench,
    private readonly keys: ArrayLike<number>,
    from?: InTime,
  ) {
    super(bench, from);
    this.from = from ? from.from.slice() : new Float64Array(bench.instance.tasks.length);
    if (from) {
      this.now = from.now;
      this.open.sort((a, b) => keys[a] - keys[b] || a - b);
    }
  }

  /** The step that goes on next, and where it and those tied to it then stand; null where no more can. */
  next(): { at: number; index: number; spots: Spot[] } | null {
    const { open, from, placing } = this;
    while (open.length > 0) {
      let least = Infinity;
      for (const index of open) if (from[index] < least) least = from[index];
      const idle = placing.nextIdle(Math.max(least, this.now));
      if (idle === Infinity) return null;
      this.now = idle;
      for (let at = 0; at < open.length; at++) {
        const index = open[at];
        if (from[index] > this.now) continue;
        const spots = placing.spotsFrom(index, this.now);
        from[index] = spots ? spots[0].start : Infinity;
        if (spots && from[index] <= this.now) return { at, index, spots };
      }
    }
    return null;
  }

  take({ at, index, spots }: { at: number; index: number; spots: readonly Spot[] }): void {
    this.open.splice(at, 1);
    this.placing.bookChain(index, spots);
    this.goOn(index);
  }

  /** Those with the least key stand first. */
  protected override onOpen(index: number): void {
    const { open, from, keys, placing } = this;
    from[index] = placing.lowerBound(index);
    let at = open.push(index) - 1;
    for (; at > 0 && keys[open[at - 1]] > keys[index]; at--) open[at] = open[at - 1];
    open[at] = index;
  }
}

/** @returns null as soon as it is seen to cost more than `most` */
export function placeInTime(bench: Bench, keys: ArrayLike<number>, most = Infinity): Placed | null {
  const unfolding = new InTime(bench, keys);
  unfolding.begin();
  for (let next = unfolding.next(); next; next = unfolding.next()) {
    unfolding.take(next);
    if (unfolding.cost > most) return null;
  }
  return unfolding.placing.placed;
}

/**
 * What a schedule comes to; a set counts as one piece, finished when the last of it is. A piece with a step that found no place finishes
 * beyond the last window and counts as late.
 */
export function outcomeOf({ instance, ripeness, sets, dueOf }: Bench, placed: Placed): Outcome {
  const { tasks, pieces } = instance;
  const beyond = horizonOf(instance) + BEYOND_MINUTES;
  const finishes = new Array<number>(pieces.length).fill(0);
  const unplaced: number[] = [];
  tasks.forEach((task, index) => {
    const stands = placed.who[index] !== 0;
    if (!stands) unplaced.push(index);
    const finish = stands ? ripeness.ripeAt(task, endOf(instance, placed, index)) : beyond;
    if (finish > finishes[task.piece]) finishes[task.piece] = finish;
  });
  const tardiness = pieces.map(({ dueMinute }, piece) =>
    dueMinute === null ? 0 : Math.max(0, finishes[piece] - dueMinute),
  );
  let cost = 0;
  for (let index = 0; index < tasks.length; index++)
    if (placed.who[index] !== 0) cost += readyCost(tasks[index], placed.shared[index]);
  for (let set = 0; set < sets.length; set++) {
    let finish = 0;
    for (const piece of sets[set]) if (finishes[piece] > finish) finish = finishes[piece];
    cost += finish + LATE_WEIGHT * Math.max(0, finish - dueOf[set]);
  }
  return { finishes, tardiness, cost, unplaced };
}

const BEYOND_MINUTES = 7 * 1440;
