import { ok } from '@/core/shared';
import type { BenchTimer } from '@/records';
import type { FobbetDatabase } from './db';
import { written } from './failures';

export const putTimer = (db: FobbetDatabase, timer: BenchTimer) =>
  written<void, never>(async () => {
    await db.timers.put(timer);
    return ok(undefined);
  });
export const removeTimer = (db: FobbetDatabase, id: string) =>
  written<void, never>(async () => {
    await db.timers.delete(id);
    return ok(undefined);
  });
