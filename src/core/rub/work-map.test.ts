import fc from '@/testing/properties';
import { FULL_CROP, NOT_TURNED, fieldAt, readSketch, sketchOf } from '@/core/picture';
import { planPiece } from '@/core/plan';
import { NOW, PICTURE, readyPiece } from '@/testing/builders';
import { toolsFor, workMap, type WorkInput } from './index';

/** A picture of so many pixels, its level by the place. */
function picture(level: (u: number, v: number) => number, width = 96, height = 64) {
  const pixels = new Uint8ClampedArray(width * height * 4);
  for (let at = 0; at < width * height; at++) {
    const value = level(((at % width) + 0.5) / width, (Math.floor(at / width) + 0.5) / height);
    pixels.set([value, value, value, 255], at * 4);
  }
  return { widthPx: width * 20, heightPx: height * 20, sketch: sketchOf(pixels, width, height) };
}
const BOX = { xMm: 10, yMm: 10, widthMm: 300, heightMm: 200 };
const input = (patch: Partial<WorkInput> = {}): WorkInput => ({
  picture: picture((u, v) => (u < 0.5 ? 20 : v < 0.5 ? 250 : 128)),
  turning: NOT_TURNED,
  crop: FULL_CROP,
  place: BOX,
  box: BOX,
  blank: { folds: [], openings: [], standing: null },
  surface: { class: 'wood', textureMm: 0.4, dipsToFill: false, porous: true },
  bare: true,
  knots: 2,
  minutes: { first: 12, later: 6 },
  ...patch,
});

describe('a sketch of a picture', () => {
  it('keeps lightness within two L* and how even a field is', () => {
    const sketch = readSketch(picture((u) => (u < 0.5 ? 0 : 255)).sketch);
    expect(sketch?.lightness[0]).toBeLessThan(2);
    expect(sketch?.lightness[31]).toBeGreaterThan(98);
    expect(sketch?.spread[0]).toBeLessThan(0.6);
    expect(readSketch(undefined)).toBeNull();
    expect(readSketch('short')).toBeNull();
  });

  it.each([
    [0, 0.1, 0.1, 0, 0],
    [1, 0.9, 0.1, 0, 0],
    [2, 0.9, 0.9, 0, 0],
    [3, 0.1, 0.9, 0, 0],
  ])('is found by the turned picture: %p quarter turns', (turns, x, y, column, row) => {
    const field = fieldAt({ widthPx: 3000, heightPx: 2000 }, { turns, straightenDeg: 0 })(x, y) ?? -1;
    expect([Math.floor((field % 32) / 16), Math.floor(field / 32 / 16)]).toEqual([column, row]);
  });
});

describe('the map of the work', () => {
  it('says where haze stays and where to feel, and begins in this picture’s lightest corner', () => {
    const map = workMap(input());
    const kindAt = (u: number, v: number) =>
      map.kinds[Math.floor(v * map.rows) * map.columns + Math.floor(u * map.columns)];
    expect([kindAt(0.2, 0.3), kindAt(0.8, 0.2), kindAt(0.8, 0.8)]).toEqual(['haze-stays', 'feel-here', null]);
    expect(map).toMatchObject({ startAt: 'top-right', isLightest: true, sittings: 1 });
    expect(map.goesFirst).toEqual(['edges', 'corners', 'knots', 'grain']);
    const [first] = map.sections;
    expect(first?.box.xMm).toBeGreaterThan(150);
    expect(first?.box.yMm).toBe(10);
    const dark = map.sections.find(({ darkShare }) => darkShare > 0.9);
    expect(dark?.minutes).toBeGreaterThan(first?.minutes ?? Infinity);
  });

  it('knows nothing of a picture without a sketch, and says so', () => {
    const map = workMap(input({ picture: { widthPx: 10, heightPx: 10 } }));
    expect(map).toMatchObject({ startAt: 'top-left', isLightest: false });
    expect(new Set(map.kinds)).toEqual(new Set([null]));
  });

  it('a crop and a turn move the map with the picture', () => {
    const right = workMap(input({ crop: { x: 0.5, y: 0, width: 0.5, height: 1 } }));
    expect(right.kinds).not.toContain('haze-stays');
    expect(workMap(input({ turning: { turns: 2, straightenDeg: 0 } })).startAt).toBe('bottom-left');
  });

  it('sections cover all of it once, each half a letter page at the most, side by side in order, with all its minutes', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 15, max: 1500, noNaN: true }),
        fc.double({ min: 15, max: 1200, noNaN: true }),
        fc.integer({ min: 1, max: 300 }),
        (widthMm, heightMm, first) => {
          const box = { xMm: 5, yMm: 7, widthMm, heightMm };
          const { sections, sittings } = workMap(input({ box, place: box, minutes: { first, later: first / 2 } }));
          const area = sections.reduce((sum, section) => sum + section.box.widthMm * section.box.heightMm, 0);
          expect(area).toBeCloseTo(widthMm * heightMm, 3);
          expect(sections.reduce((sum, { minutes }) => sum + minutes, 0)).toBeCloseTo(first, 6);
          for (const { box: part } of sections)
            if (sections.length < 60) expect(part.widthMm * part.heightMm).toBeLessThan((215.9 * 279.4) / 2 + 2000);
          sections.slice(1).forEach(({ box: part }, at) => {
            const before = sections[at].box;
            const apart =
              Math.abs(part.xMm - before.xMm) / part.widthMm + Math.abs(part.yMm - before.yMm) / part.heightMm;
            expect(apart).toBeCloseTo(1, 6);
          });
          expect(sections.map(({ number }) => number)).toEqual(sections.map((_, at) => at + 1));
          if (first <= 60) expect(sittings).toBe(1);
        },
      ),
      { numRuns: 200 },
    );
  });

  it('asks for rests on a long pass, and for sittings on a very long one', () => {
    const box = { xMm: 0, yMm: 0, widthMm: 900, heightMm: 600 };
    const long = workMap(input({ box, place: box, minutes: { first: 110, later: 55 } }));
    expect(long.sittings).toBe(2);
    expect(long.sections.filter(({ breakBefore }) => breakBefore).length).toBeGreaterThan(0);
  });

  it('the tool follows the spot', () => {
    const spots = (patch: Partial<WorkInput>) => toolsFor(workMap(input(patch)), 'rub').map(({ spot }) => spot);
    expect(spots({})).toEqual(['everywhere', 'dark', 'even-light', 'edge', 'weave', 'stubborn']);
    expect(spots({ bare: false, picture: null })).toEqual(['everywhere', 'edge', 'stubborn']);
    expect(toolsFor(workMap(input()), 'peel-and-roll').map(({ tool }) => tool)).toContain('craft-knife');
  });
});

it('stands in the plan of what is rubbed, and nowhere else', () => {
  const piece = readyPiece();
  const map = planPiece(piece, { ...PICTURE, sketch: picture(() => 20).sketch }, NOW).rub.map;
  expect(map?.kinds.every((kind) => kind === 'haze-stays')).toBe(true);
  const lifted = {
    ...piece,
    method: { ...piece.method, school: 'liner-peel' as const, print: 'release-liner' as const },
  };
  expect(planPiece(lifted, PICTURE, NOW).rub.map).toBeNull();
});
