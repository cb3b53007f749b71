/** @jest-environment jsdom */
import type * as figures from './figures';
import type * as say from './say';
import type * as text from './text';
import type * as times from '@/ui/times';

/** The words as a page finds them that the server put into a language. */
function spoken(tag: string) {
  document.documentElement.lang = tag;
  jest.resetModules();
  return {
    ...jest.requireActual<typeof say>('./say'),
    ...jest.requireActual<typeof text>('./text'),
    ...jest.requireActual<typeof figures>('./figures'),
    ...jest.requireActual<typeof times>('@/ui/times'),
  };
}
const AT = new Date(2026, 11, 12, 9, 40);

describe('in English what stands in the code is said', () => {
  const { say, said, counted, listOf, formatLength, dated } = spoken('en');

  it('with its values, and without what is not there', () => {
    expect(say`Pour ${34} ml${false}${null}${undefined}.`).toBe('Pour 34 ml.');
    expect(say`${0} of ${2.5}`).toBe('0 of 2.5');
  });
  it('a sentence that goes on in the next line of the code is one, its values as they are', () => {
    const [long, typed] = [34, 'two\n  lines'];
    expect(say`Pour
      ${long} ml, and
      no more.`).toBe('Pour 34 ml, and no more.');
    expect(say`“${typed}”`).toBe('“two\n  lines”');
  });
  it('tables, counts, lists, figures and dates', () => {
    const table = { a: 'One', b: ['Two'] };
    expect(said(table)).toBe(table);
    expect([0, 1, 2].map((count) => counted(count, 'page', 'pages'))).toEqual(['0 pages', '1 page', '2 pages']);
    expect(listOf(['a', 'b', 'c'])).toBe('a, b and c');
    expect(formatLength(298.5, 'metric')).toBe('29.85 cm');
    expect(dated(AT, 'EEEE d MMM', { monthFirst: false, clock: 24 })).toBe('Saturday 12 Dec');
  });
});

describe('in a made-up language', () => {
  const { say, said, counted, listOf, eitherOf, formatLength, formatDuration, dated, clockTime } = spoken('de-x-long');

  it('every message is marked, a third longer, without a letter of its English', () => {
    const message = say`Print again: this page is not at 100 %.`;
    expect(message).toMatch(/^⟦.*⟧$/);
    expect(message).not.toMatch(/[A-Za-z]{2}/);
    expect(message.length).toBeGreaterThanOrEqual(Math.ceil(39 * 1.33));
    expect(message).toContain('100 %');
  });
  it('a sentence is the same however the code breaks it', () => {
    const broken = say`Print ${3} sheets,
      then wait.`;
    expect(broken).toBe(say`Print ${3} sheets, then wait.`);
    expect(broken).not.toContain('\n');
  });
  it('values stay as they are, figures with the comma of the language', () => {
    expect(say`${'Route map'}: ${1.5} of ${'2.50'} ml, ${1200}`).toMatch(/^⟦Route map: 1,5 .* 2,50 .*, 1200/);
    expect(formatLength(298.5, 'metric')).toBe('29,85 cm');
    expect(formatDuration(1.5)).toBe('1 h 30 min');
    expect(formatDuration(84)).toMatch(/^⟦3,5 /);
  });
  it('a table is told whole, but for what are codes', () => {
    const show = () => 'x';
    const table = said([{ word: 'Coat', at: ['lay'], empty: '', show }], ['at']);
    expect(table).toEqual([{ word: expect.stringMatching(/^⟦/) as string, at: ['lay'], empty: '', show }]);
  });
  it('counts, lists, days and months as the language has them', () => {
    const [none, one, two] = [0, 1, 2].map((count) => counted(count, 'page', 'pages'));
    expect(one).not.toContain(none.replace('0', '1'));
    expect(none.replace('0', '2')).toBe(two);
    expect(listOf(['a', 'b', 'c'])).toBe('a, b und c');
    expect(eitherOf(['A4', 'A3'])).toBe('A4 oder A3');
    expect(dated(AT, 'EEEE d MMM', { monthFirst: false, clock: 24 })).toBe('Samstag 12 Dez');
    expect(clockTime(AT.getTime(), AT.getTime() - 86_400_000)).toMatch(/^⟦.*09:40.*⟧$/);
  });
});

it('where it runs the other way, what stands in a sentence keeps its own order', () => {
  const { say, formatDuration } = spoken('he-x-long');
  expect(say`Wait ${'1 h'}`).toContain('\u20681 h\u2069');
  expect(formatDuration(1.5)).toBe('\u20681 h 30 min\u2069');
});

it('a language that there is not is English', () => expect(spoken('xx').say`Rub`).toBe('Rub'));
