import { REPAIR_WORDS, stepTitle } from '@/words';
import { card, type BenchCards } from '../station-feature';

export const mendCards: BenchCards = ({ step, title }, _, { mend: { repairs } }) => {
  const shown =
    step.kind === 'mend'
      ? repairs.filter(({ expected, id }) => expected && id !== 'trace')
      : repairs.filter(({ id }) => id === 'trace');
  const cards = shown.map(({ id }) => card(id, `${REPAIR_WORDS[id].title}. ${REPAIR_WORDS[id].how}`));
  return cards.length > 0 ? cards : [card('mend', stepTitle(title))];
};
