/**
 * Edge fade: how much of the toner is left towards the print's edge, 0–255 for each pixel. Rectangle and oval run out
 * smoothly over `fadeMm`; ragged is a hard edge that wanders within it, like torn paper. Deterministic.
 */
import { clamp, layeredNoise } from '@/core/shared';
import type { SizeMm } from '@/core/shape';
import type { FadeForm } from './tone';

const RAGGED_SEED = 41;
const RAGGED_STEP_MM = 7;
const RAGGED_SOFT_MM = 0.4;

const smooth = (share: number): number => {
  const s = clamp(share, 0, 1);
  return s * s * (3 - 2 * s);
};

/** Share of toner left at a place on the print, 0–1; mm from its top left corner. */
export function fadeShare(form: FadeForm, fadeMm: number, print: SizeMm, xMm: number, yMm: number): number {
  if (form === 'none' || fadeMm <= 0) return 1;
  const edge = Math.min(xMm, yMm, print.widthMm - xMm, print.heightMm - yMm);
  if (form === 'rectangle') return smooth(edge / fadeMm);
  if (form === 'oval') {
    const [rx, ry] = [print.widthMm / 2, print.heightMm / 2];
    const radius = Math.hypot((xMm - rx) / rx, (yMm - ry) / ry);
    return smooth(((1 - radius) * Math.min(rx, ry)) / fadeMm);
  }
  const wander = layeredNoise(xMm / RAGGED_STEP_MM, yMm / RAGGED_STEP_MM, RAGGED_SEED, 4) * fadeMm;
  return smooth((edge - wander) / RAGGED_SOFT_MM + 0.5);
}

/** Where rows lie in a print: their first pixel, as printed, and how large a pixel is. */
export interface FadePlace {
  widthPx: number;
  firstRow: number;
  firstColumn: number;
  mmPerPx: number;
  print: SizeMm;
  mirrored: boolean;
}

/** Lightens RGBA rows of the print towards white by the fade, in place. */
export function fadeRows(
  rgba: Uint8ClampedArray,
  form: FadeForm,
  fadeMm: number,
  { widthPx, firstRow, firstColumn, mmPerPx, print, mirrored }: FadePlace,
): void {
  if (form === 'none' || fadeMm <= 0) return;
  const rows = rgba.length / 4 / widthPx;
  const reach = form === 'oval' ? Infinity : fadeMm + RAGGED_SOFT_MM;
  const xOf = (column: number) => {
    const xMm = (firstColumn + column + 0.5) * mmPerPx;
    return mirrored ? print.widthMm - xMm : xMm;
  };
  const every = Int32Array.from({ length: widthPx }, (_, column) => column);
  const near = every.filter((column) => Math.min(xOf(column), print.widthMm - xOf(column)) < reach);
  const columnShares =
    form === 'rectangle'
      ? Float64Array.from({ length: widthPx }, (_, column) =>
          smooth(Math.min(xOf(column), print.widthMm - xOf(column)) / fadeMm),
        )
      : null;
  for (let row = 0; row < rows; row++) {
    const yMm = (firstRow + row + 0.5) * mmPerPx;
    const yEdge = Math.min(yMm, print.heightMm - yMm);
    // The nearer of two edges counts, and the curve only rises: so the smaller of two shares.
    const rowShare = columnShares ? smooth(yEdge / fadeMm) : 1;
    for (const column of yEdge < reach ? every : near) {
      const share = columnShares
        ? Math.min(columnShares[column], rowShare)
        : fadeShare(form, fadeMm, print, xOf(column), yMm);
      if (share === 1) continue;
      const at = (row * widthPx + column) * 4;
      rgba[at] = 255 - share * (255 - rgba[at]);
      rgba[at + 1] = 255 - share * (255 - rgba[at + 1]);
      rgba[at + 2] = 255 - share * (255 - rgba[at + 2]);
    }
  }
}
