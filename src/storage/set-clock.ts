import { MS_PER_DAY, MS_PER_MINUTE, ok, type Result } from '@/core/shared';
import { checkPiece, pieceInTime, readPiece, type SetClock, type StorageCode } from '@/records';
import type { FobbetDatabase } from './db';
import { written } from './failures';
import { changeAgenda, changeRoom } from './singles';

/** Longer than anything waits that was begun. */
const LONGEST_WAIT_MS = 60 * MS_PER_DAY;
/** A clock that is set by less, as machines do by themselves, changes no wait that is counted in hours. */
const LEAST_MS = MS_PER_MINUTE;

/**
 * After the machine's clock was set: timers run on for the time they had left, and what was done to pieces is as long
 * ago as it was, in one transaction. No step of undo: nobody did this.
 *
 * @param set how far it was set ahead, ms, and the last instant that was read from it as it was
 */
export async function followSetClock(
  db: FobbetDatabase,
  { byMs, untilAt, now }: { byMs: number; untilAt: number; now: number },
): Promise<Result<void, StorageCode>> {
  const set: SetClock = { byMs, untilAt, fromAt: untilAt - LONGEST_WAIT_MS };
  const carried = (at: number) => (at >= set.fromAt && at <= untilAt ? at + byMs : at);
  return written(() =>
    db.transaction('rw', [db.pieces, db.timers, db.agenda, db.room, db.versions], async () => {
      await db.timers.toCollection().modify((timer) => {
        if (timer.rangAt !== null || timer.startedAt > untilAt) return;
        timer.endsAt += byMs;
        timer.startedAt += byMs;
      });
      if (Math.abs(byMs) < LEAST_MS) return ok(undefined);
      for (const stored of await db.pieces.toArray()) {
        const read = readPiece(stored);
        const moved = read.ok ? pieceInTime(read.value, set) : null;
        if (!read.ok || moved === null || moved === read.value) continue;
        const checked = checkPiece({ ...moved, revision: read.value.revision + 1, updatedAt: now });
        if (checked.ok) await db.pieces.put(checked.value);
      }
      await changeAgenda(
        db,
        ({ running }) => (running ? { running: { ...running, startedAt: carried(running.startedAt) } } : {}),
        { remembered: false },
      );
      await changeRoom(
        db,
        ({ readings }) =>
          readings.length > 0
            ? {
                readings: readings
                  .map((reading) => ({ ...reading, at: carried(reading.at) }))
                  .sort((a, b) => a.at - b.at),
              }
            : {},
        { remembered: false },
      );
      return ok(undefined);
    }),
  );
}
