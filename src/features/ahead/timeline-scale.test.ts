import fc from '@/testing/properties';
import { HEAD, ROW, ROWS_AT_ONCE, isShown, rowsInSight, scaleOf, snapped } from './timeline-scale';

const HOUR = 3_600_000;

it('an instant lies where its share of the time is, also outside', () => {
  const { x, msPerPx } = scaleOf(10 * HOUR, 20 * HOUR, 100, 600);
  expect([x(10 * HOUR), x(15 * HOUR), x(new Date(20 * HOUR)), x(9 * HOUR)]).toEqual([100, 350, 600, 50]);
  expect(msPerPx).toBe(HOUR / 50);
  expect(snapped(HOUR + 149_000)).toBe(HOUR);
  expect(snapped(HOUR + 151_000)).toBe(HOUR + 300_000);
});

it('a drawing narrower than its names still has a scale', () => {
  expect(Number.isFinite(scaleOf(0, HOUR, 168, 100).x(HOUR))).toBe(true);
});

it('what only touches an end is not shown', () => {
  const scale = scaleOf(10, 20, 0, 100);
  const shown = (from: number, until: number) => isShown(from, until, scale);
  expect([shown(0, 10), shown(0, 11), shown(19, 30), shown(20, 30), shown(0, 30)]).toEqual([
    false,
    true,
    true,
    false,
    true,
  ]);
});

it('every row that is seen is drawn, and few above and below', () => {
  fc.assert(
    fc.property(fc.integer({ min: -5000, max: 50_000 }), fc.integer({ min: 1, max: 3000 }), (above, seen) => {
      const [first, end] = rowsInSight(above, seen);
      expect(first).toBeGreaterThanOrEqual(0);
      expect(end).toBeGreaterThanOrEqual(0);
      const firstSeen = Math.max(0, Math.floor((above - HEAD) / ROW));
      const lastSeen = Math.floor((above + seen - HEAD) / ROW);
      if (lastSeen >= 0) {
        expect(first).toBeLessThanOrEqual(firstSeen);
        expect(end).toBeGreaterThan(lastSeen);
      }
      expect(end - first).toBeLessThanOrEqual(Math.ceil(seen / ROW) + 4 * ROWS_AT_ONCE);
    }),
  );
});
