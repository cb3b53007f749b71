import { TONER_ON_PAPER, school } from './school';

export const opaqueBase = school({
  id: 'opaque-base',
  looks: ['crisp', 'soft'],
  prints: TONER_ON_PAPER,
  binders: ['opaque-medium'],
});
