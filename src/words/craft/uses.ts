import type { SheenId, UseId } from '@/core/craft';
import { said } from '../say';

export const USE_NAMES: Readonly<Record<UseId, string>> = said({
  wall: 'Hangs on a wall',
  'sunlit-wall': 'Hangs in the sun',
  furniture: 'Furniture, drawer, box',
  'table-top': 'Table top, seat, tray',
  handled: 'Handled often',
  cloth: 'Cloth, worn or washed',
});

export const SHEEN_WORDS: Readonly<Record<SheenId, { name: string; inText: string; effect: string }>> = said({
  matte: { name: 'Matte', inText: 'matte', effect: 'clears the least haze, and shows the outline the least' },
  satin: { name: 'Satin', inText: 'satin', effect: 'clears some haze' },
  gloss: {
    name: 'Gloss',
    inText: 'gloss',
    effect: 'clears the most haze and deepens colour, but shows the print’s outline',
  },
});
