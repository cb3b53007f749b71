import 'fake-indexeddb/auto';
import { hashBytes } from '@/core/shared/hash';
import { DEFAULT_SETTINGS, EMPTY_STASH, newItem, type Piece, type StoredPicture } from '@/records';
import {
  FobbetDatabase,
  addPieces,
  changeAgenda,
  changeSettings,
  changeStash,
  historyState,
  readShelf,
  removePiece,
  savePiece,
  stepHistory,
  storedStash,
  tidy,
  versionsOf,
} from '@/storage';
import { fullDisk } from '@/testing/full-disk';
import { HOUR, NOW, readyPiece, storedPicture } from '@/testing/builders';
import { IN_BACKUP, NOT_IN_BACKUP } from './format';
import { compareBackup, openBackup, restoreBackup, writeBackup, type Choices, type OpenBackup } from './index';

let count = 0;
const opened: FobbetDatabase[] = [];
function browser(): FobbetDatabase {
  const db = new FobbetDatabase(`backup-${count++}`);
  opened.push(db);
  return db;
}
afterAll(() => opened.forEach((db) => db.close()));

const bytesOf = (seed: number) => Uint8Array.from({ length: 900 + seed }, (_, i) => (i * 31 + seed) % 251);
async function picture(id: string, seed: number): Promise<StoredPicture> {
  const bytes = bytesOf(seed);
  return { ...storedPicture(id), bytes: bytes.length, sha256: await hashBytes(bytes), file: new Blob([bytes]) };
}
const bottle = newItem('gel', 'binder', 'Gel', NOW, { amount: 100, size: 240 });

async function saveAll(db: FobbetDatabase): Promise<Blob> {
  const parts: Uint8Array<ArrayBuffer>[] = [];
  const out = new WritableStream<Uint8Array>({ write: (part) => void parts.push(part.slice()) });
  const written = await writeBackup(db, out, { now: NOW });
  if (!written.ok) throw new Error(written.error.message);
  return new Blob(parts);
}
async function openAll(file: Blob): Promise<OpenBackup> {
  const read = await openBackup(file);
  if (!read.ok) throw new Error(`${read.error.code}: ${read.error.message}`);
  return read.value;
}
async function restore(db: FobbetDatabase, backup: OpenBackup, choices: Partial<Choices> = {}) {
  const comparison = await compareBackup(db, backup);
  return restoreBackup(db, {
    backup,
    comparison,
    choices: { pieces: {}, records: {}, ...choices },
    now: NOW + 9 * HOUR,
    newId: () => `new-${count++}`,
    label: 'restored',
    copyName: (name) => `${name} (copy)`,
  });
}
const edit = async (db: FobbetDatabase, patch: Partial<Piece>, now: number) => {
  const base = (await readShelf(db)).pieces.find(({ id }) => id === 'piece-1');
  if (!base) throw new Error('no piece');
  return savePiece(db, { base, mine: { ...base, ...patch }, label: 'name', now });
};
const nameIn = async (db: FobbetDatabase, id = 'piece-1') =>
  (await readShelf(db)).pieces.find((piece) => piece.id === id)?.name;

async function filled(): Promise<FobbetDatabase> {
  const db = browser();
  await addPieces(
    db,
    [readyPiece(), { ...readyPiece(), id: 'piece-2', name: 'Second' }],
    [await picture('picture-1', 1)],
  );
  await edit(db, { name: 'Board' }, NOW + HOUR);
  await removePiece(db, 'piece-2', NOW + HOUR);
  await changeStash(db, () => ({ items: [bottle] }));
  await changeAgenda(db, () => ({ reserveHours: 5 }));
  await changeSettings(db, DEFAULT_SETTINGS, { unitSystem: 'inch' });
  return db;
}
const contentOf = async (db: FobbetDatabase) =>
  Object.fromEntries(
    await Promise.all(
      IN_BACKUP.filter((name) => name !== 'pictures').map(
        async (name) => [name, await db.table<Record<string, unknown>>(name).toArray()] as const,
      ),
    ),
  );

describe('a backup', () => {
  it('every table is in it, or is left out on purpose', () => {
    expect([...IN_BACKUP, ...NOT_IN_BACKUP].sort()).toEqual(
      browser()
        .tables.map(({ name }) => name)
        .sort(),
    );
  });

  it('brings all of it into an empty browser: pieces, undo, pictures, stash, hours, settings, bin', async () => {
    const from = await filled();
    const to = browser();
    expect(await restore(to, await openAll(await saveAll(from)))).toMatchObject({
      ok: true,
      value: { pieces: 1, records: 3, pictures: 1 },
    });
    expect(await contentOf(to)).toEqual(await contentOf(from));
    const there = await to.pictures.get('picture-1');
    expect(new Uint8Array((await there?.file.arrayBuffer()) ?? new ArrayBuffer(0))).toEqual(bytesOf(1));
    const { undo } = await historyState(to, 'piece-1');
    expect(await stepHistory(to, 'piece-1', 'undo', { mark: undo?.mark ?? -1, now: NOW + 10 * HOUR })).toMatchObject({
      ok: true,
    });
    expect(await nameIn(to)).toBe(readyPiece().name);
    await tidy(to, NOW + 10 * HOUR);
    expect(await to.pictures.count()).toBe(1);
  });

  it('restored twice, or over what has not changed, alters nothing', async () => {
    const db = await filled();
    const backup = await openAll(await saveAll(db));
    const before = await contentOf(db);
    expect(await restore(db, backup)).toMatchObject({ ok: true, value: { pieces: 0, records: 0, pictures: 0 } });
    expect(await contentOf(db)).toEqual(before);
  });

  it('knows what changed where: only here, only in the file, or in both', async () => {
    const db = await filled();
    const old = await openAll(await saveAll(db));
    const other = browser();
    await restore(other, old);
    const fate = async (at: FobbetDatabase, backup: OpenBackup) => (await compareBackup(at, backup)).pieces[0]?.fate;
    expect(await fate(db, old)).toBe('same');

    await edit(db, { name: 'Here' }, NOW + 2 * HOUR);
    expect(await fate(db, old)).toBe('here');
    expect(await fate(other, await openAll(await saveAll(db)))).toBe('file');
    await edit(other, { name: 'There' }, NOW + 3 * HOUR);
    expect(await fate(db, await openAll(await saveAll(other)))).toBe('both');
    // Taken over there it is known again, though it was saved at another time.
    await restore(other, await openAll(await saveAll(db)), { pieces: { 'piece-1': 'file' } });
    expect(await fate(db, await openAll(await saveAll(other)))).toBe('same');
    expect(await fate(other, await openAll(await saveAll(db)))).toBe('same');
    await edit(other, { name: 'Later' }, NOW + 11 * HOUR);
    expect(await fate(db, await openAll(await saveAll(other)))).toBe('file');
    expect(await fate(browser(), old)).toBe('new');
    await removePiece(db, 'piece-1', NOW + 4 * HOUR);
    expect(await fate(db, old)).toBe('removed');
  });

  it('one of a set that follows what another chose is no clash', async () => {
    const db = browser();
    const member = (at: number): Piece => ({
      ...readyPiece(),
      id: `part-${at}`,
      set: { id: 'set', name: 'Cards', at },
    });
    await addPieces(db, [member(0), member(1), member(2)], [await picture('picture-1', 1)]);
    const backup = await openAll(await saveAll(db));
    const [first, , third] = (await readShelf(db)).pieces;
    if (!first || !third) throw new Error('no set');
    await savePiece(db, { base: third, mine: { ...third, name: 'Third' }, label: 'name', now: NOW + HOUR });
    const mine = { ...first, lay: { ...first.lay, filmUm: 140 } };
    await savePiece(db, { base: first, mine, label: 'film', now: NOW + 2 * HOUR });
    const fates = async (from: FobbetDatabase, against: OpenBackup) =>
      (await compareBackup(from, against)).pieces.map(({ fate }) => fate);
    expect(await fates(db, backup)).toEqual(['here', 'here', 'here']);
    const older = browser();
    await restore(older, backup);
    expect(await fates(older, await openAll(await saveAll(db)))).toEqual(['file', 'file', 'file']);
  });

  it('where both changed it is asked: here stays, the file’s can be undone, or both are kept', async () => {
    const db = await filled();
    const other = browser();
    await restore(other, await openAll(await saveAll(db)));
    await edit(other, { name: 'There' }, NOW + 3 * HOUR);
    const backup = await openAll(await saveAll(other));
    await edit(db, { name: 'Here' }, NOW + 2 * HOUR);

    await restore(db, backup);
    expect(await nameIn(db)).toBe('Here');
    await restore(db, backup, { pieces: { 'piece-1': 'both' } });
    expect((await readShelf(db)).pieces.map(({ name }) => name).sort()).toEqual(['Here', 'There (copy)']);
    await restore(db, backup, { pieces: { 'piece-1': 'file' } });
    expect(await nameIn(db)).toBe('There');
    const { undo } = await historyState(db, 'piece-1');
    expect(undo?.label).toBe('restored');
    await stepHistory(db, 'piece-1', 'undo', { mark: undo?.mark ?? -1, now: NOW + 10 * HOUR });
    expect(await nameIn(db)).toBe('Here');
  });

  it('a piece that was removed here stays removed, or comes back if wanted', async () => {
    const db = await filled();
    const backup = await openAll(await saveAll(db));
    await removePiece(db, 'piece-1', NOW + 4 * HOUR);
    await restore(db, backup);
    expect(await nameIn(db)).toBeUndefined();
    await restore(db, backup, { pieces: { 'piece-1': 'file' } });
    expect(await nameIn(db)).toBe('Board');
    expect(await db.removed.get('piece-1')).toBeUndefined();
  });

  it('a stash of both is asked about: taken, joined or left, and what gives way can be taken back', async () => {
    const db = await filled();
    const backup = await openAll(await saveAll(db));
    const glue = newItem('glue', 'binder', 'Glue', NOW);
    await changeStash(db, () => ({ items: [glue] }));
    const items = async () => {
      const stash = await storedStash(db);
      return stash.ok ? stash.value.items.map(({ id }) => id) : [];
    };
    await restore(db, backup);
    expect(await items()).toEqual(['glue']);
    await restore(db, backup, { records: { stash: 'both' } });
    expect(await items()).toEqual(['glue', 'gel']);
    await restore(db, backup, { records: { stash: 'file' } });
    expect(await items()).toEqual(['gel']);
    expect((await versionsOf(db, 'stash')).undo?.what).toEqual([{ key: 'items', name: 'Glue' }]);
  });

  it('a picture whose id another has here gets one of its own, and both stay', async () => {
    const db = browser();
    await addPieces(db, [{ ...readyPiece(), id: 'mine' }], [await picture('picture-1', 7)]);
    await restore(db, await openAll(await saveAll(await filled())));
    const { pieces } = await readShelf(db);
    const ids = pieces.map(({ picture: { pictureId } }) => pictureId);
    expect(new Set(ids).size).toBe(2);
    const sizes = await Promise.all(ids.map(async (id) => (await db.pictures.get(id ?? ''))?.file.size));
    expect(sizes.sort()).toEqual([901, 907]);
  });

  it('is all or nothing: a full disk, or a change since it was compared, leaves everything as it was', async () => {
    const backup = await openAll(await saveAll(await filled()));
    const db = browser();
    await changeStash(db, () => ({ items: [newItem('glue', 'binder', 'Glue', NOW)] }));
    const before = await contentOf(db);
    fullDisk();
    const refused = await restore(db, backup);
    jest.restoreAllMocks();
    expect(refused).toMatchObject({ ok: false, error: { code: 'storage-full' } });
    expect(await contentOf(db)).toEqual(before);

    const comparison = await compareBackup(db, backup);
    await addPieces(db, [readyPiece()]);
    const moved = await restoreBackup(db, {
      ...{ backup, comparison, choices: { pieces: {}, records: {} }, now: NOW, newId: () => 'x', label: 'restored' },
      copyName: String,
    });
    expect(moved).toMatchObject({ ok: false, error: { code: 'backup-moved' } });
  });

  it('two stashes that hold too much together are refused, and nothing is taken in', async () => {
    const many = (from: string) => Array.from({ length: 1100 }, (_, n) => newItem(`${from}${n}`, 'tool', 'Brush', NOW));
    const other = browser();
    await changeStash(other, () => ({ items: many('there-') }));
    await addPieces(other, [readyPiece()]);
    const db = browser();
    await changeStash(db, () => ({ items: many('here-') }));
    const before = await contentOf(db);
    const refused = await restore(db, await openAll(await saveAll(other)), { records: { stash: 'both' } });
    expect(refused).toMatchObject({ ok: false, error: { code: 'stash-too-many' } });
    expect(await contentOf(db)).toEqual(before);
  });

  it('what can’t be read here is put aside whole before the file’s takes its place', async () => {
    const backup = await openAll(await saveAll(await filled()));
    const db = browser();
    await db.pieces.put({ ...readyPiece(), version: 99 } as unknown as Piece);
    await db.stash.put({ ...EMPTY_STASH, version: 99 } as unknown as typeof EMPTY_STASH);
    await restore(db, backup, { pieces: { 'piece-1': 'file' }, records: { stash: 'file' } });
    expect(await nameIn(db)).toBe('Board');
    expect((await storedStash(db)).ok).toBe(true);
    const aside = await db.aside.toArray();
    expect(aside.map(({ kind, data }) => [kind, (data as { version: number }).version]).sort()).toEqual([
      ['piece', 99],
      ['stash', 99],
    ]);
  });

  it('what this program can’t read goes along as it is, and is put aside there', async () => {
    const db = await filled();
    const newer = { ...readyPiece(), id: 'newer', version: 99 } as unknown as Piece;
    await db.pieces.put(newer);
    await db.stash.put({ ...EMPTY_STASH, version: 99 } as unknown as typeof EMPTY_STASH);
    const to = browser();
    const backup = await openAll(await saveAll(db));
    await restore(to, backup);
    await restore(to, backup);
    expect((await to.aside.toArray()).map(({ kind, data }) => [kind, (data as { version: number }).version])).toEqual([
      ['stash', 99],
      ['piece', 99],
    ]);
    expect((await readShelf(to)).unreadable).toEqual([]);
  });

  it('a picture whose file is lost is named, and the rest is saved', async () => {
    const db = await filled();
    await db.pictures.delete('picture-1');
    const out = new WritableStream<Uint8Array>();
    expect(await writeBackup(db, out, { now: NOW })).toMatchObject({ ok: true, value: { missing: ['picture-1.jpg'] } });
  });
});

it('a picture whose file is lost here comes back from a copy, where nothing else has changed', async () => {
  const db = await filled();
  const copy = await saveAll(db);
  await db.pictures.delete('picture-1');
  const restored = await restore(db, await openAll(copy));
  expect(restored).toMatchObject({ ok: true, value: { pieces: 0, pictures: 1 } });
  expect(await db.pictures.get('picture-1')).toBeDefined();
});

describe('a file that is none, or no longer whole', () => {
  const code = async (file: Blob) => {
    const read = await openBackup(file);
    return read.ok ? 'opened' : read.error.code;
  };

  it('is refused wherever it was cut, and wherever a byte of its content differs', async () => {
    const whole = new Uint8Array(await (await saveAll(await filled())).arrayBuffer());
    for (let at = 0; at < whole.length; at += 211)
      expect(await code(new Blob([whole.slice(0, at)]))).toMatch(/backup-(damaged|foreign)/);
    let refused = 0;
    for (let at = 40; at < whole.length; at += 397) {
      const bent = whole.slice();
      bent[at] = bent[at] ^ 0x41;
      if ((await code(new Blob([bent]))) !== 'opened') refused++;
      else expect(await contentEquals(bent, whole)).toBe(true);
    }
    expect(refused).toBeGreaterThan(5);
  });

  /** Some bytes of a zip say nothing of its content, as the hour of an entry. */
  async function contentEquals(one: Uint8Array<ArrayBuffer>, other: Uint8Array<ArrayBuffer>): Promise<boolean> {
    const [a, b] = await Promise.all([openAll(new Blob([one])), openAll(new Blob([other]))]);
    return JSON.stringify(a) === JSON.stringify(b);
  }

  it.each([
    ['nothing', new Blob([])],
    ['a text', new Blob(['pieces'])],
    ['a picture', new Blob([bytesOf(3)])],
  ])('%s is no backup', async (_, file) => expect(await code(file)).toBe('backup-foreign'));
});
