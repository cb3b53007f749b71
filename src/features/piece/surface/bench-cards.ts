import { formatDuration } from '@/words/figures';
import { mixWash, prepWhy, sentences, stepTitle } from '@/words';
import { card, cardTimer, type BenchCards } from '../station-feature';
import { say } from '@/words/say';

export const surfaceCards: BenchCards = (
  { step, id, title, handsMinutes, waitHours },
  _,
  { surface: { paintMl } },
  units,
) => {
  const name = stepTitle(title);
  const why = step.kind === 'prepare' ? prepWhy(step.code) : '';
  const mix = title.code === 'prepare' ? mixWash(title.coat, paintMl, units) : null;
  const work = card(id, sentences(`${name}.`, mix, why), null, cardTimer(name, handsMinutes));
  if (waitHours <= 0) return [work];
  const duration = formatDuration(waitHours);
  return [work, card(`${id}-wait`, say`Then it waits ${duration}. Fobbet keeps the time: press Done now.`, duration)];
};
