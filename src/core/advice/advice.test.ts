import { deltaE2000, labOfHex as lab } from '@/core/colour';
import type { PigmentId } from '@/core/craft';
import { keepReading, type PieceReading } from '@/core/inspect';
import { NOW, readyPiece } from '@/testing/builders';
import { hazeLeft, holesOf, mixesFor, sheenFor, sheenViews, stopPoint, wornShare } from './index';

const [COLUMNS, ROWS] = [30, 20];
const reading = (
  kept: (x: number, y: number) => number,
  colour: (x: number) => number = () => 0x203040,
): PieceReading => ({
  corners: [],
  register: { rmsMm: 0.2, sure: 1 },
  cell: { widthMm: 4, heightMm: 4, columns: COLUMNS, rows: ROWS },
  haze: new Array<number>(COLUMNS * ROWS).fill(0),
  kept: Array.from({ length: COLUMNS * ROWS }, (_, at) => kept(at % COLUMNS, Math.floor(at / COLUMNS))),
  seen: new Array<number>(COLUMNS * ROWS).fill(1),
  clearsWet: null,
  colours: Array.from({ length: COLUMNS * ROWS }, (_, at) => colour(at % COLUMNS)),
  isWhitened: false,
});
const WHITE = [1, 1, 1];
const inBox = (x: number, y: number, left: number, top: number, side: number) =>
  x >= left && x < left + side && y >= top && y < top + side;

describe('holes', () => {
  const two = reading(
    (x, y) => (inBox(x, y, 4, 4, 3) || inBox(x, y, 20, 10, 2) ? 0.1 : 1),
    (x) => (x < 15 ? 0x203040 : 0xc8a070),
  );

  it('come with place, size and the picture’s colour there, over what lies under it', () => {
    const holes = holesOf(two, WHITE);
    expect(holes.map(({ areaCm2, box }) => [areaCm2, box.xMm, box.yMm])).toEqual([
      [1.44, 16, 16],
      [0.64, 80, 40],
    ]);
    expect(holes.map(({ colour }) => colour)).toEqual(['#203040', '#c8a070']);
    expect(lab(holesOf(two, [0.6, 0.44, 0.27])[1].colour)[0]).toBeLessThan(lab('#c8a070')[0]);
  });

  it('of one colour share a mix; the brush follows the smallest', () => {
    const mixes = mixesFor(holesOf(two, WHITE), []);
    expect(mixes).toHaveLength(2);
    for (const { mix, colour } of mixes) expect(deltaE2000(lab(mix.colour), lab(colour))).toBeLessThan(6);
    const same = mixesFor(
      holesOf(
        reading((x, y) => (inBox(x, y, 4, 4, 3) || inBox(x, y, 20, 10, 2) ? 0 : 1)),
        WHITE,
      ),
      [],
    );
    expect(same).toHaveLength(1);
    expect(same[0]?.holes.map(({ number }) => number)).toEqual([1, 2]);
    expect(same[0]?.brushMm).toBeCloseTo(8 / 3, 5);
  });

  it('are mixed from the paints at hand where there are enough of them', () => {
    const own: PigmentId[] = ['titanium-white', 'carbon-black', 'yellow-ochre', 'burnt-umber'];
    const used = (atHand: PigmentId[]) =>
      mixesFor(holesOf(two, WHITE), atHand).flatMap(({ mix }) => mix.parts.map(({ paint }) => paint.id));
    for (const id of used(own)) expect(own).toContain(id);
    expect(used(['carbon-black']).some((id) => id !== 'carbon-black')).toBe(true);
  });
});

describe('where mending stops', () => {
  const again = { handsMinutes: 90, waitHours: 30 };
  it.each([
    ['a few specks', reading((x, y) => (inBox(x, y, 4, 4, 2) ? 0 : 1)), 0.64, false, null],
    ['a quarter of it', reading((x) => (x < 8 ? 0.2 : 1)), 10, false, 'too-much'],
    ['lettering', reading((x, y) => (inBox(x, y, 4, 4, 5) ? 0 : 1)), 4, true, 'lettering'],
    ['one large hole', reading((x, y) => (inBox(x, y, 4, 4, 8) ? 0 : 1)), 21, false, 'too-large'],
  ] as const)('%s', (_, one, largest, lettering, reason) => {
    const stop = stopPoint(one, largest, lettering, again);
    expect(stop?.reason ?? null).toBe(reason);
    if (!stop) return;
    expect(stop.ways.map(({ way }) => way)).toEqual([...(lettering ? ['trace'] : []), 'cover', 'print-again']);
    expect(stop.ways.at(-1)?.handsMinutes).toBeGreaterThan(again.handsMinutes);
  });
});

it('tells how much is worn, and how much of it at the edges', () => {
  const worn = wornShare(reading((x) => (x < 2 ? 0 : 1)));
  expect(worn.share).toBeCloseTo(2 / 30, 6);
  expect(worn.atEdges).toBe(1);
  expect(wornShare(reading(() => 1))).toEqual({ share: 0, atEdges: 0 });
});

describe('what a sheen does to it', () => {
  const read = (haze: number, clears: number | null) => {
    const piece = readyPiece();
    const map = new Array<number>(12).fill(haze);
    const reading = keepReading(
      {
        corners: [],
        register: { rmsMm: 0.1, sure: 1 },
        cell: { widthMm: 4, heightMm: 4, columns: 4, rows: 3 },
        haze: map,
        kept: map.map(() => 1),
        seen: map.map(() => 1),
        clearsWet: clears === null ? null : map.map(() => clears),
        colours: map.map(() => 0),
        isWhitened: false,
      },
      { at: NOW, pass: 3, photo: { width: 10, height: 10 }, photos: { dry: null, wet: null } },
    );
    return hazeLeft({ rub: { ...piece.rub, readings: [reading] } });
  };

  it('gloss leaves less haze in sight than satin, satin less than matte; what stays wet stays under all', () => {
    const shown = (clears: number) => sheenViews(read(0.2, clears), true).map(({ hazeInSight }) => hazeInSight);
    const [matte, satin, gloss] = shown(0.9);
    expect(matte).toBeGreaterThan(satin);
    expect(satin).toBeGreaterThan(gloss);
    expect(gloss).toBeLessThan(0.05);
    for (const haze of shown(0)) expect(haze).toBeCloseTo(0.2, 1);
    expect(sheenViews(null, true).every(({ hazeInSight }) => hazeInSight === 0)).toBe(true);
  });

  it('asks for gloss where haze is left, for matte where a lip would show, and for nothing unseen', () => {
    expect(sheenFor(read(0.2, 0.9), true)).toEqual({ sheen: 'gloss', reason: 'clears-haze' });
    expect(sheenFor(read(0.018, null), true)).toEqual({ sheen: 'matte', reason: 'hides-lip' });
    expect(sheenFor(read(0.018, null), false)).toEqual({ sheen: 'satin', reason: 'either' });
    expect(sheenFor(hazeLeft(readyPiece()), true)).toBeNull();
    expect(sheenViews(read(0.1, null), true).map(({ showsLip }) => showsLip)).toEqual([false, true, true]);
  });
});
