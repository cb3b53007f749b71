import fc from '@/testing/properties';
import { seededChance } from '@/core/shared';
import { blurred, blurredPlain } from './blur';

const grayOf = (width: number, height: number, at: (x: number, y: number) => number) => ({
  data: Float32Array.from({ length: width * height }, (_, i) => at(i % width, Math.floor(i / width))),
  width,
  height,
});

it('the kernel and its plain twin blur alike, at any size and spread', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 41 }),
      fc.integer({ min: 1, max: 37 }),
      fc.double({ min: 0.4, max: 5, noNaN: true }),
      fc.integer({ min: 1, max: 1 << 30 }),
      (width, height, sigma, seed) => {
        const image = grayOf(width, height, seededChance(seed));
        const [fast, plain] = [blurred(image, sigma), blurredPlain(image, sigma)];
        expect([fast.width, fast.height, fast.data.length]).toEqual([width, height, width * height]);
        fast.data.forEach((value, at) => expect(Math.abs(value - plain.data[at])).toBeLessThan(1e-5));
      },
    ),
    { numRuns: 60 },
  );
});

it('spreads one point as a bell of that spread, and leaves what is even', () => {
  const point = blurred(
    grayOf(61, 61, (x, y) => Number(x === 30 && y === 30)),
    3,
  );
  let [total, square] = [0, 0];
  point.data.forEach((value, at) => {
    total += value;
    square += value * ((at % 61) - 30) ** 2;
  });
  expect(total).toBeCloseTo(1, 4);
  expect(Math.sqrt(square / total)).toBeCloseTo(3, 2);
  const even = blurred(
    grayOf(23, 9, () => 0.4),
    2,
  );
  even.data.forEach((value) => expect(value).toBeCloseTo(0.4, 5));
});
