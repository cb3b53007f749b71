import { applyPatch } from '@/core/stations';
import 'fake-indexeddb/auto';
import { HOUR, NOW, readyPiece, storedPicture } from '@/testing/builders';
import type { Agenda, Piece } from '@/records';
import {
  FobbetDatabase,
  addPieces,
  changeAgenda,
  historyState,
  readShelf,
  removePiece,
  restorePiece,
  savePiece,
  stepHistory,
  storedAgenda,
  tidy,
} from './index';
import { putPictures } from './pictures';

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
const save = (base: Piece, mine: Piece, extra: Partial<Parameters<typeof savePiece>[1]> = {}) =>
  savePiece(db, { base, mine, label: 'change', now: NOW + 1000, ...extra });

describe('saving', () => {
  it('counts revisions and keeps the time', async () => {
    const base = await stored();
    expect(await save(base, named(base, 'Timetable'))).toMatchObject({
      ok: true,
      value: { name: 'Timetable', revision: 2, updatedAt: NOW + 1000 },
    });
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
    expect(await save(base, wide(base, 250))).toMatchObject({
      ok: false,
      error: { code: 'piece-conflict', values: { paths: 'surface.widthMm' } },
    });
    expect(await stored()).toEqual(before);
    expect(await save(base, wide(base, 250), { overrule: true })).toMatchObject({
      ok: true,
      value: { surface: { widthMm: 250 } },
    });
    expect(await save(base, wide(base, 250))).toMatchObject({ ok: true });
  });

  it('saves the picture with the piece, or neither', async () => {
    const base = await stored();
    const broken = { ...wide(base, -5), picture: { ...base.picture, pictureId: 'picture-2' } };
    expect(await save(base, broken, { pictures: [storedPicture('picture-2')] })).toMatchObject({
      ok: false,
      error: { code: 'record-invalid' },
    });
    expect(await db.pictureFacts.get('picture-2')).toBeUndefined();
    expect((await stored()).picture.pictureId).toBe('picture-1');
    await save(
      base,
      { ...base, picture: { ...base.picture, pictureId: 'picture-2' } },
      { pictures: [storedPicture('picture-2')] },
    );
    expect(await db.pictureFacts.get('picture-2')).toBeDefined();
  });

  it('takes nothing back half way: a failure within leaves the last complete state', async () => {
    const base = await stored();
    const failing = jest.spyOn(db.cursors, 'put').mockImplementation(() => {
      throw Object.assign(new Error('full'), { name: 'QuotaExceededError' });
    });
    expect(await save(base, named(base, 'Lost'), { pictures: [storedPicture('picture-3')] })).toMatchObject({
      ok: false,
      error: { code: 'storage-full' },
    });
    failing.mockRestore();
    expect(await stored()).toEqual(base);
    expect(await db.pictureFacts.get('picture-3')).toBeUndefined();
    expect(await db.history.count()).toBe(0);
  });

  it('refuses a piece that is gone, and keeps one that is newer', async () => {
    const base = await stored();
    expect(await save(base, { ...base, id: 'other' })).toMatchObject({ ok: false, error: { code: 'piece-gone' } });
    const newer = { ...base, version: 9999 as never };
    await db.pieces.put(newer);
    expect(await save(base, named(base, 'Old'))).toMatchObject({ ok: false, error: { code: 'record-newer' } });
    expect(await stored()).toEqual(newer);
    expect(await readShelf(db)).toMatchObject({
      pieces: [],
      unreadable: [{ id: 'piece-1', error: { code: 'record-newer' } }],
    });
  });

  it('adds a piece once', async () => {
    expect(await addPieces(db, [readyPiece()])).toMatchObject({ ok: false, error: { code: 'piece-exists' } });
    expect(await addPieces(db, [{ ...readyPiece(), name: '' }])).toMatchObject({
      ok: false,
      error: { code: 'record-invalid' },
    });
  });
});

const labels = async () => {
  const { undo, redo } = await historyState(db, 'piece-1');
  return { undo: undo?.label ?? null, redo: redo?.label ?? null };
};
/** Takes the step that stands next, as a button that names it would; null where none does. */
const step = async (direction: 'undo' | 'redo') => {
  const mark = (await historyState(db, 'piece-1'))[direction]?.mark;
  if (mark === undefined) return null;
  const taken = await stepHistory(db, 'piece-1', direction, { mark, now: NOW });
  return taken.ok ? taken.value.label : taken.error.code;
};

describe('undo', () => {
  const change = async (widthMm: number, label: string) => {
    const base = await stored();
    await save(base, wide(base, widthMm), { label });
  };
  const width = async () => (await stored()).surface.widthMm;

  it('walks back and forth through every change', async () => {
    for (const value of [300, 310, 320]) await change(value, `to ${value}`);
    expect(await labels()).toEqual({ undo: 'to 320', redo: null });
    expect(await step('undo')).toBe('to 320');
    expect(await step('undo')).toBe('to 310');
    expect(await width()).toBe(300);
    expect(await step('redo')).toBe('to 310');
    expect(await width()).toBe(310);
    expect((await stored()).revision).toBe(7);
  });

  it('forgets what was undone once something else is done, and stops at both ends', async () => {
    await change(300, 'first');
    await step('undo');
    expect(await step('undo')).toBeNull();
    await change(400, 'second');
    expect(await step('redo')).toBeNull();
    expect(await labels()).toEqual({ undo: 'second', redo: null });
    await step('undo');
    expect(await width()).toBe(240);
  });

  it('takes back what was named, or says that another window changed it since', async () => {
    await change(300, 'mine');
    const named = (await historyState(db, 'piece-1')).undo?.mark ?? 0;
    await change(310, 'theirs');
    expect(await stepHistory(db, 'piece-1', 'undo', { mark: named, now: NOW })).toMatchObject({
      ok: false,
      error: { code: 'history-moved', values: { label: 'theirs' } },
    });
    expect(await width()).toBe(310);
    expect(await step('undo')).toBe('theirs');
    expect(await stepHistory(db, 'piece-1', 'undo', { mark: named, now: NOW })).toMatchObject({ ok: true });
    expect(await width()).toBe(240);
    expect(await stepHistory(db, 'gone', 'undo', { mark: 1, now: NOW })).toMatchObject({
      error: { code: 'piece-gone' },
    });
  });

  it('survives a restart, and keeps a bounded length', async () => {
    for (let i = 0; i < 205; i++) await change(200 + i, `to ${i}`);
    const name = db.name;
    db.close();
    db = new FobbetDatabase(name);
    expect((await labels()).undo).toBe('to 204');
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
    await putPictures(db, [storedPicture('stray'), storedPicture('photo')]);
    await save(base, { ...base, keep: { ...base.keep, photoId: 'photo' } });
    await step('undo');
    await tidy(db, NOW);
    for (const table of [db.pictureFacts, db.pictures])
      expect((await table.toCollection().primaryKeys()).sort()).toEqual(['photo', 'picture-1']);
    await removePiece(db, 'piece-1', NOW);
    await tidy(db, NOW + 24 * HOUR);
    expect(await db.removed.count()).toBe(1);
    await tidy(db, NOW + 31 * 24 * HOUR);
    expect([await db.removed.count(), await db.pictureFacts.count(), await db.history.count()]).toEqual([0, 0, 0]);
  });
});

const PAINTED: Piece['surface']['prepared'] = ['sand', 'dust', 'base-coat', 'base-coat-2', 'light-sand', 'dust-again'];

describe('a set with one plan', () => {
  const member = (at: number): Piece => ({ ...readyPiece(), id: `part-${at}`, set: { id: 'set', name: 'Cards', at } });
  const at = async (number: number): Promise<Piece> => {
    const piece = await db.pieces.get(`part-${number}`);
    if (!piece) throw new Error('no piece');
    return piece;
  };
  beforeEach(async () => {
    await addPieces(db, [member(0), member(1), member(2)]);
  });

  it('what is chosen for one holds for all, in one save; whoever is not of it stays as it was', async () => {
    const first = await at(0);
    expect((await save(first, wide(first, 333))).ok).toBe(true);
    for (const one of [0, 1, 2]) expect(await at(one)).toMatchObject({ surface: { widthMm: 333 }, revision: 2 });
    expect(await stored()).toMatchObject({ revision: 1, surface: { widthMm: readyPiece().surface.widthMm } });
  });

  it('no coat counts as painted that was never laid: what is chosen anew undoes what was done for what stood before', async () => {
    const painted = { ...(await at(0)).surface, baseCoat: 'chalk-type-paint' as const, prepared: PAINTED };
    await save(await at(0), { ...(await at(0)), surface: painted });
    const second = await at(1);
    expect(second.surface).toMatchObject({ baseCoat: 'chalk-type-paint', prepared: [] });
    const gesso = applyPatch<Piece>(second, { surface: { baseCoat: 'gesso', baseColour: '#000000' } });
    expect((await save(second, gesso)).ok).toBe(true);
    expect((await at(0)).surface).toMatchObject({ baseCoat: 'gesso', prepared: ['sand', 'dust'] });
    const stone = applyPatch<Piece>(await at(1), { surface: { kind: 'stone' } });
    await save(await at(1), stone);
    expect((await at(0)).surface).toMatchObject({ kind: 'stone', prepared: [] });
  });

  it('what is done to one is its own, and saves nothing else', async () => {
    const first = await at(0);
    await save(first, { ...first, sheet: { ...first.sheet, printedAt: NOW } });
    expect(await at(1)).toEqual(member(1));
  });

  it('taken back where it was chosen, it is taken back for all; what they did meanwhile stays', async () => {
    const before = member(0).surface.widthMm;
    const first = await at(0);
    const saved = await save(first, wide(first, 333));
    const second = await at(1);
    await save(second, { ...second, sheet: { ...second.sheet, printedAt: NOW } });
    if (!saved.ok) throw new Error('not saved');
    expect((await stepHistory(db, 'part-0', 'undo', { mark: saved.value.revision, now: NOW })).ok).toBe(true);
    for (const one of [0, 1, 2]) expect((await at(one)).surface.widthMm).toBe(before);
    expect((await at(1)).sheet.printedAt).toBe(NOW);
  });

  it('what is laid keeps how it was laid, and gives it to nobody when something else is done to it', async () => {
    const first = await at(0);
    await save(first, { ...first, lay: { ...first.lay, laidAt: NOW } });
    const second = await at(1);
    await save(second, { ...second, lay: { ...second.lay, filmUm: 145 } });
    expect([(await at(0)).lay.filmUm, (await at(2)).lay.filmUm]).toEqual([first.lay.filmUm, 145]);
    const laid = await at(0);
    await save(laid, { ...laid, rub: { ...laid.rub, done: [{ at: NOW, minutes: 9 }] } });
    expect([(await at(1)).lay.filmUm, (await at(2)).lay.filmUm]).toEqual([145, 145]);
  });

  it('an older step taken back leaves what another of the set chose since', async () => {
    const second = await at(1);
    const printed = await save(second, { ...second, sheet: { ...second.sheet, printedAt: NOW } });
    const first = await at(0);
    await save(first, wide(first, 333));
    if (!printed.ok) throw new Error('not saved');
    await stepHistory(db, 'part-1', 'undo', { mark: printed.value.revision, now: NOW });
    for (const one of [0, 1, 2]) expect((await at(one)).surface.widthMm).toBe(333);
    expect((await at(1)).sheet.printedAt).toBeNull();
  });

  it('one that comes back from the bin, or to the set, is planned as the others are by now', async () => {
    await removePiece(db, 'part-2', NOW);
    const second = await at(1);
    const out = await save(second, { ...second, set: null });
    const first = await at(0);
    await save(first, wide(first, 333));
    expect((await at(1)).surface.widthMm).toBe(member(1).surface.widthMm);
    await restorePiece(db, 'part-2');
    if (!out.ok) throw new Error('not saved');
    await stepHistory(db, 'part-1', 'undo', { mark: out.value.revision, now: NOW });
    for (const one of [0, 1, 2])
      expect(await at(one)).toMatchObject({ surface: { widthMm: 333 }, set: { id: 'set', at: one } });
  });

  it('one name for all; one that can’t be read is left as it lies', async () => {
    await db.pieces.put({ ...member(2), version: 9999 as never });
    const first = await at(0);
    await save(first, { ...first, set: { id: 'set', name: 'Place cards', at: 0 } });
    expect((await at(1)).set).toEqual({ id: 'set', name: 'Place cards', at: 1 });
    expect((await at(2)).set?.name).toBe('Cards');
  });

  it('templates stand on no shelf', async () => {
    await addPieces(db, [{ ...readyPiece(), id: 'pattern', template: true }]);
    const shelf = await readShelf(db);
    expect(shelf.templates.map(({ id }) => id)).toEqual(['pattern']);
    expect(shelf.pieces).toHaveLength(4);
  });
});

describe('a step that is marked done', () => {
  const laid = (piece: Piece, at: number): Piece => {
    const done = { step: 'lay', at, minutes: null, planned: 10, early: false };
    return { ...piece, lay: { ...piece.lay, laidAt: at }, work: { ...piece.work, done: [done] } };
  };
  const held = {
    pins: { 'piece-1/lay': NOW, 'piece-1/pass-1': NOW, 'other/lay': NOW },
    notBefore: { 'piece-1/lay~1': NOW },
    partly: { 'piece-1/lay': 0.5 },
    running: { step: 'piece-1/lay~1', startedAt: NOW },
  };
  const agenda = async () => {
    const read = await storedAgenda(db);
    if (!read.ok) throw new Error(read.error.code);
    const { pins, notBefore, partly, running } = read.value;
    return { pins, notBefore, partly, running };
  };
  const left = { pins: { 'piece-1/pass-1': NOW, 'other/lay': NOW }, notBefore: {}, partly: {}, running: null };
  beforeEach(() => changeAgenda(db, () => held));

  it('leaves the agenda with the same save: its clock, pin, parts; and so it does when it is done again', async () => {
    const base = await stored();
    const saved = await save(base, laid(base, NOW));
    expect(await agenda()).toEqual(left);
    const mark = saved.ok ? saved.value.revision : 0;
    const undone = await stepHistory(db, 'piece-1', 'undo', { mark, now: NOW });
    expect([undone.ok, (await stored()).lay.laidAt]).toEqual([true, null]);
    await changeAgenda(db, () => held);
    expect((await stepHistory(db, 'piece-1', 'redo', { mark, now: NOW })).ok).toBe(true);
    expect(await agenda()).toEqual(left);
  });
  it('keeps it where the save is refused, and where nothing is marked done', async () => {
    const base = await stored();
    await save(base, wide(base, 300));
    expect((await save(base, laid(wide(base, 250), NOW))).ok).toBe(false);
    expect(await agenda()).toEqual(held);
    expect((await save(base, { ...laid(base, NOW), name: '' })).ok).toBe(false);
    expect(await agenda()).toEqual(held);
  });
  it('is saved all the same beside an agenda that can’t be read, which stays as it is', async () => {
    const newer = { id: 'agenda', version: 999 } as unknown as Agenda;
    await db.agenda.put(newer);
    const base = await stored();
    expect((await save(base, laid(base, NOW))).ok).toBe(true);
    expect(await db.agenda.get('agenda')).toEqual(newer);
  });
});
