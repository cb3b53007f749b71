import type { Migration } from '../../version';

/** Version 1 had one margin all round. */
export const oneMarginToFour: Migration = {
  from: 1,
  to: 2,
  name: 'one margin all round becomes one for each side',
  migrate: (data) => {
    const { marginMm = 10, ...sheet } = (data.sheet ?? {}) as { marginMm?: number };
    return {
      ...data,
      sheet: { ...sheet, margins: { topMm: marginMm, rightMm: marginMm, bottomMm: marginMm, leftMm: marginMm } },
    };
  },
};
