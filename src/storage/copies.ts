import { ok, type Result } from '@/core/shared';
import type { StorageCode } from '@/records';
import type { CopiesRecord, FobbetDatabase } from './db';
import { written } from './failures';

const NONE: CopiesRecord = { id: 'copies', madeAt: null, changes: 0, folder: null };

/** When the last copy of everything was made, and where copies go by themselves. */
export const copiesOf = async (db: FobbetDatabase): Promise<CopiesRecord> => (await db.copies.get('copies')) ?? NONE;

export async function changeCopies(
  db: FobbetDatabase,
  patch: Partial<Omit<CopiesRecord, 'id'>>,
): Promise<Result<void, StorageCode>> {
  return written<void, never>(async () => {
    await db.transaction('rw', db.copies, async () => {
      await db.copies.put({ ...(await copiesOf(db)), ...patch });
    });
    return ok(undefined);
  });
}

interface Changes {
  /** All that pieces and records had, those in the bin too: what two counts differ by was changed between them. */
  all: number;
  sinceCopy: number;
}

/** How much was changed, ever and since the last copy was made. */
export async function changesOf(db: FobbetDatabase): Promise<Changes> {
  let all = 0;
  await db.pieces.each(({ revision }) => {
    all += Number.isSafeInteger(revision) ? revision : 0;
  });
  // To be put into the bin is a change more; to be gone for good is as many as it had.
  await db.removed.each(({ piece }) => {
    const { revision } = (piece ?? {}) as { revision?: unknown };
    all += 1 + (Number.isSafeInteger(revision) ? Number(revision) : 0);
  });
  const numbers = await db.versions.toCollection().primaryKeys();
  all += numbers.at(-1) ?? 0;
  return { all, sinceCopy: Math.abs(all - (await copiesOf(db)).changes) };
}
