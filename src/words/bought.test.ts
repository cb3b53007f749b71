import { boughtWords } from './bought';

describe('a piece against a bought one', () => {
  const told = (patch: Partial<Parameters<typeof boughtWords>[0]> = {}) =>
    boughtWords({ boughtPrice: 30, total: 8.6, isWhole: true, minutes: 110, ...patch });
  it('says what it saves, and the hours of hands in it', () =>
    expect(told()).toBe('It saves 21.40, and takes 1 h 50 min of hands.'));
  it('says what it costs more, with a positive figure', () =>
    expect(told({ total: 42 })).toBe('It costs 12.00 more than that, and takes 1 h 50 min of hands.'));
  it('costing as much, it saves nothing', () => expect(told({ total: 30 })).toContain('saves 0.00'));
  it('says that something is not priced yet, and tells no saving where nothing is', () => {
    expect(told({ isWhole: false })).toMatch(/saves 21\.40.*Not all of it is priced yet\./);
    expect(told({ total: null })).not.toMatch(/saves \d|more than that/);
    expect(told({ total: null })).toContain('1 h 50 min');
  });
});
