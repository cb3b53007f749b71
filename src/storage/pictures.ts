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

/** Pictures that come from elsewhere, held against those here. */
interface Apart {
  /** Ids of the arriving pictures here: their own, or anew where another picture has it. */
  ids: Map<string, string>;
  /** Of those that arrive, what is here already with the same content. */
  known: Set<string>;
  /** What is here by its facts, but whose files are lost: the arriving ones stand in for them. */
  lost: Set<string>;
}

export async function setApart(
  db: FobbetDatabase,
  pictures: readonly Pick<StoredPicture, 'id' | 'sha256'>[],
  newId: () => string = () => '',
): Promise<Apart> {
  const facts = await pictureFacts(
    db,
    pictures.map(({ id }) => id),
  );
  const here = new Map(facts.map(({ id, sha256 }) => [id, sha256] as const));
  const whole = new Set(
    await db.pictures
      .where('id')
      .anyOf([...here.keys()])
      .primaryKeys(),
  );
  const alike = pictures.filter(({ id, sha256 }) => here.get(id) === sha256).map(({ id }) => id);
  return {
    ids: new Map(
      pictures.map(({ id, sha256 }) => [id, here.has(id) && here.get(id) !== sha256 ? newId() : id] as const),
    ),
    known: new Set(alike.filter((id) => whole.has(id))),
    lost: new Set(alike.filter((id) => !whole.has(id))),
  };
}

/** A piece that comes from elsewhere with its pictures, by the ids that they get here; without those that are here. */
export async function apart(
  db: FobbetDatabase,
  piece: Piece,
  pictures: readonly StoredPicture[],
  newId: () => string,
): Promise<{ piece: Piece; pictures: StoredPicture[] }> {
  const { ids, known } = await setApart(db, pictures, newId);
  return {
    piece: withPictures(piece, (id) => ids.get(id) ?? null),
    pictures: pictures
      .filter(({ id }) => !known.has(id))
      .map((picture) => ({ ...picture, id: ids.get(picture.id) ?? picture.id })),
  };
}
