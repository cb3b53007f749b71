import { ZipWriter } from '@zip.js/zip.js';
import { ok, type Result } from '@/core/shared';
import { hashBytes } from '@/core/shared/hash';
import type { PictureRecord, StorageCode } from '@/records';
import type { FobbetDatabase } from '../db';
import { written } from '../failures';
import { zipOptions } from '../zip';
import { MANIFEST, RECORDS, manifestOf, type ListedFile } from './format';

interface WrittenBackup {
  pieces: number;
  pictures: number;
  /** Names of pictures whose files are not to be had. */
  missing: string[];
}

/**
 * Writes all that is kept, entry by entry: no more than one picture or one piece is in memory at a time. What this
 * program can't read goes along as it lies on the disk.
 *
 * @param onProgress the share that is done, 0 to 1
 */
export async function writeBackup(
  db: FobbetDatabase,
  out: WritableStream<Uint8Array>,
  { now, onProgress = () => undefined }: { now: number; onProgress?: (share: number) => void },
): Promise<Result<WrittenBackup, StorageCode>> {
  const done = await written<WrittenBackup, never>(async () => {
    const zip = new ZipWriter(out, zipOptions(now));
    const files: ListedFile[] = [];
    const add = async (path: string, bytes: Uint8Array<ArrayBuffer>, level: number) => {
      await zip.add(path, new Blob([bytes]).stream(), { level });
      if (path !== MANIFEST) files.push({ path, bytes: bytes.length, sha256: await hashBytes(bytes) });
    };
    const addJson = (path: string, data: unknown) => add(path, new TextEncoder().encode(JSON.stringify(data)), 6);

    const [pieceIds, removedIds, pictureIds] = await Promise.all([
      db.pieces.toCollection().primaryKeys(),
      db.removed.toCollection().primaryKeys(),
      db.pictureFacts.toCollection().primaryKeys(),
    ]);
    const all = pieceIds.length + removedIds.length + pictureIds.length + 1;
    let done = 0;
    const step = () => onProgress(Math.min(1, ++done / all));

    for (const [index, id] of pieceIds.entries()) {
      const [piece, undo] = await db.transaction('r', [db.pieces, db.history, db.cursors], () =>
        Promise.all([db.pieces.get(id), undoOf(db, id)]),
      );
      if (piece) await addJson(`pieces/${index}.json`, { piece, ...undo });
      step();
    }
    for (const [index, id] of removedIds.entries()) {
      const [removed, undo] = await Promise.all([db.removed.get(id), undoOf(db, id)]);
      if (removed) await addJson(`removed/${index}.json`, { ...removed, ...undo });
      step();
    }
    await addJson(RECORDS, await recordsOf(db));
    step();

    const pictures: PictureRecord[] = [];
    const missing: string[] = [];
    for (const id of pictureIds) {
      const [facts, stored] = await Promise.all([db.pictureFacts.get(id), db.pictures.get(id)]);
      const bytes = stored && (await readBlob(stored.file));
      const preview = stored && (await readBlob(stored.preview));
      if (facts && bytes && preview) {
        await add(`pictures/${pictures.length}`, bytes, 0);
        await add(`previews/${pictures.length}`, preview, 0);
        pictures.push(facts);
      } else if (facts) missing.push(facts.name);
      step();
    }
    await addJson(MANIFEST, manifestOf(now, files, pictures));
    await zip.close();
    return ok({ pieces: pieceIds.length, pictures: pictures.length, missing });
  });
  // Whoever waits for the file learns that there will be none.
  if (!done.ok) await out.abort(done.error.message).catch(() => undefined);
  return done;
}

/** A stored file whose bytes the browser lost reads as none. */
async function readBlob(blob: Blob): Promise<Uint8Array<ArrayBuffer> | null> {
  try {
    return new Uint8Array(await blob.arrayBuffer());
  } catch {
    return null;
  }
}

const undoOf = async (db: FobbetDatabase, pieceId: string) => ({
  history: await db.history.where('pieceId').equals(pieceId).toArray(),
  cursor: (await db.cursors.get(pieceId)) ?? null,
});

/** What there is one of, or few, in one moment. */
const recordsOf = (db: FobbetDatabase) =>
  db.transaction('r', [db.stash, db.agenda, db.room, db.settings, db.timers, db.aside, db.versions], async () => ({
    stash: (await db.stash.get('stash')) ?? null,
    agenda: (await db.agenda.get('agenda')) ?? null,
    room: (await db.room.get('room')) ?? null,
    settings: (await db.settings.get('settings')) ?? null,
    timers: await db.timers.toArray(),
    aside: await db.aside.toArray(),
    versions: await db.versions.toArray(),
  }));
