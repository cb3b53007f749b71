import { school } from './school';

export const filmBed = school({
  id: 'film-bed',
  removal: 'lift',
  overrides: {
    waitHours: { min: 4, max: 12 },
    passes: { min: 0, max: 0 },
    faces: ['surface'],
    skill: 3,
    tonerKept: 0.8,
  },
  only: { classes: ['wood', 'painted', 'mineral', 'smooth'], surfaces: ['canvas'] },
  removeSteps: ['try-film-corner', 'draw-film-off'],
  sign: 'film-lifts-clean',
  prints: ['inkjet-film'],
  binders: ['gesso', 'fluid-gel'],
  pageSized: true,
});
