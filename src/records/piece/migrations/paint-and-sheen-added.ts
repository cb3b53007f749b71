import type { Migration } from '../../version';

type Section = Record<string, unknown>;

/** What version 7 changes, as it was when it was shipped. */
export const paintAndSheenAdded: Migration = {
  from: 6,
  to: 7,
  name: 'the age of paint, a colour under the base coat, the price of paint, and steps begun early',
  migrate: (data) => {
    const surface = (data.surface ?? {}) as Section;
    const keep = (data.keep ?? {}) as Section;
    const work = (data.work ?? {}) as Section;
    const sheet = (data.sheet ?? {}) as Section;
    const proof = sheet.proof as Section | null | undefined;
    const done = Array.isArray(work.done) ? (work.done as Section[]) : [];
    return {
      ...data,
      surface: { ...surface, paintAge: null, underColour: null },
      sheet: { ...sheet, proof: proof ? { ...proof, sizeUnread: null } : (proof ?? null) },
      keep: { ...keep, prices: { ...(keep.prices as Section), paintTin: { price: null, ml: null } } },
      work: { ...work, done: done.map((step) => ({ ...step, early: false })) },
    };
  },
};
