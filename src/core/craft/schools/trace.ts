import { labourRate, recipeStep } from './recipe';
import { NO_WAIT, school } from './school';

export const trace = school({
  id: 'trace',
  recipe: [
    recipeStep('lay', {
      labour: labourRate(10, 5, 3),
      wait: { kind: 'dry', what: 'paint', hours: 1 },
      does: ['graphite-and-tape', 'trace-outlines', 'fill-and-dry'],
    }),
  ],
  removal: 'none',
  mirrored: false,
  overrides: { ...NO_WAIT, skill: 2, tonerKept: 1 },
  only: { classes: ['wood', 'painted', 'smooth', 'mineral', 'leather'], surfaces: ['canvas'] },
  looks: ['crisp'],
  sign: 'paint-dry',
  leavesFibres: false,
  prints: ['laser-plain', 'laser-heavy', 'inkjet-plain', 'inkjet-heat-set'],
  binders: ['none'],
  traced: true,
});
