import { fail, mergeChanges, ok, type Result } from '@/core/shared';
import { checkPiece, picturesOf, readPiece, type Piece, type StoredPicture, type VersionCode } from '@/records';
import type { FobbetDatabase } from './db';
import { storageFailure, type StorageCode } from './failures';
import { changeStash } from './singles';
import { withoutDraws } from './stash-use';

export type SaveCode = 'piece-gone' | 'piece-conflict' | 'piece-exists' | VersionCode | StorageCode;

/** Steps of undo kept for one piece. */
const HISTORY_LIMIT = 200;

interface Save {
  /** The piece as the window showed it, and as the person changed it. */
  base: Piece;
  mine: Piece;
  label: string;
  now: number;
  /** New pictures that the change refers to, stored in the same transaction. */
  pictures?: readonly StoredPicture[];
  /** Take mine where another window changed the same thing. */
  overrule?: boolean;
}

/**
 * Saves one change, whole or not at all. What another window saved meanwhile is kept; where both changed the same thing the
 * save is refused with `piece-conflict` (values.paths), unless it overrules.
 */
export async function savePiece(db: FobbetDatabase, { base, mine, label, now, pictures = [], overrule = false }: Save): Promise<Result<Piece, SaveCode>> {
  try {
    return await db.transaction('rw', [db.pieces, db.pictures, db.history, db.cursors], async () => {
      const stored = await db.pieces.get(mine.id);
      if (!stored) return fail('piece-gone', `no piece ${mine.id}`);
      const theirs = readPiece(stored);
      if (!theirs.ok) return theirs;
      const stamp = { revision: theirs.value.revision, updatedAt: theirs.value.updatedAt };
      const { merged, conflicts } = mergeChanges({ ...base, ...stamp }, { ...mine, ...stamp }, theirs.value);
      if (conflicts.length > 0 && !overrule) return fail('piece-conflict', `changed on both sides: ${conflicts.join(', ')}`, { values: { paths: conflicts.join(', ') } });
      const content = conflicts.length > 0 ? mergeChanges(theirs.value, { ...mine, ...stamp }, theirs.value).merged : merged;
      const checked = checkPiece({ ...content, revision: stamp.revision + 1, updatedAt: now });
      if (!checked.ok) return checked;
      await remember(db, { before: theirs.value, after: checked.value, label, at: now });
      await db.pictures.bulkPut([...pictures]);
      await db.pieces.put(checked.value);
      return ok(checked.value);
    });
  } catch (error) {
    return storageFailure(error);
  }
}

async function remember(db: FobbetDatabase, change: { before: Piece; after: Piece; label: string; at: number }): Promise<void> {
  const pieceId = change.after.id;
  const position = ((await db.cursors.get(pieceId))?.position ?? 0) + 1;
  await db.history.where('[pieceId+position]').between([pieceId, position], [pieceId, Infinity]).delete();
  await db.history.where('[pieceId+position]').between([pieceId, -Infinity], [pieceId, position - HISTORY_LIMIT], true, true).delete();
  await db.history.put({ pieceId, position, ...change });
  await db.cursors.put({ pieceId, position });
}

/** Undoes the last change of a piece, or does it again. Returns its label, or null where there is none. */
export async function stepHistory(db: FobbetDatabase, pieceId: string, direction: 'undo' | 'redo', now: number): Promise<string | null> {
  return db.transaction('rw', [db.pieces, db.history, db.cursors], async () => {
    const position = (await db.cursors.get(pieceId))?.position ?? 0;
    const entry = await db.history.get([pieceId, direction === 'undo' ? position : position + 1]);
    const stored = await db.pieces.get(pieceId);
    if (!entry || !stored) return null;
    const target = direction === 'undo' ? entry.before : entry.after;
    await db.pieces.put({ ...target, revision: stored.revision + 1, updatedAt: now });
    await db.cursors.put({ pieceId, position: direction === 'undo' ? position - 1 : position + 1 });
    return entry.label;
  });
}

/** What undo and redo would do now, by their labels. */
export async function historyState(db: FobbetDatabase, pieceId: string): Promise<{ undo: string | null; redo: string | null }> {
  const position = (await db.cursors.get(pieceId))?.position ?? 0;
  const [undo, redo] = await db.history.bulkGet([[pieceId, position], [pieceId, position + 1]]);
  return { undo: undo?.label ?? null, redo: redo?.label ?? null };
}

/** Adds pieces with the pictures they refer to, all or none. */
export async function addPieces(db: FobbetDatabase, pieces: readonly Piece[], pictures: readonly StoredPicture[] = []): Promise<Result<void, SaveCode>> {
  for (const piece of pieces) {
    const checked = checkPiece(piece);
    if (!checked.ok) return checked;
  }
  try {
    await db.transaction('rw', [db.pieces, db.pictures], async () => {
      await db.pictures.bulkPut([...pictures]);
      await db.pieces.bulkAdd([...pieces]);
    });
    return ok(undefined);
  } catch (error) {
    if (error instanceof Error && error.name === 'BulkError') return fail('piece-exists', error.message);
    return storageFailure(error);
  }
}

export async function removePiece(db: FobbetDatabase, id: string, now: number): Promise<void> {
  await db.transaction('rw', [db.pieces, db.removed], async () => {
    const piece = await db.pieces.get(id);
    if (!piece) return;
    await db.removed.put({ id, removedAt: now, piece });
    await db.pieces.delete(id);
  });
}

export async function restorePiece(db: FobbetDatabase, id: string): Promise<void> {
  await db.transaction('rw', [db.pieces, db.removed], async () => {
    const kept = await db.removed.get(id);
    if (!kept) return;
    await db.pieces.put(kept.piece);
    await db.removed.delete(id);
  });
}

const KEEP_REMOVED_MS = 30 * 86_400_000;

/** At start: forgets what was removed a month ago, and pictures that no piece, undo step or removed piece refers to. What forgotten pieces took from the stash stays taken. */
export async function tidy(db: FobbetDatabase, now: number): Promise<void> {
  await db.transaction('rw', [db.pieces, db.pictures, db.history, db.cursors, db.removed, db.stash], async () => {
    const forgotten = await db.removed.filter((one) => now - one.removedAt > KEEP_REMOVED_MS).toArray();
    const old = forgotten.map(({ id }) => id);
    if (forgotten.length > 0) await changeStash(db, ({ items }) => ({ items: withoutDraws(items, forgotten.map(({ piece }) => piece)) }));
    await db.removed.bulkDelete(old);
    await db.history.where('pieceId').anyOf(old).delete();
    await db.cursors.bulkDelete(old);
    const wanted = new Set<string>();
    const note = (piece: Piece) => picturesOf(piece).forEach((id) => wanted.add(id));
    await db.pieces.each(note);
    await db.removed.each((one) => note(one.piece));
    await db.history.each((entry) => { note(entry.before); note(entry.after); });
    await db.pictures.bulkDelete((await db.pictures.toCollection().primaryKeys()).filter((id) => !wanted.has(id)));
  });
}

export interface Shelf { pieces: Piece[]; unreadable: { id: string; code: VersionCode }[] }

/** All pieces that this program can read, and those it can't: kept as they are. */
export async function readShelf(db: FobbetDatabase): Promise<Shelf> {
  const shelf: Shelf = { pieces: [], unreadable: [] };
  for (const stored of await db.pieces.toArray()) {
    const piece = readPiece(stored);
    if (piece.ok) shelf.pieces.push(piece.value);
    else shelf.unreadable.push({ id: stored.id, code: piece.error.code });
  }
  return shelf;
}
