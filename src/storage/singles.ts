import {
  EMPTY_AGENDA,
  EMPTY_ROOM,
  EMPTY_STASH,
  MOST_ITEMS,
  checkAgenda,
  checkRoom,
  checkStash,
  readAgenda,
  readRoom,
  readStash,
  type Agenda,
  type RoomRecord,
  type SingleCode,
  type Stash,
  type VersionCode,
  type VersionsCode,
} from '@/records';
import { MS_PER_MINUTE, fail, ok, type Failure, type Result } from '@/core/shared';
import { MOST_READINGS } from '@/records/room';
import type { AirReading } from '@/core/cure';
import type { Table } from 'dexie';
import type { FobbetDatabase } from './db';
import { written } from './failures';
import { rememberVersion, steppedVersion } from './versions';

/** Records of which there is one. */
interface Singles {
  stash: Stash;
  agenda: Agenda;
  room: RoomRecord;
}
export type SingleKind = keyof Singles;

interface SingleRecord<T> {
  empty: T;
  read: (data: unknown) => Result<T, VersionCode>;
  check: (data: unknown) => Result<T, 'record-invalid'>;
}
const SINGLES: { [K in SingleKind]: SingleRecord<Singles[K]> } = {
  stash: { empty: EMPTY_STASH, read: readStash, check: checkStash },
  agenda: { empty: EMPTY_AGENDA, read: readAgenda, check: checkAgenda },
  room: { empty: EMPTY_ROOM, read: readRoom, check: checkRoom },
};
export const SINGLE_KINDS = Object.keys(SINGLES) as SingleKind[];

const tableOf = <K extends SingleKind>(db: FobbetDatabase, kind: K) => db[kind] as unknown as Table<Singles[K], string>;

/** What is stored, or what is usual where nothing is. One that can't be read is a failure, and stays as it is. */
function readStored<K extends SingleKind>(kind: K, data: unknown): Result<Singles[K], SingleCode> {
  if (data === undefined) return ok(SINGLES[kind].empty);
  const read = SINGLES[kind].read(data);
  return read.ok ? read : { ok: false, error: unreadable(kind, read.error) };
}

const stored = async <K extends SingleKind>(db: FobbetDatabase, kind: K) =>
  readStored(kind, await tableOf(db, kind).get(kind));

const unreadable = (kind: SingleKind, { code, message, values }: Failure<VersionCode>): Failure<SingleCode> => ({
  code: code === 'record-newer' ? 'single-newer' : 'single-unreadable',
  message,
  values: { ...values, kind },
});

/**
 * Lays a change over the stored record, in a transaction, so that two windows don't overwrite each other. What does not
 * fit is refused before anything is written, and a record that can't be read is never written over. An empty change
 * writes nothing.
 *
 * @returns the record as it is now stored
 */
async function change<K extends SingleKind>(
  db: FobbetDatabase,
  kind: K,
  alter: (record: Singles[K]) => Partial<Singles[K]>,
  { remembered = true }: ChangeOptions = {},
): Promise<Result<Singles[K], SingleCode>> {
  return written(() =>
    db.transaction('rw', [tableOf(db, kind), db.versions], async (): Promise<Result<Singles[K], SingleCode>> => {
      const before = await stored(db, kind);
      if (!before.ok) return before;
      const patch = alter(before.value);
      if (Object.keys(patch).length === 0) return before;
      const checked = checkedSingle(kind, { ...before.value, ...patch });
      if (!checked.ok) return checked;
      if (remembered) await rememberVersion(db, kind, { ...before.value }, { ...checked.value });
      await tableOf(db, kind).put(checked.value);
      return checked;
    }),
  );
}

interface ChangeOptions {
  /** Whether it can be taken back: what the program does by itself can't. */
  remembered?: boolean;
}

function checkedSingle<K extends SingleKind>(kind: K, data: unknown): Result<Singles[K], 'single-refused'> {
  const checked = SINGLES[kind].check(data);
  if (checked.ok) return checked;
  const { message, path = '' } = checked.error;
  return fail('single-refused', message, { path, values: { kind, path } });
}

/**
 * Takes one change of stash, hours or room back, or does it again: the one that was named, and no other.
 *
 * @returns `versions-moved` where another window changed the same thing since
 */
export async function stepSingle(
  db: FobbetDatabase,
  kind: SingleKind,
  direction: 'undo' | 'redo',
  mark: number,
): Promise<Result<void, SingleCode | VersionsCode>> {
  return written(() =>
    db.transaction(
      'rw',
      [tableOf(db, kind), db.versions],
      async (): Promise<Result<void, SingleCode | VersionsCode>> => {
        const before = await stored(db, kind);
        if (!before.ok) return before;
        const next = await steppedVersion(db, kind, direction, { mark, record: { ...before.value } });
        if (!next.ok) return next;
        const checked = checkedSingle(kind, next.value);
        if (!checked.ok) return checked;
        await tableOf(db, kind).put(checked.value);
        return ok(undefined);
      },
    ),
  );
}

type Change<T> = (
  db: FobbetDatabase,
  alter: (record: T) => Partial<T>,
  options?: ChangeOptions,
) => Promise<Result<T, SingleCode>>;

export const storedAgenda = (db: FobbetDatabase) => stored(db, 'agenda');
export const storedRoom = (db: FobbetDatabase) => stored(db, 'room');
export const storedStash = (db: FobbetDatabase) => stored(db, 'stash');
export const changeAgenda: Change<Agenda> = (db, alter, options) => change(db, 'agenda', alter, options);
export const changeRoom: Change<RoomRecord> = (db, alter, options) => change(db, 'room', alter, options);
export const changeStash: Change<Stash> = async (db, alter, options) => {
  const changed = await change(db, 'stash', alter, options);
  const full = !changed.ok && changed.error.code === 'single-refused' && changed.error.path === 'items';
  return full ? fail('stash-too-many', changed.error.message, { values: { most: MOST_ITEMS } }) : changed;
};

export interface UnreadableSingle {
  kind: SingleKind;
  error: Failure<SingleCode>;
  /** As it lies on the disk, to be saved as a file. */
  data: unknown;
}

/** A record of which there is one, where this program can't read it; null where it can. */
export async function unreadableSingle(db: FobbetDatabase, kind: SingleKind): Promise<UnreadableSingle | null> {
  const data = await tableOf(db, kind).get(kind);
  const read = readStored(kind, data);
  return read.ok ? null : { kind, error: read.error, data };
}

/** Puts a record that can't be read aside, as it is, so that a new one can be begun. */
export async function setAside(db: FobbetDatabase, kind: SingleKind, now: number): Promise<Result<void, SingleCode>> {
  return written(async () => {
    await db.transaction('rw', tableOf(db, kind), db.aside, async () => {
      const data = await tableOf(db, kind).get(kind);
      if (data === undefined) return;
      await db.aside.add({ kind, at: now, data });
      await tableOf(db, kind).delete(kind);
    });
    return ok(undefined);
  });
}

const STRETCH_MS = 10 * MS_PER_MINUTE;

/** Keeps one reading for each ten minutes, the oldest forgotten after three weeks. */
export const keepReadings = (kept: readonly AirReading[], fresh: readonly AirReading[]): AirReading[] => {
  const byStretch = new Map(kept.map((reading) => [Math.floor(reading.at / STRETCH_MS), reading]));
  for (const reading of fresh)
    if (!byStretch.has(Math.floor(reading.at / STRETCH_MS)))
      byStretch.set(Math.floor(reading.at / STRETCH_MS), reading);
  return [...byStretch.values()].sort((a, b) => a.at - b.at).slice(-MOST_READINGS);
};

export const keepReading = (db: FobbetDatabase, fresh: readonly AirReading[]) =>
  changeRoom(db, ({ readings }) => ({ readings: keepReadings(readings, fresh) }));
