import type { Migration } from '../../version';

type Section = Record<string, unknown>;

/** What version 9 changes, as it was when it was shipped. */
export const tracedFaceAdded: Migration = {
  from: 8,
  to: 9,
  name: 'the face of a traced blank, and parts of the picture to be kept clear',
  migrate: (data) => ({
    ...data,
    picture: { ...((data.picture ?? {}) as Section), keepClear: [] },
    surface: { ...((data.surface ?? {}) as Section), face: null },
  }),
};
