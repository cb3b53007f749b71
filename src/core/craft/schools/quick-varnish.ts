import { TONER_ON_PAPER, school } from './school';

export const quickVarnish = school({
  id: 'quick-varnish',
  only: { classes: [], surfaces: ['soft-wood'] },
  prints: TONER_ON_PAPER,
  binders: ['acrylic-varnish'],
  bareOnly: true,
});
