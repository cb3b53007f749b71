import type { LayingStep } from '@/core/coat';
import { handsAtLay, type PiecePlan, type StepId } from '@/core/stations';
import { CONDITION_WORDS, HAND_STEPS, SIGNS_OF_TIME, layingWords, sentences, stepTitle, type Wording } from '@/words';
import { card, cardTimer, type BenchCard, type BenchCards } from '../station-feature';
import { say } from '@/words/say';

/** Of the laying steps, those of the bed that dries first; the others follow it. */
const BED_STEPS: readonly LayingStep['code'][] = ['ready-tools', 'bed-coat', 'wash-brush'];

const belongs = (code: LayingStep['code'], step: StepId): boolean =>
  step.kind === 'bed' ? BED_STEPS.includes(code) : code !== 'bed-coat';

export const layCards: BenchCards = ({ step, title }, _, plan, units) => {
  const { laying } = plan.lay;
  const { binder, open: asked } = plan.method;
  const first = step.kind === 'lay' ? asked.map((code) => card(`if-${code}`, CONDITION_WORDS[code])) : [];
  if (!laying || !binder?.wet) {
    const hands = handsAtLay(plan).map((hand) => card(`lay-${hand}`, HAND_STEPS[hand]));
    return [...first, ...(hands.length > 0 ? hands : [card('lay', stepTitle(title))])];
  }
  const shown = laying.steps.filter(({ code }) => belongs(code, step));
  const firstCoat = shown.find(({ code }) => code === 'coat-surface' || code === 'coat-paper');
  const openTime = cardTimer(say`Lay it before the top dries`, Math.floor(laying.openMinutes), true);
  const cards = shown.map((one) =>
    card(
      one.code,
      sentences(layingWords(one, binder, units), 'volumeMl' in one && inSpoons(one.volumeMl, units)),
      'volumeMl' in one ? units.volume(one.volumeMl) : null,
      one === firstCoat ? openTime : null,
    ),
  );
  return step.kind === 'lay' ? [...first, ...cards, ...peelCards(plan)] : cards;
};

const inSpoons = (ml: number, units: Wording): string | null => {
  const spoons = units.spoons(ml);
  return spoons && say`${units.volume(ml)}: ${spoons}.`;
};

/** A tacky peel has its early and its late timer. */
function peelCards({ cure: { peel } }: PiecePlan): BenchCard[] {
  if (!peel) return [];
  const [from, until] = [peel.fromHours * 60, peel.untilHours * 60];
  return [
    card(
      'peel-window',
      peel.sign ? SIGNS_OF_TIME[peel.sign] : '',
      say`${Math.round(from)}–${Math.round(until)} min`,
      cardTimer(say`Peel from now on`, from),
    ),
    card(
      'peel-late',
      say`Peel before this time is up, or it tears.`,
      null,
      cardTimer(say`Peel no later than now`, until),
    ),
  ];
}
