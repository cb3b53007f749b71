import fc from '@/testing/properties';
import { demoPieces } from '@/demo/scenario';
import { planPiece } from '@/core/plan';
import { NOW } from '@/testing/builders';
import { nest, SPACING_MM } from './nest';
import { areOneSize, commonSize, layoutPack, marginsFor, paperOf, type SheetPack } from './index';

const OWN = { widthMm: 210, heightMm: 297 };
const choice = { paper: paperOf('a4', OWN), orientation: 'auto' as const, overlapMm: 10, marginMm: 5 };
const packed = (
  sizes: readonly { widthMm: number; heightMm: number }[],
  copies = 1,
  paper = paperOf('a4', OWN),
): SheetPack => {
  const made = layoutPack(sizes, { ...choice, paper }, copies);
  if (!made.ok) throw new Error(made.error.code);
  return made.value;
};

const room = { widthMm: 196, heightMm: 271 };
const size = fc.record({
  widthMm: fc.double({ min: 12, max: 190, noNaN: true }),
  heightMm: fc.double({ min: 12, max: 190, noNaN: true }),
});

describe('nesting', () => {
  it('never overlaps, never leaves the page, keeps its distance, and loses none', () => {
    fc.assert(
      fc.property(fc.array(size, { minLength: 1, maxLength: 18 }), (sizes) => {
        const pages = nest(
          sizes.map((one) => ({ size: one })),
          room,
        );
        expect(new Set(pages.flat().map(({ item }) => item.size))).toEqual(new Set(sizes));
        expect(pages.flat()).toHaveLength(sizes.length);
        for (const page of pages) {
          const places = page.map(({ item, xMm, yMm, turned }) => ({
            x: xMm,
            y: yMm,
            w: turned ? item.size.heightMm : item.size.widthMm,
            h: turned ? item.size.widthMm : item.size.heightMm,
          }));
          for (const [i, one] of places.entries()) {
            expect(one.x).toBeGreaterThanOrEqual(-1e-9);
            expect(one.y).toBeGreaterThanOrEqual(-1e-9);
            expect(one.x + one.w).toBeLessThanOrEqual(room.widthMm + 1e-6);
            expect(one.y + one.h).toBeLessThanOrEqual(room.heightMm + 1e-6);
            for (const other of places.slice(i + 1)) {
              const apart = Math.max(
                other.x - one.x - one.w,
                one.x - other.x - other.w,
                other.y - one.y - one.h,
                one.y - other.y - other.h,
              );
              expect(apart).toBeGreaterThanOrEqual(SPACING_MM - 1e-6);
            }
          }
        }
      }),
      { numRuns: 120 },
    );
  });

  it('fills pages with identical prints as a grid would', () => {
    expect(
      nest(
        Array.from({ length: 12 }, () => ({ size: { widthMm: 60, heightMm: 62 } })),
        room,
      ),
    ).toHaveLength(1);
    // Nine to a page and no more.
    expect(
      nest(
        Array.from({ length: 18 }, () => ({ size: { widthMm: 60, heightMm: 85 } })),
        room,
      ),
    ).toHaveLength(2);
  });

  it('keeps within a tenth of the area bound on the example’s sets', () => {
    const prints = demoPieces(NOW).flatMap(
      (piece) =>
        planPiece(piece, { widthPx: 3000, heightPx: 2000, paleShare: 0.2, darkShare: 0.2 }, NOW).surface.print?.formed
          .blocks ?? [],
    );
    expect(prints.length).toBeGreaterThanOrEqual(6);
    const small = prints.filter(({ widthMm, heightMm }) => Math.max(widthMm, heightMm) < 190);
    const sets = [
      ...[6, 9, 12].map((count) => Array.from({ length: count }, () => ({ widthMm: 60, heightMm: 45 }))),
      Array.from({ length: 8 }, () => ({ widthMm: 90, heightMm: 60 })),
      [...small, ...small, ...small],
      [...Array.from({ length: 6 }, () => ({ widthMm: 70, heightMm: 50 })), ...small],
    ];
    for (const set of sets) {
      const { pages } = packed(set);
      const area = set.reduce((sum, one) => sum + (one.widthMm + SPACING_MM) * (one.heightMm + SPACING_MM), 0);
      const bound = area / ((room.widthMm + SPACING_MM) * (room.heightMm + SPACING_MM));
      // Whole pages: no packing takes fewer than the bound rounded up.
      expect(pages.length).toBeLessThanOrEqual(Math.ceil(bound * 1.1));
    }
  });
});

describe('several prints in one pack', () => {
  it('counts copies, says what is saved, and keeps marks off other prints', () => {
    const pack = packed(
      [
        { widthMm: 80, heightMm: 60 },
        { widthMm: 50, heightMm: 110 },
      ],
      3,
    );
    expect(pack.pages).toHaveLength(1);
    expect(pack.pagesApart).toBe(6);
    const { places } = pack.pages[0];
    expect(places.map(({ print, copy }) => `${print}.${copy}`).sort()).toEqual([
      '0.0',
      '0.1',
      '0.2',
      '1.0',
      '1.1',
      '1.2',
    ]);
    for (const { trimCorners } of places)
      for (const { x1, y1, x2, y2 } of trimCorners)
        for (const { place } of places) {
          const [x, y] = [(x1 + x2) / 2, (y1 + y2) / 2];
          expect(
            x > place.xMm && x < place.xMm + place.widthMm && y > place.yMm && y < place.yMm + place.heightMm,
          ).toBe(false);
        }
  });

  it('lays each print the way round that suits it', () => {
    const pack = packed([
      { widthMm: 60, heightMm: 60 },
      { widthMm: 424, heightMm: 240 },
    ]);
    expect(pack.pages.map(({ orientation, places: [{ print }] }) => [print, orientation])).toEqual([
      [1, 'portrait'],
      [1, 'portrait'],
      [1, 'portrait'],
      [0, expect.any(String)],
    ]);
    expect(pack.pagesApart).toBe(4);
  });

  it('tiles what is larger than a page, and nests the rest', () => {
    const pack = packed([
      { widthMm: 380, heightMm: 200 },
      { widthMm: 60, heightMm: 60 },
      { widthMm: 60, heightMm: 40 },
    ]);
    expect(pack.columns * pack.rows).toBe(2);
    expect(pack.pages).toHaveLength(3);
    expect(pack.pages[2].places).toHaveLength(2);
    const copies = packed([{ widthMm: 380, heightMm: 200 }], 2);
    expect(copies.pages.map(({ places: [{ copy, tile }] }) => [copy, tile.index])).toEqual([
      [0, 0],
      [0, 1],
      [1, 0],
      [1, 1],
    ]);
  });
});

describe('sets of one size', () => {
  it('take the largest that all windows hold, and centre it in each', () => {
    const windows = [
      { widthMm: 120, heightMm: 95 },
      { widthMm: 118, heightMm: 100 },
    ];
    expect(areOneSize(windows)).toBe(false);
    const common = commonSize(windows);
    expect(common).toEqual({ widthMm: 118, heightMm: 95 });
    const margins = marginsFor(
      { widthMm: 140, heightMm: 110 },
      { topMm: 10, bottomMm: 5, leftMm: 10, rightMm: 10 },
      common,
    );
    expect(margins).toEqual({ topMm: 10, bottomMm: 5, leftMm: 11, rightMm: 11 });
  });
});
