import Papa from 'papaparse';
import { BINDERS, PIGMENTS, PRINTS, SEALERS } from '@/core/craft';
import { fail, ok, plainName, type Result } from '@/core/shared';
import {
  ITEM_KINDS,
  itemSchema,
  MOST_ITEMS,
  UNIT_OF,
  newItem,
  type ItemKind,
  type CsvCode,
  type StashItem,
} from '@/records';
import {
  decimalSignOf,
  escaped,
  figureOf,
  tableOf,
  type CsvRowFault,
  type DecimalSign,
  type TableEncoding,
} from './csv';

/** The columns of a stash as CSV: one item a row, volumes in ml, temperatures in °C, days as YYYY-MM-DD. */
const COLUMNS = [
  'id',
  'kind',
  'material',
  'name',
  'left',
  'unit',
  'size',
  'price',
  'opened',
  'label film um',
  'label wait h',
  'label open min',
  'limit c',
  'note',
] as const;
type Column = (typeof COLUMNS)[number];

const FIGURES = ['left', 'size', 'price', 'label film um', 'label wait h', 'label open min', 'limit c'] as const;

export interface StashCsv {
  items: StashItem[];
  faults: CsvRowFault[];
  encoding: TableEncoding;
  /** A figure that could be read in two ways, where nothing in the table tells which; null where all is clear. */
  unclear: string | null;
}
export function writeStashCsv(items: readonly StashItem[], leftOf: (item: StashItem) => number | null): string {
  const figure = (value: number | null) => (value === null ? '' : String(Number(value.toFixed(3))));
  const rows = items.map((item): Record<Column, string> => ({
    id: item.id,
    kind: item.kind,
    material: item.material ?? '',
    name: escaped(item.name),
    left: figure(leftOf(item)),
    unit: item.unit,
    size: figure(item.size),
    price: figure(item.price),
    opened: item.openedOn ?? '',
    'label film um': figure(item.label.filmUm),
    'label wait h': figure(item.label.waitHours),
    'label open min': figure(item.label.openMinutes),
    'limit c': figure(item.limitC),
    note: escaped(item.note),
  }));
  return Papa.unparse(
    { fields: [...COLUMNS], data: rows.map((row) => COLUMNS.map((column) => row[column])) },
    { newline: '\r\n' },
  );
}

/**
 * @param newId for rows that name no item; @param sign the decimal sign where the person said it
 * @returns the good rows, and the bad ones each with its line and reason
 */
export function readStashCsv(
  bytes: Uint8Array,
  now: number,
  newId: () => string,
  sign: DecimalSign | null = null,
): Result<StashCsv, CsvCode> {
  const table = tableOf(bytes);
  if (!table.ok) return table;
  const { fields, rows, encoding } = table.value;
  if (!fields.includes('kind') || !fields.includes('name'))
    return fail('csv-no-header', `expected columns kind and name, got ${fields.slice(0, 8).join(', ')}`);
  if (rows.length === 0) return fail('csv-empty', 'no rows');
  if (rows.length > MOST_ITEMS) return fail('csv-too-large', `expected at most ${MOST_ITEMS} rows, got ${rows.length}`);
  const texts = rows.flatMap(({ cell }) => FIGURES.map((column) => cell(column)));
  // Our own table is written with points.
  const isOwn = COLUMNS.every((column) => fields.includes(column)) && !texts.some((text) => text.includes(','));
  const found = sign ?? decimalSignOf(texts) ?? (isOwn ? '.' : null);
  const items: StashItem[] = [];
  const faults: CsvRowFault[] = [];
  rows.forEach(({ line, cell }) => {
    const read = readRow(cell, now, newId, found ?? '.');
    if (typeof read === 'string') faults.push({ line, reason: read });
    else if (items.some((item) => item.id === read.id))
      faults.push({ line, reason: `the id “${read.id}” stands twice` });
    else items.push(read);
  });
  const unclear = found === null ? (texts.find((text) => decimalSignOf([text]) === null) ?? null) : null;
  return ok({ items, faults, encoding, unclear });
}

function readRow(
  cell: (column: Column) => string,
  now: number,
  newId: () => string,
  sign: DecimalSign,
): StashItem | string {
  const kind = cell('kind').toLowerCase();
  if (!(ITEM_KINDS as readonly string[]).includes(kind))
    return `“${kind}” is no kind of item: one of ${ITEM_KINDS.join(', ')}`;
  const name = cell('name');
  if (plainName(name, Infinity) === '') return 'it has no name';
  const material = cell('material');
  if (material !== '' && ![...BINDERS, ...SEALERS, ...PRINTS, ...PIGMENTS].some((record) => record.id === material))
    return `“${material}” is no material that Fobbet knows; leave it empty`;
  const figures: Partial<Record<Column, number | null>> = {};
  for (const column of FIGURES) {
    const text = cell(column);
    const value = figureOf(text, sign);
    if (text !== '' && !Number.isFinite(value)) return `“${text}” in “${column}” is no number`;
    figures[column] = text === '' ? null : value;
  }
  const id = /^[A-Za-z0-9-]{1,80}$/.test(cell('id')) ? cell('id') : newId();
  const unit = cell('unit');
  const item = newItem(id, kind as ItemKind, name, now, {
    material: material || null,
    amount: figures.left ?? null,
    size: figures.size ?? null,
    price: figures.price ?? null,
    openedOn: cell('opened') || null,
    note: cell('note'),
    limitC: figures['limit c'] ?? null,
    unit: (unit || UNIT_OF[kind as ItemKind]) as StashItem['unit'],
    label: {
      filmUm: figures['label film um'] ?? null,
      waitHours: figures['label wait h'] ?? null,
      openMinutes: figures['label open min'] ?? null,
    },
  });
  const { error } = itemSchema().validate(item, { convert: false });
  return error ? error.message.replaceAll('"', '') : item;
}
