/**
 * An order of whole pieces grown from the front (a beam search). To each of the most promising beginnings the likeliest
 * next pieces are tried; how promising a beginning is says what it costs until its pieces are done, and about what the
 * others will cost with the hands that are left. Changing a finished order shuffles all that comes after the
 * change; here nothing after hides what a beginning is worth.
 */
import { gatheredLine, type GatheredLine } from '@/core/cure';
import { clamp } from '@/core/shared';
import type { Bench } from './bench';
import { horizonOf, type Placed, type Task } from './instance';
import { InTime, laterCost } from './partial-schedule';

const workOf = ({ minutes, people }: Task): number => minutes * people;

/** A schedule half made, with what each set still wants. */
class Beginning extends InTime {
  /** Steps and minutes of hands of each set that are not placed yet. */
  readonly stepsLeft: Int32Array;
  readonly workLeft: Float64Array;

  constructor(bench: Bench, keys: ArrayLike<number>, from?: Beginning) {
    super(bench, keys, from);
    this.stepsLeft = from ? from.stepsLeft.slice() : new Int32Array(bench.sets.length);
    this.workLeft = from ? from.workLeft.slice() : new Float64Array(bench.sets.length);
    if (from) return;
    for (const task of bench.instance.tasks) {
      this.stepsLeft[bench.setAt[task.piece]]++;
      this.workLeft[bench.setAt[task.piece]] += workOf(task);
    }
    this.begin();
  }

  protected override goOn(index: number): void {
    const task = this.bench.instance.tasks[index];
    const set = this.bench.setAt[task.piece];
    this.stepsLeft[set]--;
    this.workLeft[set] -= workOf(task);
    super.goOn(index);
  }
}

/** An order of all sets of which the first ones are settled. */
interface Grown {
  order: readonly number[];
  /** As far as little but the settled ones is begun. */
  state: Beginning;
}

interface Offspring {
  order: readonly number[];
  from: Beginning;
  keys: Float64Array;
  score: number;
}

/**
 * @param keysOf the keys of an order of sets
 * @param tries about how many whole schedules this may take as long as
 * @param like a schedule that shows how far hands can be used
 */
export function grownOrder(
  bench: Bench,
  keysOf: (order: readonly number[]) => Float64Array,
  tries: number,
  like: Placed,
): { order: readonly number[]; placed: Placed; tried: number } {
  const steps = bench.instance.tasks.length;
  const all = [...bench.sets.keys()];
  const outlook = new Outlook(bench, like);
  const most = (tries * steps) / GROWN_TRIES;
  let work = 0;
  /** What may come next to each beginning: with little time fewer. */
  let wide = MOST_NEXT;
  let grown: Grown[] = [{ order: all, state: new Beginning(bench, keysOf(all)) }];
  for (let settled = 0; settled < all.length && work < most; settled++) {
    const before = work;
    let count = 0;
    const born = new Map<string, Offspring>();
    for (const { order: known, state: from } of grown) {
      const first = known.slice(0, settled);
      const rest = outlook.orderOf(from, known.slice(settled));
      for (const set of rest.slice(0, wide)) {
        const others = rest.filter((other) => other !== set);
        const order = [...first, set, ...others];
        const keys = keysOf(order);
        const state = new Beginning(bench, keys, from);
        const done = order.slice(0, settled + 1);
        work += steps * COPIED + untilDone(state, done);
        count++;
        const score = state.cost + outlook.costOf(state, [...done, ...outlook.orderOf(state, others)]);
        const name = done.sort((a, b) => a - b).join();
        const twin = born.get(name);
        if (!twin || score < twin.score) born.set(name, { order, from, keys, score });
      }
    }
    const left = ((most - work) * count) / ((work - before) * Math.max(1, all.length - settled - 1));
    wide = clamp(Math.floor(left), LEAST_NEXT, MOST_NEXT);
    grown = [...born.values()]
      .sort((a, b) => a.score - b.score)
      .slice(0, clamp(Math.floor(left / MOST_NEXT), 1, MOST_GROWN))
      .map(({ order, from, keys }) => ({
        order,
        state: beforeOthers(new Beginning(bench, keys, from), order.slice(0, settled + 1)),
      }));
  }
  const [{ order, state }] = grown;
  untilDone(state, all);
  return { order, placed: state.placing.placed, tried: (work / steps) * GROWN_TRIES };
}

/** Goes on until all of these sets are done. @returns how many steps were placed */
function untilDone(state: Beginning, order: readonly number[]): number {
  let placed = 0;
  for (let at = 0; at < order.length; at++)
    for (; state.stepsLeft[order[at]] > 0; placed++) {
      const next = state.next();
      if (!next) return placed;
      state.take(next);
    }
  return placed;
}

/**
 * Goes on as long as only these sets do, or more than a few of them are not done: by then what else is begun between
 * their steps stays as it is.
 */
function beforeOthers(state: Beginning, order: readonly number[]): Beginning {
  const { setAt, instance } = state.bench;
  const within = new Set(order);
  for (let next = state.next(); next; next = state.next()) {
    if (!within.has(setAt[instance.tasks[next.index].piece])) {
      let left = 0;
      for (const set of order) if (state.stepsLeft[set] > 0) left++;
      if (left <= MOST_LEFT) break;
    }
    state.take(next);
  }
  return state;
}

/** About what is to come for sets that are not done, one after the other with all hands. */
class Outlook {
  /** Minutes of all hands gathered by a minute. */
  private readonly gathered: GatheredLine;
  /** The least minutes of each set from its first step on, and after the hands of its last. */
  private readonly whole: Float64Array;
  private readonly after: Float64Array;

  private readonly slack: number;

  constructor(
    private readonly bench: Bench,
    like: Placed,
  ) {
    const { instance, sets, setAt, rest, followers } = bench;
    this.gathered = gatheredHands(bench);
    this.slack = slackOf(bench, like, this.gathered);
    this.whole = new Float64Array(sets.length);
    this.after = new Float64Array(sets.length).fill(Infinity);
    instance.tasks.forEach((task, index) => {
      const set = setAt[task.piece];
      this.whole[set] = Math.max(this.whole[set], task.minutes + rest[index]);
      if (followers[index].length === 0) this.after[set] = Math.min(this.after[set], rest[index]);
    });
  }

  /**
   * The shortest first, as far as due dates let them (from the back: of those that may be done last, the longest).
   */
  orderOf({ now, workLeft }: Beginning, sets: readonly number[]): number[] {
    const { dueOf } = this.bench;
    const left = [...sets];
    let total = this.gathered.at(now);
    for (const set of left) total += workLeft[set] * this.slack;
    const order: number[] = [];
    while (left.length > 0) {
      const end = this.minuteOf(total);
      let last = 0;
      const spare = (set: number) => Math.min(0, dueOf[set] - end - this.after[set]);
      for (let at = 1; at < left.length; at++) {
        const better = spare(left[at]) - spare(left[last]);
        if (better > 0 || (better === 0 && workLeft[left[at]] > workLeft[left[last]])) last = at;
      }
      const [set] = left.splice(last, 1);
      order.push(set);
      total -= workLeft[set] * this.slack;
    }
    return order.reverse();
  }

  costOf({ now, workLeft, stepsLeft, finishes }: Beginning, order: readonly number[]): number {
    const { dueOf } = this.bench;
    let total = this.gathered.at(now);
    let cost = 0;
    for (const set of order) {
      if (stepsLeft[set] === 0) continue;
      total += workLeft[set] * this.slack;
      let finish = this.minuteOf(total) + this.after[set];
      if (finishes[set] === 0) finish = Math.max(finish, now + this.whole[set]);
      if (finish > finishes[set]) cost += laterCost(finishes[set], finish, dueOf[set]);
    }
    return cost;
  }

  private minuteOf(total: number): number {
    const minute = this.gathered.timeOf(Math.max(LEAST_WORK, total - LEAST_WORK));
    return Number.isFinite(minute) ? minute : FAR;
  }
}

function gatheredHands({ instance }: Bench): GatheredLine {
  const end = horizonOf(instance);
  const gathered = new Float64Array(Math.ceil(end / SAMPLED) + 2);
  for (const { from, until } of instance.hands.flat())
    for (let at = Math.floor(Math.max(0, from) / SAMPLED); at * SAMPLED < until; at++)
      gathered[at + 1] += Math.min(until, (at + 1) * SAMPLED) - Math.max(from, 0, at * SAMPLED);
  for (let at = 1; at < gathered.length; at++) gathered[at] += gathered[at - 1];
  return gatheredLine(gathered, SAMPLED, (RATE_DAYS * DAY_MINUTES) / SAMPLED);
}

/** The hands' minutes that pass for one that is used, over most of a plan: they are never used to the last. */
function slackOf({ instance: { tasks } }: Bench, { starts }: Placed, gathered: GatheredLine): number {
  const order = [...starts.keys()]
    .filter((index) => !Number.isNaN(starts[index]))
    .sort((a, b) => starts[a] - starts[b]);
  const most = SAMPLED_WORK * order.reduce((all, index) => all + workOf(tasks[index]), 0);
  let done = 0;
  for (const index of order) {
    done += workOf(tasks[index]);
    if (done >= most) return clamp(gathered.at(starts[index]) / done, LEAST_SLACK, MOST_SLACK);
  }
  return LEAST_SLACK;
}

const DAY_MINUTES = 1440;
const SAMPLED = 15;
const RATE_DAYS = 14;
const LEAST_WORK = 0.5;
const FAR = 1e7;
/** The end of a plan, where hands wait for the last pieces, says nothing of the rest. */
const SAMPLED_WORK = 0.8;
const [LEAST_SLACK, MOST_SLACK] = [1.02, 1.5];
/** How many beginnings are kept, and how many pieces are tried next in each. */
const MOST_GROWN = 400;
const MOST_NEXT = 8;
const LEAST_NEXT = 2;
/** Settled pieces that may be under way while others are begun for good. */
const MOST_LEFT = 5;
/** A copy takes as long as placing this share of the steps; a step here as long as so many in a try that may be given up. */
const COPIED = 0.05;
const GROWN_TRIES = 1.6;
