import { formatDuration } from '@/words/figures';
import { SEALER_WORDS, SHEEN_WORDS, stepTitle, sentences } from '@/words';
import { card, type BenchCards } from '../station-feature';
import { say } from '@/words/say';

export const sealCards: BenchCards = ({ title, waitHours }, _, { seal: { sealing }, method }, units) => {
  if (!sealing) return [card('seal', stepTitle(title))];
  const { sealer, volumeMlPerCoat } = sealing;
  const sheen = sealer.oily ? '' : `, ${SHEEN_WORDS[method.sheen].inText}`;
  const wait = waitHours > 0 ? formatDuration(waitHours) : null;
  return [
    card('dust', say`Dust it off. It must be dry, with no milky patch left.`),
    card(
      'coat',
      say`One thin, even coat of ${SEALER_WORDS[sealer.id].inText}${sheen}. Long strokes, one way.`,
      units.volume(volumeMlPerCoat),
    ),
    card('wait', sentences(say`Wash the brush.`, wait !== null && say`It waits ${wait}.`), wait),
  ];
};
