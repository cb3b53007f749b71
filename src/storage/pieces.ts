import { clamp, equalData, fail, mergeChanges, ok, type Failure, type Result, MS_PER_DAY } from '@/core/shared';
import {
  agendaWithout,
  checkPiece,
  picturesOf,
  readPiece,
  withChoicesOf,
  type Agenda,
  type HistoryCode,
  type Piece,
  type SaveCode,
  type StorageCode,
  type StoredPicture,
  type VersionCode,
} from '@/records';
import { stepKey } from '@/core/stations';
import type { FobbetDatabase, HistoryEntry } from './db';
import { storageFailure, written } from './failures';
import { dropPictures, putPictures } from './pictures';
import { changeAgenda, changeStash } from './singles';
import { withoutDraws } from './stash-use';

/** Steps of undo kept for one piece. */
const HISTORY_LIMIT = 200;

export interface Save {
  /** The piece as the window showed it, and as the person changed it. */
  base: Piece;
  mine: Piece;
  label: string;
  now: number;
  /** New pictures that the change refers to, stored in the same transaction. */
  pictures?: readonly StoredPicture[];
  /** Take mine where another window changed the same thing: there alone, what else it changed stays. */
  overrule?: boolean;
}

/** What is in the way of a change among several: nothing of them was kept. */
class NotSaved extends Error {
  constructor(readonly failure: { ok: false; error: Failure<SaveCode> }) {
    super(failure.error.message);
  }
}

/**
 * Saves one change, whole or not at all. What another window saved meanwhile is kept; where both changed the same thing
 * the save is refused with `piece-conflict` (values.paths), unless it overrules.
 */
export async function savePiece(db: FobbetDatabase, save: Save): Promise<Result<Piece, SaveCode>> {
  return written(() => db.transaction('rw', savedInto(db), async () => saveWithin(db, save)));
}

/** Saves changes of several pieces, all or none: in one transaction. @returns the pieces, in the order of the changes */
export async function savePieces(db: FobbetDatabase, saves: readonly Save[]): Promise<Result<Piece[], SaveCode>> {
  return written(async () => {
    try {
      return ok(
        await db.transaction('rw', savedInto(db), async () => {
          const pieces: Piece[] = [];
          for (const save of saves) {
            const saved = await saveWithin(db, save);
            if (!saved.ok) throw new NotSaved(saved);
            pieces.push(saved.value);
          }
          return pieces;
        }),
      );
    } catch (error) {
      if (error instanceof NotSaved) return error.failure;
      throw error;
    }
  });
}

const savedInto = (db: FobbetDatabase) => [
  ...[db.pieces, db.pictureFacts, db.pictures, db.history, db.cursors],
  ...[db.agenda, db.versions],
];

/** One change, inside the caller's transaction. */
async function saveWithin(
  db: FobbetDatabase,
  { base, mine, label, now, pictures = [], overrule = false }: Save,
): Promise<Result<Piece, SaveCode>> {
  const stored = await db.pieces.get(mine.id);
  if (!stored) return fail('piece-gone', `no piece ${mine.id}`);
  const theirs = readPiece(stored);
  if (!theirs.ok) return theirs;
  const stamp = { revision: theirs.value.revision, updatedAt: theirs.value.updatedAt };
  const { merged, conflicts } = mergeChanges(
    { ...base, ...stamp },
    { ...mine, ...stamp },
    theirs.value,
    overrule ? 'mine' : 'theirs',
  );
  if (conflicts.length > 0 && !overrule)
    return fail('piece-conflict', `changed on both sides: ${conflicts.join(', ')}`, {
      values: { paths: conflicts.join(', ') },
    });
  const checked = checkPiece({ ...merged, revision: stamp.revision + 1, updatedAt: now });
  if (!checked.ok) return checked;
  await remember(db, { before: theirs.value, after: checked.value, label, at: now });
  await putPictures(db, pictures);
  await db.pieces.put(checked.value);
  await followPlan(db, theirs.value, checked.value, now);
  await endSteps(db, theirs.value, checked.value);
  return ok(checked.value);
}

/**
 * What the agenda holds of the steps that a change marks done – clock, pin, part, not before – ends with them, inside the
 * caller's transaction.
 */
async function endSteps(db: FobbetDatabase, before: Piece, after: Piece): Promise<void> {
  const known = new Map(before.work.done.map(({ step, at }) => [step, at]));
  const over = after.work.done.filter(({ step, at }) => known.get(step) !== at);
  if (over.length === 0) return;
  const keys = over.map(({ step }) => stepKey(after.id, step));
  const without = (agenda: Agenda): Partial<Agenda> => {
    const rest = keys.reduce((now, key) => ({ ...now, ...agendaWithout(now, key) }), agenda);
    return equalData(rest, agenda) ? {} : rest;
  };
  await changeAgenda(db, without, { remembered: false });
}

/**
 * What one of a set was given by a change, all of it that is not so far yet is given too, inside the caller's
 * transaction. Those that follow remember no step of undo: taking the change back where it was made takes it back for
 * all.
 */
async function followPlan(db: FobbetDatabase, before: Piece, after: Piece, now: number): Promise<void> {
  if (!before.set || !after.set) return;
  for (const other of await othersOfSet(db, after)) {
    const given = (piece: Piece): Piece => ({ ...withChoicesOf(piece, other), set: namedAs(other, piece) });
    const { merged } = mergeChanges(given(before), given(after), other, 'mine');
    if (equalData(merged, other)) continue;
    const checked = checkPiece({ ...merged, revision: other.revision + 1, updatedAt: now });
    if (checked.ok) await db.pieces.put(checked.value);
  }
}

const namedAs = ({ set }: Piece, { set: other }: Piece): Piece['set'] =>
  set && { ...set, name: other?.name ?? set.name };

/** The others of a set; one that can't be read stays as it is. */
async function othersOfSet(db: FobbetDatabase, { id, set }: Piece): Promise<Piece[]> {
  if (!set) return [];
  const stored = await db.pieces.where('set.id').equals(set.id).toArray();
  return stored.flatMap((one) => {
    const read = one.id === id ? null : readPiece(one);
    return read?.ok ? [read.value] : [];
  });
}

/** One that comes back to its set: as those of the others are planned by now that are least far. */
async function asItsSet(db: FobbetDatabase, piece: Piece): Promise<Piece> {
  const others = await othersOfSet(db, piece);
  const [like] = others.sort((a, b) => a.work.done.length - b.work.done.length);
  return like ? { ...withChoicesOf(like, piece), set: namedAs(piece, like) } : piece;
}

/** Remembers a change so that it can be undone, inside the caller's transaction. */
export async function remember(
  db: FobbetDatabase,
  change: { before: Piece; after: Piece; label: string; at: number },
): Promise<void> {
  const pieceId = change.after.id;
  const position = ((await db.cursors.get(pieceId))?.position ?? 0) + 1;
  await db.history.where('[pieceId+position]').between([pieceId, position], [pieceId, Infinity]).delete();
  await db.history
    .where('[pieceId+position]')
    .between([pieceId, -Infinity], [pieceId, position - HISTORY_LIMIT], true, true)
    .delete();
  await db.history.put({ pieceId, position, ...change });
  await db.cursors.put({ pieceId, position });
}

/** A step of undo or redo by the name it was saved with; `mark` tells it from every other. */
interface HistoryStep {
  label: string;
  mark: number;
}

export interface PieceHistory {
  undo: HistoryStep | null;
  redo: HistoryStep | null;
}

interface Stepped {
  label: string;
  history: PieceHistory;
}

const stepOf = (entry: HistoryEntry | undefined): HistoryStep | null =>
  entry ? { label: entry.label, mark: entry.after.revision } : null;

/**
 * Undoes one change of a piece, or does it again: the one that was named, and no other.
 *
 * @param mark of the step that the person saw named
 * @returns its label and what comes next; `history-moved` where another window changed the piece since (values.label: what comes first now)
 */
export async function stepHistory(
  db: FobbetDatabase,
  pieceId: string,
  direction: 'undo' | 'redo',
  { mark, now }: { mark: number; now: number },
): Promise<Result<Stepped, HistoryCode>> {
  return written(() =>
    db.transaction('rw', savedInto(db), async () => stepWithin(db, pieceId, direction, { mark, now })),
  );
}

class NotStepped extends Error {
  constructor(readonly failure: { ok: false; error: Failure<HistoryCode> }) {
    super(failure.error.message);
  }
}

/** Takes back one step of each of several pieces, all or none. */
export async function undoTogether(
  db: FobbetDatabase,
  steps: readonly { id: string; mark: number }[],
  now: number,
): Promise<Result<void, HistoryCode>> {
  return written(async () => {
    try {
      await db.transaction('rw', savedInto(db), async () => {
        for (const { id, mark } of steps) {
          const taken = await stepWithin(db, id, 'undo', { mark, now });
          if (!taken.ok) throw new NotStepped(taken);
        }
      });
      return ok(undefined);
    } catch (error) {
      if (error instanceof NotStepped) return error.failure;
      throw error;
    }
  });
}

async function stepWithin(
  db: FobbetDatabase,
  pieceId: string,
  direction: 'undo' | 'redo',
  { mark, now }: { mark: number; now: number },
): Promise<Result<Stepped, HistoryCode>> {
  const position = (await db.cursors.get(pieceId))?.position ?? 0;
  const entry = await db.history.get([pieceId, direction === 'undo' ? position : position + 1]);
  const stored = await db.pieces.get(pieceId);
  if (!stored) return fail('piece-gone', `no piece ${pieceId}`);
  if (entry?.after.revision !== mark)
    return fail('history-moved', `expected step ${mark}, found ${entry?.after.revision}`, {
      values: { label: entry?.label ?? '' },
    });
  const [before, after, theirs] = [readPiece(entry.before), readPiece(entry.after), readPiece(stored)];
  if (!before.ok) return before;
  if (!after.ok) return after;
  if (!theirs.ok) return theirs;
  const [from, to] = direction === 'undo' ? [after.value, before.value] : [before.value, after.value];
  // Only what that change changed: one of a set may have been planned anew since, by another of it.
  const { merged } = mergeChanges(from, to, theirs.value, 'mine');
  const back = theirs.value.set ? merged : await asItsSet(db, merged);
  const checked = checkPiece({ ...back, revision: stored.revision + 1, updatedAt: now });
  if (!checked.ok) return checked;
  await db.pieces.put(checked.value);
  await followPlan(db, theirs.value, checked.value, now);
  await endSteps(db, theirs.value, checked.value);
  await db.cursors.put({ pieceId, position: direction === 'undo' ? position - 1 : position + 1 });
  return ok({ label: entry.label, history: await historyState(db, pieceId) });
}

/** What undo and redo would do now. */
export async function historyState(db: FobbetDatabase, pieceId: string): Promise<PieceHistory> {
  const position = (await db.cursors.get(pieceId))?.position ?? 0;
  const [undo, redo] = await db.history.bulkGet([
    [pieceId, position],
    [pieceId, position + 1],
  ]);
  return { undo: stepOf(undo), redo: stepOf(redo) };
}

/** Adds pieces with the pictures they refer to, all or none. */
export async function addPieces(
  db: FobbetDatabase,
  pieces: readonly Piece[],
  pictures: readonly StoredPicture[] = [],
): Promise<Result<void, SaveCode>> {
  for (const piece of pieces) {
    const checked = checkPiece(piece);
    if (!checked.ok) return checked;
  }
  try {
    await db.transaction('rw', [db.pieces, db.pictureFacts, db.pictures], async () => {
      await putPictures(db, pictures);
      await db.pieces.bulkAdd([...pieces]);
    });
    return ok(undefined);
  } catch (error) {
    if (error instanceof Error && error.name === 'BulkError') return fail('piece-exists', error.message);
    return storageFailure(error);
  }
}

/** Into the bin for a month. @returns `storage-full` where there is no room even for that: see `purgePiece` */
export async function removePiece(db: FobbetDatabase, id: string, now: number): Promise<Result<void, StorageCode>> {
  return written(async () => {
    await db.transaction('rw', [db.pieces, db.removed], async () => {
      const piece = await db.pieces.get(id);
      if (!piece) return;
      await db.removed.put({ id, removedAt: now, piece });
      await db.pieces.delete(id);
    });
    return ok(undefined);
  });
}

/** Removes a piece for good, with its undo steps and the pictures that nothing else needs: it only frees room. */
export async function purgePiece(db: FobbetDatabase, id: string): Promise<Result<void, StorageCode>> {
  return written(async () => {
    await db.transaction(
      'rw',
      [db.pieces, db.removed, db.history, db.cursors, db.pictureFacts, db.pictures],
      async () => {
        await db.pieces.delete(id);
        await db.removed.delete(id);
        await db.history.where('pieceId').equals(id).delete();
        await db.cursors.delete(id);
        await dropUnwanted(db);
      },
    );
    return ok(undefined);
  });
}

export async function restorePiece(db: FobbetDatabase, id: string): Promise<Result<void, StorageCode>> {
  return written(async () => {
    await db.transaction('rw', [db.pieces, db.removed], async () => {
      const kept = await db.removed.get(id);
      if (!kept) return;
      const read = readPiece(kept.piece);
      const back = read.ok && read.value.set ? checkPiece(await asItsSet(db, read.value)) : null;
      await db.pieces.put(back?.ok ? back.value : kept.piece);
      await db.removed.delete(id);
    });
    return ok(undefined);
  });
}

/** Forgets the pictures that no piece, undo step or removed piece refers to, inside the caller's transaction. */
async function dropUnwanted(db: FobbetDatabase): Promise<void> {
  const wanted = new Set<string>();
  const note = (piece: Piece) => picturesOf(piece).forEach((id) => wanted.add(id));
  await db.pieces.each(note);
  await db.removed.each((removed) => note(removed.piece));
  await db.history.each((entry) => {
    note(entry.before);
    note(entry.after);
  });
  await dropPictures(db, (id) => wanted.has(id));
}

const DAYS_IN_BIN = 30;
const KEEP_REMOVED_MS = DAYS_IN_BIN * MS_PER_DAY;

/** Whole days until a removed piece is forgotten. */
export const daysLeftInBin = (removedAt: number, now: number): number =>
  clamp(Math.ceil((removedAt + KEEP_REMOVED_MS - now) / MS_PER_DAY), 0, DAYS_IN_BIN);

/**
 * At start: forgets what was removed a month ago, and pictures that no piece, undo step or removed piece refers to.
 * What forgotten pieces took from the stash stays taken; where that can't be written down nothing is forgotten.
 */
export async function tidy(db: FobbetDatabase, now: number): Promise<void> {
  try {
    await db.transaction(
      'rw',
      [db.pieces, db.pictureFacts, db.pictures, db.history, db.cursors, db.removed, db.stash, db.versions],
      async () => {
        await forgetRemoved(db, now);
        await dropUnwanted(db);
      },
    );
  } catch {
    // Nothing is lost by it: the next start tidies.
  }
}

async function forgetRemoved(db: FobbetDatabase, now: number): Promise<void> {
  const forgotten = await db.removed.filter((removed) => now - removed.removedAt > KEEP_REMOVED_MS).toArray();
  if (forgotten.length === 0) return;
  const pieces = forgotten.map(({ piece }) => piece);
  const taken = await changeStash(db, ({ items }) => ({ items: withoutDraws(items, pieces) }), { remembered: false });
  if (!taken.ok) return;
  const old = forgotten.map(({ id }) => id);
  await db.removed.bulkDelete(old);
  await db.history.where('pieceId').anyOf(old).delete();
  await db.cursors.bulkDelete(old);
}

/** What a stored piece is called, also one that can't be read; null where that is no name. */
export const nameOf = ({ name }: { name: unknown }): string | null => (typeof name === 'string' ? name : null);

/** A piece that this program can't read, as it lies on the disk. */
interface UnreadablePiece {
  id: string;
  name: string | null;
  error: Failure<VersionCode>;
  data: unknown;
}
export interface Shelf {
  pieces: Piece[];
  templates: Piece[];
  unreadable: UnreadablePiece[];
}

/**
 * What was read before, by id: the same stored revision is neither read nor validated again, and stays the same object
 * for who remembers it.
 */
export type ShelfCache = Map<string, { revision: number; piece: Piece }>;

/** Read in one go: a thousand in a row would hold the page up. */
const PIECES_AT_ONCE = 25;

/** All pieces that this program can read, templates apart, and those it can't: kept as they are. */
export async function readShelf(db: FobbetDatabase, cache: ShelfCache = new Map()): Promise<Shelf> {
  const [ids, marks] = await Promise.all([
    db.pieces.toCollection().primaryKeys(),
    db.pieces.orderBy('[id+revision]').keys() as unknown as Promise<[string, number][]>,
  ]);
  // One without a revision that counts is in no index: it is looked at each time.
  const revisions = new Map(marks);
  const known = (id: string) => cache.get(id)?.revision === revisions.get(id);
  for (const id of cache.keys()) if (!revisions.has(id)) cache.delete(id);
  const unread = ids.filter((id) => !known(id));
  const unreadable: UnreadablePiece[] = [];
  for (let at = 0; at < unread.length; at += PIECES_AT_ONCE)
    for (const stored of await db.pieces.bulkGet(unread.slice(at, at + PIECES_AT_ONCE))) {
      if (!stored) continue;
      const { id, revision } = stored;
      // Another reading beside this one was first.
      if (cache.get(id)?.revision === revision) continue;
      const read = readPiece(stored);
      if (read.ok) cache.set(id, { revision, piece: read.value });
      else {
        cache.delete(id);
        unreadable.push({ id, name: nameOf(stored), error: read.error, data: stored });
      }
    }
  const all = ids.flatMap((id) => cache.get(id)?.piece ?? []);
  return {
    pieces: all.filter(({ template }) => !template),
    templates: all.filter(({ template }) => template),
    unreadable,
  };
}
