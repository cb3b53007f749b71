import type { Removal, SignOfTime } from '@/core/craft';
import { said } from '../say';

export const SIGNS_OF_TIME: Readonly<Record<SignOfTime, string>> = said({
  'opaque-again':
    'The paper goes from translucent back to opaque. Lift a corner: if the picture lifts with it, lay it back and wait.',
  'soaked-through': 'The paper is soaked through and slides.',
  'dry-under-liner': 'Dry all through: no cool patch under the liner.',
  cooled: 'It has cooled to the hand.',
  'at-once': 'At once, while the ink is wet.',
  'film-lifts-clean': 'The bed is dry at the edge and the film lifts clean.',
  'paint-dry': 'The paint is dry to the touch.',
});

/** What the work at Rub is called, where it is not rubbing. */
/** What the cure watch and the timers say when a laid print is ready, after the piece’s name. */
export const READY_WORDS: Readonly<Record<Removal, string>> = said({
  rub: 'ready to rub',
  'peel-and-roll': 'time to peel',
  peel: 'ready to be wetted and peeled',
  lift: 'ready to be lifted off',
  soak: 'soaked: take the paper off',
  none: 'the paint is dry',
});

/** What is pressed once it is off. */
export const OFF_WORDS: Readonly<Record<Removal, string>> = said({
  rub: 'It is rubbed clear',
  'peel-and-roll': 'It is peeled',
  peel: 'It is off',
  lift: 'It is off',
  soak: 'The paper is off',
  none: 'Painted and dry',
});

export const REMOVAL_TITLES: Readonly<Record<Removal, string>> = said({
  rub: '',
  'peel-and-roll': 'Peel',
  peel: 'Peel',
  lift: 'Lift',
  soak: 'Soak and stick',
  none: 'Paint',
});
