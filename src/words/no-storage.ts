/** Why nothing can be kept in this browser, and what to do. */
import { said } from './say';
export const NO_STORAGE_WORDS: Readonly<
  Record<'none' | 'forbidden' | 'newer' | 'broken', { what: string; todo: string }>
> = said({
  none: {
    what: 'This browser gives pages no place to keep things.',
    todo: 'Open Fobbet in an ordinary window, not a private one, or in a newer browser.',
  },
  forbidden: {
    what: 'This browser does not let Fobbet keep anything.',
    todo:
      'It may be a private window, or storage may be blocked for this address: open an ordinary window, or ' +
      'allow cookies and site data for it, and reload.',
  },
  newer: {
    what: 'What is kept here was written by a newer Fobbet.',
    todo: 'It is untouched. Start the newer Fobbet again to go on with it.',
  },
  broken: {
    what: 'The browser failed to open what is kept here.',
    todo: 'Close its other windows and reload. If that does not help, restart it; a full disk or a damaged profile can be the cause.',
  },
});
