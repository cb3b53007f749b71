import { factsOf, withPictures, type Piece, type PictureRecord, type StoredPicture } from '@/records';
import type { FobbetDatabase } from './db';

/** Facts of pictures by their ids; what is not there is left out. No file is loaded. */
export async function pictureFacts(db: FobbetDatabase, ids: readonly string[]): Promise<PictureRecord[]> {
  return (await db.pictureFacts.bulkGet([...ids])).filter((facts) => facts !== undefined);
}

/** Facts never change: what was read once is not read again. */
export type FactsCache = Map<string, PictureRecord>;
const FACTS_AT_ONCE = 100;

/** Facts of pictures, those that are not known yet read a few at a time. */
export async function knownFacts(
  db: FobbetDatabase,
  ids: readonly string[],
  cache: FactsCache,
): Promise<Map<string, PictureRecord>> {
  const unread = ids.filter((id) => !cache.has(id));
  for (let at = 0; at < unread.length; at += FACTS_AT_ONCE)
    for (const facts of await pictureFacts(db, unread.slice(at, at + FACTS_AT_ONCE))) cache.set(facts.id, facts);
  return new Map(ids.flatMap((id) => (cache.has(id) ? [[id, cache.get(id)!] as const] : [])));
}

/** A picture whole, with its files; undefined where facts or files are missing. */
export async function storedPicture(db: FobbetDatabase, id: string): Promise<StoredPicture | undefined> {
  const [facts, files] = await Promise.all([db.pictureFacts.get(id), db.pictures.get(id)]);
  return facts && files ? { ...facts, ...files } : undefined;
}

/** Several whole; what is missing is left out. */
export async function storedPictures(db: FobbetDatabase, ids: readonly string[]): Promise<StoredPicture[]> {
  return (await Promise.all(ids.map((id) => storedPicture(db, id)))).filter((picture) => picture !== undefined);
}

/** Facts and files, inside the caller's transaction over both tables. */
export async function putPictures(db: FobbetDatabase, pictures: readonly StoredPicture[]): Promise<void> {
  await db.pictureFacts.bulkPut(pictures.map(factsOf));
  await db.pictures.bulkPut(pictures.map(({ id, file, preview }) => ({ id, file, preview })));
}

/** Forgets pictures that nothing refers to any more, inside the caller's transaction over both tables. */
export async function dropPictures(db: FobbetDatabase, isWanted: (id: string) => boolean): Promise<void> {
  for (const table of [db.pictureFacts, db.pictures]) {
    const ids = await table.toCollection().primaryKeys();
    await table.bulkDelete(ids.filter((id) => !isWanted(id)));
  }
}

/**
 * A piece that comes from elsewhere, set apart from what is here: a picture whose id another picture has gets an id of
 * its own, and one that is here already with the same content is taken as it is.
 */
export async function apart(
  db: FobbetDatabase,
  piece: Piece,
  pictures: readonly StoredPicture[],
  newId: () => string,
): Promise<{ piece: Piece; pictures: StoredPicture[] }> {
  const facts = await pictureFacts(
    db,
    pictures.map(({ id }) => id),
  );
  const whole = new Set(
    await db.pictures
      .where('id')
      .anyOf(facts.map(({ id }) => id))
      .primaryKeys(),
  );
  const here = new Map(facts.map(({ id, sha256 }) => [id, whole.has(id) ? sha256 : 'without its file'] as const));
  const ids = new Map(
    pictures.map(({ id, sha256 }) => [id, here.has(id) && here.get(id) !== sha256 ? newId() : id] as const),
  );
  return {
    piece: withPictures(piece, (id) => ids.get(id) ?? null),
    pictures: pictures
      .filter(({ id, sha256 }) => here.get(id) !== sha256)
      .map((picture) => ({ ...picture, id: ids.get(picture.id) ?? picture.id })),
  };
}
