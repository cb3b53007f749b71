import { COAT_AND_LAY, RUB_IN_PASSES, labourRate, recipeStep } from './recipe';
import { TONER_ON_PAPER, school } from './school';

export const varnishBed = school({
  id: 'varnish-bed',
  recipe: [
    recipeStep('bed', { labour: labourRate(5, 0.6), wait: { kind: 'dry', what: 'bed' } }),
    COAT_AND_LAY,
    RUB_IN_PASSES,
  ],
  prints: TONER_ON_PAPER,
  binders: ['polyurethane'],
});
