import fc from '@/testing/properties';
import { boxCorners, homographyOf, largestRegion, project, ringArea, solve, widestFour, type Point } from './index';

const figure = fc.double({ min: -9, max: 9, noNaN: true });
const near = (value: number, wanted: number, within = 1e-6) =>
  expect(Math.abs(value - wanted)).toBeLessThan(within * Math.max(1, Math.abs(wanted)));
/** Four corners of a sheet as a camera sees it: none lies inside the others. */
const seen = fc
  .record({
    turn: fc.double({ min: -Math.PI, max: Math.PI, noNaN: true }),
    size: fc.double({ min: 50, max: 3000, noNaN: true }),
    ratio: fc.double({ min: 0.3, max: 3, noNaN: true }),
    tilt: fc.tuple(fc.double({ min: -0.3, max: 0.3, noNaN: true }), fc.double({ min: -0.3, max: 0.3, noNaN: true })),
    at: fc.tuple(fc.double({ min: -500, max: 500, noNaN: true }), fc.double({ min: -500, max: 500, noNaN: true })),
  })
  .map(({ turn, size, ratio, tilt: [across, along], at: [x, y] }) =>
    boxCorners(1, 1).map((corner): Point => {
      const [mx, my] = [(corner.x - 0.5) * size, (corner.y - 0.5) * size * ratio];
      const [rx, ry] = [mx * Math.cos(turn) - my * Math.sin(turn), mx * Math.sin(turn) + my * Math.cos(turn)];
      const depth = 1 + (across * rx + along * ry) / (size * Math.max(1, ratio));
      return { x: x + rx / depth, y: y + ry / depth };
    }),
  );

describe('a system of equations', () => {
  it('is solved: what it was made from comes back', () => {
    fc.assert(
      fc.property(
        fc.array(fc.array(figure, { minLength: 3, maxLength: 3 }), { minLength: 3, maxLength: 3 }),
        fc.array(figure, { minLength: 3, maxLength: 3 }),
        (matrix, wanted) => {
          // Far from having no one answer.
          const steady = matrix.map((row, i) =>
            row.map((value, j) => (i === j ? value + 40 * (value < 0 ? -1 : 1) : value)),
          );
          const right = steady.map((row) => row.reduce((sum, value, j) => sum + value * wanted[j], 0));
          solve(steady, right)!.forEach((value, i) => near(value, wanted[i]));
        },
      ),
    );
  });

  it('without one answer has none, and what was given is as it was', () => {
    const matrix = [
      [1, 2],
      [2, 4],
    ];
    expect(solve(matrix, [1, 5])).toBeNull();
    expect(solve([[0]], [0])).toBeNull();
    expect(matrix).toEqual([
      [1, 2],
      [2, 4],
    ]);
  });
});

describe('the perspective between two planes', () => {
  it('takes four corners to four others, and its way back takes them home', () => {
    fc.assert(
      fc.property(seen, seen, (from, to) => {
        const [there, back] = [homographyOf(from, to)!, homographyOf(to, from)!];
        from.forEach((corner, at) => {
          const landed = project(there, corner.x, corner.y);
          near(landed.x, to[at].x, 1e-4);
          near(landed.y, to[at].y, 1e-4);
          const home = project(back, landed.x, landed.y);
          near(home.x, corner.x, 1e-3);
          near(home.y, corner.y, 1e-3);
        });
      }),
      { numRuns: 200 },
    );
  });

  it('keeps a straight line straight', () => {
    fc.assert(
      fc.property(seen, fc.double({ min: 0, max: 1, noNaN: true }), (to, share) => {
        const h = homographyOf(boxCorners(1, 1), to)!;
        const [a, b] = [project(h, 0, share), project(h, 1, 1 - share)];
        const middle = project(h, 0.5, 0.5);
        const off = (b.x - a.x) * (middle.y - a.y) - (b.y - a.y) * (middle.x - a.x);
        expect(Math.abs(off) / Math.hypot(b.x - a.x, b.y - a.y)).toBeLessThan(0.01);
      }),
    );
  });

  it('is none where three of the corners lie on a line', () => {
    const line = [0, 1, 2].map((x) => ({ x, y: x }));
    expect(homographyOf([...line, { x: 5, y: 0 }], boxCorners(10, 10))).toBeNull();
    expect(
      homographyOf(
        Array.from({ length: 4 }, () => ({ x: 3, y: 3 })),
        boxCorners(10, 10),
      ),
    ).toBeNull();
  });
});

describe('what lies together', () => {
  const picture = (rows: readonly string[]) => ({
    data: Float32Array.from(rows.join(''), (sign) => (sign === '#' ? 1 : 0)),
    width: rows[0]?.length ?? 0,
    height: rows.length,
  });

  it('is the largest part that holds together by its sides; corners that touch do not', () => {
    const region = largestRegion(picture(['##..#', '#..##', '.##..', '.##..']), 0.5);
    expect(region.sort((a, b) => a - b)).toEqual([11, 12, 16, 17]);
    expect(largestRegion(picture(['....']), 0.5)).toEqual([]);
    expect(largestRegion({ data: new Float32Array(0), width: 0, height: 0 }, 0.5)).toEqual([]);
  });

  it('does not go round the edge of the picture', () => {
    expect(largestRegion(picture(['..#', '#..']), 0.5)).toHaveLength(1);
    expect(largestRegion(picture(['###', '###']), 0.5)).toHaveLength(6);
  });
});

describe('the four corners of an outline', () => {
  it('of a sheet seen turned and tilted are its own, whatever else lies inside', () => {
    fc.assert(
      fc.property(
        seen,
        fc.array(
          fc.tuple(fc.double({ min: 0.1, max: 0.9, noNaN: true }), fc.double({ min: 0.1, max: 0.9, noNaN: true })),
          { maxLength: 5 },
        ),
        (corners, inner) => {
          const h = homographyOf(boxCorners(1, 1), corners)!;
          const four = widestFour([...inner.map(([x, y]) => project(h, x, y)), ...corners])!;
          expect(Math.abs(ringArea(four))).toBeLessThanOrEqual(Math.abs(ringArea(corners)) * 1.0001);
          for (const point of four) expect(corners).toContainEqual(point);
        },
      ),
      { numRuns: 100 },
    );
  });

  it('need four points', () => {
    expect(widestFour([])).toBeNull();
    expect(widestFour(boxCorners(1, 1).slice(1))).toBeNull();
  });

  it('an area turns its sign with the way round', () => {
    fc.assert(
      fc.property(seen, (corners) => {
        near(ringArea([...corners].reverse()), -ringArea(corners));
      }),
    );
    expect(ringArea(boxCorners(4, 3))).toBe(12);
    expect(ringArea([])).toBe(0);
  });
});
