import type { PaintAge } from '@/core/stations';
import { said } from '../say';

/** Who painted it, and when: paint from before lead was banned, or of unknown age, is tested. */
export const PAINT_AGE_NAMES: Readonly<Record<PaintAge, string>> = said({
  own: 'I did, with paint from a shop',
  recent: 'Somebody else, in the last 30 years',
  old: 'It is older than that',
  unknown: 'I don’t know',
});
