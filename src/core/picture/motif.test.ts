import { motifOutline, type PictureRows } from './index';

const drawn = (widthPx: number, heightPx: number, isInk: (x: number, y: number) => boolean): PictureRows => {
  const data = new Uint8ClampedArray(widthPx * heightPx * 4).fill(255);
  for (let y = 0; y < heightPx; y++)
    for (let x = 0; x < widthPx; x++)
      if (isInk(x + 0.5, y + 0.5)) data.fill(40, (y * widthPx + x) * 4, (y * widthPx + x) * 4 + 3);
  return {
    widthPx,
    heightPx,
    readRows: (from, count) => data.subarray(from * widthPx * 4, (from + count) * widthPx * 4),
  };
};
const area = (ring: { x: number; y: number }[], w: number, h: number) =>
  Math.abs(
    ring.reduce((sum, { x, y }, i) => {
      const next = ring[(i + 1) % ring.length];
      return sum + x * next.y - next.x * y;
    }, 0) / 2,
  ) *
  w *
  h;

describe('a motif on white', () => {
  it('is outlined, with the white it encloses, and its area is its own', () => {
    const ring = motifOutline(
      drawn(300, 200, (x, y) => {
        const r = Math.hypot(x - 150, y - 100);
        return r < 80 && r > 40;
      }),
    );
    if (!ring.ok) throw new Error(ring.error.code);
    expect(ring.value).toHaveLength(1);
    expect(Math.abs(area(ring.value[0], 300, 200) / (Math.PI * 80 ** 2) - 1)).toBeLessThan(0.02);
    expect(ring.value[0].length).toBeLessThan(150);
  });
  it('may be of several parts; dust is left out', () => {
    const two = motifOutline(
      drawn(
        400,
        200,
        (x, y) =>
          Math.hypot(x - 90, y - 100) < 50 || Math.hypot(x - 300, y - 100) < 60 || (x > 200 && x < 202 && y < 2),
      ),
    );
    expect(two.ok && two.value.length).toBe(2);
  });
  it('is found on a picture that is larger than the grid', () => {
    const large = motifOutline(drawn(2600, 1000, (x, y) => x > 500 && x < 2000 && y > 200 && y < 800));
    if (!large.ok) throw new Error(large.error.code);
    const xs = large.value[0].map(({ x }) => x);
    expect(Math.min(...xs)).toBeCloseTo(500 / 2600, 2);
    expect(Math.max(...xs)).toBeCloseTo(2000 / 2600, 2);
  });
  it.each<[string, boolean]>([
    ['motif-none', false],
    ['motif-everything', true],
  ])('says %s', (code, ink) =>
    expect(motifOutline(drawn(60, 40, () => ink))).toMatchObject({ ok: false, error: { code } }),
  );
});
