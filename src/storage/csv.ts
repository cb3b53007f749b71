/**
 * Tables that people bring, from whatever program: the one reader of them. The encoding is found (a mark of byte order,
 * UTF-16 by its empty bytes, UTF-8, else Windows-1252, and then it is said), so are what parts the cells and the decimal
 * sign. Each row keeps the line it begins on.
 */
import Papa from 'papaparse';
import { fail, ok, plainText, type Result } from '@/core/shared';
import type { CsvCode } from '@/records';

/** A line that stays out, and why. */
export interface CsvRowFault {
  line: number;
  reason: string;
}

export type TableEncoding = 'utf-8' | 'utf-16le' | 'utf-16be' | 'windows-1252';
export type DecimalSign = ',' | '.';

interface CsvRow {
  line: number;
  cell: (column: string) => string;
}
interface CsvTable {
  /** Names of the columns, in small letters. */
  fields: readonly string[];
  rows: readonly CsvRow[];
  encoding: TableEncoding;
}

const MOST_BYTES = 2_000_000;
/** What a spreadsheet may run, and the quote itself, so that it can be told from one that was put there. */
const GUARDED = /^['=+\-@\t\r]/;

/** A cell that a spreadsheet would run as a formula is kept from it by a quote, which reading takes off again. */
export const escaped = (text: string): string => (GUARDED.test(text) ? `'${text}` : text);
const unescaped = (text: string): string =>
  text.startsWith("'") && GUARDED.test(text.slice(1)) ? text.slice(1) : text;

const MARKS: readonly { encoding: TableEncoding; mark: readonly number[] }[] = [
  { encoding: 'utf-8', mark: [0xef, 0xbb, 0xbf] },
  { encoding: 'utf-16le', mark: [0xff, 0xfe] },
  { encoding: 'utf-16be', mark: [0xfe, 0xff] },
];
/** Of the bytes of a text in two bytes a letter, nearly all of one half are empty. */
const EMPTY_SHARE = 0.6;
const LOOKED_AT_BYTES = 4096;

function encodingOf(bytes: Uint8Array): TableEncoding {
  const marked = MARKS.find(({ mark }) => mark.every((byte, at) => bytes[at] === byte));
  if (marked) return marked.encoding;
  const head = bytes.subarray(0, LOOKED_AT_BYTES);
  const empty = (from: 0 | 1) =>
    head.filter((byte, at) => at % 2 === from && byte === 0).length / Math.max(1, head.length / 2);
  if (empty(1) > EMPTY_SHARE) return 'utf-16le';
  if (empty(0) > EMPTY_SHARE) return 'utf-16be';
  try {
    new TextDecoder('utf-8', { fatal: true }).decode(bytes);
    return 'utf-8';
  } catch {
    return 'windows-1252';
  }
}

/** A table with its columns named in the first line. @returns `csv-too-large` */
export function tableOf(bytes: Uint8Array): Result<CsvTable, Extract<CsvCode, 'csv-too-large'>> {
  if (bytes.length > MOST_BYTES)
    return fail('csv-too-large', `expected at most ${MOST_BYTES} bytes, got ${bytes.length}`);
  const encoding = encodingOf(bytes);
  const text = new TextDecoder(encoding).decode(bytes).replace(/^\uFEFF/, '');
  const [header, ...rows] = linesOf(text);
  const fields = (header?.cells ?? []).map((name) => name.toLowerCase());
  return ok({
    encoding,
    fields,
    rows: rows.map(({ line, cells }) => ({
      line,
      cell: (column) => unescaped(cells[fields.indexOf(column)] ?? ''),
    })),
  });
}

const ROWS_TO_TELL = 20;

/** Rows that hold anything, with the line each begins on: a quoted cell may run over several. */
function linesOf(text: string): { line: number; cells: string[] }[] {
  const rows: { line: number; cells: string[] }[] = [];
  let [line, read] = [1, 0];
  // Found from the rows that hold anything: an empty one has no cells to tell by.
  const { delimiter } = Papa.parse(text, { preview: ROWS_TO_TELL, skipEmptyLines: 'greedy' }).meta;
  Papa.parse<string[]>(text, {
    delimiter,
    step: ({ data, meta: { cursor } }) => {
      const cells = data.map((cell) => plainText(cell).trim());
      if (cells.some((cell) => cell !== '')) rows.push({ line, cells });
      line += text.slice(read, cursor).match(/\r\n|\n|\r/g)?.length ?? 0;
      read = cursor;
    },
  });
  return rows;
}

/** Twelve hundred and fifty to some, one and a quarter to others. */
const UNCLEAR = /^[+-]?[1-9]\d{0,2}[.,]\d{3}$/;

/**
 * The decimal sign of figures that stand together: what stands last where both do, or stands before other than three
 * digits. Null where nothing tells and it matters.
 */
export function decimalSignOf(texts: readonly string[]): DecimalSign | null {
  const signs = new Set(texts.map(signOf).filter((sign) => sign !== null));
  if (signs.size === 1) return [...signs][0] ?? '.';
  // Written both ways nothing tells how one that could be either is meant.
  return texts.some((text) => UNCLEAR.test(text.trim())) ? null : '.';
}

function signOf(text: string): DecimalSign | null {
  const bare = text.trim();
  const [comma, point] = [bare.lastIndexOf(','), bare.lastIndexOf('.')];
  if (comma >= 0 && point >= 0) return comma > point ? ',' : '.';
  if (comma < 0 && point < 0) return null;
  const sign: DecimalSign = comma >= 0 ? ',' : '.';
  const other: DecimalSign = sign === ',' ? '.' : ',';
  // Several of one kind part thousands, and so the other is the decimal sign.
  if (bare.indexOf(sign) !== bare.lastIndexOf(sign)) return other;
  return UNCLEAR.test(bare) ? null : sign;
}

/** A figure with a decimal sign; thousands may be set apart. NaN for what is none. */
export function figureOf(text: string, sign: DecimalSign): number {
  const bare = text.trim().replace(/[\u00a0\u2009\u202f' ]/g, '');
  const [part, decimal] = sign === ',' ? ['.', ','] : [',', '.'];
  const grouped = new RegExp(`^[+-]?\\d{1,3}(?:\\${part}\\d{3})+(?:\\${decimal}\\d+)?$`);
  const plain = new RegExp(`^[+-]?(?:\\d+(?:\\${decimal}\\d*)?|\\${decimal}\\d+)$`);
  // Where it can be nothing else, the other sign is taken for the decimal one.
  const other = new RegExp(`^[+-]?\\d+\\${part}\\d+$`);
  if (grouped.test(bare)) return Number(bare.replaceAll(part, '').replace(decimal, '.'));
  if (plain.test(bare)) return Number(bare.replace(decimal, '.'));
  return other.test(bare) && !UNCLEAR.test(bare) ? Number(bare.replace(part, '.')) : NaN;
}
