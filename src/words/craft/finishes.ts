import type { FinishId } from '@/core/craft';
import type { Named } from './named';
import { said } from '../say';

export const FINISH_WORDS: Readonly<Record<FinishId, Named>> = said({
  bare: { name: 'Nothing: bare', inText: 'nothing: bare' },
  'chalk-type-paint': { name: 'Chalk-type or mineral paint', inText: 'chalk-type or mineral paint' },
  'matte-paint': { name: 'Other matte paint', inText: 'other matte paint' },
  'wall-paint': { name: 'Latex or acrylic wall paint', inText: 'latex or acrylic wall paint' },
  'gloss-paint': { name: 'Gloss, pearl or enamel paint', inText: 'gloss, pearl or enamel paint' },
  varnish: { name: 'Varnish or lacquer', inText: 'varnish or lacquer' },
  'wax-or-oil': { name: 'Wax or oil', inText: 'wax or oil' },
});
