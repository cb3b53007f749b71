import type { FreeWindow } from './instance';

/** Intervals in order of their starts, in two growing arrays. */
class Intervals {
  readonly from: number[] = [];
  readonly until: number[] = [];
  /** Where the first interval starts that starts after a minute. */
  after(minute: number): number {
    let [low, high] = [0, this.from.length];
    while (low < high) {
      const middle = (low + high) >> 1;
      if (this.from[middle] <= minute) low = middle + 1;
      else high = middle;
    }
    return low;
  }
  add(from: number, until: number): void {
    const at = this.after(from);
    this.from.splice(at, 0, from);
    this.until.splice(at, 0, until);
  }
  remove(from: number, until: number): void {
    for (let at = this.after(from) - 1; at >= 0 && this.from[at] === from; at--) {
      if (this.until[at] !== until) continue;
      this.from.splice(at, 1);
      this.until.splice(at, 1);
      return;
    }
  }
}

/** One pair of hands: free stretches with what is booked in them. */
export class Hands {
  private readonly booked = new Intervals();
  /** Minutes left in each free stretch: one that is nearly full is passed over unseen. */
  private readonly left: Float64Array;
  /** @param grid starts lie on multiples of it */
  constructor(
    private readonly windows: readonly FreeWindow[],
    private readonly grid: number,
  ) {
    this.left = Float64Array.from(windows, (window) => window.until - window.from);
  }

  book(from: number, minutes: number): void {
    this.booked.add(from, from + minutes);
    this.take(from, minutes);
  }
  free(from: number, minutes: number): void {
    this.booked.remove(from, from + minutes);
    this.take(from, -minutes);
  }

  private take(from: number, minutes: number): void {
    const at = windowAt(this.windows, from);
    // What is pinned outside free time, or across its end, takes nothing that counts.
    if (at < this.windows.length && this.windows[at].from <= from && from + Math.abs(minutes) <= this.windows[at].until)
      this.left[at] -= minutes;
  }

  /** The earliest start from a minute on where `minutes` fit into one free stretch; Infinity where none is left. */
  earliest(from: number, minutes: number): number {
    const { windows, booked, grid } = this;
    const onGrid = (minute: number) => Math.ceil(minute / grid) * grid;
    for (let index = windowAt(windows, from); index < windows.length; index++) {
      if (this.left[index] < minutes) continue;
      const window = windows[index];
      let start = onGrid(Math.max(from, window.from));
      if (start + minutes > window.until) continue;
      let at = booked.after(start);
      if (at > 0 && booked.until[at - 1] > start) start = onGrid(booked.until[at - 1]);
      while (at < booked.from.length && booked.from[at] < start + minutes) {
        start = Math.max(start, onGrid(booked.until[at]));
        at++;
      }
      if (start + minutes <= window.until) return start;
    }
    return Infinity;
  }

  /** The latest start where `minutes` end by a minute; -Infinity where none is left. */
  latest(by: number, minutes: number): number {
    const { windows, booked, grid } = this;
    const onGrid = (end: number) => Math.floor((end - minutes) / grid) * grid + minutes;
    for (let index = windows.length - 1; index >= 0; index--) {
      const window = windows[index];
      let end = onGrid(Math.min(by, window.until));
      if (end - minutes < window.from) continue;
      for (let at = booked.after(end) - 1; at >= 0 && booked.until[at] > end - minutes; at--)
        if (booked.from[at] < end) end = onGrid(booked.from[at]);
      if (end - minutes >= window.from) return end - minutes;
    }
    return -Infinity;
  }

  /** Until when the stretch runs that holds a minute. */
  stretchEnd(minute: number): number {
    const window = this.windows[windowAt(this.windows, minute)];
    return window && window.from <= minute ? window.until : minute;
  }
}

/** The first window that ends after a minute. */
function windowAt(windows: readonly FreeWindow[], minute: number): number {
  let [low, high] = [0, windows.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (windows[middle].until <= minute) low = middle + 1;
    else high = middle;
  }
  return low;
}

/** A number of equal places. */
export class PlaceUse {
  private readonly booked = new Intervals();
  private longest = 0;
  constructor(private readonly places: number) {}

  book(from: number, until: number): void {
    if (until <= from) return;
    this.booked.add(from, until);
    this.longest = Math.max(this.longest, until - from);
  }

  free(from: number, until: number): void {
    if (until > from) this.booked.remove(from, until);
  }

  /**
   * Where all places are taken within a stretch: the interval that leaves or came first; null where one is free
   * throughout.
   */
  conflict(from: number, until: number): { firstFreeAt: number; takenFrom: number } | null {
    if (until <= from) return null;
    if (this.places < 1) return { firstFreeAt: Infinity, takenFrom: -Infinity };
    const { booked } = this;
    const first = booked.after(from - this.longest - 1);
    let count = 0;
    let beyond = first;
    for (; beyond < booked.from.length && booked.from[beyond] < until; beyond++)
      if (booked.until[beyond] > from) count++;
    if (count < this.places) return null;
    for (let at = first; at < beyond; at++) {
      if (booked.until[at] <= from) continue;
      const moment = Math.max(from, booked.from[at]);
      let taken = 0;
      let firstFreeAt = Infinity;
      let takenFrom = -Infinity;
      for (let other = first; other < beyond && booked.from[other] <= moment; other++) {
        if (booked.until[other] <= moment) continue;
        taken++;
        if (booked.until[other] < firstFreeAt) firstFreeAt = booked.until[other];
        if (booked.from[other] > takenFrom) takenFrom = booked.from[other];
      }
      if (taken >= this.places) return { firstFreeAt, takenFrom };
    }
    return null;
  }
}
