import fc from '@/testing/properties';
import { checkPiece } from '@/records';
import { readyPiece } from '@/testing/builders';
import {
  MOST_KEPT_CELLS,
  isPlaced,
  isReadingOf,
  isWholeReading,
  judgePiece,
  keepReading,
  lastPlaced,
  placedByEye,
  readKept,
  toldWet,
  type PieceReading,
} from './index';

const share = () => fc.option(fc.double({ min: 0, max: 1, noNaN: true }), { nil: null });

function readingOf(columns: number, rows: number, value: (at: number) => number | null, wet: boolean): PieceReading {
  const map = Array.from({ length: columns * rows }, (_, at) => value(at));
  return {
    corners: [0, 1, 2, 3].map((k) => ({ x: k * 0.3, y: 0.1 + k * 0.2 })),
    register: { rmsMm: 0.2, sure: 0.8 },
    cell: { widthMm: 4, heightMm: 4.1, columns, rows },
    haze: map,
    kept: map.map((one) => (one === null ? null : 1 - one)),
    seen: map.map((one) => (one === null ? null : 1)),
    clearsWet: wet ? map : null,
    colours: map.map((one) => Math.round((one ?? 0) * 0xffffff)),
    isWhitened: false,
  };
}
const kept = (reading: PieceReading) =>
  keepReading(reading, { at: 5, pass: 2, photo: { width: 1600, height: 1200 }, photos: { dry: 'photo-1', wet: null } });

it('tells nothing of the piece until its place is sure, or was looked at', () => {
  const sure = kept(readingOf(2, 2, () => 0.5, false));
  const doubted = { ...sure, at: 6, sure: 0 };
  expect([sure, doubted].map(isPlaced)).toEqual([true, false]);
  expect(lastPlaced([sure, doubted])).toBe(sure);
  expect(lastPlaced([doubted])).toBeNull();
  expect(lastPlaced([sure, placedByEye(doubted)])).toEqual({ ...doubted, sure: 1 });
});

it('comes back as it was, within a hundredth, and may stand in a piece', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 12 }),
      fc.integer({ min: 1, max: 12 }),
      fc.array(share(), { minLength: 144, maxLength: 144 }),
      fc.boolean(),
      (columns, rows, values, wet) => {
        const reading = readingOf(columns, rows, (at) => values[at] ?? null, wet);
        const record = kept(reading);
        const back = readKept(record);
        for (const map of ['haze', 'kept', 'seen'] as const)
          back[map].forEach((value, at) => {
            const was = reading[map][at];
            expect(value === null).toBe(was === null);
            expect(Math.abs((value ?? 0) - (was ?? 0))).toBeLessThan(0.0101);
          });
        expect(back.clearsWet === null).toBe(!wet);
        expect(back.colours).toHaveLength(columns * rows);
        const piece = readyPiece();
        expect(checkPiece({ ...piece, rub: { ...piece.rub, readings: [record] } })).toMatchObject({ ok: true });
      },
    ),
    { numRuns: 60 },
  );
});

it('a very large print is kept coarser, over the same face', () => {
  const record = kept(readingOf(150, 120, (at) => (at % 150 < 75 ? 0.2 : 0.6), true));
  expect(record.cell.columns * record.cell.rows).toBeLessThanOrEqual(MOST_KEPT_CELLS);
  expect(record.cell.columns * record.cell.widthMm).toBeCloseTo(150 * 4, 0);
  expect(readKept(record).haze[0]).toBeCloseTo(0.2, 1);
  expect(readKept(record).haze.at(-1)).toBeCloseTo(0.6, 1);
  expect(JSON.stringify(record).length).toBeLessThan(40_000);
});

it('the wet test can be told by hand, area by area: what was gone goes under the sealer, what stayed is rubbed', () => {
  const record = kept(readingOf(20, 20, (at) => (at % 20 < 4 || at % 20 > 15 ? 0.2 : 0.02), false));
  const before = judgePiece(readKept(record));
  expect(before).toMatchObject({ decision: 'areas' });
  const [first, second] = before.areas;
  const gone = toldWet(record, first.cells, true);
  expect(judgePiece(readKept(gone)).areas).toHaveLength(before.areas.length - 1);
  expect(judgePiece(readKept(toldWet(gone, second.cells, true)))).toMatchObject({ decision: 'seal' });
  expect(judgePiece(readKept(toldWet(gone, first.cells, false)))).toMatchObject({ decision: 'areas' });
  expect(isWholeReading(gone)).toBe(true);
});

it('knows a print of another size from its own', () => {
  const record = kept(readingOf(50, 40, () => 0.1, false));
  expect(isReadingOf(record, { widthMm: 201, heightMm: 163 })).toBe(true);
  expect(isReadingOf(record, { widthMm: 240, heightMm: 163 })).toBe(false);
  expect(isReadingOf(record, { widthMm: 164, heightMm: 200 })).toBe(false);
});

it('maps that are not as long as their cells are many are refused', () => {
  const record = kept(readingOf(6, 5, () => 0.3, false));
  expect(isWholeReading(record)).toBe(true);
  const piece = readyPiece();
  for (const broken of [
    { ...record, haze: record.haze.slice(1) },
    { ...record, colours: '' },
    { ...record, cell: { ...record.cell, columns: 7 } },
    { ...record, kept: `${record.kept.slice(1)}\\` },
  ])
    expect(checkPiece({ ...piece, rub: { ...piece.rub, readings: [broken] } })).toMatchObject({
      ok: false,
      error: { code: 'record-invalid' },
    });
});
