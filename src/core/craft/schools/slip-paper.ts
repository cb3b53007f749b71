import { COAT_AND_LAY, labourRate, recipeStep } from './recipe';
import { school } from './school';

export const slipPaper = school({
  id: 'slip-paper',
  recipe: [
    COAT_AND_LAY,
    recipeStep('remove', {
      labour: labourRate(3, 0.5, 1),
      wait: { kind: 'dry', what: 'face', hours: 1 },
      does: ['wet-back', 'peel-in-one', 'wipe-slip'],
    }),
  ],
  removal: 'peel',
  overrides: {
    waitHours: { min: 2, max: 2 },
    clockFloorHours: 0,
    passes: { min: 0, max: 0 },
    faces: ['surface'],
    wholeSurface: true,
    skill: 1,
    tonerKept: 0.97,
  },
  looks: ['crisp', 'soft'],
  leavesFibres: false,
  prints: ['slip-paper'],
  binders: ['fluid-gel', 'heavy-gel', 'furniture-gel'],
  pageSized: true,
});
