import { COAT_AND_LAY, labourRate, recipeStep } from './recipe';
import { school } from './school';

export const linerPeel = school({
  id: 'liner-peel',
  recipe: [
    COAT_AND_LAY,
    recipeStep('remove', { labour: labourRate(3, 0.5, 1), does: ['try-liner-corner', 'draw-liner-off'] }),
  ],
  removal: 'lift',
  overrides: {
    waitHours: { min: 10, max: 24 },
    clockFloorHours: 0,
    passes: { min: 0, max: 0 },
    faces: ['surface'],
    wholeSurface: true,
    skill: 3,
    tonerKept: 0.96,
  },
  only: { classes: ['wood', 'painted', 'smooth', 'leather', 'wax'], surfaces: ['plaster', 'canvas'] },
  coatedFabricOnly: true,
  looks: ['crisp'],
  sign: 'dry-under-liner',
  leavesFibres: false,
  fixedOnceDown: true,
  prints: ['release-liner'],
  binders: ['fluid-gel', 'furniture-gel', 'glue-sealer', 'acrylic-varnish'],
  pageSized: true,
  needsSmooth: true,
});
