import { TONER_ON_PAPER, school } from './school';

export const dryAndRub = school({
  id: 'dry-and-rub',
  prints: [...TONER_ON_PAPER, 'inkjet-plain'],
  palerInk: ['fluid-gel', 'heavy-gel'],
  binders: ['fluid-gel', 'heavy-gel', 'glue-sealer', 'clear-medium', 'furniture-gel', 'wood-glue', 'school-glue'],
  toldByBinder: true,
});
