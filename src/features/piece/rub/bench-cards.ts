import { HAND_STEPS, stepTitle } from '@/words';
import { card, cardTimer, type BenchCards } from '../station-feature';

/** Of a peel's hand steps, those before the rolling. */
const PEELING_STEPS = 2;

export const rubCards: BenchCards = ({ step, title }, _, { rub: { rubbing }, method: { school } }) => {
  const pass = step.kind === 'pass' ? rubbing?.passes.find(({ number }) => number === step.number) : undefined;
  if (!pass) {
    const hands = school?.removeSteps ?? [];
    return hands.length > 0
      ? hands.map((hand) => card(`off-${hand}`, HAND_STEPS[hand]))
      : [card('off', stepTitle(title))];
  }
  const peeling = school?.removal === 'peel-and-roll' && pass.number === 1;
  const peel = peeling ? school.removeSteps.slice(0, PEELING_STEPS) : [];
  return [
    ...peel.map((hand) => card(`peel-${hand}`, HAND_STEPS[hand])),
    card(
      'damp',
      'Damp it with a wrung sponge, a section at a time, from a light corner. Damp, not soaked.',
      `${pass.dampenMinutes} min`,
      cardTimer('Damp: let it soften', pass.dampenMinutes),
    ),
    card(
      'rub',
      'Roll the paper off with your fingertips in small circles. Brush the rolls aside. Don’t stay on one spot.',
      `${pass.minutes} min`,
      cardTimer(`Rub, pass ${pass.number}`, pass.minutes),
    ),
    card(
      'dry',
      `Let it dry ${pass.dryMinutes} min and look for milky patches. Wet paper is invisible: it looks done when it is not.`,
      `${pass.dryMinutes} min`,
    ),
  ];
};
