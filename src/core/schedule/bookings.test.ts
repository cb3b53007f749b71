import fc from '@/testing/properties';
import { HandsCalendar, PlaceUse } from './bookings';
import type { FreeWindow } from './instance';

// Each is held to a plain twin that looks at every minute.

const DAY = 300;
const windowsOf = fc
  .array(fc.tuple(fc.integer({ min: 1, max: 60 }), fc.integer({ min: 1, max: 60 })), { minLength: 1, maxLength: 5 })
  .map((stretches) => {
    let at = 0;
    return stretches.map(([gap, length]): FreeWindow => {
      const from = at + gap;
      at = from + length;
      return { from, until: at };
    });
  });
type Span = [from: number, minutes: number];
const spans = fc.array(fc.tuple(fc.integer({ min: 0, max: DAY }), fc.integer({ min: 1, max: 40 })), { maxLength: 8 });

/** A stretch fits where all of it lies in one free stretch and nothing booked meets it. */
const fitsAt = (windows: readonly FreeWindow[], booked: readonly Span[], start: number, minutes: number): boolean =>
  windows.some(({ from, until }) => start >= from && start + minutes <= until) &&
  booked.every(([from, length]) => start + minutes <= from || start >= from + length);
/** Books only what fits, as the plan does. */
function bookedIn(windows: readonly FreeWindow[], wanted: readonly Span[], grid: number) {
  const hands = new HandsCalendar(windows, grid);
  const booked: Span[] = [];
  for (const [from, minutes] of wanted) {
    if (!fitsAt(windows, booked, from, minutes)) continue;
    hands.book(from, minutes);
    booked.push([from, minutes]);
  }
  return { hands, booked };
}
const starts = (grid: number) => Array.from({ length: 2 * DAY }, (_, minute) => minute).filter((at) => at % grid === 0);

describe('a pair of hands', () => {
  it('begins as early as a twin that tries every minute', () => {
    fc.assert(
      fc.property(
        windowsOf,
        spans,
        fc.constantFrom(1, 5, 7),
        fc.integer({ min: 0, max: DAY }),
        fc.integer({ min: 1, max: 50 }),
        (windows, wanted, grid, from, minutes) => {
          const { hands, booked } = bookedIn(windows, wanted, grid);
          const first = starts(grid).find((at) => at >= from && fitsAt(windows, booked, at, minutes));
          expect(hands.earliest(from, minutes)).toBe(first ?? Infinity);
        },
      ),
      { numRuns: 400 },
    );
  });

  it('ends as late as a twin that tries every minute', () => {
    fc.assert(
      fc.property(
        windowsOf,
        spans,
        fc.constantFrom(1, 5),
        fc.integer({ min: 0, max: DAY }),
        fc.integer({ min: 1, max: 50 }),
        (windows, wanted, grid, by, minutes) => {
          const { hands, booked } = bookedIn(windows, wanted, grid);
          const last = starts(grid).findLast((at) => at + minutes <= by && fitsAt(windows, booked, at, minutes));
          expect(hands.latest(by, minutes)).toBe(last ?? -Infinity);
        },
      ),
      { numRuns: 400 },
    );
  });

  it('what is freed again is as if it had never been booked, in whatever order', () => {
    fc.assert(
      fc.property(windowsOf, spans, fc.integer({ min: 1, max: 30 }), (windows, wanted, minutes) => {
        const { hands, booked } = bookedIn(windows, wanted, 1);
        const fresh = new HandsCalendar(windows, 1);
        const copy = hands.copy();
        for (const [from, length] of [...booked].reverse()) hands.free(from, length);
        for (let from = 0; from < DAY; from += 3) {
          expect(hands.earliest(from, minutes)).toBe(fresh.earliest(from, minutes));
          expect(hands.isIdle(from, from + minutes)).toBe(true);
        }
        // The copy still has all of it.
        for (const [from, length] of booked) expect(copy.isIdle(from, from + length)).toBe(false);
      }),
      { numRuns: 100 },
    );
  });

  it('is idle where nothing is booked, and says until when its free stretch runs', () => {
    fc.assert(
      fc.property(windowsOf, spans, fc.integer({ min: 0, max: DAY }), (windows, wanted, minute) => {
        const { hands, booked } = bookedIn(windows, wanted, 1);
        const isTaken = booked.some(([from, length]) => minute < from + length && minute + 10 > from);
        expect(hands.isIdle(minute, minute + 10)).toBe(!isTaken);
        const window = windows.find(({ from, until }) => from <= minute && minute < until);
        expect(hands.stretchEnd(minute)).toBe(window ? window.until : minute);
      }),
      { numRuns: 300 },
    );
  });

  it('without a free stretch never begins', () => {
    const none = new HandsCalendar([], 5);
    expect([none.earliest(0, 1), none.latest(1e6, 1)]).toEqual([Infinity, -Infinity]);
    expect(none.stretchEnd(12)).toBe(12);
  });
});

interface Stay {
  from: number;
  until: number;
  room: number;
  heat: number | null;
}
const stays = fc.array(
  fc.record({
    from: fc.integer({ min: 0, max: 60 }),
    length: fc.integer({ min: 0, max: 25 }),
    room: fc.integer({ min: 1, max: 4 }),
    heat: fc.constantFrom(null, null, 150, 180),
  }),
  { maxLength: 9 },
);
const CAPACITY = 5;
const lying = (all: readonly Stay[], minute: number) =>
  all.filter(({ from, until }) => from <= minute && minute < until);
const hasRoom = (all: readonly Stay[], { from, until, room, heat }: Stay): boolean =>
  Array.from({ length: Math.max(0, until - from) }, (_, i) => lying(all, from + i)).every(
    (there) =>
      there.reduce((sum, one) => sum + one.room, room) <= CAPACITY &&
      (heat === null || there.every((one) => one.heat === null || one.heat === heat)),
  );

describe('a place', () => {
  const filled = (wanted: { from: number; length: number; room: number; heat: number | null }[]) => {
    const place = new PlaceUse(CAPACITY);
    const all: Stay[] = [];
    for (const { from, length, room, heat } of wanted) {
      const stay = { from, until: from + length, room, heat };
      if (!hasRoom(all, stay)) continue;
      place.book(stay.from, stay.until, room, heat);
      all.push(stay);
    }
    return { place, all };
  };
  const one = fc.record({
    from: fc.integer({ min: 0, max: 70 }),
    length: fc.integer({ min: 0, max: 30 }),
    room: fc.integer({ min: 1, max: 6 }),
    heat: fc.constantFrom(null, 150, 180),
  });

  it('has a conflict exactly where a twin that looks at every minute finds one', () => {
    fc.assert(
      fc.property(stays, one, (wanted, { from, length, room, heat }) => {
        const { place, all } = filled(wanted);
        const stay = { from, until: from + length, room, heat };
        const conflict = place.conflict(from, from + length, room, heat);
        expect(conflict === null).toBe(hasRoom(all, stay) || length === 0);
        // Where it says when to try again, nothing sooner would have done.
        if (!conflict || room > CAPACITY) return;
        for (let later = from; later < conflict.firstFreeAt; later++)
          expect(hasRoom(all, { ...stay, from: later, until: later + length })).toBe(false);
      }),
      { numRuns: 600 },
    );
  });

  it('what is larger than it never lies there', () => {
    expect(new PlaceUse(CAPACITY).conflict(0, 10, CAPACITY + 1, null)?.firstFreeAt).toBe(Infinity);
    expect(new PlaceUse(CAPACITY).conflict(0, 10, CAPACITY, null)).toBeNull();
  });

  it('what is freed leaves the room it took, and a copy stays as it was', () => {
    fc.assert(
      fc.property(stays, (wanted) => {
        const { place, all } = filled(wanted);
        const copy = place.copy();
        for (const { from, until, room, heat } of all) place.free(from, until, room, heat);
        expect(place.conflict(0, 100, CAPACITY, 165)).toBeNull();
        const longest = all.filter(({ from, until }) => until > from);
        expect(copy.conflict(0, 100, CAPACITY, 165) === null).toBe(longest.length === 0);
      }),
      { numRuns: 200 },
    );
  });
});
