import type { Migration } from '../../version';

/** What version 10 changes, as it was when it was shipped. */
export const setsAndTemplatesAdded: Migration = {
  from: 9,
  to: 10,
  name: 'sets with one plan, and templates',
  migrate: (data) => ({ ...data, set: null, template: false }),
};
