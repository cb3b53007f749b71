import fc from '@/testing/properties';
import { surfaceById } from '@/core/craft';
import { ovalRing, rectRing, resolveBlank, type Blank, type BlankShape } from '@/core/shape';
import { layingGuide } from './index';

const blankOf = (shape: BlankShape, widthMm = 300, heightMm = 200): Blank => {
  const made = resolveBlank(shape, { widthMm, heightMm });
  if (!made.ok) throw new Error(made.error.message);
  return made.value;
};
const wood = surfaceById('soft-wood');
const BOARD = blankOf({ kind: 'rectangle' });

describe('the laying guide', () => {
  it('says how far the print lies from each edge, and leaves out an edge it reaches', () => {
    const guide = layingGuide(BOARD, [rectRing({ xMm: 40, yMm: 30, widthMm: 200, heightMm: 170 })], wood);
    expect(guide?.offsets.map(({ edge, mm }) => [edge, Math.round(mm)])).toEqual([
      ['left', 40],
      ['top', 30],
      ['right', 60],
    ]);
    expect(guide?.support).toBeNull();
    expect(
      layingGuide(BOARD, [rectRing({ xMm: 40, yMm: 30, widthMm: 200, heightMm: 170 })], surfaceById('canvas'))?.support,
    ).toMatchObject({ widthMm: 240 });
  });

  it('scrapes from the middle outwards, opposite sides in turn, along the longer way first', () => {
    const [block] =
      layingGuide(BOARD, [rectRing({ xMm: 20, yMm: 20, widthMm: 240, heightMm: 160 })], wood)?.blocks ?? [];
    expect(block.scrapes.map(({ order }) => order)).toEqual([1, 2, 3, 4, 5, 6, 7, 8]);
    const [cx, cy] = [140, 100];
    for (const { x1, y1, x2, y2 } of block.scrapes)
      expect(Math.hypot(x2 - cx, y2 - cy)).toBeGreaterThan(Math.hypot(x1 - cx, y1 - cy));
    for (let pair = 0; pair < 8; pair += 2) {
      const [a, b] = [block.scrapes[pair], block.scrapes[pair + 1]];
      expect(a.x2 - cx).toBeCloseTo(cx - b.x2, 6);
      expect(a.y2 - cy).toBeCloseTo(cy - b.y2, 6);
    }
    expect(Math.abs(block.scrapes[0].x2 - cx)).toBeGreaterThan(Math.abs(block.scrapes[0].y2 - cy));
  });

  it('gives every part its own, two strokes only where it is narrow; crumbs and holes get none', () => {
    const slats = Array.from({ length: 5 }, (_, slat) =>
      rectRing({ xMm: 0, yMm: slat * 45, widthMm: 300, heightMm: 40 }),
    );
    const guide = layingGuide(BOARD, [...slats, rectRing({ xMm: 10, yMm: 10, widthMm: 5, heightMm: 5 })], wood);
    expect(guide?.blocks).toHaveLength(5);
    expect(guide?.blocks.every(({ scrapes }) => scrapes.length === 2)).toBe(true);
    const holed = layingGuide(
      BOARD,
      [
        rectRing({ xMm: 0, yMm: 0, widthMm: 300, heightMm: 200 }),
        rectRing({ xMm: 100, yMm: 80, widthMm: 40, heightMm: 40 }),
      ],
      wood,
    );
    expect(holed?.blocks).toHaveLength(1);
    expect(layingGuide(BOARD, [], wood)).toBeNull();
  });

  it('ends every stroke and hold on the print, whatever its shape', () => {
    fc.assert(
      fc.property(fc.integer({ min: 30, max: 140 }), fc.integer({ min: 30, max: 95 }), (rx, ry) => {
        const [block] = layingGuide(BOARD, [ovalRing({ xMm: 150, yMm: 100 }, rx, ry)], wood)?.blocks ?? [];
        const reach = (xMm: number, yMm: number) => ((xMm - 150) / rx) ** 2 + ((yMm - 100) / ry) ** 2;
        for (const { x2, y2 } of block.scrapes) expect(reach(x2, y2)).toBeLessThanOrEqual(1.001);
        for (const { xMm, yMm } of block.holds) expect(reach(xMm, yMm)).toBeLessThanOrEqual(1.001);
      }),
    );
  });
});
