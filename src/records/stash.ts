import Joi from 'joi';
import {
  BINDERS,
  PIGMENTS,
  PRINTS,
  SEALERS,
  type BinderId,
  type LabelValues,
  type PrintId,
  type SealerId,
} from '@/core/craft';
import { type AtHand, type PrinterAtHand, TRUE_PRINTER, type PrinterTruth } from '@/core/at-hand';
import { anyOf, day, figure, instant, item, list, maybe, named, oneOf, section, words } from './fields';
import { atFirstUse, sum, type Result } from '@/core/shared';
import { checkRecord, migrateToCurrent, type Migration, type VersionCode } from './version';

/** Version 1 had notes on binders; 2 items of every kind, with what is left of them; 3 a printer nobody named. */
const STASH_VERSION = 3;

export const ITEM_KINDS = ['binder', 'sealer', 'paint', 'paper', 'blank', 'tool', 'printer', 'oven', 'brush'] as const;
export type ItemKind = (typeof ITEM_KINDS)[number];
export type ItemUnit = 'ml' | 'sheets' | 'pieces';

/** A bottle, a pack, a thing. Null is "not said". */
export interface StashItem {
  id: string;
  kind: ItemKind;
  /** Which binder, sealer, kind of print or pigment it is; null where the program has no record of it. */
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

export interface Stash {
  id: 'stash';
  version: typeof STASH_VERSION;
  printer: PrinterAtHand | null;
  papers: PrintId[];
  skill: 1 | 2 | 3;
  truth: PrinterTruth;
  items: StashItem[];
}

export const EMPTY_STASH: Stash = {
  id: 'stash',
  version: STASH_VERSION,
  printer: null,
  papers: ['laser-plain'],
  skill: 2,
  truth: TRUE_PRINTER,
  items: [],
};
const NO_LABEL: LabelValues = { filmUm: null, waitHours: null, openMinutes: null };
export const UNIT_OF: Readonly<Record<ItemKind, ItemUnit>> = {
  binder: 'ml',
  sealer: 'ml',
  paint: 'ml',
  paper: 'sheets',
  blank: 'pieces',
  tool: 'pieces',
  printer: 'pieces',
  oven: 'pieces',
  brush: 'pieces',
};

export const newItem = (
  id: string,
  kind: ItemKind,
  name: string,
  now: number,
  patch: Partial<StashItem> = {},
): StashItem => ({
  id,
  kind,
  material: null,
  name,
  unit: UNIT_OF[kind],
  amount: null,
  countedAt: now,
  price: null,
  size: null,
  openedOn: null,
  label: NO_LABEL,
  limitC: null,
  note: '',
  ...patch,
});

export const MOST_ITEMS = 2000;
/** What an item's figures may be: the fields that ask for them take the same. */
export const ITEM_BOUNDS = {
  amount: { min: 0, max: 1e6 },
  size: { min: 0.1, max: 1e6 },
  price: { min: 0, max: 1e6 },
  filmUm: { min: 20, max: 2000 },
  waitHours: { min: 0.02, max: 2000 },
  openMinutes: { min: 0.5, max: 240 },
  limitC: { min: 30, max: 400 },
} as const;

const MATERIALS = [...BINDERS, ...SEALERS, ...PRINTS, ...PIGMENTS].map(({ id }) => id);
const amount = (least: number, most: number) => maybe(figure(least, most));
const bounded = (key: keyof typeof ITEM_BOUNDS) => amount(ITEM_BOUNDS[key].min, ITEM_BOUNDS[key].max);

export const itemSchema = atFirstUse(() =>
  item<StashItem>({
    id: Joi.string()
      .pattern(/^[A-Za-z0-9-]{1,80}$/)
      .required(),
    kind: oneOf(...ITEM_KINDS),
    material: maybe(oneOf(...MATERIALS)),
    name: named(120),
    unit: oneOf('ml', 'sheets', 'pieces'),
    amount: bounded('amount'),
    countedAt: instant(),
    price: bounded('price'),
    size: bounded('size'),
    openedOn: maybe(day()),
    label: section<LabelValues>({
      filmUm: bounded('filmUm'),
      waitHours: bounded('waitHours'),
      openMinutes: bounded('openMinutes'),
    }),
    limitC: bounded('limitC'),
    note: words(500),
  }),
);

const stashSchema = atFirstUse(() =>
  section<Stash>({
    id: oneOf('stash'),
    version: Joi.number().valid(STASH_VERSION).required(),
    printer: maybe(oneOf('copy-shop', 'laser', 'inkjet')),
    papers: list(anyOf(PRINTS), PRINTS.length).unique(),
    skill: Joi.number().valid(1, 2, 3).required(),
    truth: section<PrinterTruth>({ acrossMm: amount(90, 110), alongMm: amount(90, 110), marginMm: amount(0, 30) }),
    items: list(itemSchema(), MOST_ITEMS).unique('id'),
  }),
);

/** What binders were called when version 2 was shipped. */
const NAMES_OF_VERSION_TWO: Readonly<Record<string, string>> = {
  'fluid-gel': 'Fluid gel or polymer medium',
  'heavy-gel': 'Regular or heavy gel medium',
  'glue-sealer': 'All-in-one decoupage glue-sealer',
  'opaque-medium': 'Opaque photo-transfer medium',
  'clear-medium': 'Clear image-transfer medium',
  'furniture-gel': 'Transfer gel for furniture paint',
  'acrylic-varnish': 'Water-based acrylic varnish',
  polyurethane: 'Water-based polyurethane varnish',
  'wood-glue': 'White wood glue (PVA, wood grade)',
  'school-glue': 'Washable school glue',
  gesso: 'Acrylic gesso or acrylic paint',
  none: 'No binder',
};

interface NoteOfVersionOne {
  label: LabelValues;
  price: number | null;
  ml: number | null;
}

/** What version 2 adds, as it was when it was shipped. */
const notesBecomeItems: Migration = {
  from: 1,
  to: 2,
  name: 'notes on binders become items',
  migrate: ({ binders, ...data }) => ({
    ...data,
    items: Object.entries((binders ?? {}) as Record<string, NoteOfVersionOne>).map(([id, note]) => ({
      id: `binder-${id}`,
      kind: 'binder',
      material: id,
      name: NAMES_OF_VERSION_TWO[id] ?? id,
      unit: 'ml',
      amount: null,
      countedAt: 0,
      price: note.price,
      size: note.ml,
      openedOn: null,
      label: note.label,
      limitC: null,
      note: '',
    })),
  }),
};

/** What version 3 changes: the copy shop stood there unless somebody said otherwise, so it is asked for. */
const printerIsAsked: Migration = {
  from: 2,
  to: 3,
  name: 'the printer at hand is asked for',
  migrate: (data) => ({ ...data, printer: data.printer === 'copy-shop' ? null : data.printer }),
};

const STASH_MIGRATIONS: readonly Migration[] = [notesBecomeItems, printerIsAsked];

export const checkStash = (data: unknown): Result<Stash, 'record-invalid'> => checkRecord(stashSchema(), data);

/** Reads a stored stash of any version. */
export function readStash(data: unknown): Result<Stash, VersionCode> {
  const current = migrateToCurrent(data, STASH_VERSION, STASH_MIGRATIONS);
  return current.ok ? checkStash(current.value) : current;
}

const perUnit = ({ price, size }: StashItem): number | null => (price === null || size === null ? null : price / size);

/** The items of a material, the one opened longest ago first: it is used up first. */
export const itemsOf = (stash: Pick<Stash, 'items'>, kind: ItemKind, material: string): StashItem[] =>
  stash.items
    .filter((item) => item.kind === kind && item.material === material)
    .sort((a, b) => (a.openedOn ?? '9999').localeCompare(b.openedOn ?? '9999'));

/** The stash as the plan of a piece wants it, apart from the room and the person's pace. */
export function atHandOf({ printer, papers, skill, truth, items }: Stash): Omit<AtHand, 'air' | 'pace'> {
  const pricesOf = <Id extends string>(kind: ItemKind): Partial<Record<Id, number>> => {
    const priced = items.flatMap((item): [string, number][] => {
      const price = perUnit(item);
      return item.kind === kind && item.material !== null && price !== null ? [[item.material, price]] : [];
    });
    return Object.fromEntries(priced.reverse()) as Partial<Record<Id, number>>;
  };
  const meanPrice = (kind: ItemKind): number | null => {
    const prices = items.flatMap((item) => (item.kind === kind ? (perUnit(item) ?? []) : []));
    return prices.length === 0 ? null : sum(prices) / prices.length;
  };
  const binders = items.filter((item) => item.kind === 'binder' && item.material !== null);
  const ovens = items.filter((item) => item.kind === 'oven' && item.limitC !== null).map((item) => item.limitC ?? 0);
  return {
    printer,
    papers,
    skill,
    truth,
    pricePerMl: pricesOf<BinderId>('binder'),
    sealerPricePerMl: pricesOf<SealerId>('sealer'),
    paintPricePerMl: meanPrice('paint'),
    pigments: PIGMENTS.map(({ id }) => id).filter((id) => itemsOf({ items }, 'paint', id).length > 0),
    pricePerSheet: pricesOf<PrintId>('paper'),
    labels: Object.fromEntries(binders.map(({ material, label }) => [material, label]).reverse()) as AtHand['labels'],
    ovenLimitC: ovens.length ? Math.max(...ovens) : null,
  };
}
