import { labourRate, recipeStep } from './recipe';
import { NO_WAIT, school } from './school';

export const linerPress = school({
  id: 'liner-press',
  recipe: [
    recipeStep('lay', { labour: labourRate(4, 0.3, 2), does: ['mark-corners', 'lay-wet-liner', 'card-over-back'] }),
    recipeStep('remove', {
      labour: labourRate(1, 0.1, 1),
      wait: { kind: 'dry', what: 'ink', hours: 1 },
      does: ['lift-straight', 'let-ink-dry'],
    }),
  ],
  removal: 'lift',
  overrides: { ...NO_WAIT, skill: 2, tonerKept: 0.7 },
  only: { classes: [], surfaces: ['soft-wood', 'hard-wood', 'sheet-wood', 'terracotta', 'plaster'] },
  looks: ['soft'],
  sign: 'at-once',
  leavesFibres: false,
  fixedOnceDown: true,
  prints: ['inkjet-liner'],
  binders: ['none'],
  pageSized: true,
  bareOnly: true,
  smoothWood: true,
});
