import type { NextStep } from '@/core/plan';

const WORDS: Readonly<Record<NextStep['code'], string>> = {
  'choose-picture': 'Choose the picture',
  'answer-lettering': 'Say whether it has lettering',
  'describe-surface': 'Measure the blank',
  'prepare-surface': 'Prepare the surface',
  'choose-method': 'Choose the method',
  'fix-sheet': 'Make the print fit the page',
  'print-sheet': 'Print the sheet and check it',
  'lay-print': 'Coat and lay the print',
  'wait-cure': 'Start rubbing',
  'start-rubbing': 'Start rubbing',
  'next-pass': 'Rub the next pass',
  mend: 'Wet test and mend',
  'first-seal-coat': 'Seal: first coat',
  'next-seal-coat': 'Seal: next coat',
  'keep-record': 'Record how it went',
  finished: 'Finished',
};

export const stepWords = (step: NextStep): string => WORDS[step.code];
