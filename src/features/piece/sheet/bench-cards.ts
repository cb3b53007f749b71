import type { PiecePlan } from '@/core/stations';
import { PRINT_HANDLING, TRIM_WORDS, counted, sentences, type Wording } from '@/words';
import { card, cardTimer, type BenchCard, type BenchCards } from '../station-feature';
import { say } from '@/words/say';

export const sheetCards: BenchCards = ({ step }, _, plan, units) =>
  step.kind === 'heat-set' ? heatCards(plan, units) : printCards(plan, units);

function heatCards({ method: { printKind } }: PiecePlan, units: Wording): BenchCard[] {
  const { heatSet } = printKind;
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
      ? say`Print the page at 100 %, mirrored: lettering must read backwards.`
      : say`Print all ${pages} pages at 100 %, mirrored: lettering must read backwards.`;
  return pages === 1
    ? say`Print the page at 100 %, the right way round.`
    : say`Print all ${pages} pages at 100 %, the right way round.`;
}

/** What it is printed on, and how that is held, measured and trimmed: each kind of print has its own way. */
function printCards(
  { sheet: { pack }, surface: { print }, method: { mirrored, printKind } }: PiecePlan,
  units: Wording,
): BenchCard[] {
  const { face, trim, id } = printKind;
  const pages = pack?.ok ? pack.value.pages.length : 1;
  const size = print ? units.size(print.rect.widthMm, print.rect.heightMm) : null;
  const bar = units.system === 'inch' ? say`4 in` : say`100 mm`;
  const handling = PRINT_HANDLING[id];
  const measure =
    face.lies === 'fast'
      ? card('measure', say`Measure the ${bar} bar, and the print across. If either is off, don’t lay it.`, size)
      : card(
          'measure',
          say`First print a page on plain paper, and measure its ${bar} bar there. No ruler comes near the liner.`,
          size,
        );
  const printing = card(
    'print',
    sentences(printWords(pages, mirrored), handling.touch),
    counted(pages, 'page', 'pages'),
  );
  return [
    card('material', handling.material),
    ...(face.lies === 'fast' ? [printing, measure] : [measure, printing]),
    ...(trim === null ? [] : [card('trim', TRIM_WORDS[trim])]),
  ];
}
