import fc from '@/testing/properties';
import { frameStrips, wearSpecks } from './index';

it('frame strips: mitred outside lengths and stock with the saw’s share', () => {
  const { across, down, stockMm } = frameStrips({ widthMm: 300, heightMm: 200 }, 20);
  expect(across).toEqual({ innerMm: 302, outerMm: 342 });
  expect(down).toEqual({ innerMm: 202, outerMm: 242 });
  expect(stockMm).toBeCloseTo((2 * (342 + 242) + 12) * 1.05, 6);
});

it('wear on purpose covers the share that is wanted, where it is wanted, the same every time', () => {
  const box = { xMm: 10, yMm: 20, widthMm: 300, heightMm: 200 };
  fc.assert(
    fc.property(
      fc.double({ min: 0.005, max: 0.2, noNaN: true }),
      fc.constantFrom('edges' as const, 'corners' as const, 'all-over' as const),
      fc.integer({ min: 1, max: 1000 }),
      (share, where, seed) => {
        const specks = wearSpecks(box, { share, where }, seed);
        const area = specks.reduce((sum, { radiusMm }) => sum + Math.PI * radiusMm * radiusMm, 0);
        expect(area / (300 * 200)).toBeGreaterThan(share * 0.9);
        expect(area / (300 * 200)).toBeLessThan(share * 1.3 + 0.002);
        expect(wearSpecks(box, { share, where }, seed)).toEqual(specks);
        const fromEdge = ({ xMm, yMm }: (typeof specks)[number]) => Math.min(xMm - 10, yMm - 20, 310 - xMm, 220 - yMm);
        if (where === 'edges') expect(Math.max(...specks.map(fromEdge))).toBeLessThan(0.16 * 200);
        for (const speck of specks) expect(fromEdge(speck)).toBeGreaterThanOrEqual(-0.01);
      },
    ),
    { numRuns: 60 },
  );
  expect(wearSpecks(box, { share: 0, where: 'edges' }, 1)).toEqual([]);
});
