import Papa from 'papaparse';
import { fail, ok, type Result } from '@/core/shared';
import type { CsvCode } from '@/records';

/** A line that stays out, and why. */
export interface CsvRowFault {
  line: number;
  reason: string;
}

interface CsvTable {
  /** Names of the columns, in small letters. */
  fields: readonly string[];
  rows: readonly { line: number; cell: (column: string) => string }[];
}

const MOST_BYTES = 2_000_000;
/** What a spreadsheet may run, and the quote itself, so that it can be told from one that was put there. */
const GUARDED = /^['=+\-@\t\r]/;

/** A cell that a spreadsheet would run as a formula is kept from it by a quote, which reading takes off again. */
export const escaped = (text: string): string => (GUARDED.test(text) ? `'${text}` : text);
const unescaped = (text: string): string =>
  text.startsWith("'") && GUARDED.test(text.slice(1)) ? text.slice(1) : text;

/** A table with its columns named in the first line. @returns `csv-too-large` */
export function tableOf(text: string): Result<CsvTable, Extract<CsvCode, 'csv-too-large'>> {
  if (text.length > MOST_BYTES)
    return fail('csv-too-large', `expected at most ${MOST_BYTES} characters, got ${text.length}`);
  const { data, meta } = Papa.parse<Record<string, string>>(text.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (header) => header.trim().toLowerCase(),
  });
  const lines = lineNumbers(text);
  return ok({
    fields: meta.fields ?? [],
    rows: data.map((row, index) => ({
      line: lines[index] ?? index + 2,
      cell: (column) => unescaped((row[column] ?? '').trim()),
    })),
  });
}

/** The line at which each row after the header begins: a quoted cell may run over several. */
function lineNumbers(text: string): number[] {
  const lines: number[] = [];
  let [line, quoted, rowStart, filled] = [1, false, 1, false];
  for (const char of text) {
    if (char === '"') quoted = !quoted;
    if (char === '\n' && !quoted) {
      if (filled) lines.push(rowStart);
      line++;
      rowStart = line;
      filled = false;
    } else if (char === '\n') line++;
    else if (char.trim() !== '' && char !== ',') filled = true;
  }
  if (filled) lines.push(rowStart);
  return lines.slice(1);
}
