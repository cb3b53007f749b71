import { COAT_AND_LAY, labourRate, recipeStep } from './recipe';
import { school } from './school';

export const filmBed = school({
  id: 'film-bed',
  recipe: [
    COAT_AND_LAY,
    recipeStep('remove', {
      labour: labourRate(3, 0.5, 1),
      wait: { kind: 'dry', what: 'ink', hours: 1 },
      does: ['try-film-corner', 'draw-film-off'],
    }),
  ],
  removal: 'lift',
  overrides: {
    waitHours: { min: 4, max: 12 },
    passes: { min: 0, max: 0 },
    faces: ['surface'],
    skill: 3,
    tonerKept: 0.8,
  },
  only: { classes: ['wood', 'painted', 'mineral', 'smooth'], surfaces: ['canvas'] },
  sign: 'film-lifts-clean',
  leavesFibres: false,
  prints: ['inkjet-film'],
  binders: ['gesso', 'fluid-gel'],
  pageSized: true,
});
