import fc from '@/testing/properties';
import { copierPlan } from './index';

describe('copier arithmetic', () => {
  it.each([
    [100, 141.4, [141]],
    [297, 210, [71]],
    [50, 200, [400]],
    [200, 50, [25]],
  ])('%p mm to %p mm in one pass', (from, to, passes) =>
    expect(copierPlan(from, to)).toMatchObject({ ok: true, value: { passes } }),
  );
  it('takes two passes whose percents multiply beyond the machine’s range', () => {
    const large = copierPlan(40, 300);
    expect(large.ok && large.value.passes).toHaveLength(2);
    expect(large.ok && Math.abs(large.value.errorMm)).toBeLessThan(0.1);
    expect(copierPlan(300, 40)).toMatchObject({ ok: true });
  });
  it('refuses what two passes can’t reach', () => {
    expect(copierPlan(10, 200)).toMatchObject({ ok: false, error: { code: 'copier-out-of-range' } });
    expect(copierPlan(800, 40)).toMatchObject({ ok: false });
  });
  it('stays within the machine’s range, and as near as whole percents allow', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 20, max: 400, noNaN: true }),
        fc.double({ min: 20, max: 900, noNaN: true }),
        (from, to) => {
          const made = copierPlan(from, to);
          if (!made.ok) return;
          const { passes, resultMm, errorMm, exactPercent } = made.value;
          expect(passes.every((percent) => Number.isInteger(percent) && percent >= 25 && percent <= 400)).toBe(true);
          expect(resultMm).toBeCloseTo(
            passes.reduce((size, percent) => (size * percent) / 100, from),
            9,
          );
          expect(Math.abs(errorMm)).toBeLessThanOrEqual(
            (passes.length === 1 ? 0.0051 : 0.02) * from * Math.max(1, exactPercent / 100),
          );
        },
      ),
    );
  });
});
