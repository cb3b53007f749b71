import { school } from './school';

export const tapeDecal = school({
  id: 'tape-decal',
  removal: 'soak',
  mirrored: false,
  overrides: { waitHours: { min: 0.25, max: 0.25 }, passes: { min: 1, max: 1 }, skill: 1, tonerKept: 0.9 },
  only: { classes: ['smooth'], surfaces: [] },
  looks: ['crisp', 'soft'],
  laySteps: ['tape-over-print', 'burnish', 'cut-and-soak'],
  removeSteps: ['sponge-paper-off', 'let-tack-return', 'stick-on'],
  sign: 'soaked-through',
  prints: ['laser-plain', 'laser-heavy'],
  binders: ['none'],
  pageSized: true,
  knife: true,
});
