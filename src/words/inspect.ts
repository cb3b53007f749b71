import type { Change, InspectArea, InspectDecision, InspectReason } from '@/core/inspect';
import type { Wording } from './units';
import { said, say } from './say';
import { sentences, remarks } from './text';

/** What a reading of the dried piece asks for, first. */
export const DECISION_WORDS: Readonly<Record<InspectDecision | 'stop', string>> = said({
  stop: 'Stop rubbing: more toner goes now than paper.',
  pass: 'Rub another pass all over.',
  areas: 'Rub these areas again, and leave the rest.',
  mend: 'No more rubbing: mend where toner is gone.',
  seal: 'Seal it: what haze is left goes under the sealer.',
});

const percent = (share: number): string => `${Math.round(share * 100)} %`;

/** Why, with its figure. */
export function inspectReason(reason: InspectReason, units: Wording): { figure: string; text: string } {
  switch (reason.code) {
    case 'hazy':
      return {
        figure: units.area(reason.cm2 * 100),
        text: say`with paper left in it: ${percent(reason.share)} of what can be judged`,
      };
    case 'clears-wet':
      return {
        figure: units.area(reason.cm2 * 100),
        text: say`of haze that was gone when it was wet: it goes under the sealer`,
      };
    case 'lost':
      return { figure: units.area(reason.cm2 * 100), text: say`where more than two fifths of the toner is gone` };
    case 'clean':
      return { figure: say`clean`, text: say`no area is left that rubbing would better` };
    case 'whitened':
      return {
        figure: say`not sure`,
        text: say`on a ground as white as paper, haze and lost toner look alike when dry: wet it, and take a second photo`,
      };
    case 'unseen':
      return {
        figure: percent(reason.share),
        text: say`can’t be judged: too pale, or lost in a lamp. Feel there with a fingertip`,
      };
  }
}

/** "12 cm² of heavy haze, 3 cm from the left and 4 cm from the top". */
export const areaWords = (area: InspectArea, units: Wording): string =>
  remarks(
    ofWhat(area, units),
    say`${units.length(area.box.xMm)} from the left and ${units.length(area.box.yMm)} from the top`,
  );

function ofWhat({ kind, areaCm2, severity }: InspectArea, units: Wording): string {
  const area = units.area(areaCm2 * 100);
  if (kind !== 'haze') return say`${area} without toner`;
  if (severity > 0.4) return say`${area} of heavy haze`;
  return severity > 0.25 ? say`${area} of plain haze` : say`${area} of faint haze`;
}

/** Over the decision, where the last rubbing took more toner than paper. */
/** What went between two photos. */
export const changeInWords = ({ hazeGoneCm2, tonerGoneCm2, stop }: Change, units: Wording): string =>
  sentences(
    say`Since the photo before, ${units.area(hazeGoneCm2 * 100)} of paper went and ${units.area(tonerGoneCm2 * 100)} of toner.`,
    stop ? say`What is left of the paper goes under the sealer, or is left.` : say`Rubbing still pays.`,
  );
