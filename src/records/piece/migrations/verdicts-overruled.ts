import type { Migration } from '../../version';

/** What version 11 changes, as it was when it was shipped. */
export const verdictsOverruled: Migration = {
  from: 10,
  to: 11,
  name: 'a verdict of a photo that is overruled',
  migrate: (data) => ({ ...data, rub: { ...(data.rub as object), overruledAt: null } }),
};
