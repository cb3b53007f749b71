import { COAT_AND_LAY, RUB_IN_PASSES } from './recipe';
import { TONER_ON_PAPER, school } from './school';

export const tackyPeel = school({
  id: 'tacky-peel',
  recipe: [
    { ...COAT_AND_LAY, wait: { kind: 'window' } },
    { ...RUB_IN_PASSES, does: ['try-corner', 'peel-slowly', 'roll-fibres', 'gloss-clears-rest'], cautions: ['knife'] },
  ],
  removal: 'peel-and-roll',
  overrides: {
    waitHours: { min: 2 / 60, max: 5 / 60 },
    passes: { min: 1, max: 2 },
    skill: 3,
    tonerKept: 0.85,
    water: 'none',
  },
  only: { classes: ['wood', 'painted', 'fabric', 'mineral'], surfaces: [] },
  looks: ['distressed', 'soft'],
  sign: 'opaque-again',
  glossClears: true,
  prints: [...TONER_ON_PAPER, 'inkjet-plain'],
  palerInk: ['fluid-gel', 'heavy-gel', 'glue-sealer'],
  binders: ['fluid-gel', 'heavy-gel', 'glue-sealer'],
});
