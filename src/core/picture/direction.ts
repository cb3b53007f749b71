/**
 * The direction of a picture's main lines: the structure tensor of the block lightness, summed over the picture; its
 * axis of least change is the direction in which lines run (Kass and Witkin 1987). Coherence 0 where all directions are
 * alike, 1 where there is only one.
 */
import type { Blocks } from './blocks';

export interface Direction {
  /** Degrees clockwise from running across, −90…90. */ angleDeg: number;
  coherence: number;
}

/** Below this, lines run every way and no direction is proposed. */
export const LEAST_COHERENCE = 0.12;

export function mainDirection({ columns, rows, lightness }: Pick<Blocks, 'columns' | 'rows' | 'lightness'>): Direction {
  let [xx, xy, yy] = [0, 0, 0];
  for (let y = 1; y < rows - 1; y++) {
    for (let x = 1; x < columns - 1; x++) {
      const at = y * columns + x;
      const dx = (lightness[at + 1] - lightness[at - 1]) / 2;
      const dy = (lightness[at + columns] - lightness[at - columns]) / 2;
      xx += dx * dx;
      xy += dx * dy;
      yy += dy * dy;
    }
  }
  const total = xx + yy;
  if (total === 0) return { angleDeg: 0, coherence: 0 };
  const across = (0.5 * Math.atan2(2 * xy, xx - yy) * 180) / Math.PI;
  const angle = across + 90;
  return { angleDeg: angle > 90 ? angle - 180 : angle, coherence: Math.hypot(xx - yy, 2 * xy) / total };
}
