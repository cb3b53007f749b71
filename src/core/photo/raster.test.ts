import fc from '@/testing/properties';
import {
  boxMean,
  channelOf,
  correlation,
  grayOf,
  mirroredGray,
  reduced,
  sample,
  standingOut,
  type Gray,
  type Rgba,
} from './index';

const image = fc
  .tuple(fc.integer({ min: 1, max: 12 }), fc.integer({ min: 1, max: 12 }))
  .chain(([width, height]) =>
    fc
      .array(fc.integer({ min: 0, max: 64 }), { minLength: width * height, maxLength: width * height })
      .map((levels): Gray => ({ data: Float32Array.from(levels, (level) => level / 64), width, height })),
  );
const at = ({ data, width }: Gray, x: number, y: number) => data[y * width + x];
const near = (value: number, wanted: number) => expect(Math.abs(value - wanted)).toBeLessThan(1e-4);

describe('light of a picture', () => {
  const rgba = (...pixels: [number, number, number][]): Rgba => ({
    data: Uint8ClampedArray.from(pixels.flatMap((pixel) => [...pixel, 255])),
    width: pixels.length,
    height: 1,
  });

  it('is 0 in black and 1 in white; green weighs most, blue least', () => {
    const [black, white, red, green, blue] = grayOf(
      rgba([0, 0, 0], [255, 255, 255], [255, 0, 0], [0, 255, 0], [0, 0, 255]),
    ).data;
    near(black, 0);
    near(white, 1);
    expect(green).toBeGreaterThan(red);
    expect(red).toBeGreaterThan(blue);
    near(red + green + blue, 1);
  });

  it('of one colour is that channel alone', () => {
    const picture = rgba([51, 102, 204]);
    ([0, 1, 2] as const).forEach((channel) => near(channelOf(picture, channel).data[0], [0.2, 0.4, 0.8][channel]));
  });
});

describe('means', () => {
  it('over a square are those of a twin that adds what is there', () => {
    fc.assert(
      fc.property(image, fc.integer({ min: 1, max: 14 }), (picture, radius) => {
        const mean = boxMean(picture, radius);
        for (let y = 0; y < picture.height; y++)
          for (let x = 0; x < picture.width; x++) {
            let [sum, count] = [0, 0];
            for (let j = Math.max(0, y - radius); j <= Math.min(picture.height - 1, y + radius); j++)
              for (let i = Math.max(0, x - radius); i <= Math.min(picture.width - 1, x + radius); i++) {
                sum += at(picture, i, j);
                count++;
              }
            near(at(mean, x, y), sum / count);
          }
      }),
      { numRuns: 60 },
    );
  });

  it('of whole cells keep the mean of what they cover, and leave out what fills none', () => {
    fc.assert(
      fc.property(image, fc.integer({ min: 1, max: 4 }), (picture, by) => {
        const small = reduced(picture, by);
        expect([small.width, small.height]).toEqual([Math.floor(picture.width / by), Math.floor(picture.height / by)]);
        for (let y = 0; y < small.height; y++)
          for (let x = 0; x < small.width; x++) {
            let sum = 0;
            for (let j = 0; j < by; j++) for (let i = 0; i < by; i++) sum += at(picture, x * by + i, y * by + j);
            near(at(small, x, y), sum / (by * by));
          }
      }),
      { numRuns: 100 },
    );
  });
});

describe('a value between pixels', () => {
  it('is the pixel’s own in its middle, never outside what lies round it, and the edge’s beyond', () => {
    fc.assert(
      fc.property(
        image,
        fc.double({ min: -3, max: 15, noNaN: true }),
        fc.double({ min: -3, max: 15, noNaN: true }),
        (picture, x, y) => {
          const value = sample(picture, x, y);
          expect(value).toBeGreaterThanOrEqual(Math.min(...picture.data) - 1e-6);
          expect(value).toBeLessThanOrEqual(Math.max(...picture.data) + 1e-6);
          const [column, row] = [Math.abs(Math.floor(x)) % picture.width, Math.abs(Math.floor(y)) % picture.height];
          near(sample(picture, column + 0.5, row + 0.5), at(picture, column, row));
          near(sample(picture, -5, row + 0.5), at(picture, 0, row));
          near(sample(picture, picture.width + 5, row + 0.5), at(picture, picture.width - 1, row));
        },
      ),
      { numRuns: 200 },
    );
  });

  it('goes evenly from one pixel to the next', () => {
    const two: Gray = { data: Float32Array.of(0, 1), width: 2, height: 1 };
    [0, 0.25, 0.5, 0.75, 1].forEach((share) => near(sample(two, 0.5 + share, 0.5), share));
  });
});

describe('how two rows go together', () => {
  const sums = (a: readonly number[], b: readonly number[]) => {
    const add = (of: (i: number) => number) => a.reduce((sum, _, i) => sum + of(i), 0);
    return [a.length, ...[(i: number) => a[i], (i: number) => b[i]].map(add)].concat(
      [(i: number) => a[i] ** 2, (i: number) => b[i] ** 2, (i: number) => a[i] * b[i]].map(add),
    ) as [number, number, number, number, number, number];
  };
  const row = fc.array(fc.integer({ min: -50, max: 50 }), { minLength: 2, maxLength: 20 });

  it('is 1 with itself brighter or paler, −1 with its negative, 0 where one is even', () => {
    fc.assert(
      fc.property(row, fc.integer({ min: 1, max: 9 }), fc.integer({ min: -9, max: 9 }), (values, gain, lift) => {
        const isEven = new Set(values).size === 1;
        near(
          correlation(
            ...sums(
              values,
              values.map((one) => gain * one + lift),
            ),
          ),
          isEven ? 0 : 1,
        );
        near(
          correlation(
            ...sums(
              values,
              values.map((one) => lift - gain * one),
            ),
          ),
          isEven ? 0 : -1,
        );
        expect(
          correlation(
            ...sums(
              values,
              values.map(() => lift),
            ),
          ),
        ).toBe(0);
      }),
      { numRuns: 200 },
    );
  });
});

it('what stands out does so in any light: gain and lift change nothing but the floor of the spread', () => {
  fc.assert(
    fc.property(image, fc.double({ min: 0.5, max: 2, noNaN: true }), (picture, gain) => {
      const bright = { ...picture, data: picture.data.map((value) => gain * value + 0.1) };
      const [one, other] = [standingOut(picture, 3, 1e-6), standingOut(bright, 3, 1e-6)];
      // Where all is even round about, only rounding is left.
      const spread = boxMean(
        { ...picture, data: picture.data.map((v, i) => (v - boxMean(picture, 3).data[i]) ** 2) },
        3,
      );
      one.data.forEach((value, i) => {
        if (spread.data[i] > 1e-3) expect(Math.abs(value - other.data[i])).toBeLessThan(0.02);
      });
    }),
    { numRuns: 40 },
  );
});

it('mirrored twice is as it was', () => {
  fc.assert(
    fc.property(image, (picture) => {
      const once = mirroredGray(picture);
      near(at(once, 0, 0), at(picture, picture.width - 1, 0));
      expect(mirroredGray(once).data).toEqual(picture.data);
    }),
  );
});
