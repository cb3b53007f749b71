import type { Migration } from '../../version';

type Section = Record<string, unknown>;

/** What version 8 changes, as it was when it was shipped. */
export const readingsAndFaultsAdded: Migration = {
  from: 7,
  to: 8,
  name: 'readings of photos, wear on purpose, a glaze, and faults that were looked into',
  migrate: (data) => ({
    ...data,
    rub: { ...((data.rub ?? {}) as Section), readings: [] },
    mend: { ...((data.mend ?? {}) as Section), wear: null, glaze: null },
    faults: { notes: [] },
  }),
};
