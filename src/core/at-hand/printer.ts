import { MM_PER_INCH, type UnitSystem } from '@/core/measure';

/** The bar that a print is measured by, as it is reckoned with, mm. */
export const BAR_MM = 100;
/** The bar as it is drawn: a whole figure on the person's own ruler, four inches where those are used. */
export const drawnBarMm = (system: UnitSystem): number => (system === 'inch' ? 4 * MM_PER_INCH : BAR_MM);

/**
 * What a printer really does: the bars of a calibration print, printed at 100 % without correction, as they were
 * measured. Later prints are drawn larger or smaller by the inverse, separately across and along the feed. Valid for
 * the paper and the driver settings of the calibration.
 */
export interface PrinterTruth {
  /** The bars as measured, by what a bar of 100 mm would be, mm; null where they were not. */
  acrossMm: number | null;
  alongMm: number | null;
  /** The margin that stays white, mm; null as most printers have it. */
  marginMm: number | null;
}

export const TRUE_PRINTER: PrinterTruth = { acrossMm: null, alongMm: null, marginMm: null };

/** Factors by which a sheet is drawn, across and along the page as it is fed: upright. */
export const printerScale = ({ acrossMm, alongMm }: PrinterTruth): { across: number; along: number } => ({
  across: acrossMm === null ? 1 : BAR_MM / acrossMm,
  along: alongMm === null ? 1 : BAR_MM / alongMm,
});
