import { TONER_ON_PAPER, school } from './school';

export const tackyPeel = school({
  id: 'tacky-peel',
  removal: 'peel-and-roll',
  overrides: { waitHours: { min: 2 / 60, max: 5 / 60 }, passes: { min: 1, max: 2 }, skill: 3, tonerKept: 0.78 },
  only: { classes: ['wood', 'painted', 'fabric', 'mineral'], surfaces: [] },
  looks: ['distressed', 'soft'],
  removeSteps: ['try-corner', 'peel-slowly', 'roll-fibres', 'gloss-clears-rest'],
  sign: 'opaque-again',
  window: true,
  prints: [...TONER_ON_PAPER, 'inkjet-plain'],
  binders: ['fluid-gel', 'heavy-gel', 'glue-sealer'],
});
