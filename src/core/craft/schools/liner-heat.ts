import { labourRate, recipeStep } from './recipe';
import { NO_WAIT, school } from './school';

export const linerHeat = school({
  id: 'liner-heat',
  recipe: [
    recipeStep('lay', {
      labour: labourRate(5, 2, 3),
      wait: { kind: 'cool', minutes: 15 },
      does: ['tape-liner-down', 'iron-low', 'burnish-warm'],
      cautions: ['heat-set'],
    }),
    recipeStep('remove', { labour: labourRate(2, 0.5, 1), does: ['cool-and-lift'] }),
  ],
  removal: 'lift',
  overrides: { ...NO_WAIT, skill: 2, tonerKept: 0.93 },
  only: { classes: [], surfaces: ['glass', 'glazed-ceramic'] },
  looks: ['crisp'],
  sign: 'cooled',
  leavesFibres: false,
  fixedOnceDown: true,
  prints: ['release-liner'],
  binders: ['none'],
  pageSized: true,
  hot: true,
});
