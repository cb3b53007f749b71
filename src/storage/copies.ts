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

/** All changes that pieces and records had, those in the bin too: what two counts differ by was changed between them. */
export async function changesOf(db: FobbetDatabase): Promise<number> {
  let changes = 0;
  await db.pieces.each(({ revision }) => {
    changes += Number.isSafeInteger(revision) ? revision : 0;
  });
  // To be put into the bin is a change more; to be gone for good is as many as it had.
  await db.removed.each(({ piece }) => {
    const { revision } = (piece ?? {}) as { revision?: unknown };
    changes += 1 + (Number.isSafeInteger(revision) ? Number(revision) : 0);
  });
  const numbers = await db.versions.toCollection().primaryKeys();
  return changes + (numbers.at(-1) ?? 0);
}

/** How much was changed since the last copy was made. */
export const changesSinceCopy = async (db: FobbetDatabase): Promise<number> =>
  Math.abs((await changesOf(db)) - (await copiesOf(db)).changes);
