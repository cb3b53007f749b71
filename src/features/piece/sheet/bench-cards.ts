import { printById } from '@/core/craft';
import type { Job, PiecePlan } from '@/core/stations';
import { counted, type Wording } from '@/words';
import { card, cardTimer, type BenchCard, type BenchCards } from '../station-feature';

export const sheetCards: BenchCards = ({ step }, job, plan, units) =>
  step.kind === 'heat-set' ? heatCards(job, units) : printCards(plan, units);

function heatCards({ method: { print } }: Job, units: Wording): BenchCard[] {
  const { heatSet } = printById(print);
  if (!heatSet) return [];
  const { temperatureC, minutes, coolMinutes } = heatSet;
  return [
    card('heat-oven', `Heat the oven to ${units.temperature(temperatureC)}, by an oven thermometer. No food in it.`),
    card(
      'heat-set',
      'Lay the print on baking parchment, picture up, and stay with it.',
      `${minutes} min`,
      cardTimer('Set with heat', minutes),
    ),
    card('heat-cool', `Take it out with a glove and let it cool ${coolMinutes} min. A damp finger must not smear it.`),
  ];
}

function printCards(
  { sheet: { pack }, surface: { print }, method: { mirrored } }: PiecePlan,
  units: Wording,
): BenchCard[] {
  const pages = pack?.ok ? pack.value.pages.length : 1;
  const size = print ? units.size(print.rect.widthMm, print.rect.heightMm) : null;
  const what = pages === 1 ? 'the page' : `all ${pages} pages`;
  const how = mirrored ? 'toner, mirrored: lettering must read backwards' : 'paper, the right way round';
  return [
    card('print', `Print ${what} at 100 %, on ${how}.`, counted(pages, 'page', 'pages')),
    card(
      'measure',
      `Measure the ${units.system === 'inch' ? '4 in' : '100 mm'} bar, and the print across. If either is off, don’t lay it.`,
      size,
    ),
    card('trim', 'Trim along the cut line with knife and metal ruler, so that no white rim is left.'),
  ];
}
