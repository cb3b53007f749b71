import 'fake-indexeddb/auto';
import { MS_PER_DAY } from '@/core/shared';
import { pieceInTime, pieceSchema, readPiece, type BenchTimer, type Piece } from '@/records';
import { HOUR, readyPiece } from '@/testing/builders';
import {
  FobbetDatabase,
  addPieces,
  changeAgenda,
  changeRoom,
  followSetClock,
  historyState,
  putTimer,
  storedAgenda,
  storedRoom,
} from './index';

const NOW = Date.UTC(2026, 11, 1, 12);
const BY = 40 * HOUR;
let db: FobbetDatabase;
let count = 0;
beforeEach(() => {
  db = new FobbetDatabase(`set-clock-${count++}`);
});
afterEach(() => db.close());

const timer = (id: string, patch: Partial<BenchTimer> = {}): BenchTimer => ({
  id,
  label: id,
  pieceId: null,
  step: null,
  startedAt: NOW - HOUR,
  endsAt: NOW + HOUR,
  pausedLeftMs: null,
  rangAt: null,
  ...patch,
});
const followed = () => followSetClock(db, { byMs: BY, untilAt: NOW, now: NOW + BY });
const stored = async (id: string): Promise<Piece> => {
  const read = readPiece(await db.pieces.get(id));
  if (!read.ok) throw new Error(read.error.message);
  return read.value;
};

/** Each place in a schema where an instant stands. */
interface Described {
  metas?: { instant?: boolean }[];
  keys?: Record<string, Described>;
  items?: Described[];
  type?: string;
}
const figuresOf = ({ metas, keys = {}, items = [], type }: Described, path = ''): string[] => [
  ...(type === 'number' && !metas?.some(({ instant }) => instant) ? [path] : []),
  ...Object.entries(keys).flatMap(([key, of]) => figuresOf(of, `${path}.${key}`)),
  ...items.flatMap((of) => figuresOf(of, path)),
];
const instantsOf = ({ metas, keys = {}, items = [] }: Described, path = ''): string[] => [
  ...(metas?.some(({ instant }) => instant) ? [path] : []),
  ...Object.entries(keys).flatMap(([key, of]) => instantsOf(of, `${path}.${key}`)),
  ...items.flatMap((of) => instantsOf(of, `${path}[]`)),
];

describe('after the machine’s clock was set', () => {
  it('what was done to a piece is as long ago as it was, and no step of undo says so', async () => {
    const piece = readyPiece();
    const laid: Piece = {
      ...piece,
      sheet: { ...piece.sheet, printedAt: NOW - 30 * HOUR },
      lay: { ...piece.lay, laidAt: NOW - 20 * HOUR },
      rub: { ...piece.rub, done: [{ at: NOW - 2 * HOUR, minutes: 9 }] },
      seal: { ...piece.seal, coatsAt: [NOW - HOUR, NOW + BY] },
    };
    await addPieces(db, [laid, readyPiece({ id: 'old', createdAt: 5, updatedAt: 6 })]);
    expect(await followed()).toMatchObject({ ok: true });
    const moved = await stored('piece-1');
    expect(moved).toEqual({
      ...laid,
      revision: laid.revision + 1,
      updatedAt: NOW + BY,
      sheet: { ...laid.sheet, printedAt: NOW - 30 * HOUR + BY },
      lay: { ...laid.lay, laidAt: NOW - 20 * HOUR + BY },
      rub: { ...laid.rub, done: [{ at: NOW - 2 * HOUR + BY, minutes: 9 }] },
      // The last was recorded by the clock as it is now.
      seal: { ...laid.seal, coatsAt: [NOW - HOUR + BY, NOW + BY] },
    });
    expect(await stored('old')).toMatchObject({ revision: 1, createdAt: 5, updatedAt: 6 });
    expect(await historyState(db, 'piece-1')).toEqual({ undo: null, redo: null });
  });

  it('every instant of a piece is carried along, in lists too; what is older than any wait is not', () => {
    const paths = instantsOf(pieceSchema().describe());
    expect(paths).toEqual(
      expect.arrayContaining([
        '.lay.laidAt',
        '.rub.done[].at',
        '.seal.coatsAt[]',
        '.work.done[].at',
        '.cure.signs[].at',
      ]),
    );
    const set = { fromAt: NOW - 60 * MS_PER_DAY, untilAt: NOW, byMs: BY };
    for (const path of paths) {
      const at = (instant: number): unknown => {
        const piece: unknown = structuredClone(readyPiece({ createdAt: 1, updatedAt: 1 }));
        const keys = path.split('.').slice(1);
        let place = piece as Record<string, unknown>;
        keys.forEach((named, index) => {
          const [key, isList] = [named.replace('[]', ''), named.endsWith('[]')];
          const isLast = index === keys.length - 1;
          const inner: Record<string, unknown> =
            isLast || isList || place[key] === null ? {} : (place[key] as typeof place);
          place[key] = isLast ? (isList ? [instant] : instant) : isList ? [inner] : inner;
          place = inner;
        });
        return piece;
      };
      expect([path, pieceInTime(at(NOW - HOUR) as Piece, set)]).toEqual([path, at(NOW - HOUR + BY)]);
      const old = at(NOW - 61 * MS_PER_DAY) as Piece;
      expect(pieceInTime(old, set)).toBe(old);
    }
  });

  it('no other figure is named like an instant, but a place among a set', () => {
    const others = figuresOf(pieceSchema().describe());
    expect(others.length).toBeGreaterThan(100);
    expect(others.filter((path) => /(\.at|At)$/.test(path))).toEqual(['.set.at']);
  });

  it('timers run on for the time they had left, those begun since and those that rang as they are', async () => {
    const all = [
      timer('runs'),
      timer('stopped', { pausedLeftMs: 500 }),
      timer('rang', { rangAt: NOW - 1 }),
      timer('since', { startedAt: NOW + BY, endsAt: NOW + BY + HOUR }),
    ];
    for (const one of all) await putTimer(db, one);
    await followed();
    const after = new Map((await db.timers.toArray()).map((one) => [one.id, one]));
    expect(after.get('runs')).toEqual(timer('runs', { startedAt: NOW - HOUR + BY, endsAt: NOW + HOUR + BY }));
    expect(after.get('stopped')?.pausedLeftMs).toBe(500);
    expect(after.get('rang')).toEqual(all[2]);
    expect(after.get('since')).toEqual(all[3]);
  });

  it('a step that is running, and the air since the print was laid; free hours and pins stay by the calendar', async () => {
    await changeAgenda(db, () => ({
      running: { step: 'piece-1/lay', startedAt: NOW - HOUR },
      pins: { 'piece-1/rub-1': NOW - HOUR },
    }));
    await changeRoom(db, () => ({ readings: [{ at: NOW - HOUR, temperatureC: 18, humidityPercent: 60 }] }));
    await followed();
    expect(await storedAgenda(db)).toMatchObject({
      value: { running: { startedAt: NOW - HOUR + BY }, pins: { 'piece-1/rub-1': NOW - HOUR } },
    });
    expect(await storedRoom(db)).toMatchObject({ value: { readings: [{ at: NOW - HOUR + BY }] } });
  });

  it('by seconds only, no piece is written', async () => {
    const piece = readyPiece();
    await addPieces(db, [{ ...piece, lay: { ...piece.lay, laidAt: NOW - HOUR } }]);
    await putTimer(db, timer('runs'));
    await followSetClock(db, { byMs: 5000, untilAt: NOW, now: NOW });
    expect((await stored('piece-1')).revision).toBe(1);
    expect((await db.timers.get('runs'))?.endsAt).toBe(NOW + HOUR + 5000);
  });
});
