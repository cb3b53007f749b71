import Joi from 'joi';
import { BINDERS, PRINTS, SEALERS, type BinderId, type LabelValues, type PrintId, type SealerId } from '@/core/craft';
import type { AtHand, PrinterAtHand } from '@/core/method';
import { TRUE_PRINTER, type PrinterTruth } from '@/core/sheet';
import { migrateToCurrent, type Migration } from './version';

/** Version 1 had notes on binders; 2 has items of every kind, with what is left of them. */
const STASH_VERSION = 2;

export const ITEM_KINDS = ['binder', 'sealer', 'paint', 'paper', 'blank', 'tool', 'printer', 'oven', 'brush'] as const;
export type ItemKind = (typeof ITEM_KINDS)[number];
export type ItemUnit = 'ml' | 'sheets' | 'pieces';

/** A bottle, a pack, a thing. Null is "not said". */
export interface StashItem {
  id: string;
  kind: ItemKind;
  /** Which binder, sealer or kind of print it is; null where the program has no record of it. */
  material: string | null;
  name: string;
  unit: ItemUnit;
  /** What it held when it was bought or last counted, and when that was; draws since then come off. */
  amount: number | null;
  countedAt: number;
  price: number | null;
  /** What it holds when full: what the price is for. */
  size: number | null;
  /** Calendar day, YYYY-MM-DD. */
  openedOn: string | null;
  /** The label's own values; for an oven its highest temperature. */
  label: LabelValues;
  limitC: number | null;
  note: string;
}

export interface Stash { id: 'stash'; version: typeof STASH_VERSION; printer: PrinterAtHand; papers: PrintId[]; skill: 1 | 2 | 3; truth: PrinterTruth; items: StashItem[] }

export const EMPTY_STASH: Stash = { id: 'stash', version: STASH_VERSION, printer: 'copy-shop', papers: ['laser-plain'], skill: 2, truth: TRUE_PRINTER, items: [] };
const NO_LABEL: LabelValues = { filmUm: null, waitHours: null, openMinutes: null };
export const UNIT_OF: Readonly<Record<ItemKind, ItemUnit>> = { binder: 'ml', sealer: 'ml', paint: 'ml', paper: 'sheets', blank: 'pieces', tool: 'pieces', printer: 'pieces', oven: 'pieces', brush: 'pieces' };

export const newItem = (id: string, kind: ItemKind, name: string, now: number, patch: Partial<StashItem> = {}): StashItem =>
  ({ id, kind, material: null, name, unit: UNIT_OF[kind], amount: null, countedAt: now, price: null, size: null, openedOn: null, label: NO_LABEL, limitC: null, note: '', ...patch });

const MOST_ITEMS = 2000;
const maybe = (min: number, max: number) => Joi.number().min(min).max(max).allow(null).required();
const MATERIALS = [...BINDERS, ...SEALERS, ...PRINTS].map(({ id }) => id);

export const ITEM_SCHEMA = Joi.object({
  id: Joi.string().pattern(/^[A-Za-z0-9-]{1,80}$/).required(), kind: Joi.string().valid(...ITEM_KINDS).required(), material: Joi.string().valid(...MATERIALS).allow(null).required(),
  name: Joi.string().min(1).max(120).required(), unit: Joi.string().valid('ml', 'sheets', 'pieces').required(), amount: maybe(0, 1e6), countedAt: Joi.number().min(0).max(8.64e15).required(),
  price: maybe(0, 1e6), size: maybe(0.1, 1e6), openedOn: Joi.string().pattern(/^\d{4}-\d{2}-\d{2}$/).allow(null).required(),
  label: Joi.object({ filmUm: maybe(20, 2000), waitHours: maybe(0.02, 2000), openMinutes: maybe(0.5, 240) }).required(), limitC: maybe(30, 400), note: Joi.string().allow('').max(500).required(),
});

const STASH_SCHEMA = Joi.object({
  id: Joi.string().valid('stash').required(), version: Joi.number().valid(STASH_VERSION).required(), printer: Joi.string().valid('copy-shop', 'laser', 'inkjet').required(),
  papers: Joi.array().items(Joi.string().valid(...PRINTS.map((print) => print.id))).unique().required(), skill: Joi.number().valid(1, 2, 3).required(),
  truth: Joi.object({ acrossMm: maybe(90, 110), alongMm: maybe(90, 110), marginMm: maybe(0, 30) }).required(),
  items: Joi.array().items(ITEM_SCHEMA).unique('id').max(MOST_ITEMS).required(),
});

interface NoteOfVersionOne { label: LabelValues; price: number | null; ml: number | null }

/** What version 2 adds, as it was when it was shipped. */
const notesBecomeItems: Migration = {
  from: 1, to: 2, name: 'notes on binders become items',
  migrate: ({ binders, ...data }) => ({
    ...data,
    items: Object.entries((binders ?? {}) as Record<string, NoteOfVersionOne>).map(([id, note]) => ({
      id: `binder-${id}`, kind: 'binder', material: id, name: BINDERS.find((binder) => binder.id === id)?.name ?? id, unit: 'ml', amount: null, countedAt: 0, price: note.price, size: note.ml, openedOn: null,
      label: note.label, limitC: null, note: '',
    })),
  }),
};

const STASH_MIGRATIONS: readonly Migration[] = [notesBecomeItems];

/** What can't be read becomes the empty stash: it is never worth refusing to start for. */
export function readStash(data: unknown): Stash {
  const current = migrateToCurrent(data, STASH_VERSION, STASH_MIGRATIONS);
  return current.ok && !STASH_SCHEMA.validate(current.value, { convert: false }).error ? (current.value as unknown as Stash) : EMPTY_STASH;
}

const perUnit = ({ price, size }: StashItem): number | null => (price === null || size === null ? null : price / size);

/** The items of a material, the one opened longest ago first: it is used up first. */
export const itemsOf = (stash: Pick<Stash, 'items'>, kind: ItemKind, material: string): StashItem[] =>
  stash.items.filter((item) => item.kind === kind && item.material === material).sort((a, b) => (a.openedOn ?? '9999').localeCompare(b.openedOn ?? '9999'));

/** The stash as the plan of a piece wants it, apart from the room and the person's pace. */
export function atHandOf({ printer, papers, skill, truth, items }: Stash): Omit<AtHand, 'air' | 'pace'> {
  const pricesOf = <Id extends string>(kind: ItemKind): Partial<Record<Id, number>> => {
    const priced = items.flatMap((item): [string, number][] => { const price = perUnit(item); return item.kind === kind && item.material !== null && price !== null ? [[item.material, price]] : []; });
    return Object.fromEntries(priced.reverse()) as Partial<Record<Id, number>>;
  };
  const binders = items.filter((item) => item.kind === 'binder' && item.material !== null);
  const ovens = items.filter((item) => item.kind === 'oven' && item.limitC !== null).map((item) => item.limitC ?? 0);
  return {
    printer, papers, skill, truth, pricePerMl: pricesOf<BinderId>('binder'), sealerPricePerMl: pricesOf<SealerId>('sealer'), pricePerSheet: pricesOf<PrintId>('paper'),
    labels: Object.fromEntries(binders.map(({ material, label }) => [material, label]).reverse()) as AtHand['labels'],
    ovenLimitC: ovens.length ? Math.max(...ovens) : null,
  };
}
