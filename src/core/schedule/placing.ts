/**
 * Steps put into a schedule one after the other, each at its earliest place (a serial scheme; for costs that only grow
 * with time some order of steps gives the best schedule there is). A step with a latest wait is placed together with
 * the one that follows it.
 */
import type { Bench } from './bench';
import { HandsCalendar, PlaceUse } from './bookings';
import {
  READY_MINUTES,
  endOf,
  handsMinutesOf,
  nothingPlaced,
  readyCost,
  type Instance,
  type PlaceId,
  type Placed,
  type Task,
} from './instance';

/** Where a step could stand. */
export interface Spot {
  start: number;
  end: number;
  who: number;
  shared: 0 | 1;
}

/** Where a placed step stands. */
export const spotOf = (instance: Instance, placed: Placed, index: number): Spot => ({
  start: placed.starts[index],
  end: endOf(instance, placed, index),
  who: placed.who[index],
  shared: placed.shared[index] === 1 ? 1 : 0,
});

/** A schedule being made. */
export class Placing {
  readonly placed: Placed;
  /** When each placed step's hands end, and when its wait is over. */
  private readonly ends: Float64Array;
  private readonly ripe: Float64Array;
  private readonly hands: HandsCalendar[];
  private readonly use: Record<PlaceId, PlaceUse>;
  /** Placed steps of each kind of set-up, as they came. */
  private readonly standing = new Map<number, number[]>();
  /** Minutes before steps that share, from the end of what they share: nothing else is done by these hands then. */
  private readonly gaps = new Map<number, number>();

  /** @param from what is placed already; nothing where it is left out */
  constructor(
    private readonly bench: Bench,
    from?: Placing,
  ) {
    const { instance } = bench;
    if (from) {
      const { starts, who, shared } = from.placed;
      this.placed = { starts: starts.slice(), who: who.slice(), shared: shared.slice() };
      this.ends = from.ends.slice();
      this.ripe = from.ripe.slice();
      this.hands = from.hands.map((hands) => hands.copy());
      this.use = { bench: from.use.bench.copy(), rack: from.use.rack.copy(), oven: from.use.oven.copy() };
      for (const [kind, standing] of from.standing) this.standing.set(kind, standing.slice());
      for (const [index, gap] of from.gaps) this.gaps.set(index, gap);
      return;
    }
    this.placed = nothingPlaced(instance.tasks.length);
    this.ends = bench.unplaced.slice();
    this.ripe = bench.unplaced.slice();
    this.hands = instance.hands.map((windows) => new HandsCalendar(windows, instance.gridMinutes));
    this.use = {
      bench: new PlaceUse(instance.places.bench),
      rack: new PlaceUse(instance.places.rack),
      oven: new PlaceUse(instance.places.oven),
    };
    for (const { place, until, room } of instance.occupied) this.use[place].book(0, until, room, null);
  }

  isPlaced(index: number): boolean {
    return this.placed.who[index] !== 0;
  }

  endAt(index: number): number {
    return this.ends[index];
  }

  /** The earliest minute at which a step's predecessors, as far as they are placed, let it begin. */
  lowerBound(index: number): number {
    const task = this.task(index);
    let from = task.notBefore > 0 ? task.notBefore : 0;
    for (const before of task.after) if (this.isPlaced(before) && this.ripe[before] > from) from = this.ripe[before];
    return from;
  }

  book(index: number, { start, end, who, shared }: Spot): void {
    const task = this.task(index);
    const { wait, setUp } = task;
    this.placed.starts[index] = start;
    this.placed.who[index] = who;
    this.placed.shared[index] = shared;
    this.ends[index] = end;
    this.ripe[index] = this.bench.ripeness.ripeAt(task, end);
    const readied = shared === 1 ? this.readiedAt(index, start, who) : null;
    if (readied !== null && readied < start) this.gaps.set(index, readied);
    const from = this.gaps.get(index) ?? start;
    for (let one = 0; one < this.hands.length; one++) if ((who >> one) & 1) this.hands[one].book(from, end - from);
    this.use.bench.book(start, end, 1, null);
    if (wait.place) this.use[wait.place].book(end, this.ripe[index], wait.room, wait.heat);
    if (!setUp) return;
    const standing = this.standing.get(setUp.kind);
    if (standing) standing.push(index);
    else this.standing.set(setUp.kind, [index]);
  }

  /** Takes a step out again. */
  free(index: number): void {
    const { wait, setUp } = this.task(index);
    const { starts, who, shared } = this.placed;
    const [start, end] = [starts[index], this.ends[index]];
    const from = this.gaps.get(index) ?? start;
    this.gaps.delete(index);
    for (let one = 0; one < this.hands.length; one++)
      if ((who[index] >> one) & 1) this.hands[one].free(from, end - from);
    this.use.bench.free(start, end, 1, null);
    if (wait.place) this.use[wait.place].free(end, this.ripe[index], wait.room, wait.heat);
    starts[index] = NaN;
    who[index] = 0;
    shared[index] = 0;
    this.ends[index] = NaN;
    this.ripe[index] = NaN;
    const standing = setUp && this.standing.get(setUp.kind);
    if (standing) standing.splice(standing.indexOf(index), 1);
  }

  /** Places a step, and those tied to it, from a minute on. False where there is no place within the windows. */
  placeFrom(index: number, from: number): boolean {
    const spots = this.spotsFrom(index, from);
    if (spots) this.bookChain(index, spots);
    return spots !== null;
  }

  /** Where a step, and those tied to it, stand at their earliest from a minute on; null for nowhere. */
  spotsFrom(index: number, from: number): Spot[] | null {
    if (this.bench.tied[index] >= 0) return this.earliestChain(this.chainOf(index), from);
    const spot = this.earliestOf(index, from);
    return spot && [spot];
  }

  /** Books a step and those tied to it where `spotsFrom` found them. */
  bookChain(index: number, spots: readonly Spot[]): void {
    if (spots.length === 1) this.book(index, spots[0]);
    else this.chainOf(index).forEach((task, at) => this.book(task, spots[at]));
  }

  /** The next minute from one on at which any hands are free, and a place on the bench. */
  nextIdle(minute: number): number {
    for (let from = minute; ;) {
      let next = Infinity;
      for (const hands of this.hands) next = Math.min(next, hands.earliest(from, 1));
      const taken = next < Infinity && this.use.bench.conflict(next, next + 1, 1, null);
      if (!taken) return next;
      from = Math.max(next + 1, taken.firstFreeAt);
    }
  }

  /**
   * How a step can stand at a minute, its set-up shared where it can be: hands, bench and place free; null where it
   * can't.
   *
   * @param by the hands asked first
   */
  spotAt(index: number, start: number, by = 0): Spot | null {
    const teams = this.bench.teams[index];
    for (const who of by !== 0 && teams.includes(by) ? [by, ...teams] : teams) {
      if (this.readiedAt(index, start, who) !== null) {
        const spot = this.alone(index, start, who, 1, start);
        if (spot) return spot;
      }
      const spot = this.alone(index, start, who, 0, start);
      if (spot) return spot;
    }
    return null;
  }

  /** Puts a step by the same hands as late as it can end by a minute, and not before another. */
  placeLatest(index: number, by: number, from: number, who: number): boolean {
    const start = this.latestOf(index, by, from, who);
    if (start === null) return false;
    const end = start + handsMinutesOf(this.task(index), 0);
    this.book(index, { start, end, who, shared: 0 });
    return true;
  }

  /** A step and those tied to it that are not placed yet. */
  private chainOf(index: number): number[] {
    const chain = [index];
    for (let next = this.bench.tied[index]; next >= 0 && !this.isPlaced(next); next = this.bench.tied[next])
      chain.push(next);
    return chain;
  }

  /** Whether what a placed step shares was really got ready before it. */
  isReadied(index: number): boolean {
    const { starts, who } = this.placed;
    const gap = this.gaps.get(index);
    if (gap === undefined) return this.readiedAt(index, starts[index], who[index]) !== null;
    return this.kinOf(index).some((other) => this.ends[other] === gap && who[other] === who[index]);
  }

  /** When the hands end a step of the same kind where this one begins, or a little before with nothing between. */
  private readiedAt(index: number, start: number, who: number): number | null {
    for (const other of this.kinOf(index)) {
      const end = this.ends[other];
      if (this.placed.who[other] !== who || !(end <= start && start - end < READY_MINUTES)) continue;
      if (this.hands.every((hands, one) => !((who >> one) & 1) || hands.isIdle(end, start))) return end;
    }
    return null;
  }

  /** Placed steps that get ready the same. */
  private kinOf(index: number): readonly number[] {
    const { setUp } = this.task(index);
    return (setUp && this.standing.get(setUp.kind)) ?? [];
  }

  private onGrid(minute: number): number {
    return Math.ceil(minute / this.bench.instance.gridMinutes) * this.bench.instance.gridMinutes;
  }

  /**
   * The earliest place of a step by itself, over all that may do it and all whose set-up it can share: a little later
   * where that spares getting ready, as much as this weighs.
   */
  private earliestOf(index: number, from: number): Spot | null {
    const task = this.task(index);
    const { setUp, minutes } = task;
    const standing = setUp && this.standing.get(setUp.kind);
    const ready = readyCost(task, 0);
    let best: Spot | null = null;
    // Until when one that gets ready, and one that shares, must end to be better than the best so far.
    let most = Infinity;
    for (const who of this.bench.teams[index]) {
      const alone = this.alone(index, from, who, 0, most - ready - handsMinutesOf(task, 0));
      if (alone && alone.end + ready < most) {
        best = alone;
        most = alone.end + ready;
      }
      if (!standing) continue;
      for (const other of standing) {
        if (this.placed.who[other] !== who) continue;
        const start = this.onGrid(this.ends[other]);
        if (start < from || start + minutes > most || (best?.shared && start + minutes === most)) continue;
        const shared = this.alone(index, start, who, 1, start);
        if (!shared) continue;
        best = shared;
        most = shared.end;
      }
    }
    return best;
  }

  /** The earliest place by these hands within a stretch of starts. */
  private alone(index: number, from: number, who: number, shared: 0 | 1, latest: number): Spot | null {
    const task = this.task(index);
    const { wait } = task;
    const minutes = handsMinutesOf(task, shared);
    let start = from;
    for (let tries = 0; tries < MOST_TRIES; tries++) {
      start = this.handsFree(start, minutes, who);
      if (!(start <= latest) || start === Infinity) return null;
      const end = start + minutes;
      const taken = this.use.bench.conflict(start, end, 1, null);
      if (taken) {
        start = Math.max(start + 1, taken.firstFreeAt);
        continue;
      }
      if (wait.place) {
        const ripe = this.bench.ripeness.ripeAt(task, end);
        const lies = this.use[wait.place].conflict(end, ripe, wait.room, wait.heat);
        if (lies) {
          start = Math.max(start + 1, lies.firstFreeAt - minutes);
          continue;
        }
      }
      if (task.attended) {
        const stays = this.stretchEnd(start, who);
        if (stays < this.bench.ripeness.ripeAt(task, end)) {
          start = Math.max(start + 1, stays);
          continue;
        }
      }
      return { start, end, who, shared };
    }
    return null;
  }

  /** The earliest minute from one on at which all these hands are free for so long. */
  private handsFree(from: number, minutes: number, who: number): number {
    if (this.hands.length === 1) return this.hands[0].earliest(from, minutes);
    let start = from;
    for (;;) {
      const asked = start;
      for (let one = 0; one < this.hands.length; one++)
        if ((who >> one) & 1) start = this.hands[one].earliest(start, minutes);
      if (start === asked || start === Infinity) return start;
    }
  }

  /** Until when any of these hands can stay. */
  private stretchEnd(minute: number, who: number): number {
    let end = minute;
    for (let one = 0; one < this.hands.length; one++)
      if ((who >> one) & 1) end = Math.max(end, this.hands[one].stretchEnd(minute));
    return end;
  }

  /** The earliest places of a step and those tied to it; null for none. */
  private earliestChain(chain: readonly number[], from: number): Spot[] | null {
    const last = this.task(chain[chain.length - 1]);
    const pinned = this.bench.tied[chain[chain.length - 1]];
    // Tied to a pinned step: not so early that this would wait too long for it.
    let floor =
      pinned >= 0 && chain.length === 1
        ? Math.max(from, this.placed.starts[pinned] - (last.wait.maxMinutes ?? 0) - handsMinutesOf(last, 0))
        : from;
    for (let tries = 0; tries < MOST_TRIES; tries++) {
      const spots: Spot[] = [];
      let next = floor;
      let late = 0;
      for (let at = 0; at < chain.length && late === 0; at++) {
        const spot = this.earliestOf(chain[at], at === 0 ? next : Math.max(next, this.lowerBound(chain[at])));
        if (!spot) return null;
        if (at > 0) {
          const before = this.task(chain[at - 1]);
          late = Math.max(0, spot.start - (spots[at - 1].end + (before.wait.maxMinutes ?? Infinity)));
        }
        spots.push(spot);
        next = this.bench.ripeness.ripeAt(this.task(chain[at]), spot.end);
      }
      if (late === 0) return spots;
      floor = Math.max(floor + 1, spots[0].start + late);
    }
    return null;
  }

  private latestOf(index: number, by: number, from: number, who: number): number | null {
    const task = this.task(index);
    const { wait } = task;
    const minutes = handsMinutesOf(task, 0);
    let end = by;
    for (let tries = 0; tries < MOST_TRIES; tries++) {
      const start = this.handsFreeBy(end, minutes, who);
      if (!(start >= from)) return null;
      end = start + minutes;
      const ripe = this.bench.ripeness.ripeAt(task, end);
      const taken =
        this.use.bench.conflict(start, end, 1, null) ??
        (wait.place ? this.use[wait.place].conflict(end, ripe, wait.room, wait.heat) : null);
      if (taken) {
        end = Math.min(end - 1, Math.max(from, taken.takenFrom));
        continue;
      }
      if (task.attended && this.stretchEnd(start, who) < ripe) {
        end -= 5;
        continue;
      }
      return start;
    }
    return null;
  }

  /** The latest start at which all these hands are free for so long and end by a minute. */
  private handsFreeBy(by: number, minutes: number, who: number): number {
    let end = by;
    for (;;) {
      const asked = end;
      for (let one = 0; one < this.hands.length; one++)
        if ((who >> one) & 1) end = this.hands[one].latest(end, minutes) + minutes;
      if (end === asked || end === -Infinity) return end - minutes;
    }
  }

  private task(index: number): Task {
    return this.bench.instance.tasks[index];
  }
}

/** Turns of looking on until a place is given up. */
const MOST_TRIES = 4000;

/** The first pair of hands, as bits of who does a step. */
export const OWN = 1;

/** A schedule that holds only what the person pinned. */
export function withPinned(bench: Bench): Placing {
  const { tasks } = bench.instance;
  const placing = new Placing(bench);
  for (const index of bench.pinned) {
    const start = tasks[index].pinnedAt ?? 0;
    // The person who pinned it does it, where they may.
    const free = placing.spotAt(index, start, OWN);
    // Pinned where nobody has time for it, it stands there all the same.
    const [first = 0] = bench.teams[index];
    const who = bench.teams[index].includes(OWN) ? OWN : first;
    if (free) placing.book(index, free);
    else if (who !== 0) placing.book(index, { start, end: start + handsMinutesOf(tasks[index], 0), who, shared: 0 });
  }
  return placing;
}
