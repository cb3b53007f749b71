import { resolveBlank, type Standing } from '@/core/shape';
import { stand, standingView } from './index';

const standing = (kind: 'cylinder' | 'vessel', shareOfRound = 0.5): Standing => {
  const shape = kind === 'cylinder' ? { kind, shareOfRound } : { kind, shareOfRound, bottomMm: 60 };
  const blank = resolveBlank(shape, { widthMm: 80, heightMm: 100 });
  if (!blank.ok || !blank.value.standing) throw new Error('does not stand');
  return blank.value.standing;
};
const flatOf = (widthPx: number, heightPx: number, colour: (x: number, y: number) => number) => {
  const rgba = new Uint8ClampedArray(widthPx * heightPx * 4).fill(255);
  for (let y = 0; y < heightPx; y++)
    for (let x = 0; x < widthPx; x++) rgba.fill(colour(x, y), (y * widthPx + x) * 4, (y * widthPx + x) * 4 + 3);
  return { rgba, widthPx, heightPx };
};

describe('a vessel as it stands', () => {
  it.each(['cylinder', 'vessel'] as const)('%s: as wide as it is, nothing outside it, darker to its sides', (kind) => {
    const shape = standing(kind);
    const view = standingView(shape);
    expect(view.widthMm).toBe(80);
    expect(view.heightMm).toBeGreaterThan(kind === 'cylinder' ? 100 : 99);
    const { rgba, widthPx, heightPx } = stand(
      flatOf(300, 260, () => 200),
      shape,
      2,
    );
    expect([widthPx, heightPx]).toEqual([160, Math.round(view.heightMm * 2)]);
    const at = (x: number, y: number) => [...rgba.slice((y * widthPx + x) * 4, (y * widthPx + x) * 4 + 4)];
    expect(at(0, heightPx - 1)[3]).toBe(0);
    expect(at(80, 120)[3]).toBe(255);
    expect(at(30, 120)[0]).toBeLessThan(at(80, 120)[0]);
  });

  it('shows the middle of the side in the middle, and what lies further round drawn together', () => {
    // Stripes of 10 mm on a side of which half the way round is covered: 125.7 mm at 2 px a mm.
    const shape = standing('cylinder');
    const flat = flatOf(251, 200, (x) => (Math.floor(x / 20) % 2 === 0 ? 40 : 220));
    const { rgba, widthPx } = stand(flat, shape, 2);
    const row = 100;
    const light = Array.from({ length: widthPx }, (_, x) => rgba[(row * widthPx + x) * 4]);
    const changes = light.flatMap((value, x) => (x > 0 && Math.abs(value - light[x - 1]) > 50 ? [x] : []));
    const gaps = changes.slice(1).map((x, i) => x - changes[i]);
    const middle = Math.floor(gaps.length / 2);
    expect(Math.abs(gaps[middle] - 20)).toBeLessThanOrEqual(2);
    expect(gaps[0]).toBeLessThan(gaps[middle]);
    expect(gaps.at(-1)).toBeLessThan(gaps[middle]);
  });
});
