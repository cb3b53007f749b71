import type { Migration } from '../../version';

/** What version 5 adds, as it was when it was shipped. */
export const workAdded: Migration = {
  from: 4,
  to: 5,
  name: 'the room through time, ovens, signs and the work done are added',
  migrate: (data) => ({
    ...data,
    cure: { ...(data.cure as object), cover: 'open', oven: null, through: 'typed', signs: [] },
    work: { done: [], draws: [] },
  }),
};
