/**
 * Wear on purpose, drawn before it is sanded: specks whose area together is the share that is wanted, thrown along the
 * edges, into the corners, or all over. Seeded, so that a piece keeps its own. Source: the look of worn pieces, judged by
 * eye; sanding is never this even.
 */
import type { RectMm } from '@/core/shape';
import { seededChance } from '@/core/shared';

export type WearPlace = 'edges' | 'corners' | 'all-over';
export interface Wear {
  /** Of the print, 0–1. */
  share: number;
  where: WearPlace;
}
export interface Speck {
  xMm: number;
  yMm: number;
  radiusMm: number;
}

const MOST_SPECKS = 1200;
const REACH_SHARE = 0.14;
const CORNER_REACH_SHARE = 0.28;

export function wearSpecks({ xMm, yMm, widthMm, heightMm }: RectMm, { share, where }: Wear, seed: number): Speck[] {
  const roll = seededChance(seed * 977 + 5);
  const least = Math.min(widthMm, heightMm);
  const wanted = share * widthMm * heightMm;
  const usual = Math.max(least / 110, Math.sqrt(wanted / (Math.PI * MOST_SPECKS * 0.6)));
  const specks: Speck[] = [];
  let area = 0;
  while (area < wanted && specks.length < MOST_SPECKS) {
    const radiusMm = usual * (0.4 + 1.2 * roll());
    const [u, v] = [roll(), roll()];
    // Squared: most of it close by.
    const [near, far] = [roll() ** 2 * REACH_SHARE * least, roll() ** 2 * CORNER_REACH_SHARE * least];
    const place = {
      'all-over': () => ({ x: u * widthMm, y: v * heightMm }),
      edges: () => {
        const along = u * 2 * (widthMm + heightMm);
        if (along < widthMm) return { x: along, y: v < 0.5 ? near : heightMm - near };
        if (along < 2 * widthMm) return { x: along - widthMm, y: v < 0.5 ? near : heightMm - near };
        const down = ((along - 2 * widthMm) / 2) % heightMm;
        return { x: v < 0.5 ? near : widthMm - near, y: down };
      },
      corners: () => ({
        x: u < 0.5 ? near + far * roll() : widthMm - near - far * roll(),
        y: v < 0.5 ? near + far * roll() : heightMm - near - far * roll(),
      }),
    }[where]();
    specks.push({ xMm: xMm + place.x, yMm: yMm + place.y, radiusMm });
    area += Math.PI * radiusMm * radiusMm;
  }
  return specks;
}
