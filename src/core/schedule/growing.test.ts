import fc from '@/testing/properties';
import { instanceOf } from '@/testing/instances';
import { benchOf, checkSchedule, outcomeOf, searchSchedule, type Instance } from './index';
import { grownOrder } from './growing';

const grow = (instance: Instance, tries: number) => {
  const bench = benchOf(instance);
  const { tasks } = instance;
  const keysOf = (order: readonly number[]) =>
    Float64Array.from(tasks, ({ piece }, index) => order.indexOf(bench.setAt[piece]) + index / (2 * tasks.length));
  const grown = grownOrder(bench, keysOf, tries, searchSchedule(instance, { tries: 0, seed: 1 }).placed);
  return { bench, ...grown, ...outcomeOf(bench, grown.placed) };
};
const many = (of: Partial<Parameters<typeof instanceOf>[0]> = {}): Instance =>
  instanceOf({ seed: 7, pieces: 20, gridMinutes: 5, days: 30, steps: [5, 9], ...of });

const instances = fc
  .record({
    seed: fc.integer({ min: 1, max: 1e6 }),
    pieces: fc.integer({ min: 1, max: 9 }),
    gridMinutes: fc.constantFrom(5, 15),
    days: fc.integer({ min: 1, max: 20 }),
  })
  .chain((of) => fc.constantFrom(instanceOf(of), instanceOf({ ...of, hands: 2, setUps: true })));

describe('an order grown from the front', () => {
  it('holds every piece once, a set as one, and its schedule breaks nothing, even where not all fits', () => {
    fc.assert(
      fc.property(instances, fc.constantFrom(0, 1, 30), (instance, tries) => {
        const { bench, order, placed } = grow(instance, tries);
        expect([...order].sort((a, b) => a - b)).toEqual([...bench.sets.keys()]);
        expect(checkSchedule(instance, placed).filter(({ rule }) => rule !== 'unplaced')).toEqual([]);
      }),
      { numRuns: 80 },
    );
  });

  it('is the same every time, and takes about as long as it may', () => {
    const first = grow(many(), 200);
    const { bench: _, ...again } = grow(many(), 200);
    expect(first).toMatchObject(again);
    expect(first.tried).toBeGreaterThan(100);
    expect(first.tried).toBeLessThan(260);
    expect(grow(many(), 0).tried).toBeLessThan(20);
  });

  it.each([7, 8, 9, 10])('costs less than every simple rule, with dates kept that can be (seed %i)', (seed) => {
    const instance = many({ seed });
    const ruled = searchSchedule(instance, { tries: 0, seed: 1 }).cost;
    const { cost, tardiness } = grow(instance, 200);
    expect(cost).toBeLessThan(0.97 * ruled);
    const lateByRule = outcomeOf(benchOf(instance), searchSchedule(instance, { tries: 0, seed: 1 }).placed).tardiness;
    expect(Math.max(...tardiness)).toBeLessThanOrEqual(Math.max(...lateByRule));
  });

  it('serves several pairs of hands, set-ups and ovens alike', () => {
    const instance = many({ hands: 2, setUps: true });
    expect(grow(instance, 200).cost).toBeLessThan(searchSchedule(instance, { tries: 0, seed: 1 }).cost);
  });

  it('leaves pinned steps where they are', () => {
    const base = many({ pieces: 8 });
    const minute = base.hands[0][5].from;
    const instance = {
      ...base,
      tasks: base.tasks.map((task) => (task.id === 'p6/print' ? { ...task, pinnedAt: minute } : task)),
    };
    const { placed } = grow(instance, 40);
    expect(placed.starts[instance.tasks.findIndex(({ id }) => id === 'p6/print')]).toBe(minute);
  });

  it('ends where no hands are free, or only for a day and then no more', () => {
    const base = many({ pieces: 8 });
    expect(grow({ ...base, hands: [[]] }, 40).unplaced).toHaveLength(base.tasks.length);
    const { unplaced, cost } = grow({ ...base, hands: [base.hands[0].slice(0, 1)] }, 40);
    expect(unplaced.length).toBeGreaterThan(0);
    expect(cost).toBeLessThan(Infinity);
  });

  it('the search that begins from it hurries what is due, and lets wait what is not', () => {
    const dated = (dueMinute: number | null) => {
      const base = many();
      const pieces = base.pieces.map((piece) => ({ ...piece, dueMinute: piece.id === 'p2' ? dueMinute : null }));
      const { placed } = searchSchedule({ ...base, pieces }, { tries: 600, seed: 1 });
      return outcomeOf(benchOf(base), placed).finishes[2];
    };
    const soonest = 3 * 1440;
    expect(dated(null)).toBeGreaterThan(soonest);
    expect(dated(soonest)).toBeLessThanOrEqual(soonest);
  });
});
