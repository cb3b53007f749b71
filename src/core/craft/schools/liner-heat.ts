import { NO_WAIT, school } from './school';

export const linerHeat = school({
  id: 'liner-heat',
  removal: 'lift',
  overrides: { ...NO_WAIT, skill: 2, tonerKept: 0.93 },
  only: { classes: [], surfaces: ['glass', 'glazed-ceramic'] },
  looks: ['crisp'],
  laySteps: ['tape-liner-down', 'iron-low', 'burnish-warm'],
  removeSteps: ['cool-and-lift'],
  sign: 'cooled',
  prints: ['release-liner'],
  binders: ['none'],
  pageSized: true,
  hot: true,
});
