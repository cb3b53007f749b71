import { BINDERS, PRINTS, SURFACES, printById, type PrintId } from '@/core/craft';
import { NOTHING_SAID } from '@/core/at-hand';
import { placesOf } from '@/core/coat';
import { rankMethods, type Candidate, type MethodContext } from '@/core/method';
import { lightnessOf } from '@/core/colour';
import { BINDER_WORDS, PRINT_WORDS, SURFACE_WORDS } from '@/words';

/** A refusal for want of another print says less of a binder than one for its own sake. */
const NEXT_SHELF: readonly string[] = ['other-print', 'needs-plain-paper'];
const ROOM = { temperatureC: 21, humidityPercent: 50, air: 'still' } as const;

/**
 * The answer for one bare surface, binder and print: the best school's, or the reason of the school that comes nearest.
 */
function cell(candidates: readonly Candidate[]): string {
  const best = candidates.find((candidate) => candidate.verdict !== 'refused');
  if (best) return best.verdict === 'works' ? `works (${best.school.id})` : `if (${best.school.id})`;
  const nearest =
    candidates.find((candidate) => !NEXT_SHELF.includes(candidate.refusal?.code ?? 'other-print')) ?? candidates[0];
  return `no: ${nearest.refusal?.code}`;
}

function table(print: PrintId): string {
  const head = `| Surface | ${BINDERS.map(({ id }) => BINDER_WORDS[id].name).join(' | ')} |\n|---|${BINDERS.map(() => '---|').join('')}`;
  const rows = SURFACES.map((surface) => {
    const context: MethodContext = {
      surface,
      print: printById(print),
      finish: 'bare',
      hasBaseCoat: false,
      groundLightness: lightnessOf(surface.bareColour),
      ground: surface,
      places: placesOf(60_000),
      reachedMm2: 60_000,
      lettering: false,
      whites: 'either',
      look: 'any',
      use: 'wall',
      room: ROOM,
      hoursLeft: null,
      waitBy: 'sign',
      atHand: NOTHING_SAID,
    };
    const ranked = rankMethods(context);
    const cells = BINDERS.map((binder) => cell(ranked.filter((candidate) => candidate.binder.id === binder.id)));
    return `| ${SURFACE_WORDS[surface.id].name} | ${cells.join(' | ')} |`;
  });
  return `## ${PRINT_WORDS[print].name}\n\n${head}\n${rows.join('\n')}\n`;
}

/** docs/methods.md: every surface, bare, with every binder and print. */
export const methodTables = (): string =>
  '# Which method works: every surface, binder and print\n\n' +
  'Made by the code (`npm run formats`); a test keeps it current. For a bare surface, a print of about letter size, ' +
  "on a wall. *works*, *if* something is done first, or *no* with the reason's\n" +
  'code; in brackets the school that does best. The sentences are in `src/words/methods.ts`.\n\n' +
  PRINTS.map((print) => table(print.id)).join('\n');
