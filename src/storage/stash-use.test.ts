import fc from '@/testing/properties';
import { newItem } from '@/records';
import { NOW, readyPiece } from '@/testing/builders';
import { drawnFrom, leftOf } from './index';
import { withoutDraws } from './stash-use';

const gel = (amount: number | null, countedAt = NOW) => newItem('gel', 'binder', 'Gel', countedAt, { amount });
const user = (id: string, ...draws: [amount: number, at: number, item?: string][]) => ({
  ...readyPiece({ id, name: `Piece ${id}` }),
  work: {
    done: [],
    draws: draws.map(([amount, at, item = 'gel']) => ({ step: { code: 'lay' } as never, item, amount, at })),
  },
});

describe('what is left of an item', () => {
  it('is what was counted less what was drawn since, by whom is told', () => {
    const users = [user('a', [10, NOW + 1], [5, NOW + 2]), user('b', [20, NOW + 3, 'glue']), user('c', [1, NOW + 4])];
    expect(drawnFrom(gel(100), users)).toEqual([
      { pieceId: 'a', name: 'Piece a', amount: 15 },
      { pieceId: 'c', name: 'Piece c', amount: 1 },
    ]);
    expect(leftOf(gel(100), users)).toBe(84);
  });

  it('what was drawn before it was counted counts no more', () => {
    expect(leftOf(gel(100), [user('a', [40, NOW - 1], [30, NOW])])).toBe(100);
    expect(leftOf(gel(100, NOW - 5), [user('a', [40, NOW - 1])])).toBe(60);
  });

  it('is unknown where nobody said how much there was, and never less than nothing', () => {
    expect(leftOf(gel(null), [user('a', [40, NOW + 1])])).toBeNull();
    expect(leftOf(gel(30), [user('a', [40, NOW + 1])])).toBe(0);
    expect(leftOf(gel(0), [])).toBe(0);
  });

  it('a piece of an earlier version, without a record of its work, drew nothing', () => {
    expect(leftOf(gel(50), [{ id: 'old', name: 'Old', work: undefined as never }])).toBe(50);
  });

  it('taken off for good leaves the same, without the pieces', () => {
    const draw = fc.tuple(fc.integer({ min: 0, max: 50 }), fc.integer({ min: -5, max: 5 }));
    fc.assert(
      fc.property(fc.option(fc.integer({ min: 0, max: 200 })), fc.array(draw, { maxLength: 6 }), (amount, draws) => {
        const users = [user('a', ...draws.map(([ml, at]) => [ml, NOW + at] as [number, number]))];
        const [settled] = withoutDraws([gel(amount)], users);
        expect(settled.amount).toBe(leftOf(gel(amount), users));
        expect(leftOf(settled, [])).toBe(leftOf(gel(amount), users));
      }),
    );
  });
});
