import type { BaseCoatId } from '@/core/craft';
import type { Named } from './named';
import { said } from '../say';

export const BASE_COAT_WORDS: Readonly<Record<BaseCoatId, Named>> = said({
  none: { name: 'None', inText: 'none' },
  'white-wash': { name: 'Thin white wash', inText: 'thin white wash' },
  'chalk-type-paint': { name: 'Chalk-type paint', inText: 'chalk-type paint' },
  'acrylic-paint': { name: 'Matte acrylic paint', inText: 'matte acrylic paint' },
  gesso: { name: 'Gesso', inText: 'gesso' },
});
