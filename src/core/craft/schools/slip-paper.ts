import { school } from './school';

export const slipPaper = school({
  id: 'slip-paper',
  removal: 'peel',
  overrides: {
    waitHours: { min: 2, max: 2 },
    clockFloorHours: 0,
    passes: { min: 0, max: 0 },
    skill: 1,
    tonerKept: 0.97,
  },
  looks: ['crisp', 'soft'],
  removeSteps: ['wet-back', 'peel-in-one', 'wipe-slip'],
  prints: ['slip-paper'],
  binders: ['fluid-gel', 'heavy-gel', 'furniture-gel'],
  pageSized: true,
});
