import { NO_WAIT, school } from './school';

export const linerPress = school({
  id: 'liner-press',
  removal: 'lift',
  overrides: { ...NO_WAIT, skill: 2, tonerKept: 0.7 },
  only: { classes: [], surfaces: ['soft-wood', 'hard-wood', 'sheet-wood', 'terracotta', 'plaster'] },
  looks: ['soft'],
  laySteps: ['mark-corners', 'lay-wet-liner', 'card-over-back'],
  removeSteps: ['lift-straight', 'let-ink-dry'],
  sign: 'at-once',
  prints: ['inkjet-liner'],
  binders: ['none'],
  pageSized: true,
  bareOnly: true,
});
