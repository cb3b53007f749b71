import { readSetCsv } from './set-csv';

const rows = (text: string) => {
  const read = readSetCsv(new TextEncoder().encode(text));
  return read.ok ? read.value : read.error.code;
};

describe('a set from a table', () => {
  it('names, their lettering, and their pictures; columns in any order and case', () => {
    expect(rows('Picture,NAME,text\na.png,Ada,For Ada\n,Ben,\n')).toEqual({
      rows: [
        { line: 2, name: 'Ada', text: 'For Ada', picture: 'a.png' },
        { line: 3, name: 'Ben', text: 'Ben', picture: null },
      ],
      faults: [],
      encoding: 'utf-8',
    });
    expect(rows('name\r\n"Cy, and\nDee"\r\n')).toMatchObject({ rows: [{ name: 'Cy, and Dee' }] });
  });

  it('bad lines stay out, by their number', () => {
    const long = 'x'.repeat(121);
    expect(rows(`name,text\nAda,a\n,b\nAda,c\n${long},d\nEve,${'y'.repeat(201)}\n`)).toMatchObject({
      rows: [{ name: 'Ada' }],
      faults: [{ line: 3 }, { line: 4, reason: '“Ada” stands twice' }, { line: 5 }, { line: 6 }],
    });
  });

  it.each([
    ['', 'set-no-header'],
    ['title\nAda\n', 'set-no-header'],
    ['name\n', 'csv-empty'],
    [`name\n${Array.from({ length: 61 }, (_, at) => `N${at}`).join('\n')}`, 'set-too-many'],
    ['x'.repeat(2_000_001), 'csv-too-large'],
  ])('%#: refused as %s', (text, code) => expect(rows(text)).toBe(code));
});
