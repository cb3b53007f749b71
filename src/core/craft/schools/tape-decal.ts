import { labourRate, recipeStep } from './recipe';
import { NO_WAIT, school } from './school';

export const tapeDecal = school({
  id: 'tape-decal',
  recipe: [
    recipeStep('lay', {
      labour: labourRate(4, 1.5, 3),
      wait: { kind: 'soak', minutes: 15 },
      does: ['tape-over-print', 'burnish', 'cut-and-soak'],
      cautions: ['knife'],
    }),
    recipeStep('remove', {
      labour: labourRate(3, 1.5, 1),
      wait: { kind: 'dry', what: 'tack', hours: 0.75 },
      does: ['peel-wet-paper', 'sponge-paper-off', 'let-tack-return'],
    }),
    recipeStep('stick', {
      labour: labourRate(4, 0.5, 2),
      does: ['degrease-again', 'stick-on', 'glue-where-no-tack'],
    }),
  ],
  removal: 'soak',
  mirrored: false,
  overrides: { ...NO_WAIT, skill: 1, tonerKept: 0.9 },
  only: { classes: ['smooth'], surfaces: [] },
  looks: ['crisp', 'soft'],
  sign: 'soaked-through',
  leavesFibres: false,
  sealsItself: true,
  prints: ['laser-plain', 'laser-heavy'],
  binders: ['none'],
  pageSized: true,
});
