import type { BinderId, FinishId, LabelValues, PrintId, PrintRecord, SealerId, SurfaceRecord, UseId } from '@/core/craft';
import type { AirRecord, Room } from '@/core/cure';
import { TRUE_PRINTER, type PrinterTruth } from '@/core/sheet/printer';

export type LookWanted = 'any' | 'crisp' | 'soft' | 'distressed';
export type PrinterAtHand = 'copy-shop' | 'laser' | 'inkjet';

/** What the person has: decides what is easy, not what is possible. */
export interface AtHand {
  printer: PrinterAtHand;
  papers: readonly PrintId[];
  /** 1 first pieces, 2 some practice, 3 much. */
  skill: 1 | 2 | 3;
  /** Price of a millilitre of each binder, where it is known. */
  pricePerMl: Partial<Record<BinderId, number>>;
  sealerPricePerMl: Partial<Record<SealerId, number>>;
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

export const NOTHING_SAID: AtHand = { printer: 'copy-shop', papers: ['laser-plain'], skill: 2, pricePerMl: {}, sealerPricePerMl: {}, pricePerSheet: {}, labels: {}, truth: TRUE_PRINTER, ovenLimitC: null, air: null, pace: {} };

/** What is known of a piece when its method is chosen. */
export interface MethodContext {
  surface: SurfaceRecord;
  finish: FinishId;
  /** The colour the print will lie on, as CIE L*. */
  groundLightness: number;
  hasBaseCoat: boolean;
  print: PrintRecord;
  areaMm2: number;
  lettering: boolean;
  whites: 'surface-shows' | 'stay-white' | 'either';
  look: LookWanted;
  use: UseId;
  room: Room;
  /** Hours left until the due date; null without one. */
  hoursLeft: number | null;
  school: 'sign' | 'clock';
  atHand: AtHand;
}
