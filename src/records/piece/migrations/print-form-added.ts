import type { Migration } from '../../version';

/** What version 4 adds, as it was when it was shipped. */
export const printFormAdded: Migration = {
  from: 3,
  to: 4,
  name: 'the form of the print, copies, proof and order are added',
  migrate: (data) => ({
    ...data,
    sheet: {
      ...(data.sheet as object),
      copies: 1,
      motif: null,
      proof: null,
      order: null,
      form: {
        parts: 'skip',
        sides: 'picture',
        sideColour: '#4a4a4a',
        corners: 'cut',
        seamMm: 6,
        edge: 'cut',
        trimMm: 0,
        tornMm: 5,
        motifMm: 2,
      },
    },
  }),
};
