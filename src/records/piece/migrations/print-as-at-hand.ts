import type { Migration } from '../../version';

/** What version 13 changes, as it was when it was shipped. */
export const printAsAtHand: Migration = {
  from: 12,
  to: 13,
  name: 'what a piece is printed with follows the printer at hand until a method is chosen; what is liked at Mend',
  migrate: (data) => {
    const method = data.method as { print: unknown; binder: unknown };
    const isUntouched = method.print === 'laser-plain' && method.binder === null;
    return {
      ...data,
      method: { ...method, print: isUntouched ? null : method.print },
      mend: { ...(data.mend as object), liked: [] },
    };
  },
};
