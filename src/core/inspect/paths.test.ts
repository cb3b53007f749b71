import fc from '@/testing/properties';
import { seededChance } from '@/core/shared';
import { LANES, cheapestAlongPaths, type Levels } from './paths';

const LEVELS: Levels = { smooth: [0, 0.2, 0.5, 0.9], edged: 2, slope: 10, edge: 2, most: 15 };
const LABELS = LEVELS.smooth.length * LEVELS.edged;
const [COLUMNS, ROWS] = [9, 7];

/** Costs that grow with how far a label lies from the one that is wanted in each cell. */
const costsOf = (wanted: (x: number, y: number) => number, weight: (x: number, y: number) => number): Float32Array =>
  Float32Array.from({ length: COLUMNS * ROWS * LABELS }, (_, i) => {
    const [label, at] = [i % LABELS, Math.floor(i / LABELS)];
    const [x, y] = [at % COLUMNS, Math.floor(at / COLUMNS)];
    return label === wanted(x, y) ? 0 : weight(x, y);
  });
const solvedAt = (costs: Float32Array, isPlain: boolean, { columns, rows, levels }: Map): number[] => {
  const width = levels.smooth.length;
  const labels = width * levels.edged;
  const costsOf = (at: number, into: Float32Array, from: number) => {
    for (let label = 0; label < labels; label++)
      into[from + (label % width) * LANES + Math.floor(label / width)] = costs[at * labels + label];
  };
  return [...cheapestAlongPaths(costsOf, columns, rows, levels, isPlain)];
};
interface Map {
  columns: number;
  rows: number;
  levels: Levels;
}
const solved = (costs: Float32Array, levels = LEVELS) =>
  solvedAt(costs, false, { columns: COLUMNS, rows: ROWS, levels });

it('the kernel and its plain twin take the same labels', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 14 }),
      fc.integer({ min: 1, max: 11 }),
      fc.integer({ min: 1, max: 7 }),
      fc.integer({ min: 1, max: LANES }),
      fc.integer({ min: 1, max: 1 << 30 }),
      (columns, rows, width, edged, seed) => {
        const roll = seededChance(seed);
        const smooth = Array.from({ length: width }, (_, at) => at / 8);
        const levels = { smooth, edged, slope: 16, edge: 1 + Math.floor(9 * roll()), most: 25 };
        // Eighths, which both add without rounding.
        const costs = Float32Array.from(
          { length: columns * rows * width * edged },
          () => Math.floor(8 * 40 * roll() ** 2) / 8,
        );
        const map = { columns, rows, levels };
        expect(solvedAt(costs, false, map)).toEqual(solvedAt(costs, true, map));
      },
    ),
    { numRuns: 60 },
  );
});

it('where changes cost nothing each cell takes its own cheapest', () => {
  fc.assert(
    fc.property(fc.array(fc.nat(LABELS - 1), { minLength: COLUMNS * ROWS, maxLength: COLUMNS * ROWS }), (wanted) => {
      const costs = costsOf(
        (x, y) => wanted[y * COLUMNS + x],
        () => 1,
      );
      expect(solved(costs, { ...LEVELS, slope: 0, edge: 0 })).toEqual(wanted);
    }),
    { numRuns: 30 },
  );
});

it('one cell that says otherwise, not firmly, is as those round about; firmly, it stands', () => {
  const odd = (x: number, y: number) => (x === 4 && y === 3 ? 6 : 1);
  const said = (firmly: number) => solved(costsOf(odd, (x, y) => (x === 4 && y === 3 ? firmly : 3)))[3 * COLUMNS + 4];
  expect(said(4)).toBe(1);
  expect(said(200)).toBe(6);
});

it('cells that tell nothing follow those beside them', () => {
  const costs = costsOf(
    () => 5,
    (x) => (x === 4 ? 0 : 3),
  );
  expect(new Set(solved(costs))).toEqual(new Set([5]));
});

it('a patch with a rim is a change of the level with edges, a slow change one of the smooth level', () => {
  // Both would explain the patch: the far smooth level (3) or the other edged level (4).
  const inPatch = (x: number, y: number) => x > 2 && x < 7 && y > 1 && y < 6;
  const costs = Float32Array.from({ length: COLUMNS * ROWS * LABELS }, (_, i) => {
    const [label, at] = [i % LABELS, Math.floor(i / LABELS)];
    const patch = inPatch(at % COLUMNS, Math.floor(at / COLUMNS));
    return patch ? (label === 3 || label === 4 ? 0 : 6) : label === 0 ? 0 : 6;
  });
  const found = solved(costs);
  found.forEach((label, at) => expect(label).toBe(inPatch(at % COLUMNS, Math.floor(at / COLUMNS)) ? 4 : 0));
  const slow = costsOf(
    (x) => Math.min(3, x >> 1),
    () => 6,
  );
  expect(solved(slow)).toEqual(Array.from({ length: COLUMNS * ROWS }, (_, at) => Math.min(3, (at % COLUMNS) >> 1)));
});

it('is the same from every side', () => {
  fc.assert(
    fc.property(
      // Whole numbers, which add without rounding in whatever order; of labels that cost the same the first is taken.
      fc.array(fc.integer({ min: 0, max: 50 }), {
        minLength: COLUMNS * ROWS * LABELS,
        maxLength: COLUMNS * ROWS * LABELS,
      }),
      (costs) => {
        const flipped = Float32Array.from({ length: costs.length }, (_, i) => {
          const [label, at] = [i % LABELS, Math.floor(i / LABELS)];
          return costs[(COLUMNS * ROWS - 1 - at) * LABELS + label];
        });
        expect(solved(flipped)).toEqual(solved(Float32Array.from(costs)).reverse());
      },
    ),
    { numRuns: 30 },
  );
});
