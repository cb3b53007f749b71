import type { BinderId, LabelValues, PigmentId, PrintId, SealerId } from '@/core/craft';
import type { AirRecord } from '@/core/cure';
import { TRUE_PRINTER, type PrinterTruth } from './printer';

export type PrinterAtHand = 'copy-shop' | 'laser' | 'inkjet';

/** What a printer gives on plain paper; a laser print is what most methods want, and goes by while nobody said. */
export const usualPrint = (printer: PrinterAtHand | null): PrintId =>
  printer === 'inkjet' ? 'inkjet-plain' : 'laser-plain';

/** Pages come off one's own stack of paper. */
export const printsOnOwnPaper = (printer: PrinterAtHand | null): boolean => printer === 'laser' || printer === 'inkjet';

/** What the person has – printer, papers, stash, room, practice: decides what is easy, not what is possible. */
export interface AtHand {
  /** Null where nobody said. */
  printer: PrinterAtHand | null;
  papers: readonly PrintId[];
  /** 1 first pieces, 2 some practice, 3 much. */
  skill: 1 | 2 | 3;
  /** Price of a millilitre of each binder, where it is known. */
  pricePerMl: Partial<Record<BinderId, number>>;
  sealerPricePerMl: Partial<Record<SealerId, number>>;
  /** Of the paint at hand, whatever its colour; null where none has a price. */
  paintPricePerMl: number | null;
  /** Paints of generic pigments that there are. */
  pigments: readonly PigmentId[];
  pricePerSheet: Partial<Record<PrintId, number>>;
  labels: Partial<Record<BinderId, LabelValues>>;
  /** How hot the person's oven goes; null where nobody said. */
  ovenLimitC: number | null;
  /** The room's air through time; null where nothing is read or typed. */
  air: AirRecord | null;
  /** Minutes that steps take this person against the usual, by station. */
  pace: Readonly<Record<string, number>>;
  /** What the printer does to sizes. */
  truth: PrinterTruth;
}

export const NOTHING_SAID: AtHand = {
  printer: null,
  papers: ['laser-plain'],
  skill: 2,
  pricePerMl: {},
  sealerPricePerMl: {},
  paintPricePerMl: null,
  pigments: [],
  pricePerSheet: {},
  labels: {},
  truth: TRUE_PRINTER,
  ovenLimitC: null,
  air: null,
  pace: {},
};
