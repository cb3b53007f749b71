import type { FreeWindow } from './instance';

/** The first of ascending minutes that lies after one. */
function firstAfter(minutes: readonly number[], minute: number): number {
  let [low, high] = [0, minutes.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (minutes[middle] <= minute) low = middle + 1;
    else high = middle;
  }
  return low;
}

/** Intervals in order of their starts, in two growing arrays. */
class Intervals {
  constructor(
    readonly from: number[] = [],
    readonly until: number[] = [],
  ) {}
  copy(): Intervals {
    return new Intervals(this.from.slice(), this.until.slice());
  }
  after(minute: number): number {
    return firstAfter(this.from, minute);
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
export class HandsCalendar {
  private readonly booked: Intervals;
  /** Minutes left in each free stretch: one that is nearly full is passed over unseen. */
  private readonly left: Float64Array;
  /** @param grid starts lie on multiples of it; @param from with what is booked there */
  constructor(
    private readonly windows: readonly FreeWindow[],
    private readonly grid: number,
    from?: HandsCalendar,
  ) {
    this.booked = from ? from.booked.copy() : new Intervals();
    this.left = from ? from.left.slice() : Float64Array.from(windows, (window) => window.until - window.from);
  }
  copy(): HandsCalendar {
    return new HandsCalendar(this.windows, this.grid, this);
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

  /** Whether nothing is booked in a stretch. */
  isIdle(from: number, until: number): boolean {
    const { booked } = this;
    const at = booked.after(from);
    const before = at > 0 && booked.until[at - 1] > from && booked.from[at - 1] < until;
    return !before && !(at < booked.from.length && booked.from[at] < until);
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

interface Stay {
  from: number;
  until: number;
  room: number;
  heat: number | null;
}

/** Room of one place, taken piece by piece. Pieces of different heats never lie there at once. */
export class PlaceUse {
  private readonly stays: Stay[];
  private longest: number;
  /** @param from with what is booked there */
  constructor(
    private readonly capacity: number,
    from?: PlaceUse,
  ) {
    this.stays = from ? from.stays.slice() : [];
    this.longest = from ? from.longest : 0;
  }
  copy(): PlaceUse {
    return new PlaceUse(this.capacity, this);
  }

  book(from: number, until: number, room: number, heat: number | null): void {
    if (until <= from) return;
    const { stays } = this;
    const stay = { from, until, room, heat };
    const at = this.firstAfter(from);
    if (at === stays.length) stays.push(stay);
    else stays.splice(at, 0, stay);
    if (until - from > this.longest) this.longest = until - from;
  }

  free(from: number, until: number, room: number, heat: number | null): void {
    if (until <= from) return;
    const { stays } = this;
    for (let at = this.firstAfter(from) - 1; at >= 0 && stays[at].from === from; at--) {
      const stay = stays[at];
      if (stay.until !== until || stay.room !== room || stay.heat !== heat) continue;
      stays.splice(at, 1);
      return;
    }
  }

  /**
   * Where there is too little room, or another heat, within a stretch: when the first of what lies there leaves, and
   * when the last of it came; null where there is room throughout.
   */
  conflict(from: number, until: number, room: number, heat: number | null): Conflict | null {
    if (until <= from) return null;
    const { stays, capacity } = this;
    if (room > capacity) return NEVER;
    const first = this.firstAfter(from - this.longest - 1);
    let beyond = first;
    let taken = 0;
    for (; beyond < stays.length && stays[beyond].from < until; beyond++) {
      const stay = stays[beyond];
      if (stay.until <= from) continue;
      taken += stay.room;
      if (heat !== null && stay.heat !== null && stay.heat !== heat)
        return { firstFreeAt: stay.until, takenFrom: stay.from };
    }
    // Even if all of them lay there at once there is room.
    if (taken + room <= capacity) return null;
    for (let at = first; at < beyond; at++) {
      if (stays[at].until <= from) continue;
      const moment = stays[at].from > from ? stays[at].from : from;
      taken = 0;
      let firstFreeAt = Number.MAX_VALUE;
      let takenFrom = -1;
      for (let other = first; other < beyond && stays[other].from <= moment; other++) {
        const stay = stays[other];
        if (stay.until <= moment) continue;
        taken += stay.room;
        if (stay.until < firstFreeAt) firstFreeAt = stay.until;
        if (stay.from > takenFrom) takenFrom = stay.from;
      }
      if (taken + room > capacity) return { firstFreeAt, takenFrom };
    }
    return null;
  }

  /** The first stay that begins after a minute. */
  private firstAfter(minute: number): number {
    const { stays } = this;
    let [low, high] = [0, stays.length];
    while (low < high) {
      const middle = (low + high) >> 1;
      if (stays[middle].from <= minute) low = middle + 1;
      else high = middle;
    }
    return low;
  }
}

interface Conflict {
  firstFreeAt: number;
  takenFrom: number;
}
const NEVER: Conflict = { firstFreeAt: Infinity, takenFrom: -Infinity };
