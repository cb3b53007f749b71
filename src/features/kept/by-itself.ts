import { changeCopies, changesOf, copiesOf, database } from '@/storage';
import { copyIsDue, mayWrite, writeInto } from './folder';

/** Writes a copy into the chosen folder where one is due and the browser still allows it, in one window only. */
export async function copyIntoFolder(): Promise<void> {
  const write = async () => {
    const { folder, madeAt } = await copiesOf(database());
    const { all: changes, sinceCopy } = await changesOf(database());
    const now = Date.now();
    if (!folder || !copyIsDue(sinceCopy, madeAt, now) || !(await mayWrite(folder))) return;
    const { writeBackup } = await import('@/storage/backup');
    const written = await writeInto(folder, now, async (out) => (await writeBackup(database(), out, { now })).ok);
    if (written) await changeCopies(database(), { madeAt: now, changes });
  };
  await navigator.locks.request('fobbet-copy', { ifAvailable: true }, async (lock) => {
    if (lock) await write();
  });
}
