import fc from '@/testing/properties';
import { seededChance } from '@/core/shared';
import { instanceOf } from '@/testing/instances';
import {
  asLateAsSafe,
  benchOf,
  checkSchedule,
  outcomeOf,
  placeByKeys,
  placeInTime,
  repairSchedule,
  searchSchedule,
  nothingPlaced,
  type Instance,
  type Placed,
} from './index';

const small = fc.record({
  seed: fc.integer({ min: 1, max: 1e6 }),
  pieces: fc.integer({ min: 1, max: 7 }),
  gridMinutes: fc.constantFrom(1, 5, 15),
  days: fc.integer({ min: 8, max: 20 }),
});
const instances = small.map((of) => instanceOf(of));
/** Two pairs of hands, one of them not free every day nor able to do all; set-ups; split rubbing; pieces of sizes. */
const rich = small.map((of) => instanceOf({ ...of, hands: 2, setUps: true }));
const any = fc.oneof(instances, rich);
const placedOf = (placed: Placed) => [...placed.who].filter((who) => who !== 0).length;
const rulesBroken = (instance: Instance, placed: Placed) =>
  checkSchedule(instance, placed).filter(({ rule }) => rule !== 'unplaced');

describe('placing steps', () => {
  it('any order of steps gives a schedule that breaks nothing: hands, places, waits, latest waits, free hours', () => {
    fc.assert(
      fc.property(any, fc.integer(), (instance, seed) => {
        const chance = seededChance(seed);
        const bench = benchOf(instance);
        const keys = instance.tasks.map(() => chance());
        expect(checkSchedule(instance, placeByKeys(bench, keys))).toEqual([]);
        const inTime = placeInTime(bench, keys);
        expect(inTime && checkSchedule(instance, inTime)).toEqual([]);
      }),
      { numRuns: 150 },
    );
  });

  it('what the search finds breaks nothing either, and looking longer never costs more', () => {
    fc.assert(
      fc.property(any, (instance) => {
        const found = searchSchedule(instance, { tries: 60, seed: 3 });
        expect(checkSchedule(instance, found.placed)).toEqual([]);
        expect(found.cost).toBeLessThanOrEqual(searchSchedule(instance, { tries: 0, seed: 3 }).cost);
      }),
      { numRuns: 40 },
    );
  });

  it('is the same every time', () => {
    const instance = instanceOf({ seed: 5, pieces: 6, gridMinutes: 5, days: 12 });
    expect(searchSchedule(instance, { tries: 80, seed: 1 })).toEqual(searchSchedule(instance, { tries: 80, seed: 1 }));
  });

  it('says what finds no place: a step longer than any free stretch, a rack without places', () => {
    const instance = instanceOf({ seed: 8, pieces: 2, gridMinutes: 5, days: 10 });
    const longest = {
      ...instance,
      tasks: instance.tasks.map((task, index) => (index === 0 ? { ...task, minutes: 2000 } : task)),
    };
    const found = searchSchedule(longest, { tries: 10, seed: 1 });
    const outcome = outcomeOf(benchOf(longest), found.placed);
    expect(outcome.unplaced).toContain(0);
    expect(outcome.finishes[0]).toBeGreaterThan(longest.hands[0].at(-1)?.until ?? 0);
    expect(
      placedOf(searchSchedule({ ...instance, places: { ...instance.places, rack: 0 } }, { tries: 5, seed: 1 }).placed),
    ).toBeLessThan(instance.tasks.length);
  });

  it('keeps an attended oven inside one free stretch', () => {
    const base = instanceOf({ seed: 4, pieces: 3, gridMinutes: 5, days: 12, peels: false });
    const instance = {
      ...base,
      tasks: base.tasks.map((task) =>
        task.id.endsWith('lay')
          ? {
              ...task,
              attended: true,
              wait: { ...task.wait, minMinutes: 75, drying: null, place: 'oven' as const },
            }
          : task,
      ),
    };
    const { placed } = searchSchedule(instance, { tries: 30, seed: 1 });
    const { starts } = placed;
    expect(checkSchedule(instance, placed)).toEqual([]);
    instance.tasks.forEach((task, index) => {
      if (task.attended)
        expect(
          instance.hands[0].some(
            (window) => window.from <= starts[index] && starts[index] + task.minutes + 75 <= window.until,
          ),
        ).toBe(true);
    });
  });
});

describe('pinned steps', () => {
  it('stay, whatever else is placed', () => {
    fc.assert(
      fc.property(instances, fc.nat(), (instance, pick) => {
        const { placed } = searchSchedule(instance, { tries: 20, seed: 2 });
        const { starts } = placed;
        const index = pick % instance.tasks.length;
        const window = instance.hands[0].find(
          (one) => one.from > starts[index] && one.until - one.from >= instance.tasks[index].minutes,
        );
        if (!window) return;
        const pinned = {
          ...instance,
          tasks: instance.tasks.map((task, at) => (at === index ? { ...task, pinnedAt: window.from } : task)),
        };
        for (const after of [
          searchSchedule(pinned, { tries: 20, seed: 2 }).placed,
          repairSchedule(pinned, placed, { tries: 20, seed: 1 }).placed,
        ]) {
          expect(after.starts[index]).toBe(window.from);
          // Steps before it may not make it in time on its peel; everything else holds.
          expect(rulesBroken(pinned, after).filter(({ rule }) => rule !== 'too-late' && rule !== 'order')).toEqual([]);
        }
      }),
      { numRuns: 60 },
    );
  });
});

describe('as late as is safe', () => {
  it('breaks nothing, moves nothing forward, and makes no piece late that was not', () => {
    fc.assert(
      fc.property(any, (instance) => {
        const bench = benchOf(instance);
        const { placed } = searchSchedule(instance, { tries: 20, seed: 2 });
        const late = asLateAsSafe(bench, placed, 0);
        expect(checkSchedule(instance, late)).toEqual([]);
        late.starts.forEach((start, index) => expect(start).toBeGreaterThanOrEqual(placed.starts[index]));
        const [before, after] = [outcomeOf(bench, placed), outcomeOf(bench, late)];
        after.tardiness.forEach((tardiness, piece) =>
          expect(tardiness).toBeLessThanOrEqual(before.tardiness[piece] + 1e-9),
        );
      }),
      { numRuns: 60 },
    );
  });

  it('really waits for the due date', () => {
    const base = instanceOf({ seed: 21, pieces: 1, gridMinutes: 5, days: 16, peels: false });
    const instance = { ...base, pieces: [{ id: 'p0', dueMinute: 14 * 1440, set: null }] };
    const bench = benchOf(instance);
    const { placed } = searchSchedule(instance, { tries: 20, seed: 2 });
    const late = asLateAsSafe(bench, placed, 1440);
    expect(late.starts[0]).toBeGreaterThan(placed.starts[0] + 5 * 1440);
    expect(outcomeOf(bench, late).finishes[0]).toBeLessThanOrEqual(13 * 1440);
  });
});

describe('after a change', () => {
  const planned = (seed: number) => {
    const more = seed % 2 ? ({ hands: 2, setUps: true } as const) : {};
    const instance = instanceOf({ seed, pieces: 6, gridMinutes: 5, days: 16, ...more });
    const { placed } = searchSchedule(instance, { tries: 60, seed: 1 });
    return { instance, placed, starts: placed.starts };
  };

  it('nothing moves when nothing changed, or when a step is done sooner', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 5000 }), (seed) => {
        const { instance, placed, starts } = planned(seed);
        const again = repairSchedule(instance, placed, { tries: 20, seed: 1 });
        expect(again.moved).toEqual([]);
        const first = [...starts.keys()].sort((a, b) => starts[a] - starts[b])[0];
        const done = {
          ...instance,
          tasks: instance.tasks.map((task, index) =>
            index === first ? { ...task, minutes: Math.max(1, task.minutes - 5) } : task,
          ),
        };
        expect(repairSchedule(done, placed, { tries: 20, seed: 1 }).moved).toEqual([]);
      }),
      { numRuns: 30 },
    );
  });

  it('a late step moves its own piece and little else; nothing is broken', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 5000 }),
        fc.nat(),
        fc.integer({ min: 30, max: 600 }),
        (seed, pick, late) => {
          const { instance, placed, starts } = planned(seed);
          const index = pick % instance.tasks.length;
          const changed = {
            ...instance,
            tasks: instance.tasks.map((task, at) => (at === index ? { ...task, notBefore: starts[at] + late } : task)),
          };
          const { placed: after, moved, how } = repairSchedule(changed, placed, { tries: 40, seed: 1 });
          expect(checkSchedule(changed, after)).toEqual([]);
          expect(after.starts[index]).toBeGreaterThanOrEqual(starts[index] + late);
          // Without set-ups: what shared one gets that ready for itself, needs more time, and may push others.
          if (how === 'fitted' && !placed.shared.some(Boolean))
            for (const one of moved) expect(instance.tasks[one].piece).toBe(instance.tasks[index].piece);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('what was late already upsets nothing; a date that comes nearer is worked towards', () => {
    const base = instanceOf({ seed: 21, pieces: 8, gridMinutes: 5, days: 16, peels: false });
    const dated = (piece: number, dueMinute: number): Instance => ({
      ...base,
      pieces: base.pieces.map((one, at) => ({ ...one, dueMinute: at === piece ? dueMinute : null })),
    });
    // Nobody can do it within an hour.
    const hopeless = dated(0, 60);
    const { placed } = searchSchedule(hopeless, { tries: 200, seed: 1 });
    const other = base.tasks.findIndex(({ piece }) => piece === 7);
    const changed = {
      ...hopeless,
      tasks: hopeless.tasks.map((task, at) =>
        at === other ? { ...task, notBefore: placed.starts[other] + 240 } : task,
      ),
    };
    const { how, moved } = repairSchedule(changed, placed, { tries: 200, seed: 1 });
    expect(how).toBe('fitted');
    for (const one of moved) expect(base.tasks[one].piece).toBe(7);

    const free = searchSchedule(dated(0, 1e6), { tries: 200, seed: 1 }).placed;
    const last = outcomeOf(benchOf(base), free).finishes.reduce(
      (most, finish, piece, all) => (finish > all[most] ? piece : most),
      0,
    );
    const nearer = dated(last, 2 * 1440);
    const lateOf = (of: Placed) => outcomeOf(benchOf(nearer), of).tardiness[last];
    expect(lateOf(free)).toBeGreaterThan(0);
    expect(lateOf(repairSchedule(nearer, free, { tries: 200, seed: 1 }).placed)).toBe(0);
  });

  it('a new piece finds its place between what stands', () => {
    const { instance, placed } = planned(78);
    const added = instanceOf({ seed: 1234, pieces: 1, gridMinutes: 5, days: 16, peels: false });
    const offset = instance.tasks.length;
    const both: Instance = {
      ...instance,
      pieces: [...instance.pieces, { id: 'new', dueMinute: null, set: null }],
      tasks: [
        ...instance.tasks,
        ...added.tasks.map((task) => ({
          ...task,
          id: `new-${task.id}`,
          piece: instance.pieces.length,
          after: task.after.map((before) => before + offset),
        })),
      ],
    };
    const before = nothingPlaced(both.tasks.length);
    before.starts.set(placed.starts);
    before.who.set(placed.who);
    before.shared.set(placed.shared);
    const { placed: after, moved } = repairSchedule(both, before, { tries: 20, seed: 1 });
    expect(checkSchedule(both, after)).toEqual([]);
    expect(moved).toEqual([]);
  });
});
