import 'fake-indexeddb/auto';
import { ok } from '@/core/shared';
import { EMPTY_STASH, newItem } from '@/records';
import { HOUR, NOW, readyPiece, storedPicture } from '@/testing/builders';
import {
  FobbetDatabase,
  addPieces,
  changeAgenda,
  changeRoom,
  changeStash,
  historyState,
  keepReading,
  leftOf,
  readShelf,
  removePiece,
  savePiece,
  stepHistory,
  storedAgenda,
  storedRoom,
  storedStash,
  tidy,
} from '@/storage';
import { EMPTY_AGENDA, EMPTY_ROOM, buildInputOf, readAgenda, readRoom, readTimer } from './index';

let db: FobbetDatabase;
let count = 0;
beforeEach(() => {
  db = new FobbetDatabase(`singles-${count++}`);
});
afterEach(() => db.close());

const stash = async () => {
  const read = await storedStash(db);
  if (!read.ok) throw new Error(read.error.code);
  return read.value;
};

describe('records of which there is one', () => {
  it('are what nothing was said of until something is, and change without losing what stands beside', async () => {
    expect(await storedAgenda(db)).toEqual(ok(EMPTY_AGENDA));
    expect(await storedRoom(db)).toEqual(ok(EMPTY_ROOM));
    expect(await storedStash(db)).toEqual(ok(EMPTY_STASH));
    await Promise.all([
      changeAgenda(db, () => ({ mode: 'latest' })),
      changeAgenda(db, ({ pins }) => ({ pins: { ...pins, a: 1 } })),
      changeAgenda(db, ({ pins }) => ({ pins: { ...pins, b: 2 } })),
    ]);
    expect(await storedAgenda(db)).toMatchObject({ value: { mode: 'latest', pins: { a: 1, b: 2 } } });
    await changeRoom(db, () => ({ day: { coldestC: 8, warmestC: 18, humidityPercent: 60 } }));
    await keepReading(db, [{ at: NOW, temperatureC: 19, humidityPercent: 50 }]);
    expect(await storedRoom(db)).toMatchObject({ value: { day: { coldestC: 8 }, readings: [{ at: NOW }] } });
    expect(buildInputOf(EMPTY_AGENDA).hours.weekly).toHaveLength(7);
  });

  it('hours of an earlier agenda count as said where they are not those assumed', () => {
    const { hoursSaid: _, ...rest } = EMPTY_AGENDA;
    const said = (weekly: unknown) => {
      const read = readAgenda({ ...rest, version: 1, weekly });
      return read.ok && read.value.hoursSaid;
    };
    expect(said(rest.weekly)).toBe(false);
    expect(said(rest.weekly.map(() => []))).toBe(true);
  });

  it.each([
    undefined,
    null,
    7,
    { ...EMPTY_AGENDA, weekly: [] },
    { ...EMPTY_AGENDA, version: 5 },
    { ...EMPTY_AGENDA, places: { bench: -1, rack: 1, oven: 1 } },
  ])('an agenda that can’t be read is refused: %#', (data) => expect(readAgenda(data)).toMatchObject({ ok: false }));
  it.each([undefined, 'cold', { ...EMPTY_ROOM, readings: [{ at: 1 }] }, { ...EMPTY_ROOM, hours: [] }])(
    'a room that can’t be read is refused: %#',
    (data) => expect(readRoom(data)).toMatchObject({ ok: false }),
  );
  it('a timer that can’t be read is none', () => {
    const timer = {
      id: 'a',
      label: 'Damp',
      pieceId: null,
      step: null,
      startedAt: NOW,
      endsAt: NOW + HOUR,
      pausedLeftMs: null,
      rangAt: null,
    };
    expect(readTimer(timer)).toEqual(timer);
    for (const broken of [null, {}, { ...timer, endsAt: 'soon' }, { ...timer, extra: 1 }])
      expect(readTimer(broken)).toBeNull();
  });
});

describe('draws and undo', () => {
  const bottle = newItem('gel', 'binder', 'Gel', NOW - HOUR, { material: 'fluid-gel', amount: 100, size: 240 });
  const drawn = async () => {
    await changeStash(db, () => ({ items: [bottle] }));
    await addPieces(db, [readyPiece()], [storedPicture('picture-1')]);
    const piece = readyPiece();
    await savePiece(db, {
      base: piece,
      mine: { ...piece, work: { done: [], draws: [{ step: 'lay', item: 'gel', amount: 30, at: NOW }] } },
      label: 'laid',
      now: NOW,
    });
  };
  const left = async () => {
    const { pieces } = await readShelf(db);
    return leftOf((await stash()).items[0], pieces);
  };
  const step = async (direction: 'undo' | 'redo', now: number) =>
    stepHistory(db, 'piece-1', direction, {
      mark: (await historyState(db, 'piece-1'))[direction]?.mark ?? -1,
      now,
    });

  it('undo gives back, redo takes again', async () => {
    await drawn();
    expect(await left()).toBe(70);
    await step('undo', NOW + 1);
    expect(await left()).toBe(100);
    await step('redo', NOW + 2);
    expect(await left()).toBe(70);
  });

  it('what a removed piece took stays taken when it is forgotten', async () => {
    await drawn();
    await removePiece(db, 'piece-1', NOW + HOUR);
    await tidy(db, NOW + 40 * 24 * HOUR);
    expect(await db.removed.count()).toBe(0);
    expect((await stash()).items[0].amount).toBe(70);
  });
});
