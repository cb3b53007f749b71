import 'fake-indexeddb/auto';
import { EMPTY_AGENDA, EMPTY_STASH, MOST_ITEMS, newItem, type StashItem } from '@/records';
import { MS_PER_DAY } from '@/core/shared';
import { NOW, readyPiece, storedPicture } from '@/testing/builders';
import { fullDisk } from '@/testing/full-disk';
import {
  FobbetDatabase,
  addPieces,
  apart,
  changeAgenda,
  changeRoom,
  changeSettings,
  changeStash,
  purgePiece,
  putTimer,
  readShelf,
  removePiece,
  restorePiece,
  savePiece,
  setAside,
  stepHistory,
  storedAgenda,
  storedStash,
  tidy,
  SINGLE_KINDS,
  unreadableSingle,
} from './index';
import { readSettings, DEFAULT_SETTINGS } from '@/records';

let db: FobbetDatabase;
let count = 0;
beforeEach(() => {
  db = new FobbetDatabase(`kept-${count++}`);
});
afterEach(() => {
  jest.restoreAllMocks();
  db.close();
});

const bottle = (patch: Partial<StashItem> = {}) => newItem('gel', 'binder', 'Gel', NOW, { size: 240, ...patch });

describe('what does not fit is refused, and what is there stays', () => {
  beforeEach(() => changeStash(db, () => ({ items: [bottle()] })));

  it.each([
    ['a bottle that holds nothing', { size: 0 }],
    ['an oven that stays colder than any', { limitC: 20 }],
    ['a day that there is not', { openedOn: '2026-31-12' }],
    ['the 29th of February of a common year', { openedOn: '2026-02-29' }],
    ['a day far out of time', { openedOn: '9999-01-01' }],
    ['a figure that is none', { price: NaN }],
  ])('%s', async (_, patch) => {
    expect(await changeStash(db, () => ({ items: [bottle(patch)] }))).toMatchObject({
      ok: false,
      error: { code: 'single-refused', values: { kind: 'stash' } },
    });
    expect(await storedStash(db)).toMatchObject({ value: { items: [bottle()] } });
  });

  it('more items than a stash holds', async () => {
    const many = Array.from({ length: MOST_ITEMS + 1 }, (_, i) => bottle({ id: `item-${i}` }));
    expect(await changeStash(db, () => ({ items: many }))).toMatchObject({
      error: { code: 'stash-too-many', values: { most: MOST_ITEMS } },
    });
    expect(await changeStash(db, () => ({ items: many.slice(1) }))).toMatchObject({ ok: true });
  });

  it('a day of thirteen stretches', async () => {
    const spans = Array.from({ length: 13 }, (_, i) => ({ fromMinute: i * 60, untilMinute: i * 60 + 30 }));
    expect(await changeAgenda(db, () => ({ days: { '2026-12-01': spans } }))).toMatchObject({
      error: { code: 'single-refused', values: { kind: 'agenda' } },
    });
    expect(await changeAgenda(db, () => ({ days: { '2026-13-01': [] } }))).toMatchObject({ ok: false });
    expect(await storedAgenda(db)).toEqual({ ok: true, value: EMPTY_AGENDA });
  });
});

describe('a record that can’t be read', () => {
  const unreadable = async () =>
    (await Promise.all(SINGLE_KINDS.map((kind) => unreadableSingle(db, kind)))).filter((single) => single !== null);

  it.each([
    ['of a newer version', { ...EMPTY_STASH, version: 9 }, 'single-newer'],
    ['damaged', { ...EMPTY_STASH, items: [{ ...bottle(), size: 0 }] }, 'single-unreadable'],
  ])('%s is named, kept untouched, and never written over', async (_, record, code) => {
    await db.stash.put(record as never);
    expect(await storedStash(db)).toMatchObject({ ok: false, error: { code, values: { kind: 'stash' } } });
    expect(await changeStash(db, () => ({ skill: 3 }))).toMatchObject({ ok: false, error: { code } });
    expect(await db.stash.get('stash')).toEqual(record);
    expect(await unreadable()).toMatchObject([{ kind: 'stash', data: record }]);
  });

  it('is put aside on request, whole, and a new one is begun', async () => {
    const newer = { ...EMPTY_STASH, version: 9 };
    await db.stash.put(newer as never);
    expect(await setAside(db, 'stash', NOW)).toMatchObject({ ok: true });
    expect(await changeStash(db, () => ({ skill: 3 }))).toMatchObject({ ok: true });
    expect(await unreadable()).toEqual([]);
    expect(await db.aside.toArray()).toMatchObject([{ kind: 'stash', at: NOW, data: newer }]);
  });

  it('of settings: what can be read is, what can’t is as usual, and stays when another is changed', async () => {
    await db.settings.put({ ...DEFAULT_SETTINGS, theme: 'dark', unitSystem: 'cubits', later: 1 } as never);
    const shown = readSettings(await db.settings.get('settings'));
    expect(shown).toEqual({ ...DEFAULT_SETTINGS, theme: 'dark' });
    expect(await changeSettings(db, shown, { sound: false })).toMatchObject({ ok: true });
    expect(await db.settings.get('settings')).toMatchObject({ sound: false, unitSystem: 'cubits', later: 1 });
    expect(await changeSettings(db, shown, { clockAheadMs: -1 })).toMatchObject({
      error: { code: 'settings-refused' },
    });
  });

  it('of a piece keeps its name and its data for a file', async () => {
    await db.pieces.put({ ...readyPiece(), dueOn: '2026-31-12' });
    expect(await readShelf(db)).toMatchObject({
      pieces: [],
      unreadable: [{ name: 'Route map', data: { dueOn: '2026-31-12' }, error: { code: 'record-invalid' } }],
    });
  });
});

describe('a full disk', () => {
  const timer = {
    id: 'a',
    label: 'Damp',
    pieceId: null,
    step: null,
    startedAt: NOW,
    endsAt: NOW + 1,
    pausedLeftMs: null,
    rangAt: null,
  };

  it('is said by every write, and takes nothing away', async () => {
    await addPieces(db, [readyPiece()], [storedPicture('picture-1')]);
    await changeStash(db, () => ({ items: [bottle()] }));
    const saved = await savePiece(db, {
      base: readyPiece(),
      mine: { ...readyPiece(), name: 'Map' },
      label: 'name',
      now: NOW,
    });
    const mark = saved.ok ? saved.value.revision : 0;
    const before = await readShelf(db);
    fullDisk();
    const writes: [string, Promise<{ ok: boolean }>][] = [
      ['stash', changeStash(db, () => ({ skill: 3 }))],
      ['agenda', changeAgenda(db, () => ({ mode: 'latest' }))],
      ['room', changeRoom(db, () => ({ day: null }))],
      ['settings', changeSettings(db, DEFAULT_SETTINGS, { sound: false })],
      ['timer', putTimer(db, timer)],
      ['new piece', addPieces(db, [{ ...readyPiece(), id: 'piece-2' }])],
      ['undo', stepHistory(db, 'piece-1', 'undo', { mark, now: NOW })],
      ['bin', removePiece(db, 'piece-1', NOW)],
    ];
    for (const [name, write] of writes)
      expect([name, await write]).toMatchObject([name, { ok: false, error: { code: 'storage-full' } }]);
    await expect(tidy(db, NOW + 40 * MS_PER_DAY)).resolves.toBeUndefined();
    jest.restoreAllMocks();
    expect(await readShelf(db)).toEqual(before);
    expect(await storedStash(db)).toMatchObject({ value: { items: [bottle()], skill: EMPTY_STASH.skill } });
  });

  it('is freed by removing a piece for good, with what it alone needed', async () => {
    await addPieces(
      db,
      [readyPiece(), { ...readyPiece(), id: 'piece-2', keep: { ...readyPiece().keep, photoId: 'photo' } }],
      [storedPicture('picture-1'), storedPicture('photo')],
    );
    fullDisk();
    expect(await purgePiece(db, 'piece-2')).toMatchObject({ ok: true });
    jest.restoreAllMocks();
    expect((await readShelf(db)).pieces.map(({ id }) => id)).toEqual(['piece-1']);
    for (const table of [db.pictures, db.pictureFacts])
      expect(await table.toCollection().primaryKeys()).toEqual(['picture-1']);
    expect(await restorePiece(db, 'piece-2')).toMatchObject({ ok: true });
    expect(await db.pieces.count()).toBe(1);
  });
});

describe('a piece from elsewhere', () => {
  const other = { ...storedPicture('picture-1', new Uint8Array([9])), sha256: '1'.repeat(64) };
  const taken = async (picture: typeof other) => {
    let next = 0;
    const set = await apart(db, { ...readyPiece(), id: 'piece-2' }, [picture], () => `anew-${next++}`);
    expect(await addPieces(db, [set.piece], set.pictures)).toMatchObject({ ok: true });
    return set.piece.picture.pictureId;
  };
  beforeEach(() => addPieces(db, [readyPiece()], [storedPicture('picture-1')]));

  it('never replaces another piece’s picture that has the same id', async () => {
    const mine = await db.pictureFacts.get('picture-1');
    expect(await taken(other)).toBe('anew-0');
    expect(await db.pictureFacts.get('picture-1')).toEqual(mine);
    expect(await db.pictureFacts.get('anew-0')).toMatchObject({ sha256: other.sha256 });
  });

  it('shares a picture that is here already, and gives a lost file back to it', async () => {
    expect(await taken(storedPicture('picture-1'))).toBe('picture-1');
    expect(await db.pictures.count()).toBe(1);
    await db.pictures.clear();
    await db.pieces.delete('piece-2');
    expect(await taken(storedPicture('picture-1'))).toBe('picture-1');
    expect(await db.pictures.count()).toBe(1);
  });
});

it('overrules another window in what was asked about, and in nothing else, with its pictures', async () => {
  const base = readyPiece();
  await addPieces(db, [base], [storedPicture('picture-1')]);
  const theirs = {
    ...base,
    name: 'Departures',
    surface: { ...base.surface, widthMm: 310 },
    picture: { ...base.picture, pictureId: 'theirs' },
  };
  await savePiece(db, { base, mine: theirs, label: 'theirs', now: NOW, pictures: [storedPicture('theirs')] });
  const mine = { ...base, picture: { ...base.picture, pictureId: 'mine' } };
  const change = { base, mine, label: 'mine', now: NOW, pictures: [storedPicture('mine')] };
  expect(await savePiece(db, change)).toMatchObject({ error: { code: 'piece-conflict' } });
  expect(await savePiece(db, { ...change, overrule: true })).toMatchObject({
    ok: true,
    value: { name: 'Departures', surface: { widthMm: 310 }, picture: { pictureId: 'mine' } },
  });
  expect(await db.pictures.get('mine')).toBeDefined();
});
