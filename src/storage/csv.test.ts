import { plainName, shortened } from '@/core/shared';
import { NOW } from '@/testing/builders';
import { decimalSignOf, figureOf, tableOf } from './csv';
import { readSetCsv } from './set-csv';
import { readStashCsv } from './stash-csv';

const utf8 = (text: string) => new TextEncoder().encode(text);
const stash = (bytes: Uint8Array, sign: ',' | '.' | null = null) => {
  let count = 0;
  const read = readStashCsv(bytes, NOW, () => `new-${count++}`, sign);
  if (!read.ok) throw new Error(read.error.code);
  return read.value;
};

describe('a table in whatever encoding', () => {
  const TEXT = 'name;text\nJosé;Für José\nŽofie;–\n';
  const swapped = (bytes: Uint8Array) => bytes.map((_, at) => bytes[at ^ 1] ?? 0);
  it.each([
    ['UTF-8', utf8(TEXT), 'utf-8'],
    ['UTF-8 with its mark', utf8(`\ufeff${TEXT}`), 'utf-8'],
    ['UTF-16 with its mark', new Uint8Array(Buffer.from(`\ufeff${TEXT}`, 'utf16le')), 'utf-16le'],
    ['UTF-16 without', new Uint8Array(Buffer.from(TEXT, 'utf16le')), 'utf-16le'],
    ['UTF-16 the other way round', swapped(new Uint8Array(Buffer.from(`\ufeff${TEXT}`, 'utf16le'))), 'utf-16be'],
  ])('%s is read to the letter', (_, bytes, encoding) => {
    const read = readSetCsv(bytes);
    expect(read).toMatchObject({
      ok: true,
      value: { encoding, rows: [{ name: 'José', text: 'Für José' }, { name: 'Žofie' }] },
    });
  });
  it('Windows-1252 is read, and told', () => {
    const bytes = new Uint8Array(Buffer.from('name;text\nJos\xe9;F\xfcr Jos\xe9, 5 \xa3\n', 'latin1'));
    expect(readSetCsv(bytes)).toMatchObject({
      ok: true,
      value: { encoding: 'windows-1252', rows: [{ name: 'José', text: 'Für José, 5 £' }] },
    });
  });
  it('what acts in a text or is not seen is taken out of it', () => {
    const read = readSetCsv(utf8('name,text\nA\u0000da\u202e,x\u0007y\n\u200b\u2060,z\n'));
    expect(read).toMatchObject({
      value: { rows: [{ name: 'Ada', text: 'xy' }], faults: [{ line: 3, reason: 'it has no name' }] },
    });
  });
});

describe('lines', () => {
  it.each([',', ';', '\t'])('are counted right with %j between cells, over quoted breaks and empty lines', (by) => {
    const text = [
      ['name', 'text'],
      ['Ada', '"two\nlines"'],
      ['', ''],
      ['', 'nameless'],
      ['Ben', 'b"c'],
    ];
    const read = tableOf(utf8(text.map((row) => row.join(by)).join('\r\n')));
    expect(read.ok && read.value.rows.map(({ line, cell }) => [line, cell('name')])).toEqual([
      [2, 'Ada'],
      [5, ''],
      [6, 'Ben'],
    ]);
  });
});

describe('figures', () => {
  it.each([
    ['1,250', ',', 1.25],
    ['1,250', '.', 1250],
    ['1.250', ',', 1250],
    ['1.250,5', ',', 1250.5],
    ['1,250.5', '.', 1250.5],
    ['1 250,5', ',', 1250.5],
    ['12,5', '.', 12.5],
    ['-3', '.', -3],
    ['.5', '.', 0.5],
  ] as const)('%s with %s is %d', (text, sign, value) => expect(figureOf(text, sign)).toBe(value));
  it.each(['0x10', '1e3', 'Infinity', '1,2,3', '12.34.56', 'ten', '١٢'])('%s is none', (text) => {
    expect(figureOf(text, '.')).toBeNaN();
    expect(figureOf(text, ',')).toBeNaN();
  });
  it('the sign is found from all of them, and unknown where nothing tells', () => {
    expect(decimalSignOf(['1,250', '3,5'])).toBe(',');
    expect(decimalSignOf(['1,250', '3.5'])).toBe('.');
    expect(decimalSignOf(['1,250.75', '2,000'])).toBe('.');
    expect(decimalSignOf(['1.234.567', '1,5'])).toBe(',');
    expect(decimalSignOf(['250', '12'])).toBe('.');
    expect(decimalSignOf(['1,250', '240'])).toBeNull();
    expect(decimalSignOf(['1,5', '2.5', '1.250'])).toBeNull();
    expect(decimalSignOf(['0,250'])).toBe(',');
  });
  it('a table that does not tell asks, and is read as it is answered', () => {
    const table = utf8(`kind;name;left\nbinder;Gel;1,250\nbinder;Glue;240\n`);
    expect(stash(table)).toMatchObject({ unclear: '1,250' });
    expect(stash(table, ',')).toMatchObject({ unclear: null, items: [{ amount: 1.25 }, {}] });
    expect(stash(table, '.').items[0]).toMatchObject({ amount: 1250 });
    expect(stash(utf8(`kind;name;left\nbinder;Gel;1.250\nbinder;Glue;3,5\n`)).items[0]).toMatchObject({ amount: 1250 });
    expect(stash(utf8('kind,name,left\nbinder,Gel,0x10\n')).faults).toHaveLength(1);
  });
});

describe('names', () => {
  const FAMILY = '👨‍👩‍👧‍👦';
  it('end in whole characters', () => {
    expect(shortened(`abc${FAMILY}`, 5)).toBe('abc');
    expect(shortened(`abc${FAMILY}`, 3 + FAMILY.length)).toBe(`abc${FAMILY}`);
    expect(shortened('e\u0301e\u0301', 3)).toBe('e\u0301');
  });
  it('hold nothing that acts, and are never invisible', () => {
    expect(plainName('  Sign\u202e\nbox\u0000 ', 120)).toBe('Sign box');
    for (const text of ['\u200b', '\u3164', '\u2800 \u00ad', '\u0000', '   ']) expect(plainName(text, 120)).toBe('');
    expect(plainName(FAMILY, 120)).toBe(FAMILY);
  });
});
