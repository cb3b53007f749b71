import { printById } from '@/core/craft';
import type { Job, PiecePlan } from '@/core/stations';
import { counted, type Wording } from '@/words';
import { card, cardTimer, type BenchCard, type BenchCards } from '../station-feature';
import { say } from '@/words/say';

export const sheetCards: BenchCards = ({ step }, job, plan, units) =>
  step.kind === 'heat-set' ? heatCards(job, units) : printCards(plan, units);

function heatCards({ method: { print } }: Job, units: Wording): BenchCard[] {
  const { heatSet } = printById(print);
  if (!heatSet) return [];
  const { temperatureC, minutes, coolMinutes } = heatSet;
  return [
    card('heat-oven', say`Heat the oven to ${units.temperature(temperatureC)}, by an oven thermometer. No food in it.`),
    card(
      'heat-set',
      say`Lay the print on baking parchment, picture up, and stay with it.`,
      say`${minutes} min`,
      cardTimer(say`Set with heat`, minutes),
    ),
    card(
      'heat-cool',
      say`Take it out with a glove and let it cool ${coolMinutes} min. A damp finger must not smear it.`,
    ),
  ];
}

function printWords(pages: number, mirrored: boolean): string {
  if (mirrored)
    return pages === 1
      ? say`Print the page at 100 %, on toner, mirrored: lettering must read backwards.`
      : say`Print all ${pages} pages at 100 %, on toner, mirrored: lettering must read backwards.`;
  return pages === 1
    ? say`Print the page at 100 %, on paper, the right way round.`
    : say`Print all ${pages} pages at 100 %, on paper, the right way round.`;
}

function printCards(
  { sheet: { pack }, surface: { print }, method: { mirrored } }: PiecePlan,
  units: Wording,
): BenchCard[] {
  const pages = pack?.ok ? pack.value.pages.length : 1;
  const size = print ? units.size(print.rect.widthMm, print.rect.heightMm) : null;
  return [
    card('print', printWords(pages, mirrored), counted(pages, 'page', 'pages')),
    card(
      'measure',
      units.system === 'inch'
        ? say`Measure the 4 in bar, and the print across. If either is off, don’t lay it.`
        : say`Measure the 100 mm bar, and the print across. If either is off, don’t lay it.`,
      size,
    ),
    card('trim', say`Trim along the cut line with knife and metal ruler, so that no white rim is left.`),
  ];
}
