import { fail, ok, plainName, type Result } from '@/core/shared';
import type { CsvCode, SetCode } from '@/records';
import { tableOf, type CsvRowFault, type TableEncoding } from './csv';

/** One piece of a set, as a row of a table says it. */
interface SetRow {
  line: number;
  name: string;
  /** Its own lettering. */
  text: string;
  /** The name of its picture's file; null where it keeps the picture of the piece it is made like. */
  picture: string | null;
}
export interface SetTable {
  rows: SetRow[];
  faults: CsvRowFault[];
  encoding: TableEncoding;
}

/** More in one go would not fit into the plan of all pieces. */
const MOST_OF_A_SET = 60;
const MOST_NAME = 120;
const MOST_TEXT = 200;

/**
 * A set as a table: a column `name`, and where they are wanted `text` (the lettering, else the name) and `picture` (the
 * name of a file). What is too long, or stands twice, stays out and is named by its line.
 *
 * @returns `csv-too-large`, `csv-empty`, `set-no-header`, `set-too-many`
 */
export function readSetCsv(bytes: Uint8Array): Result<SetTable, CsvCode | SetCode> {
  const table = tableOf(bytes);
  if (!table.ok) return table;
  const { fields, rows: all, encoding } = table.value;
  if (!fields.includes('name'))
    return fail('set-no-header', `expected a column name, got ${fields.slice(0, 8).join(', ')}`);
  if (all.length === 0) return fail('csv-empty', 'no rows');
  if (all.length > MOST_OF_A_SET)
    return fail('set-too-many', `expected at most ${MOST_OF_A_SET} rows, got ${all.length}`, {
      values: { most: MOST_OF_A_SET },
    });
  const rows: SetRow[] = [];
  const faults: CsvRowFault[] = [];
  for (const { line, cell } of all) {
    const [lettering, picture] = [cell('text'), cell('picture')];
    const name = plainName(cell('name'), Infinity);
    if (name === '') faults.push({ line, reason: 'it has no name' });
    else if (name.length > MOST_NAME) faults.push({ line, reason: `its name is longer than ${MOST_NAME} letters` });
    else if (lettering.length > MOST_TEXT)
      faults.push({ line, reason: `its text is longer than ${MOST_TEXT} letters` });
    else if (rows.some((row) => row.name === name)) faults.push({ line, reason: `“${name}” stands twice` });
    else rows.push({ line, name, text: lettering || name, picture: picture === '' ? null : picture });
  }
  return ok({ rows, faults, encoding });
}
