import fc from '@/testing/properties';
import { MS_PER_HOUR, MS_PER_MINUTE } from '@/core/shared';
import { airCourse, changingDrying, dayBetween } from '@/core/cure';
import type { Task, TaskWait } from './instance';
import { ripenessOf } from './ripeness';

const course = airCourse(
  { readings: [], profile: dayBetween(7, 21, 60) },
  { temperatureC: 20, humidityPercent: 50 },
  { fromAt: 0, untilAt: 30 * 24 * MS_PER_HOUR, stepMs: MS_PER_HOUR },
  (at) => (at / MS_PER_HOUR) % 24,
);
const task = (wait: Partial<TaskWait>): Task => ({
  id: 'a/b',
  piece: 0,
  minutes: 10,
  after: [],
  notBefore: 0,
  pinnedAt: null,
  attended: false,
  setUp: null,
  hands: 1,
  people: 1,
  wait: { minMinutes: 0, maxMinutes: null, drying: null, place: 'rack', room: 1, heat: null, ...wait },
});
const of = (one: Task) => ripenessOf({ tasks: [one], room: { stepMinutes: 60, vpdKpa: [...course.vpdKpa] } });
const waits = fc.record({
  end: fc.integer({ min: 0, max: 20_000 }),
  label: fc.integer({ min: 10, max: 3000 }),
  still: fc.double({ min: 0.5, max: 2, noNaN: true }),
  floor: fc.integer({ min: 0, max: 2000 }),
});

describe('when a wait is over', () => {
  it('agrees with the drying model to the minute, and keeps its floor', () => {
    fc.assert(
      fc.property(waits, ({ end, label, still, floor }) => {
        const one = task({
          drying: { labelMinutes: label, still: Math.round(still * 1000) / 1000 },
          minMinutes: floor,
        });
        const ripe = of(one).ripeAt(one, end);
        const hours = changingDrying(course, Math.round(still * 1000) / 1000, end * MS_PER_MINUTE).hoursFor(label / 60);
        expect(Math.abs(ripe - Math.max(end + floor, end + hours * 60))).toBeLessThanOrEqual(1.01);
        expect(ripe).toBeGreaterThanOrEqual(end + floor);
      }),
    );
  });
  it('backwards finds the latest end that is ripe in time', () => {
    fc.assert(
      fc.property(waits, ({ end, label, still, floor }) => {
        const one = task({ drying: { labelMinutes: label, still }, minMinutes: floor });
        const { ripeAt, latestEnd } = of(one);
        const latest = latestEnd(one, ripeAt(one, end));
        expect(latest).toBeGreaterThanOrEqual(end - 1);
        expect(ripeAt(one, latest)).toBeLessThanOrEqual(ripeAt(one, end) + 1);
      }),
    );
  });
  it('by the clock where nothing dries', () =>
    expect(of(task({ minMinutes: 25 })).ripeAt(task({ minMinutes: 25 }), 100)).toBe(125));
});
