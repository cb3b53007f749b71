import fc from '@/testing/properties';
import { spoonsOf } from './index';

const ML = { tablespoon: { metric: 15, inch: 29.5735 / 2 }, teaspoon: { metric: 5, inch: 29.5735 / 6 } };

describe('a volume in kitchen spoons', () => {
  it.each([
    [15, 'metric', { spoon: 'tablespoon', quarters: 4 }],
    [19, 'metric', { spoon: 'tablespoon', quarters: 5 }],
    [5, 'metric', { spoon: 'teaspoon', quarters: 4 }],
    [7.5, 'metric', { spoon: 'teaspoon', quarters: 6 }],
    [13, 'metric', { spoon: 'teaspoon', quarters: 10 }],
    [29.574, 'inch', { spoon: 'tablespoon', quarters: 8 }],
    [1.23, 'inch', { spoon: 'teaspoon', quarters: 1 }],
  ] as const)('%d ml, %s', (ml, system, spoons) => {
    expect(spoonsOf(ml, system)).toEqual(spoons);
  });

  it('is not told of nothing, of a drop, and of what is poured', () => {
    expect(spoonsOf(0, 'metric')).toBeNull();
    expect(spoonsOf(0.5, 'metric')).toBeNull();
    expect(spoonsOf(240, 'metric')).toEqual({ spoon: 'tablespoon', quarters: 64 });
    expect(spoonsOf(241, 'metric')).toBeNull();
    expect(spoonsOf(NaN, 'metric')).toBeNull();
  });

  it('is never off by more than an eighth of its spoon, and grows with the volume', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 230, noNaN: true }),
        fc.constantFrom('metric' as const, 'inch' as const),
        (ml, system) => {
          const told = spoonsOf(ml, system)!;
          const one = ML[told.spoon][system];
          expect(Math.abs((told.quarters / 4) * one - ml)).toBeLessThanOrEqual(one / 8 + 0.01 * ml);
        },
      ),
    );
  });
});
