import { fail, ok, type Result } from '@/core/shared';
import {
  MOST_ITEMS,
  checkStash,
  picturesOf,
  readAgenda,
  readPiece,
  readRoom,
  readStash,
  withPictures,
  type BackupCode,
  type Piece,
  type RecordKind,
  type Stash,
  type StorageCode,
} from '@/records';
import type { FobbetDatabase, HistoryEntry } from '../db';
import { written } from '../failures';
import { putPictures, setApart } from '../pictures';
import { remember } from '../pieces';
import { rememberVersion } from '../versions';
import type { Comparison } from './compare';
import type { OpenBackup } from './open';

/** Where both changed: what is here stays, the file's takes its place, or both are kept. */
export type Choice = 'here' | 'file' | 'both';
export interface Choices {
  /** By piece id. */
  pieces: Readonly<Record<string, Choice>>;
  records: Readonly<Partial<Record<RecordKind, Choice>>>;
}

export interface RestoreOrder {
  backup: OpenBackup;
  comparison: Comparison;
  choices: Choices;
  now: number;
  newId: () => string;
  /** What the undo step is called that takes the file's state back, and what marks a piece's second copy. */
  label: string;
  copyName: (name: string) => string;
}
type RestoreCode = BackupCode | StorageCode | 'stash-too-many';
export interface Restored {
  pieces: number;
  records: number;
  pictures: number;
}

interface Arrival {
  /** Its id in the file. */
  from: string;
  piece: Piece;
  as: 'new' | 'over' | 'removed';
  removedAt: number;
}

/**
 * Takes a backup in, all of it or nothing: one transaction over every table. Nothing that is here is lost: what gives
 * way to the file's can be undone, a picture whose id is taken gets an id of its own. The undo steps of new pieces
 * follow piece by piece.
 *
 * @returns `backup-moved` where something that was compared has changed since
 */
export async function restoreBackup(db: FobbetDatabase, order: RestoreOrder): Promise<Result<Restored, RestoreCode>> {
  const { backup, now } = order;
  const { arrivals, ids, fresh } = await arrivalsOf(db, order);
  const done = await written<Restored, RestoreCode>(() =>
    db.transaction('rw', db.tables, async (): Promise<Result<Restored, RestoreCode>> => {
      for (const { id, hereRevision } of order.comparison.pieces)
        if (((await db.pieces.get(id))?.revision ?? null) !== hereRevision)
          return fail('backup-moved', `piece ${id} changed since`);
      const chosen = await recordsChosen(db, order);
      if (!chosen.ok) return chosen;
      await putPictures(db, fresh);
      for (const { piece, as, removedAt } of arrivals) {
        if (as === 'removed') await db.removed.put({ id: piece.id, removedAt, piece });
        else if (as === 'new') {
          await db.removed.delete(piece.id);
          await db.pieces.put(piece);
        } else await lieOver(db, piece, order);
      }
      const records = await takeRecords(db, chosen.value, order);
      await db.timers.bulkPut(
        backup.timers.filter(
          ({ rangAt, endsAt, pausedLeftMs }) => rangAt === null && (endsAt > now || pausedLeftMs !== null),
        ),
      );
      await putAside(db, order);
      return ok({ pieces: arrivals.filter(({ as }) => as !== 'removed').length, records, pictures: fresh.length });
    }),
  );
  if (done.ok) await takeUndoSteps(db, order.backup, arrivals, ids);
  return done;
}

/** Which pieces come in and as what, with pictures that stand in nobody's way. */
async function arrivalsOf(db: FobbetDatabase, { backup, comparison, choices, newId, copyName }: RestoreOrder) {
  const arrivals: Arrival[] = [];
  const { ids, known, lost } = await setApart(db, backup.pictures, newId);
  const apart = (piece: Piece) => withPictures(piece, (id) => ids.get(id) ?? id);
  const compared = new Map(comparison.pieces.map((one) => [one.id, one]));
  for (const { piece, removedAt } of backup.pieces) {
    const fate = compared.get(piece.id)?.fate;
    const arrive = (as: Arrival['as'], patch: Partial<Piece> = {}) =>
      arrivals.push({ from: piece.id, piece: { ...apart(piece), ...patch }, as, removedAt: removedAt ?? 0 });
    if (removedAt !== null) {
      if (!(await db.pieces.get(piece.id)) && !(await db.removed.get(piece.id))) arrive('removed');
      continue;
    }
    const choice = choices.pieces[piece.id] ?? 'here';
    if (fate === 'new') arrive('new');
    else if (fate === 'file' || (fate === 'both' && choice === 'file')) arrive('over');
    else if (fate === 'both' && choice === 'both') arrive('new', { id: newId(), name: copyName(piece.name) });
    else if (fate === 'removed' && choice === 'file') arrive('new');
  }
  const wanted = new Set(arrivals.map(({ from }) => from));
  // Their undo steps refer to pictures too: those that come along are all that nobody here has.
  const fresh = backup.pictures.filter(({ id }) => lost.has(id) || (wanted.size > 0 && !known.has(id)));
  return { arrivals, ids, fresh: fresh.map((picture) => ({ ...picture, id: ids.get(picture.id) ?? picture.id })) };
}

/** The file's state of a piece takes the place of what is here, as a change that can be undone. */
async function lieOver(db: FobbetDatabase, piece: Piece, { now, label }: RestoreOrder): Promise<void> {
  const before = await db.pieces.get(piece.id);
  const isKnown = before !== undefined && readPiece(before).ok;
  const after = { ...piece, revision: Math.max(before?.revision ?? 0, piece.revision) + 1, updatedAt: now };
  if (isKnown) await remember(db, { before, after, label, at: now });
  else if (before) await db.aside.add({ kind: 'piece', at: now, data: before });
  await db.pieces.put(after);
}

interface Taken {
  kind: RecordKind;
  before: Record<string, unknown> | undefined;
  after: object;
}

/** Which records change and to what, held to what can be kept before anything is written. */
async function recordsChosen(
  db: FobbetDatabase,
  { backup, comparison, choices }: RestoreOrder,
): Promise<Result<Taken[], RestoreCode>> {
  const taken: Taken[] = [];
  for (const { kind, fate } of comparison.records) {
    const choice = choices.records[kind] ?? 'here';
    const theirs = backup[kind];
    if (theirs === null || fate === 'same' || (fate === 'both' && choice === 'here')) continue;
    const before = await db.table<Record<string, unknown>, string>(kind).get(kind);
    const after = kind === 'stash' && choice === 'both' ? joined(before, backup.stash) : theirs;
    if (kind === 'stash' && !checkStash(after).ok)
      return fail('stash-too-many', 'both stashes together', { values: { most: MOST_ITEMS } });
    taken.push({ kind, before, after });
  }
  return ok(taken);
}

async function takeRecords(
  db: FobbetDatabase,
  taken: readonly Taken[],
  { backup, now }: RestoreOrder,
): Promise<number> {
  for (const { kind, before, after } of taken) {
    // What can't be read is never written over: it is put aside whole.
    if (before && isReadable(kind, before)) await rememberVersion(db, kind, before, { ...after });
    else if (before) await db.aside.add({ kind, at: now, data: before });
    await db.table(kind).put(after);
  }
  for (const kind of ['stash', 'agenda', 'room', 'settings'] as const)
    if ((await db.versions.where('kind').equals(kind).count()) === 0)
      await db.versions.bulkAdd(
        backup.versions.filter((version) => version.kind === kind).map(({ number: _number, ...version }) => version),
      );
  return taken.length;
}

const READERS = { stash: readStash, agenda: readAgenda, room: readRoom } as const;
/** Settings are read key by key, whatever they hold. */
const isReadable = (kind: RecordKind, data: unknown): boolean => kind === 'settings' || READERS[kind](data).ok;

/** What is here, with the file's items that are not. */
function joined(here: Record<string, unknown> | undefined, file: Stash | null): object {
  const mine = checkStash(here);
  if (!mine.ok || !file) return { ...file };
  const known = new Set(mine.value.items.map(({ id }) => id));
  return { ...mine.value, items: [...mine.value.items, ...file.items.filter(({ id }) => !known.has(id))] };
}

/** What neither program can read is kept as it came. */
async function putAside(db: FobbetDatabase, { backup, now }: RestoreOrder): Promise<void> {
  const here = new Set((await db.aside.toArray()).map(({ kind, data }) => JSON.stringify([kind, data])));
  const all = [
    ...backup.aside.map(({ kind, at, data }) => ({ kind, at, data })),
    ...backup.unreadable.map((data) => ({ kind: 'piece', at: now, data })),
  ];
  await db.aside.bulkAdd(all.filter(({ kind, data }) => !here.has(JSON.stringify([kind, data]))));
}

/** Undo steps of the pieces that are new here. One that is cut short leaves the piece without them. */
async function takeUndoSteps(
  db: FobbetDatabase,
  backup: OpenBackup,
  arrivals: readonly Arrival[],
  ids: ReadonlyMap<string, string>,
): Promise<void> {
  const known = new Map(backup.pieces.map((backed) => [backed.piece.id, backed]));
  for (const { from, piece, as } of arrivals) {
    const backed = known.get(from);
    // A second copy begins anew: what is undone belongs to the first.
    if (as === 'over' || from !== piece.id || !backed) continue;
    try {
      const { history, cursor } = await backed.undo();
      const mine = (state: Piece): Piece[] => {
        const read = readPiece(state);
        return read.ok ? [withPictures(read.value, (id) => ids.get(id) ?? id)] : [];
      };
      await db.transaction('rw', [db.history, db.cursors], async () => {
        await db.history.bulkPut(
          history
            .filter(({ pieceId }) => pieceId === from)
            .flatMap((entry) =>
              mine(entry.before).flatMap((before) =>
                mine(entry.after).map((after): HistoryEntry => ({ ...entry, before, after })),
              ),
            ),
        );
        if (cursor) await db.cursors.put(cursor);
      });
    } catch (error) {
      console.error(`no undo steps for ${from}`, error);
    }
  }
}

/** Pictures that pieces of a backup refer to and the file does not hold. */
export function lackingPictures({ pieces, pictures }: OpenBackup): number {
  const there = new Set(pictures.map(({ id }) => id));
  return new Set(pieces.flatMap(({ piece }) => picturesOf(piece)).filter((id) => !there.has(id))).size;
}
