import { recipeStepOf } from '@/core/craft';
import type { HandStep } from '@/core/craft';
import { formatDuration } from '@/core/measure';
import { HAND_STEPS, WATER_WORDS, stepTitle } from '@/words';
import { card, cardTimer, type BenchCard, type BenchCards } from '../station-feature';

/** Of a peel's hand steps, those before the rolling. */
const PEELING_STEPS = 2;

const handCards = (hands: readonly HandStep[], id: string): BenchCard[] =>
  hands.map((hand) => card(`${id}-${hand}`, HAND_STEPS[hand]));

export const rubCards: BenchCards = ({ step, title, wait }, _, { rub: { rubbing }, method: { school } }) => {
  const pass = step.kind === 'pass' ? rubbing?.passes.find(({ number }) => number === step.number) : undefined;
  if (!pass || !rubbing) {
    const recipe = school && recipeStepOf(school, step.kind === 'stick' ? 'stick' : 'remove');
    const cards = handCards(recipe?.does ?? [], step.kind === 'stick' ? 'stick' : 'off');
    if (cards.length === 0) return [card('off', stepTitle(title))];
    const dries = wait.hours > 0 ? formatDuration(wait.hours) : null;
    return dries === null ? cards : [...cards, card('off-wait', `It dries ${dries} before the next step.`, dries)];
  }
  const peeling = school?.removal === 'peel-and-roll' && pass.number === 1;
  const peel = peeling ? (recipeStepOf(school, 'passes')?.does ?? []).slice(0, PEELING_STEPS) : [];
  const last = pass.number === rubbing.passes.length;
  const between = formatDuration(rubbing.betweenMinutes / 60);
  return [
    ...handCards(peel, 'peel'),
    card(
      'damp',
      WATER_WORDS[rubbing.water].bench,
      `${pass.dampenMinutes} min`,
      cardTimer('Let it soften', pass.dampenMinutes),
    ),
    card(
      'rub',
      'Roll the paper off with your fingertips in small circles. Brush the rolls aside. Don’t stay on one spot.',
      `${pass.minutes} min`,
      cardTimer(`Rub, pass ${pass.number}`, pass.minutes),
    ),
    card(
      'dry',
      last
        ? `Let it dry ${between} and look for milky patches: rub those once more. It is dry enough to mend after ${formatDuration(rubbing.dryOutMinutes / 60)}.`
        : `Let it dry ${between} and look for milky patches. Wet paper is invisible: it looks done when it is not.`,
      between,
    ),
  ];
};
