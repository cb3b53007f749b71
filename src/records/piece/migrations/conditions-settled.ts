import type { Migration } from '../../version';

/** What version 12 changes, as it was when it was shipped. */
export const conditionsSettled: Migration = {
  from: 11,
  to: 12,
  name: 'what a method asks for is answered, paint that bears an oven, what a bought one costs; the rule of waiting by its name',
  migrate: (data) => {
    const { school, ...cure } = data.cure as { school: unknown };
    return {
      ...data,
      surface: { ...(data.surface as object), bakeSafe: false },
      method: { ...(data.method as object), settled: [] },
      cure: { ...cure, waitBy: school },
      keep: { ...(data.keep as object), boughtPrice: null },
    };
  },
};
