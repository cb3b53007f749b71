import fc from '@/testing/properties';
import { mirroredChoice, proposePlacements, turnedShare, type PlacedOn } from './index';

const on = (patch: Partial<PlacedOn> = {}): PlacedOn => ({
  blank: { widthMm: 300, heightMm: 200 },
  isSquare: false,
  print: { xMm: 40, yMm: 30, widthMm: 220, heightMm: 140 },
  face: { grainDeg: 0, knots: [] },
  lines: null,
  keepClear: [],
  pale: [],
  mayMirror: false,
  leastMarginMm: 3,
  ...patch,
});
const FACE = { x: 0.4, y: 0.3, width: 0.2, height: 0.3 };
/** Under the marked part as the board lies. */
const KNOT = { x: (40 + 0.5 * 220) / 300, y: (30 + 0.45 * 140) / 200, radius: 8 / 300 };

it('leaves a blank as it lies where nothing speaks against it', () => {
  const [best] = proposePlacements(on());
  expect(best).toMatchObject({ turns: 0, shiftXMm: 0, shiftYMm: 0, knotsUnder: 0, offGrainDeg: null });
});

it('keeps a marked face off a knot, by the least move that does', () => {
  const { cost: _, ...asItLies } = proposePlacements(on({ face: { grainDeg: 0, knots: [KNOT] } }))[0];
  expect(asItLies).toMatchObject({ turns: 0, shiftXMm: 0 });
  const [best] = proposePlacements(on({ face: { grainDeg: 0, knots: [KNOT] }, keepClear: [FACE] }));
  expect(best.knotsMarked).toBe(0);
  expect(best.turns !== 0 || best.shiftXMm !== 0 || best.shiftYMm !== 0).toBe(true);
});

it('mirrors the picture where its lines ask for it, and only where nothing on it reads', () => {
  const aslant = on({ face: { grainDeg: 30, knots: [] }, lines: { angleDeg: 150, coherence: 0.6 } });
  expect(proposePlacements(aslant).every(({ mirrored }) => !mirrored)).toBe(true);
  const [best] = proposePlacements({ ...aslant, mayMirror: true });
  expect(best).toMatchObject({ mirrored: true, turns: 0, shiftXMm: 0, shiftYMm: 0 });
  expect(best.offGrainDeg).toBeCloseTo(0, 9);
  // Not for nothing: upright lines lie as well either way.
  expect(proposePlacements(on({ mayMirror: true }))[0]).toMatchObject({ mirrored: false });
});

it('what is chosen of a picture goes along when it is mirrored, and comes back', () => {
  fc.assert(
    fc.property(boxes, fc.integer({ min: 0, max: 3 }), fc.integer({ min: -10, max: 10 }), (keepClear, turns, deg) => {
      const choice = { crop: { x: 0.1, y: 0.2, width: 0.5, height: 0.6 }, turns, straightenDeg: deg, keepClear };
      const once = mirroredChoice(choice);
      expect(once.crop.x).toBeCloseTo(0.4, 9);
      expect(Object.is(once.straightenDeg, -0)).toBe(false);
      const twice = mirroredChoice(once);
      expect(twice).toMatchObject({ turns, straightenDeg: deg });
      twice.keepClear.forEach((box, at) => expect(box.x).toBeCloseTo(keepClear[at].x, 9));
    }),
  );
});

it('turns a square end for end, or by a quarter, where the grain asks for it', () => {
  const square = on({
    blank: { widthMm: 200, heightMm: 200 },
    isSquare: true,
    print: { xMm: 30, yMm: 30, widthMm: 140, heightMm: 140 },
    face: { grainDeg: 90, knots: [] },
    lines: { angleDeg: 2, coherence: 0.6 },
  });
  const [best] = proposePlacements(square);
  expect(best.turns % 2).toBe(1);
  expect(best.offGrainDeg).toBeCloseTo(2, 5);
  // What is no square is never turned by a quarter.
  for (const one of proposePlacements({ ...square, isSquare: false })) expect(one.turns % 2).toBe(0);
});

const share = fc.double({ min: 0.02, max: 0.98, noNaN: true });
const knots = fc.array(fc.record({ x: share, y: share, radius: fc.double({ min: 0.005, max: 0.05, noNaN: true }) }), {
  maxLength: 6,
});
const boxes = fc.array(
  fc.record({ x: share, y: share, width: share, height: share }).map(({ x, y, width, height }) => ({
    x,
    y,
    width: width * (1 - x),
    height: height * (1 - y),
  })),
  { maxLength: 4 },
);

it('proposes up to three that differ, the best first, with the print still on the blank', () => {
  fc.assert(
    fc.property(knots, boxes, fc.boolean(), (found, keepClear, isSquare) => {
      const order = on({
        face: { grainDeg: 10, knots: found },
        keepClear,
        isSquare,
        lines: { angleDeg: 30, coherence: 0.4 },
      });
      const proposed = proposePlacements(order);
      expect(proposed.length).toBeGreaterThan(0);
      expect(proposed.length).toBeLessThanOrEqual(3);
      for (const [at, one] of proposed.entries()) {
        if (at > 0) expect(one.cost).toBeGreaterThanOrEqual(proposed[at - 1].cost);
        expect(order.print.xMm + one.shiftXMm).toBeGreaterThanOrEqual(3 - 1e-9);
        expect(order.print.xMm + one.shiftXMm + order.print.widthMm).toBeLessThanOrEqual(297 + 1e-9);
        expect(order.print.yMm + one.shiftYMm).toBeGreaterThanOrEqual(3 - 1e-9);
      }
      // Never dearer than leaving it, which is among the ways where nothing may be shifted.
      const left = proposePlacements({ ...order, isSquare: false, leastMarginMm: 999 }).find(
        ({ turns }) => turns === 0,
      );
      expect(proposed[0].cost).toBeLessThanOrEqual(left?.cost ?? -1);
    }),
  );
});

it('four quarter turns bring a place back', () => {
  fc.assert(
    fc.property(share, share, (x, y) => {
      let place = { x, y };
      for (let k = 0; k < 4; k++) place = turnedShare(place.x, place.y, 1);
      expect(place.x).toBeCloseTo(x, 9);
      expect(place.y).toBeCloseTo(y, 9);
      const half = turnedShare(x, y, 2);
      expect(half).toEqual(turnedShare(turnedShare(x, y, 1).x, turnedShare(x, y, 1).y, 1));
    }),
  );
});
