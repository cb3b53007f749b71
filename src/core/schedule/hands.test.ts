import {
  batchesOf,
  benchOf,
  checkSchedule,
  endOf,
  nothingPlaced,
  outcomeOf,
  placeByKeys,
  placeInTime,
  repairSchedule,
  searchSchedule,
  shelfRoom,
  type Instance,
  type Placed,
  type Task,
} from './index';

const HOUR = 60;
const task = (piece: number, patch: Partial<Task> = {}): Task => ({
  id: `p${piece}/step`,
  piece,
  minutes: 10,
  setUp: null,
  hands: 1,
  people: 1,
  after: [],
  wait: { minMinutes: 0, maxMinutes: null, drying: null, place: null, room: 0, heat: null },
  notBefore: 0,
  pinnedAt: null,
  attended: false,
  ...patch,
});
const evenings = (minutes: number, days = 6) =>
  Array.from({ length: days }, (_, day) => ({ from: day * 1440, until: day * 1440 + minutes }));
const instance = (tasks: Task[], patch: Partial<Instance> = {}): Instance => ({
  tasks,
  pieces: [...new Set(tasks.map(({ piece }) => piece))].map((piece) => ({
    id: `p${piece}`,
    dueMinute: null,
    set: null,
  })),
  hands: [evenings(3 * HOUR)],
  gridMinutes: 5,
  places: { bench: 3, rack: 240, oven: 2 },
  occupied: [],
  room: null,
  ...patch,
});
const placed = (of: Instance) => {
  const found = searchSchedule(of, { tries: 300, seed: 1 });
  expect(checkSchedule(of, found.placed)).toEqual([]);
  return found.placed;
};

describe('short waits', () => {
  const drying = { minMinutes: 15, maxMinutes: null, drying: null, place: 'bench', room: 1, heat: null } as const;
  const of = instance(
    [0, 1, 2].flatMap((piece) => [
      task(piece, { minutes: 20, wait: drying }),
      task(piece, { minutes: 20, after: [piece * 2] }),
    ]),
  );
  const inOrder = of.tasks.map((_, index) => index);
  const lastEnd = (at: Placed | null) => Math.max(...of.tasks.map((_, index) => (at ? endOf(of, at, index) : NaN)));

  it('of one piece are filled by the next where the plan is made through time', () => {
    const bench = benchOf(of);
    expect(lastEnd(placeByKeys(bench, inOrder))).toBe(3 * (20 + 15 + 20));
    // Nothing is left to fill the last one's wait with.
    expect(lastEnd(placeInTime(bench, inOrder))).toBe(6 * 20 + 15);
    expect(lastEnd(placed(of))).toBe(6 * 20 + 15);
  });

  it('a plan that is seen to cost too much is given up, one that does not is made', () => {
    const bench = benchOf(of);
    const { cost } = outcomeOf(bench, placeInTime(bench, inOrder)!);
    expect(placeInTime(bench, inOrder, cost - 1)).toBeNull();
    expect(placeInTime(bench, inOrder, cost)).not.toBeNull();
  });

  it('what finds no room is left, and what follows it', () => {
    const tight = instance([...of.tasks.slice(0, 2), task(1, { minutes: 500 }), task(1, { after: [2] })]);
    const at = placeInTime(benchOf(tight), [0, 1, 2, 3])!;
    expect([...at.who]).toEqual([1, 1, 0, 0]);
  });
});

describe('a late step in evenings that are full', () => {
  const tasks = [0, 1, 2, 3, 4, 5].map((piece) => task(piece, { minutes: 20 }));
  const full = (late: Partial<Task> = {}, of = -1): Instance => ({
    ...instance(
      tasks.map((one, index) => (index === of ? { ...one, ...late } : one)),
      { hands: [evenings(HOUR)] },
    ),
    pieces: tasks.map(({ piece }) => ({ id: `p${piece}`, set: null, dueMinute: piece < 3 ? 60 : 1500 })),
  });
  const before = placed(full());
  const first = before.starts.indexOf(0);
  const lateIn = (of: Instance, at: Placed) =>
    [...outcomeOf(benchOf(of), at).tardiness.keys()].filter((piece) => outcomeOf(benchOf(of), at).tardiness[piece] > 0);

  it('takes turns with what stands beside it, and nothing gets late', () => {
    const late = full({ notBefore: 30 }, first);
    const { placed: after, moved, how } = repairSchedule(late, before, { tries: 50, seed: 1 });
    expect(checkSchedule(late, after)).toEqual([]);
    expect(how).toBe('turned');
    expect(moved.every((index) => index < 3)).toBe(true);
    expect(lateIn(late, after)).toEqual([]);
  });

  it('a date that comes nearer lets others take turns with it', () => {
    const last = before.starts.reduce((at, start, index) => (start > before.starts[at] ? index : at), 0);
    const sooner = {
      ...full(),
      pieces: full().pieces.map((piece, index) => ({ ...piece, dueMinute: index === last ? 1480 : 1500 })),
    };
    const { placed: after, how } = repairSchedule(sooner, before, { tries: 50, seed: 1 });
    expect(how).toBe('turned');
    expect(lateIn(sooner, after)).toEqual([]);
  });

  it('gets late alone where it must', () => {
    const late = full({ notBefore: 1441 }, first);
    expect(lateIn(late, repairSchedule(late, before, { tries: 50, seed: 1 }).placed)).toEqual([first]);
  });
});

describe('what is got ready once', () => {
  const prints = [0, 1, 2, 3].map((piece) => task(piece, { minutes: 5, setUp: { kind: 0, minutes: 10 } }));

  it('four prints one after the other get the printer ready once', () => {
    const of = instance(prints);
    const at = placed(of);
    expect(batchesOf(of, at)).toHaveLength(1);
    expect(Math.max(...prints.map((_, index) => endOf(of, at, index)))).toBe(10 + 4 * 5);
  });

  it('a set is done together, step by step, where its room allows', () => {
    const steps = (piece: number): Task[] => [
      task(piece, { minutes: 3, setUp: { kind: 0, minutes: 2 } }),
      task(piece, { minutes: 4, setUp: { kind: 1, minutes: 2 }, after: [3 * piece] }),
      task(piece, { minutes: 10, setUp: { kind: 2, minutes: 3 }, after: [3 * piece + 1] }),
    ];
    const all = Array.from({ length: 12 }, (_, piece) => steps(piece)).flat();
    const of = instance(all, { hands: [evenings(8 * HOUR)] });
    const batches = (set: string | null) =>
      batchesOf(
        of,
        searchSchedule({ ...of, pieces: of.pieces.map((piece) => ({ ...piece, set })) }, { tries: 60, seed: 1 }).placed,
      ).length;
    expect(batches('cards')).toBe(3);
    expect(batches('cards')).toBeLessThanOrEqual(batches(null));
  });

  it('several new pieces are fitted in step by step, and share what is got ready', () => {
    const steps = (piece: number): Task[] => [
      task(piece, { minutes: 3, setUp: { kind: 0, minutes: 5 } }),
      task(piece, { minutes: 4, setUp: { kind: 1, minutes: 5 }, after: [2 * piece] }),
    ];
    const of = instance([0, 1, 2, 3].flatMap(steps));
    const { placed: after } = repairSchedule(of, nothingPlaced(of.tasks.length), { tries: 10, seed: 1 });
    expect(checkSchedule(of, after)).toEqual([]);
    expect(batchesOf(of, after)).toHaveLength(2);
  });

  it('other hands, another kind or a long pause between share nothing', () => {
    const apart = instance([prints[0], task(1, { minutes: 5, setUp: { kind: 1, minutes: 10 } })]);
    expect(batchesOf(apart, placed(apart))).toHaveLength(2);
    const later = instance([prints[0], task(1, { ...prints[1], notBefore: 1440 })]);
    expect([...placed(later).shared]).toEqual([0, 0]);
    const split = instance([prints[0], { ...prints[1], hands: 2 }], { hands: [evenings(60), evenings(60)] });
    expect([...placed(split).shared]).toEqual([0, 0]);
  });

  it('a step that is shortened a little keeps the next one’s set-up; one whose set-up is gone is found out', () => {
    const of = instance(prints.slice(0, 2));
    const at = placed(of);
    const first = at.starts[0] < at.starts[1] ? 0 : 1;
    const sooner = { ...of, tasks: of.tasks.map((one, index) => (index === first ? { ...one, minutes: 1 } : one)) };
    expect(checkSchedule(sooner, at)).toEqual([]);
    const gone = at.starts.slice();
    gone[1 - first] += 2 * HOUR;
    expect(checkSchedule(of, { ...at, starts: gone }).map(({ rule }) => rule)).toEqual(['set-up']);
  });

  it('what was shared with a step that is late now gets ready itself, so much sooner: what stands after it stays', () => {
    const after = task(2, { minutes: 20 });
    const of = instance([prints[0], prints[1], after]);
    const before = nothingPlaced(3);
    before.starts.set([0, 15, 20]);
    before.who.fill(1);
    before.shared[1] = 1;
    expect(checkSchedule(of, before)).toEqual([]);
    const late = { ...of, tasks: [{ ...prints[0], notBefore: 600 }, prints[1], after] };
    const { placed: now, moved, how } = repairSchedule(late, before, { tries: 20, seed: 1 });
    expect(checkSchedule(late, now)).toEqual([]);
    expect(how).toBe('fitted');
    expect(moved).toEqual([0, 1]);
    expect([now.starts[1], endOf(late, now, 1), now.starts[2]]).toEqual([5, 20, 20]);

    // Where it may not begin so soon, it begins where it stood, and pushes.
    const held = { ...late, tasks: [late.tasks[0], { ...prints[1], notBefore: 10 }, after] };
    const pushed = repairSchedule(held, before, { tries: 20, seed: 1 }).placed;
    expect(checkSchedule(held, pushed)).toEqual([]);
    expect([...pushed.starts.slice(1)]).toEqual([15, 30]);
  });

  it('within a batch comes first what waits longest after it', () => {
    const waits = [0, 20 * HOUR, 5 * HOUR].map((minMinutes, piece) =>
      task(piece, {
        setUp: { kind: 0, minutes: 10 },
        wait: { ...task(0).wait, minMinutes, place: minMinutes ? 'rack' : null, room: 1 },
      }),
    );
    const of = instance(waits);
    expect(batchesOf(of, placed(of))).toEqual([[1, 2, 0]]);
  });
});

describe('several pairs of hands', () => {
  it('nobody is given what they may not do, and what takes two waits for both', () => {
    const tasks = [task(0), task(1, { hands: 2 }), task(2, { hands: 3, people: 2 })];
    const of = instance(tasks, { hands: [evenings(HOUR), [{ from: 1440, until: 1440 + HOUR }]] });
    const at = placed(of);
    expect([...at.who]).toEqual([1, 2, 3]);
    expect(at.starts[2]).toBeGreaterThanOrEqual(1440);
    expect(checkSchedule(of, { ...at, who: Uint8Array.from([2, 2, 3]) }).map(({ rule }) => rule)).toContain('skill');
    expect(checkSchedule(of, { ...at, who: Uint8Array.from([1, 2, 1]) }).map(({ rule }) => rule)).toContain('skill');
  });

  it('a helper halves an evening', () => {
    const tasks = [0, 1, 2, 3].map((piece) => task(piece, { minutes: 60, hands: 3 }));
    const end = (of: Instance) => Math.max(...tasks.map((_, index) => endOf(of, placed(of), index)));
    expect(end(instance(tasks, { hands: [evenings(240)] }))).toBe(240);
    expect(end(instance(tasks, { hands: [evenings(240), evenings(240)] }))).toBe(120);
  });
});

it('long work is done in sittings where no stretch is long enough, and got ready anew for each', () => {
  const own = (minutes: number) => ({ kind: 7, minutes });
  const parts = [
    task(0, { minutes: 25, setUp: own(0) }),
    task(0, { minutes: 25, setUp: own(3), after: [0] }),
    task(0, { minutes: 25, setUp: own(3), after: [1] }),
  ];
  const short = instance(parts, { hands: [evenings(55)] });
  const at = placed(short);
  expect(batchesOf(short, at)).toEqual([[0, 1], [2]]);
  expect(endOf(short, at, 2) - at.starts[2]).toBe(28);
  const long = instance(parts, { hands: [evenings(90)] });
  expect(endOf(long, placed(long), 2)).toBe(75);
});

describe('room', () => {
  it('pieces take shelves by their size, larger ones several', () => {
    const shelf = { widthMm: 600, depthMm: 400 };
    const room = (widthMm: number, heightMm: number) => shelfRoom({ widthMm, heightMm }, shelf);
    expect([room(600, 400), room(290, 390), room(190, 190), room(10, 10)]).toEqual([60, 30, 10, 1]);
    // Turned, two of them lie side by side.
    expect(room(400, 290)).toBe(30);
    expect([room(610, 400), room(1900, 800)]).toEqual([120, 480]);
    expect(room(0, 0)).toBe(1);
  });

  it('what does not lie beside the others waits until one leaves', () => {
    const lies = (piece: number, room: number) =>
      task(piece, { wait: { ...task(0).wait, minMinutes: 20 * HOUR, place: 'rack', room } });
    const end = (rooms: number[]) => {
      const of = instance(
        rooms.map((room, piece) => lies(piece, room)),
        { places: { bench: 3, rack: 60, oven: 1 } },
      );
      return Math.max(...placed(of).starts);
    };
    expect(end([30, 20, 10])).toBeLessThan(180);
    expect(end([30, 20, 20])).toBeGreaterThanOrEqual(20 * HOUR);
  });

  it('the oven takes several at one heat, and never two heats at once', () => {
    const bakes = (piece: number, heat: number) =>
      task(piece, { attended: true, wait: { ...task(0).wait, minMinutes: 60, place: 'oven', room: 1, heat } });
    const last = (heats: number[]) => {
      const of = instance(heats.map((heat, piece) => bakes(piece, heat)));
      return { of, at: placed(of) };
    };
    expect(Math.max(...last([80, 80]).at.starts)).toBe(10);
    const { of, at } = last([80, 100]);
    expect(Math.abs(at.starts[0] - at.starts[1])).toBeGreaterThanOrEqual(60);
    expect(checkSchedule(of, { ...at, starts: Float64Array.from([0, 10]) }).map(({ rule }) => rule)).toEqual(['heat']);
  });
});
