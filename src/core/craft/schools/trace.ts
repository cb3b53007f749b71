import { NO_WAIT, school } from './school';

export const trace = school({
  id: 'trace',
  removal: 'none',
  mirrored: false,
  overrides: { ...NO_WAIT, skill: 2, tonerKept: 1 },
  only: { classes: ['wood', 'painted', 'smooth', 'mineral', 'leather'], surfaces: ['canvas'] },
  looks: ['crisp'],
  laySteps: ['graphite-and-tape', 'trace-outlines', 'fill-and-dry'],
  prints: ['laser-plain', 'laser-heavy', 'inkjet-plain', 'inkjet-heat-set'],
  binders: ['none'],
  traced: true,
});
