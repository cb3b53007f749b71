import fc from '@/testing/properties';
import {
  bendOf,
  bendPoint,
  bendRect,
  coatRings,
  coveredAreaMm2,
  fanOf,
  offsetRings,
  resolveBlank,
  rectRing,
  ringAreaMm2,
  ringBox,
  ringsAreaMm2,
  ringsBox,
  unbendPoint,
  type Blank,
  type BlankShape,
  type Ring,
  subtractRings,
  ovalRing,
} from './index';
import { readSvgOutline } from './svg-outline';

const made = (shape: BlankShape, widthMm: number, heightMm: number): Blank => {
  const blank = resolveBlank(shape, { widthMm, heightMm });
  if (!blank.ok) throw new Error(blank.error.message);
  return blank.value;
};
const perimeterMm = (points: Ring): number =>
  points.reduce((sum, { xMm, yMm }, at) => {
    const next = points[(at + 1) % points.length];
    return sum + Math.hypot(next.xMm - xMm, next.yMm - yMm);
  }, 0);
const near = (actual: number, expected: number, share = 1e-4) =>
  expect(Math.abs(actual / expected - 1)).toBeLessThan(share);

describe('areas against closed forms', () => {
  const TRIANGLE = [
    { x: 0, y: 1 },
    { x: 0.5, y: 0 },
    { x: 1, y: 1 },
  ];
  it.each<[string, BlankShape, number, number, number]>([
    ['rectangle', { kind: 'rectangle' }, 300, 200, 60_000],
    ['round', { kind: 'round' }, 200, 999, Math.PI * 100 ** 2],
    ['oval', { kind: 'oval' }, 300, 200, Math.PI * 150 * 100],
    ['polygon', { kind: 'polygon', points: TRIANGLE }, 300, 200, 30_000],
    ['wrapped canvas', { kind: 'wrapped-canvas', depthMm: 18, tuckMm: 20 }, 260, 180, 260 * 180 + 2 * (260 + 180) * 38],
    ['slats', { kind: 'slats', count: 5, gapMm: 8, run: 'vertical' }, 532, 300, 300 * (532 - 32)],
    [
      'panel',
      {
        kind: 'panel',
        openings: [
          { kind: 'hole', xMm: 50, yMm: 50, diameterMm: 30 },
          { kind: 'knob', xMm: 200, yMm: 100, diameterMm: 40 },
        ],
      },
      300,
      200,
      60_000 - Math.PI * (15 ** 2 + 20 ** 2),
    ],
    [
      'drawer row',
      { kind: 'drawer-row', count: 3, gapMm: 12, knobs: 1, knobMm: 32 },
      624,
      140,
      600 * 140 - 3 * Math.PI * 16 ** 2,
    ],
    ['cylinder', { kind: 'cylinder', shareOfRound: 0.6 }, 90, 150, Math.PI * 90 * 0.6 * 150],
    // Lateral area of a frustum: π (r₁ + r₂) s.
    ['vessel', { kind: 'vessel', bottomMm: 140, shareOfRound: 1 }, 200, 180, Math.PI * (100 + 70) * 180],
    [
      'vessel, narrow end up',
      { kind: 'vessel', bottomMm: 200, shareOfRound: 0.5 },
      140,
      180,
      (Math.PI * (100 + 70) * 180) / 2,
    ],
  ])('%s', (_, shape, width, height, expected) => {
    const blank = made(shape, width, height);
    near(blank.areaMm2, expected, 1e-9);
    near(coveredAreaMm2(blank, [rectRing({ xMm: -1, yMm: -1, widthMm: 5000, heightMm: 5000 })]), expected, 1e-9);
    // The rings say the same as the formula, and lie inside the face.
    const rings = blank.parts.map((part) => part.ring);
    near(
      ringsAreaMm2(rings),
      blank.parts.reduce((total, part) => total + part.areaMm2, 0),
    );
    for (const part of blank.parts) {
      expect(part.box.xMm).toBeGreaterThanOrEqual(-1e-9);
      expect(part.box.xMm + part.box.widthMm).toBeLessThanOrEqual(blank.widthMm + 1e-9);
      const box = ringBox(part.ring);
      near(box.widthMm, part.box.widthMm, 1e-3);
      near(box.heightMm, part.box.heightMm, 1e-3);
    }
  });

  it('counts what a print covers: half a disc, slats without their gaps, a panel without its hole', () => {
    const disc = made({ kind: 'round' }, 200, 200);
    near(coveredAreaMm2(disc, [rectRing({ xMm: 0, yMm: 0, widthMm: 100, heightMm: 200 })]), (Math.PI * 100 ** 2) / 2);
    const slats = made({ kind: 'slats', count: 4, gapMm: 10, run: 'horizontal' }, 200, 230);
    near(coveredAreaMm2(slats, [rectRing({ xMm: 20, yMm: 0, widthMm: 100, heightMm: 230 })]), 100 * 200);
    const panel = made({ kind: 'panel', openings: [{ kind: 'hole', xMm: 100, yMm: 100, diameterMm: 50 }] }, 300, 200);
    near(coveredAreaMm2(panel, [rectRing({ xMm: 50, yMm: 50, widthMm: 100, heightMm: 100 })]), 10_000 - Math.PI * 625);
  });

  it('counts openings that overlap once', () => {
    const twice: BlankShape = {
      kind: 'panel',
      openings: [1, 2].map(() => ({ kind: 'hole', xMm: 100, yMm: 100, diameterMm: 40 })),
    };
    near(made(twice, 200, 200).areaMm2, 40_000 - Math.PI * 400);
  });
});

describe('the fan of a tapered vessel', () => {
  it('has the circumferences’ shares along its arcs', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 80, max: 500, noNaN: true }),
        fc.double({ min: 0.3, max: 0.97, noNaN: true }),
        fc.double({ min: 60, max: 600, noNaN: true }),
        fc.double({ min: 0.1, max: 1, noNaN: true }),
        (larger, ratio, slant, share) => {
          const smaller = larger * ratio;
          const { outerRadiusMm, innerRadiusMm, angleRad } = fanOf(larger, smaller, slant, share);
          expect(outerRadiusMm * angleRad).toBeCloseTo(Math.PI * larger * share, 6);
          expect(innerRadiusMm * angleRad).toBeCloseTo(Math.PI * smaller * share, 6);
          expect(outerRadiusMm - innerRadiusMm).toBeCloseTo(slant, 6);
        },
      ),
    );
  });
  it('becomes a cylinder where both ends are alike', () => {
    expect(made({ kind: 'vessel', bottomMm: 100, shareOfRound: 1 }, 100, 80).widthMm).toBeCloseTo(Math.PI * 100, 6);
  });
});

describe('the coat’s outline', () => {
  const past = (blank: Blank, xMm: number, yMm: number, widthMm: number, heightMm: number) =>
    coatRings(blank, [rectRing({ xMm, yMm, widthMm, heightMm })], 5);
  it('goes past the print, and never past the blank', () => {
    const board = made({ kind: 'rectangle' }, 200, 100);
    expect(ringsBox(past(board, 3, 20, 100, 60))).toMatchObject({ xMm: 0, widthMm: 108, yMm: 15, heightMm: 70 });
  });
  it('follows a disc', () => {
    const disc = made({ kind: 'round' }, 100, 100);
    const { xMm, widthMm } = ringsBox(past(disc, -10, -10, 200, 200));
    expect(xMm).toBeCloseTo(0, 2);
    expect(widthMm).toBeCloseTo(100, 2);
  });
  it('leaves slats’ gaps and holes out', () => {
    expect(past(made({ kind: 'slats', count: 3, gapMm: 10, run: 'vertical' }, 110, 80), 0, 0, 110, 80)).toHaveLength(3);
    expect(
      past(
        made({ kind: 'panel', openings: [{ kind: 'hole', xMm: 50, yMm: 40, diameterMm: 20 }] }, 110, 80),
        0,
        0,
        110,
        80,
      ),
    ).toHaveLength(2);
  });
});

describe('bending a print to a vessel’s side', () => {
  const vessel = fc
    .record({
      larger: fc.double({ min: 60, max: 400, noNaN: true }),
      ratio: fc.double({ min: 0.4, max: 0.96, noNaN: true }),
      slant: fc.double({ min: 60, max: 300, noNaN: true }),
      share: fc.double({ min: 0.05, max: 1, noNaN: true }),
      wideUp: fc.boolean(),
    })
    .filter(({ larger, ratio, slant }) => slant > (larger * (1 - ratio)) / 2 + 5);

  it('gives the arcs the circumferences’ shares to a tenth of a millimetre', () => {
    fc.assert(
      fc.property(vessel, ({ larger, ratio, slant, share, wideUp }) => {
        const bend = bendOf(fanOf(larger, larger * ratio, slant, share), wideUp);
        const ring = bendRect(bend, { xMm: 0, yMm: 0, ...bend.plane });
        const half = ring.length / 2;
        const run = (points: typeof ring) =>
          points
            .slice(1)
            .reduce((sum, point, i) => sum + Math.hypot(point.xMm - points[i].xMm, point.yMm - points[i].yMm), 0);
        const [top, bottom] = [run(ring.slice(0, half)), run(ring.slice(half))];
        const [wide, narrow] = [Math.PI * larger * share, Math.PI * larger * ratio * share];
        expect(Math.abs(top - (wideUp ? wide : narrow))).toBeLessThan(0.1);
        expect(Math.abs(bottom - (wideUp ? narrow : wide))).toBeLessThan(0.1);
      }),
    );
  });

  it('rolled up, level lines are level circles on the vessel, and upright ones run straight down its side', () => {
    fc.assert(
      fc.property(
        vessel,
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        ({ larger, ratio, slant, share, wideUp }, u, v) => {
          const bend = bendOf(fanOf(larger, larger * ratio, slant, share), wideUp);
          // Roll the fan up: its apex is the cone's tip, and the way round on paper is the way round on the cone,
          // stretched.
          const rolled = (x: number, y: number) => {
            const paper = bendPoint(bend, { xMm: x * bend.plane.widthMm, yMm: y * bend.plane.heightMm });
            const [dx, dy] = [
              paper.xMm - bend.centre.xMm,
              wideUp ? bend.centre.yMm - paper.yMm : paper.yMm - bend.centre.yMm,
            ];
            const fromTip = Math.hypot(dx, dy);
            const around = Math.atan2(dx, dy) * ((2 * Math.PI * share) / bend.angleRad);
            const radius = (fromTip * larger) / 2 / bend.outerRadiusMm;
            return { radius, around, down: fromTip };
          };
          const [start, middle, end] = [rolled(0.02, v), rolled(u, v), rolled(0.98, v)];
          expect(middle.down).toBeCloseTo(start.down, 6);
          expect(middle.down).toBeCloseTo(end.down, 6);
          const [above, below] = [rolled(u, 0.03), rolled(u, 0.97)];
          if (share < 0.99) expect(above.around).toBeCloseTo(below.around, 6);
          // Evenly spread along the side and round it.
          expect(rolled(u, 0.5).down).toBeCloseTo((rolled(u, 0).down + rolled(u, 1).down) / 2, 6);
          const back = unbendPoint(
            bend,
            bendPoint(bend, { xMm: u * bend.plane.widthMm, yMm: v * bend.plane.heightMm }),
          );
          expect(back.yMm).toBeCloseTo(v * bend.plane.heightMm, 6);
        },
      ),
    );
  });
});

describe('polygons', () => {
  const ring = fc.array(fc.double({ min: 0.25, max: 1, noNaN: true }), { minLength: 3, maxLength: 24 }).map((radii) =>
    radii.map((radius, index) => ({
      xMm: 100 * radius * Math.cos((index / radii.length) * 2 * Math.PI),
      yMm: 100 * radius * Math.sin((index / radii.length) * 2 * Math.PI),
    })),
  );

  it('keep their area when turned and moved, and scale with the square', () => {
    fc.assert(
      fc.property(
        ring,
        fc.double({ min: 0, max: 6.3, noNaN: true }),
        fc.double({ min: 0.2, max: 9, noNaN: true }),
        (points, angle, scale) => {
          const moved = points.map(({ xMm, yMm }) => ({
            xMm: scale * (xMm * Math.cos(angle) - yMm * Math.sin(angle)) + 31,
            yMm: scale * (xMm * Math.sin(angle) + yMm * Math.cos(angle)) - 7,
          }));
          expect(ringAreaMm2(moved) / (ringAreaMm2(points) * scale ** 2)).toBeCloseTo(1, 9);
        },
      ),
    );
  });

  it('grow when offset outwards by at least the band along their edges, shrink inwards, and come near themselves again', () => {
    fc.assert(
      fc.property(ring, fc.double({ min: 0.5, max: 8, noNaN: true }), (points, by) => {
        const area = ringsAreaMm2([points]);
        const grown = offsetRings([points], by, 'round');
        expect(ringsAreaMm2(grown)).toBeGreaterThan(area);
        expect(ringsAreaMm2(offsetRings([points], -by, 'round'))).toBeLessThan(area);
        // Closing (out and back in) loses no more than the arcs are thinned by, all along the edge.
        expect(ringsAreaMm2(offsetRings(grown, -by, 'round'))).toBeGreaterThan(area - 0.05 * perimeterMm(points));
      }),
      { numRuns: 60 },
    );
  });

  it('a disc grows by the band round it', () => {
    const disc = made({ kind: 'round' }, 100, 100).parts[0].ring;
    near(ringsAreaMm2(offsetRings([disc], 5, 'round')), Math.PI * 55 ** 2);
  });
});

describe('what can’t be made is refused', () => {
  it.each<[string, BlankShape]>([
    ['shape-gaps-too-wide', { kind: 'slats', count: 5, gapMm: 60, run: 'vertical' }],
    ['shape-opening-outside', { kind: 'panel', openings: [{ kind: 'knob', xMm: 5, yMm: 50, diameterMm: 30 }] }],
    ['shape-opening-outside', { kind: 'drawer-row', count: 3, gapMm: 5, knobs: 2, knobMm: 40 }],
    [
      'shape-crosses-itself',
      {
        kind: 'polygon',
        points: [
          { x: 0, y: 0 },
          { x: 1, y: 1 },
          { x: 1, y: 0 },
          { x: 0, y: 1 },
        ],
      },
    ],
    [
      'shape-too-few-points',
      {
        kind: 'polygon',
        points: [
          { x: 0, y: 0 },
          { x: 1, y: 1 },
        ],
      },
    ],
    ['shape-flat', { kind: 'vessel', bottomMm: 600, shareOfRound: 1 }],
  ])('%s', (code, shape) =>
    expect(resolveBlank(shape, { widthMm: 200, heightMm: 120 })).toMatchObject({ ok: false, error: { code } }),
  );
});

describe('an outline from an SVG drawing', () => {
  const svg = (body: string, attributes = '') => `<svg xmlns="http://www.w3.org/2000/svg" ${attributes}>${body}</svg>`;
  it('takes the largest shape, through groups and transforms, in its own size', () => {
    const read = readSvgOutline(
      svg(
        '<defs><rect width="900" height="900"/></defs><circle r="3"/><g transform="translate(10 5)"><g ' +
          'transform="rotate(90)"><path d="M0 0 h40 v20 h-40 z"/></g></g>',
        'width="100mm" viewBox="0 0 200 200"',
      ),
    );
    expect(read).toMatchObject({ ok: true, value: { widthMm: 10, heightMm: 20 } });
    expect(read.ok && read.value.points).toHaveLength(4);
  });
  it.each([
    ['figures beyond any drawing', svg('<path d="M0 0 h1e300 v1e300 h-1e300 z"/>'), 'outline-out-of-range'],
    [
      'sizes that are none',
      svg('<rect width="40" height="20"/>', 'width="900000000mm" viewBox="0 0 1 1"'),
      /out-of-range/,
    ],
    ['endless figures', svg('<path d="M0 0 L1e999 0 L0 5 z"/>'), /out-of-range|none/],
    ['a line', svg('<path d="M0 0 h5 z"/>'), 'outline-none'],
    [
      'groups without end',
      svg('<g>'.repeat(5000) + '<rect width="4" height="4"/>' + '</g>'.repeat(5000)),
      /none|unreadable/,
    ],
    [
      'more points than a shape has',
      svg('<path d="' + 'M0 0 c1 1 2 2 3 3z'.repeat(40_000) + '"/>'),
      'outline-too-large',
    ],
  ])('refuses %s', (_, text, code) => {
    const read = readSvgOutline(text);
    expect(read.ok ? 'read' : read.error.code).toMatch(code);
  });
  it('cuts curves into chords close to the curve', () => {
    const read = readSvgOutline(svg('<ellipse cx="50" cy="50" rx="40" ry="20"/>'));
    if (!read.ok) throw new Error(read.error.message);
    near(ringAreaMm2(read.value.points.map(({ x, y }) => ({ xMm: x * 80, yMm: y * 40 }))), Math.PI * 40 * 20, 0.003);
  });
  it.each([
    ['outline-none', svg('<text>hello</text>')],
    ['outline-unreadable', 'no drawing'],
    ['outline-unreadable', '<!DOCTYPE svg [<!ENTITY a "b">]><svg/>'],
    ['outline-too-large', ' '.repeat(2_200_000)],
    ['outline-crosses-itself', svg('<polygon points="0,0 10,10 10,0 0,10.5"/>')],
  ])('refuses with %s', (code, text) => expect(readSvgOutline(text)).toMatchObject({ ok: false, error: { code } }));
});

describe('a coat past a print with a hole', () => {
  const landed = (diameterMm: number) =>
    subtractRings(
      [rectRing({ xMm: 10, yMm: 10, widthMm: 180, heightMm: 120 })],
      [ovalRing({ xMm: 50, yMm: 50 }, diameterMm / 2, diameterMm / 2)],
    );
  it.each([
    [20, 10, 200 * 140],
    [5, 25, 230 * 170],
    [60, 5, 190 * 130 - Math.PI * 25 ** 2],
    [80, 25, 230 * 170 - Math.PI * 15 ** 2],
  ])('of %p mm, %p mm past it, covers what it should', (diameterMm, pastMm, areaMm2) => {
    const covered = ringsAreaMm2(offsetRings(landed(diameterMm), pastMm));
    expect(Math.abs(covered / areaMm2 - 1)).toBeLessThan(0.0005);
  });
});
