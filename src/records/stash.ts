import Joi from 'joi';
import { BINDERS, PRINTS, type BinderId, type LabelValues, type PrintId } from '@/core/craft';
import type { AtHand, PrinterAtHand } from '@/core/method';
import { TRUE_PRINTER, type PrinterTruth } from '@/core/sheet';

/** What the person keeps of one binder: the bottle's price and size, and what its label says. Null is "not said". */
export interface BinderNote { label: LabelValues; price: number | null; ml: number | null }

/** What is at hand: printer, papers, practice, binders with their labels. One record. */
export interface Stash { id: 'stash'; version: 1; printer: PrinterAtHand; papers: PrintId[]; skill: 1 | 2 | 3; truth: PrinterTruth; binders: Partial<Record<BinderId, BinderNote>> }

export const EMPTY_STASH: Stash = { id: 'stash', version: 1, printer: 'copy-shop', papers: ['laser-plain'], skill: 2, truth: TRUE_PRINTER, binders: {} };
export const EMPTY_NOTE: BinderNote = { label: { filmUm: null, waitHours: null, openMinutes: null }, price: null, ml: null };

const maybe = (min: number, max: number) => Joi.number().min(min).max(max).allow(null).required();
const NOTE = Joi.object({ label: Joi.object({ filmUm: maybe(20, 2000), waitHours: maybe(0.02, 2000), openMinutes: maybe(0.5, 240) }).required(), price: maybe(0, 1e6), ml: maybe(0.1, 1e5) });

export const STASH_SCHEMA = Joi.object({
  id: Joi.string().valid('stash').required(), version: Joi.number().valid(1).required(), printer: Joi.string().valid('copy-shop', 'laser', 'inkjet').required(),
  papers: Joi.array().items(Joi.string().valid(...PRINTS.map((print) => print.id))).unique().required(), skill: Joi.number().valid(1, 2, 3).required(),
  truth: Joi.object({ acrossMm: maybe(90, 110), alongMm: maybe(90, 110), marginMm: maybe(0, 30) }).required(),
  binders: Joi.object().pattern(Joi.string().valid(...BINDERS.map((binder) => binder.id)), NOTE).required(),
});

/** What can't be read becomes the empty stash: it is never worth refusing to start for. */
export const readStash = (data: unknown): Stash => (STASH_SCHEMA.validate(data).error || data === undefined ? EMPTY_STASH : (data as Stash));

/** The stash as the ranking of methods wants it. */
export function atHandOf({ printer, papers, skill, truth, binders }: Stash): AtHand {
  const notes = Object.entries(binders) as [BinderId, BinderNote][];
  return {
    printer, papers, skill, truth,
    pricePerMl: Object.fromEntries(notes.filter(([, note]) => note.price !== null && note.ml !== null).map(([id, note]) => [id, (note.price ?? 0) / (note.ml ?? 1)])),
    labels: Object.fromEntries(notes.map(([id, note]) => [id, note.label])),
  };
}
