import type { Removal, SignOfTime } from '@/core/craft';

export const SIGNS_OF_TIME: Readonly<Record<SignOfTime, string>> = {
  'opaque-again':
    'The paper goes from translucent back to opaque. Lift a corner: if the picture lifts with it, lay it back and wait.',
  'soaked-through': 'The paper is soaked through and slides.',
  'dry-under-liner': 'Dry all through: no cool patch under the liner.',
  cooled: 'It has cooled to the hand.',
  'at-once': 'At once, while the ink is wet.',
  'film-lifts-clean': 'The bed is dry at the edge and the film lifts clean.',
};

/** What the work at Rub is called, where it is not rubbing. */
export const REMOVAL_TITLES: Readonly<Record<Removal, string>> = {
  rub: '',
  'peel-and-roll': 'Peel',
  peel: 'Peel',
  lift: 'Lift',
  soak: 'Soak and stick',
  none: 'Paint',
};
