import { BAR_MM } from '@/core/at-hand';

/** What the measured check bar says about the printed page. */
export interface BarVerdict {
  scalePercent: number;
  good: boolean;
  printErrorMm: number;
}

/** A home ruler reads to about half a millimetre. */
const TOLERANCE_MM = 0.5;

/** Whether a bar measured so is true to size. @param measuredMm the bar as measured on paper, mm */
export const barIsTrue = (measuredMm: number): boolean => Math.abs(measuredMm - BAR_MM) <= TOLERANCE_MM;

/** @param measuredMm the bar as measured on paper, mm; @param longestSideMm of the print */
export const barVerdict = (measuredMm: number, longestSideMm: number): BarVerdict => ({
  scalePercent: (measuredMm / BAR_MM) * 100,
  good: barIsTrue(measuredMm),
  printErrorMm: longestSideMm * (measuredMm / BAR_MM - 1),
});
