import 'fake-indexeddb/auto';
import { HOUR, NOW, readyPiece, storedPicture } from '@/testing/builders';
import type { Piece } from '@/records';
import { FobbetDatabase, addPieces, historyState, readShelf, removePiece, restorePiece, savePiece, stepHistory, tidy } from './index';

let db: FobbetDatabase;
let count = 0;
beforeEach(async () => {
  db = new FobbetDatabase(`test-${count++}`);
  await addPieces(db, [readyPiece()], [storedPicture('picture-1')]);
});
afterEach(() => db.close());

const stored = async (): Promise<Piece> => {
  const piece = await db.pieces.get('piece-1');
  if (!piece) throw new Error('no piece');
  return piece;
};
const named = (piece: Piece, name: string): Piece => ({ ...piece, name });
const wide = (piece: Piece, widthMm: number): Piece => ({ ...piece, surface: { ...piece.surface, widthMm } });
const high = (piece: Piece, heightMm: number): Piece => ({ ...piece, surface: { ...piece.surface, heightMm } });
const save = (base: Piece, mine: Piece, extra: Partial<Parameters<typeof savePiece>[1]> = {}) => savePiece(db, { base, mine, label: 'change', now: NOW + 1000, ...extra });

describe('saving', () => {
  it('counts revisions and keeps the time', async () => {
    const base = await stored();
    expect(await save(base, named(base, 'Timetable'))).toMatchObject({ ok: true, value: { name: 'Timetable', revision: 2, updatedAt: NOW + 1000 } });
    expect(await stored()).toMatchObject({ name: 'Timetable', revision: 2 });
  });

  it('keeps what another window changed elsewhere, even in the same section', async () => {
    const base = await stored();
    await save(base, wide(base, 300));
    await save(base, high(base, 200));
    expect((await stored()).surface).toMatchObject({ widthMm: 300, heightMm: 200 });
  });

  it('does not overwrite silently: the same field changed twice is a conflict, and nothing moves', async () => {
    const base = await stored();
    await save(base, wide(base, 300));
    const before = await stored();
    expect(await save(base, wide(base, 250))).toMatchObject({ ok: false, error: { code: 'piece-conflict', values: { paths: 'surface.widthMm' } } });
    expect(await stored()).toEqual(before);
    expect(await save(base, wide(base, 250), { overrule: true })).toMatchObject({ ok: true, value: { surface: { widthMm: 250 } } });
    expect(await save(base, wide(base, 250))).toMatchObject({ ok: true });
  });

  it('saves the picture with the piece, or neither', async () => {
    const base = await stored();
    const broken = { ...wide(base, -5), picture: { ...base.picture, pictureId: 'picture-2' } };
    expect(await save(base, broken, { pictures: [storedPicture('picture-2')] })).toMatchObject({ ok: false, error: { code: 'record-invalid' } });
    expect(await db.pictures.get('picture-2')).toBeUndefined();
    expect((await stored()).picture.pictureId).toBe('picture-1');
    await save(base, { ...base, picture: { ...base.picture, pictureId: 'picture-2' } }, { pictures: [storedPicture('picture-2')] });
    expect(await db.pictures.get('picture-2')).toBeDefined();
  });

  it('takes nothing back half way: a failure within leaves the last complete state', async () => {
    const base = await stored();
    const failing = jest.spyOn(db.cursors, 'put').mockImplementation(() => { throw Object.assign(new Error('full'), { name: 'QuotaExceededError' }); });
    expect(await save(base, named(base, 'Lost'), { pictures: [storedPicture('picture-3')] })).toMatchObject({ ok: false, error: { code: 'storage-full' } });
    failing.mockRestore();
    expect(await stored()).toEqual(base);
    expect(await db.pictures.get('picture-3')).toBeUndefined();
    expect(await db.history.count()).toBe(0);
  });

  it('refuses a piece that is gone, and keeps one that is newer', async () => {
    const base = await stored();
    expect(await save(base, { ...base, id: 'other' })).toMatchObject({ ok: false, error: { code: 'piece-gone' } });
    const newer = { ...base, version: 9 as never };
    await db.pieces.put(newer);
    expect(await save(base, named(base, 'Old'))).toMatchObject({ ok: false, error: { code: 'record-newer' } });
    expect(await stored()).toEqual(newer);
    expect(await readShelf(db)).toMatchObject({ pieces: [], unreadable: [{ id: 'piece-1', code: 'record-newer' }] });
  });

  it('adds a piece once', async () => {
    expect(await addPieces(db, [readyPiece()])).toMatchObject({ ok: false, error: { code: 'piece-exists' } });
    expect(await addPieces(db, [{ ...readyPiece(), name: '' }])).toMatchObject({ ok: false, error: { code: 'record-invalid' } });
  });
});

describe('undo', () => {
  const change = async (widthMm: number, label: string) => {
    const base = await stored();
    await save(base, wide(base, widthMm), { label });
  };
  const width = async () => (await stored()).surface.widthMm;

  it('walks back and forth through every change', async () => {
    for (const value of [300, 310, 320]) await change(value, `to ${value}`);
    expect(await historyState(db, 'piece-1')).toEqual({ undo: 'to 320', redo: null });
    expect(await stepHistory(db, 'piece-1', 'undo', NOW)).toBe('to 320');
    expect(await stepHistory(db, 'piece-1', 'undo', NOW)).toBe('to 310');
    expect(await width()).toBe(300);
    expect(await stepHistory(db, 'piece-1', 'redo', NOW)).toBe('to 310');
    expect(await width()).toBe(310);
    expect((await stored()).revision).toBe(7);
  });

  it('forgets what was undone once something else is done, and stops at both ends', async () => {
    await change(300, 'first');
    await stepHistory(db, 'piece-1', 'undo', NOW);
    expect(await stepHistory(db, 'piece-1', 'undo', NOW)).toBeNull();
    await change(400, 'second');
    expect(await stepHistory(db, 'piece-1', 'redo', NOW)).toBeNull();
    expect(await historyState(db, 'piece-1')).toEqual({ undo: 'second', redo: null });
    await stepHistory(db, 'piece-1', 'undo', NOW);
    expect(await width()).toBe(240);
  });

  it('survives a restart, and keeps a bounded length', async () => {
    for (let i = 0; i < 205; i++) await change(200 + i, `to ${i}`);
    const name = db.name;
    db.close();
    db = new FobbetDatabase(name);
    expect((await historyState(db, 'piece-1')).undo).toBe('to 204');
    expect(await db.history.count()).toBe(200);
  });
});

describe('removing', () => {
  it('can be taken back', async () => {
    const piece = await stored();
    await removePiece(db, 'piece-1', NOW);
    expect((await readShelf(db)).pieces).toEqual([]);
    await restorePiece(db, 'piece-1');
    expect(await stored()).toEqual(piece);
  });

  it('tidies only what nothing refers to any more', async () => {
    const base = await stored();
    await db.pictures.bulkPut([storedPicture('stray'), storedPicture('photo')]);
    await save(base, { ...base, keep: { ...base.keep, photoId: 'photo' } });
    await stepHistory(db, 'piece-1', 'undo', NOW);
    await tidy(db, NOW);
    expect((await db.pictures.toCollection().primaryKeys()).sort()).toEqual(['photo', 'picture-1']);
    await removePiece(db, 'piece-1', NOW);
    await tidy(db, NOW + 24 * HOUR);
    expect(await db.removed.count()).toBe(1);
    await tidy(db, NOW + 31 * 24 * HOUR);
    expect([await db.removed.count(), await db.pictures.count(), await db.history.count()]).toEqual([0, 0, 0]);
  });
});
