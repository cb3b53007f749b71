import fc from '@/testing/properties';
import { equalData, mergeChanges } from './index';

const BASE = { a: 1, b: { c: 2, d: [1, 2] }, e: null as number | null };

describe('laying two changes together', () => {
  it('takes each side’s own changes', () => {
    expect(mergeChanges(BASE, { ...BASE, a: 5 }, { ...BASE, b: { c: 9, d: [1, 2] } })).toEqual({
      merged: { a: 5, b: { c: 9, d: [1, 2] }, e: null },
      conflicts: [],
    });
    expect(mergeChanges(BASE, { ...BASE, b: { ...BASE.b, d: [3] } }, { ...BASE, b: { ...BASE.b, c: 7 } })).toEqual({
      merged: { ...BASE, b: { c: 7, d: [3] } },
      conflicts: [],
    });
  });
  it('names what both changed, and keeps theirs there', () => {
    expect(mergeChanges(BASE, { ...BASE, b: { c: 3, d: [1] } }, { ...BASE, b: { c: 4, d: [2] } })).toEqual({
      merged: { ...BASE, b: { c: 4, d: [2] } },
      conflicts: ['b.c', 'b.d'],
    });
    expect(mergeChanges(BASE, { ...BASE, e: 1 }, { ...BASE, e: 1 }).conflicts).toEqual([]);
  });
  it('keeps mine there where that is preferred, and theirs elsewhere', () => {
    expect(mergeChanges(BASE, { ...BASE, a: 2 }, { ...BASE, a: 3, e: 4 }, 'mine')).toEqual({
      merged: { ...BASE, a: 2, e: 4 },
      conflicts: ['a'],
    });
    expect(mergeChanges(BASE, { ...BASE, a: 2 }, { ...BASE, a: 3 }, 'theirs').merged.a).toBe(3);
  });
  it('lays nothing together of what was none, of lists, or of different kinds', () => {
    type Loose = { at: unknown };
    const clash = (base: unknown, mine: unknown, theirs: unknown) =>
      mergeChanges<Loose>({ at: base }, { at: mine }, { at: theirs });
    for (const [base, mine, theirs] of [
      [null, { a: 1 }, { b: 2 }],
      [[1], { a: 1 }, { b: 2 }],
      [{ a: 1 }, [1], { a: 2 }],
      [{ a: 1 }, { a: 2 }, [3]],
      [{ a: 1 }, { a: 2 }, null],
      [{ a: 1 }, 2, { a: 3 }],
    ])
      expect(clash(base, mine, theirs)).toEqual({ merged: { at: theirs }, conflicts: ['at'] });
  });
  it('is mine where they did nothing, and theirs where I did nothing', () => {
    fc.assert(
      fc.property(
        fc.dictionary(
          fc.string({ maxLength: 3 }),
          fc.oneof(fc.integer(), fc.dictionary(fc.string({ maxLength: 2 }), fc.integer())),
        ),
        fc.dictionary(fc.string({ maxLength: 3 }), fc.integer()),
        (one, other) => {
          expect(equalData(mergeChanges<object>(one, one, { ...one, ...other }).merged, { ...one, ...other })).toBe(
            true,
          );
          expect(equalData(mergeChanges<object>(one, { ...one, ...other }, one).merged, { ...one, ...other })).toBe(
            true,
          );
        },
      ),
    );
  });
  it('compares data by content', () => {
    expect(equalData({ x: [1, { y: 2 }] }, { x: [1, { y: 2 }] })).toBe(true);
    expect(equalData({ x: 1 }, { x: 1, y: undefined })).toBe(false);
    expect(equalData([1], { 0: 1 })).toBe(false);
  });
});

describe('data that is equal', () => {
  it('is of one kind and has the same keys', () => {
    expect(equalData({ a: [1, { b: null }] }, { a: [1, { b: null }] })).toBe(true);
    for (const [one, other] of [
      [null, {}],
      [{}, null],
      [[], {}],
      [{}, []],
      [1, { a: 1 }],
      [{ a: 1 }, 1],
      [{ a: undefined }, { b: undefined }],
      [{ a: 1 }, { a: 1, b: 2 }],
      ['1', 1],
    ])
      expect(equalData(one, other)).toBe(false);
  });
});
