import type { SealPlan } from '@/core/seal';
import type { SheenId } from '@/core/craft';
import { formatDuration } from '@/words/figures';
import { SEALER_WORDS, SHEEN_WORDS, stepTitle, sentences, type Wording } from '@/words';
import { card, cardTimer, type BenchCard, type BenchCards } from '../station-feature';
import { say } from '@/words/say';

const WAX_GOES_IN_MINUTES = 10;

export const sealCards: BenchCards = ({ title, waitHours }, _, { seal: { sealing }, method }, units) => {
  if (!sealing) return [card('seal', stepTitle(title))];
  const wait = waitHours > 0 ? formatDuration(waitHours) : null;
  const waits = wait === null ? '' : say`It waits ${wait}.`;
  const dust = card('dust', say`Dust it off. It must be dry, with no milky patch left.`);
  if (sealing.sealer.sprayed) return [dust, ...sprayCards(units), card('wait', waits || say`Let it dry.`, wait)];
  if (sealing.sealer.oily) return [dust, ...waxCards(), card('wait', waits || say`Let it harden.`, wait)];
  return [dust, brushCard(sealing, method.sheen, units), card('wait', sentences(say`Wash the brush.`, waits), wait)];
};

function brushCard({ sealer, volumeMlPerCoat }: SealPlan, sheen: SheenId, units: Wording): BenchCard {
  return card(
    'coat',
    sentences(
      say`One thin, even coat of ${SEALER_WORDS[sealer.id].inText}, ${SHEEN_WORDS[sheen].inText}. Long strokes, one way.`,
      sealer.clouds && say`Laid on thick it stays cloudy and tacky.`,
    ),
    units.volume(volumeMlPerCoat),
  );
}

/** Light coats that build up: one that covers at once runs. */
const sprayCards = (units: Wording): BenchCard[] => [
  card('shake', say`Outside, or where air moves strongly. Shake the can two minutes, and try it on scrap.`),
  card(
    'coat',
    units.system === 'inch'
      ? say`Spray a light coat from 10 to 12 in away. Begin and end each stroke beyond the piece; the strokes overlap by half.`
      : say`Spray a light coat from 25 to 30 cm away. Begin and end each stroke beyond the piece; the strokes overlap by half.`,
  ),
  card(
    'build-up',
    say`Stop while it still looks thin: the next coats build it up. A wet coat runs, and can lift the picture.`,
  ),
];

const waxCards = (): BenchCard[] => [
  card('coat', say`Rub a little wax on with a soft cloth, thin, in small circles. Leave no lumps.`),
  card(
    'wipe-off',
    say`Let it go in, then wipe off all that stayed on top, and rub until the cloth stays clean.`,
    say`${WAX_GOES_IN_MINUTES} min`,
    cardTimer(say`Wax goes in`, WAX_GOES_IN_MINUTES),
  ),
];
