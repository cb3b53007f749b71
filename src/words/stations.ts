import type { MissingCode, NextCode, StationId, StationState } from '@/core/stations';
import { said } from './say';

export const STATION_NAMES: Readonly<Record<StationId, string>> = said({
  picture: 'Picture',
  surface: 'Surface',
  method: 'Method',
  sheet: 'Sheet',
  lay: 'Lay',
  cure: 'Cure',
  rub: 'Rub',
  mend: 'Mend',
  seal: 'Seal',
  keep: 'Keep',
});

export const STATE_WORDS: Readonly<Record<StationState, string>> = said({
  'not-yet': 'not yet',
  doubtful: 'doubtful',
  ready: 'ready',
  waiting: 'waiting',
  done: 'done',
});

/** What is still needed, in a list at the station that lacks it; and as something to do, in a list of all pieces. */
export const MISSING_WORDS: Readonly<Record<MissingCode, { needed: string; todo: string }>> = said({
  picture: { needed: 'a picture', todo: 'choose its picture' },
  lettering: { needed: 'an answer: has it lettering?', todo: 'say whether it has lettering' },
  'surface-kind': { needed: 'the kind of surface', todo: 'say what it is made of' },
  'blank-size': { needed: 'width and height of the object', todo: 'measure the object' },
  'shape-fault': { needed: 'a shape that can be made: this one can’t', todo: 'mend its shape' },
  'margins-too-wide': { needed: 'margins that leave room for the print', todo: 'make its margins smaller' },
  method: { needed: 'a method', todo: 'choose its method' },
  'method-refused': { needed: 'a method that can work: the chosen one is refused', todo: 'choose another method' },
  'print-fits-no-page': { needed: 'a print that these pages can hold', todo: 'make the print fit its pages' },
  'not-laid': { needed: 'the moment the print was laid', todo: 'say when it was laid' },
  sealer: { needed: 'a sealer that suits this use and sheen', todo: 'choose a sealer' },
  rating: { needed: 'your rating', todo: 'rate it' },
});

export const NEXT_WORDS: Readonly<Record<NextCode, string>> = said({
  'choose-picture': 'Choose the picture',
  'answer-lettering': 'Say whether it has lettering',
  'describe-surface': 'Measure the object',
  'prepare-surface': 'Prepare the surface',
  'choose-method': 'Choose the method',
  'fix-sheet': 'Make the print fit the page',
  'print-sheet': 'Print the sheet and check it',
  'lay-print': 'Coat and lay the print',
  'wait-cure': 'Start rubbing',
  'start-rubbing': 'Start rubbing',
  'next-pass': 'Rub the next pass',
  'wait-removal': 'Take the sheet off',
  'take-off': 'Take the sheet off',
  'stick-on': 'Stick it on',
  mend: 'Wet test and mend',
  'first-seal-coat': 'Seal: first coat',
  'next-seal-coat': 'Seal: next coat',
  'keep-record': 'Record how it went',
  finished: 'Finished',
});
