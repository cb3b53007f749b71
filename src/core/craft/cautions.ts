/** Cautions, shown at the step where they apply. Labels, local codes and licensed practice come first. */
export type CautionId =
  | 'lead'
  | 'sanding-dust'
  | 'knife'
  | 'spray'
  | 'oily-rags'
  | 'no-food'
  | 'no-flame'
  | 'glass-edges'
  | 'two-people'
  | 'fingertips'
  | 'picture-rights'
  | 'cold-film'
  | 'damp-air'
  | 'brushes'
  | 'back-of-paper'
  | 'heat-set'
  | 'oven'
  | 'label-first'
  | 'outdoors'
  | 'wash';

/** `danger` can hurt someone; `craft` can spoil the piece. */
export type CautionLevel = 'danger' | 'craft';

export const CAUTION_LEVELS: Readonly<Record<CautionId, CautionLevel>> = {
  lead: 'danger',
  'sanding-dust': 'danger',
  knife: 'danger',
  spray: 'danger',
  'oily-rags': 'danger',
  'no-food': 'danger',
  'no-flame': 'danger',
  'glass-edges': 'danger',
  'two-people': 'danger',
  fingertips: 'danger',
  'picture-rights': 'craft',
  'cold-film': 'craft',
  'damp-air': 'craft',
  brushes: 'craft',
  'back-of-paper': 'craft',
  'heat-set': 'danger',
  oven: 'danger',
  'label-first': 'craft',
  outdoors: 'craft',
  wash: 'craft',
};
