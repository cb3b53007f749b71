/**
 * How well each share of haze and of toner kept explains what a cell shows. For each share of toner the misfit is a
 * parabola in haze, whose three figures are parabolas in toner.
 */
import { FIBRES, WET_VEIL, lightAt, type Cells, type LightField, type Sight, type Triple } from './layers';

/** Noise of camera and texture, and how much of a sudden change within a cell may be a shift. */
const NOISE = 0.012;
const TEXTURE = 0.07;
const SHIFT = 0.3;
const WET_NOISE = 1.3;
const MOST_HAZE = 0.97;

/** A photo under the light that is thought to lie on it. */
export interface Lit {
  sight: Sight;
  light: LightField;
}

/** Whether a cell lies in the frame beside the print's box. */
export function isMargin({ columns, left, top, boxColumns, boxRows }: Cells): (at: number) => boolean {
  const [right, bottom] = [left + boxColumns, (top + boxRows) * columns];
  const from = top * columns;
  return (at) => {
    if (at < from || at >= bottom) return true;
    const x = at % columns;
    return x < left || x >= right;
  };
}

/** A figure of each cell that changes with the toner kept: a + b·k + c·k². */
export type Quadratic = Triple<Float32Array>;

/**
 * How badly a share of haze h and of toner kept k explains each cell: misfit − 2·h·slope + h²·bow, the light that is off
 * being linear in both. Nothing where it is not seen, or bare blank.
 */
export interface Misfits {
  slope: Quadratic;
  bow: Quadratic;
  misfit: Quadratic;
}

export function misfitsOf(cells: Cells, dry: Lit, wet: Lit | null): Misfits {
  const { columns, rows, under: ground, underWet: wetted, toner, rough } = cells;
  const zero = (): Quadratic => [0, 1, 2].map(() => new Float32Array(columns * rows)) as Quadratic;
  const [slope, bow, misfit] = [zero(), zero(), zero()];
  const margin = isMargin(cells);
  for (let y = 0; y < rows; y++) {
    const v = (2 * (y + 0.5)) / rows - 1;
    for (let x = 0; x < columns; x++) {
      const at = y * columns + x;
      if (margin(at)) continue;
      const u = (2 * (x + 0.5)) / columns - 1;
      for (let photo = 0; photo < 2; photo++) {
        const lit = photo === 0 ? dry : wet;
        if (!lit || !lit.sight.seen[at]) continue;
        const veil = photo === 0 ? 1 : WET_VEIL;
        for (let channel = 0; channel < 3; channel++) {
          const g = ground[channel];
          const seen = lit.sight.light[channel][at] / lightAt(lit.light[channel], u, v);
          const spread = spreadOf(seen, g, rough[at]);
          const trust = 1 / (spread * spread * (photo === 0 ? 1 : WET_NOISE));
          // Bare light is `bare − k·filtered`: what is off, and how far a veil reaches, with k.
          const bare = g * (photo === 0 ? 1 : wetted[channel]);
          const filtered = bare - g * toner[channel][at];
          const off = seen - bare;
          const reach = veil * (FIBRES - bare);
          const further = veil * filtered;
          misfit[0][at] += trust * off * off;
          misfit[1][at] += trust * 2 * off * filtered;
          misfit[2][at] += trust * filtered * filtered;
          slope[0][at] += trust * off * reach;
          slope[1][at] += trust * (off * further + filtered * reach);
          slope[2][at] += trust * filtered * further;
          bow[0][at] += trust * reach * reach;
          bow[1][at] += trust * 2 * reach * further;
          bow[2][at] += trust * further * further;
        }
      }
    }
  }
  return { slope, bow, misfit };
}

export const valueOf = (of: Quadratic, at: number, kept: number): number =>
  of[0][at] + kept * (of[1][at] + kept * of[2][at]);

/** What a cell's light may be off by, of seen light over ground that is as rough: a standard deviation. */
export const spreadOf = (seen: number, ground: number, rough: number): number =>
  NOISE + TEXTURE * Math.min(seen, ground) + SHIFT * ground * rough;

/** The haze that fits best, against a price for each unit of it. */
export const hazeFor = (slope: number, bow: number, price: number): number =>
  bow <= 0 ? 0 : Math.min(MOST_HAZE, Math.max(0, (slope - price) / bow));
/** The misfit at some haze. */
export const costFor = (slope: number, bow: number, misfit: number, haze: number): number =>
  misfit - 2 * haze * slope + haze * haze * bow;
