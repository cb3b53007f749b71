import type { Work } from '@/core/stations';
import { counted } from './text';
import { said, say } from './say';

interface WorkWords {
  /** Of a person: “may …”. */
  may: string;
  /** Of several pieces at once, before their count. */
  together: string;
  things: readonly [string, string];
  /** Said by its own title where it is the same for all. */
  ownTitle?: true;
}

const PIECES = ['piece', 'pieces'] as const;
const PRINTS = ['print', 'prints'] as const;

export const WORK_WORDS: Readonly<Record<Work, WorkWords>> = said({
  print: { may: 'print and trim', together: 'Print', things: ['sheet', 'sheets'] },
  clean: { may: 'wash and dust', together: 'Clean', things: PIECES, ownTitle: true },
  sand: { may: 'sand', together: 'Sand', things: PIECES, ownTitle: true },
  strip: { may: 'strip old paint and test it for lead', together: 'Strip', things: PIECES, ownTitle: true },
  paint: { may: 'put on base coats', together: 'Put the base coat on', things: PIECES },
  lay: { may: 'coat and lay prints', together: 'Lay', things: PRINTS },
  rub: { may: 'take the paper off', together: 'Take the paper off', things: PIECES, ownTitle: true },
  mend: { may: 'mend and repaint', together: 'Repaint', things: PIECES, ownTitle: true },
  seal: { may: 'seal with a brush', together: 'Seal', things: PIECES },
  spray: { may: 'spray', together: 'Spray', things: PIECES },
  oven: { may: 'use the oven', together: 'Heat', things: PRINTS },
});

/** “Print 4 sheets”, “Seal 3 pieces”; “Degrease, 2 pieces” where that is all there is to it. */
export function batchTitle(work: Work, titles: readonly string[]): string {
  const { together, things, ownTitle } = WORK_WORDS[work];
  const [first, ...others] = titles;
  const count = counted(titles.length, ...things);
  return ownTitle && first && others.every((one) => one === first) ? `${first}, ${count}` : `${together} ${count}`;
}

/** “sitting 1 of 2”. */
export const sittingWords = ({ number, of }: { number: number; of: number }): string => say`sitting ${number} of ${of}`;
