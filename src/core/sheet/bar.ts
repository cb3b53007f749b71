import { BAR_MM } from './layout';

/** What the measured check bar says about the printed page. */
export interface BarVerdict { scalePercent: number; good: boolean; printErrorMm: number }

/** A home ruler reads to about half a millimetre. */
const TOLERANCE_MM = 0.5;

/** @param measuredMm the bar as measured on paper, mm; @param longestSideMm of the print */
export const barVerdict = (measuredMm: number, longestSideMm: number): BarVerdict => ({
  scalePercent: (measuredMm / BAR_MM) * 100,
  good: Math.abs(measuredMm - BAR_MM) <= TOLERANCE_MM,
  printErrorMm: longestSideMm * (measuredMm / BAR_MM - 1),
});
