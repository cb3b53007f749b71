import fc from '@/testing/properties';
import { PLAIN_TONE, toneTables } from '@/core/raster';
import type { PictureRows } from './analysis';
import {
  FULL_CROP,
  analyse,
  frameMatrix,
  frameSize,
  ghostlyRegions,
  histogramBehind,
  keptFull,
  lightRegions,
  straightCrop,
  tonalShares,
} from './index';

function drawn(
  widthPx: number,
  heightPx: number,
  pixel: (x: number, y: number) => number | [number, number, number],
): PictureRows {
  const data = new Uint8ClampedArray(widthPx * heightPx * 4);
  for (let y = 0; y < heightPx; y++)
    for (let x = 0; x < widthPx; x++) {
      const value = pixel(x, y);
      data.set(typeof value === 'number' ? [value, value, value, 255] : [...value, 255], (y * widthPx + x) * 4);
    }
  return {
    widthPx,
    heightPx,
    readRows: (from, count) => data.subarray(from * widthPx * 4, (from + count) * widthPx * 4),
  };
}

const [W, H] = [1000, 700];

describe('known shares are found', () => {
  it('30 % white', () => {
    const found = analyse(
      drawn(W, H, (x) => (x < 300 ? 255 : 120)),
      FULL_CROP,
      null,
    );
    expect(found.paleShare).toBeCloseTo(0.3, 2);
    expect(found.darkShare).toBe(0);
    expect(lightRegions(found.blocks)[0].share).toBeCloseTo(0.3, 1);
  });
  it('45 % near black', () => {
    const found = analyse(
      drawn(W, H, (_, y) => (y < 315 ? 20 : 150)),
      FULL_CROP,
      null,
    );
    expect(found.darkShare).toBeCloseTo(0.45, 2);
    expect([found.lowLightness, found.highLightness]).toEqual([6, 62]);
  });
  it('a pale disc with fine detail: its detail is faint, and it stands alone', () => {
    const radius = 200;
    const inside = (x: number, y: number) => Math.hypot(x - 500, y - 350) < radius;
    const found = analyse(
      drawn(W, H, (x, y) => (inside(x, y) ? (((x >> 1) + (y >> 1)) % 2 ? 250 : 236) : 110)),
      FULL_CROP,
      null,
    );
    const share = (Math.PI * radius ** 2) / (W * H);
    expect(Math.abs(found.faintShare - share)).toBeLessThan(0.01);
    const [ghost, ...others] = ghostlyRegions(found.blocks);
    expect(others).toEqual([]);
    expect(Math.abs(ghost.share - share)).toBeLessThan(0.01);
    expect(ghost.edgeShare).toBe(0);
  });
  it('a white background is no ghost: the picture’s edge cuts it off', () => {
    expect(
      ghostlyRegions(
        analyse(
          drawn(W, H, (x, y) => (Math.hypot(x - 500, y - 350) < 150 ? 60 : 255)),
          FULL_CROP,
          null,
        ).blocks,
      ),
    ).toEqual([]);
  });
  it('only the crop counts', () => {
    const found = analyse(
      drawn(W, H, (x) => (x < 300 ? 255 : 20)),
      { x: 0.3, y: 0.2, width: 0.7, height: 0.5 },
      null,
    );
    expect(found.paleShare).toBe(0);
    expect(found.darkShare).toBe(1);
  });
  it('transparent counts as white paper', () => {
    const clear: PictureRows = {
      widthPx: 40,
      heightPx: 40,
      readRows: (_, count) => new Uint8ClampedArray(40 * count * 4),
    };
    expect(analyse(clear, FULL_CROP, null).paleShare).toBe(1);
  });
});

describe('tone before counting', () => {
  it('moves shares as it moves levels, and the histogram alone foretells it', () => {
    const source = drawn(600, 400, (x) => Math.round((x / 599) * 255));
    const plain = analyse(source, FULL_CROP, null);
    const tables = toneTables({ ...PLAIN_TONE, gamma: 1.6 });
    const toned = analyse(source, FULL_CROP, tables);
    expect(toned.darkShare).toBeLessThan(plain.darkShare * 0.8);
    expect(tonalShares(histogramBehind(plain.histogram, tables.green)).darkShare).toBeCloseTo(toned.darkShare, 1);
  });
  it('black and white has no colour', () => {
    const source = drawn(200, 200, (x) => [x, 255 - x, 90]);
    expect(analyse(source, FULL_CROP, null).colourfulness).toBeGreaterThan(0.3);
    expect(
      analyse(source, FULL_CROP, toneTables({ ...PLAIN_TONE, mono: { red: 1, green: 1, blue: 1 } })).colourfulness,
    ).toBe(0);
  });
});

describe('sharpness and lines', () => {
  const bars = (blur: number) =>
    drawn(W, H, (x) => {
      const phase = (x % 40) - 20;
      return Math.round(127 + 100 * Math.max(-1, Math.min(1, (Math.abs(phase) - 10) / blur)));
    });
  it('tells a sharp picture from a soft one', () => {
    const [sharp, soft] = [analyse(bars(0.6), FULL_CROP, null).sharpness, analyse(bars(8), FULL_CROP, null).sharpness];
    expect(sharp).toBeGreaterThan(0.2);
    expect(soft).toBeLessThan(sharp / 2);
  });
  it.each([0, 30, -45, 80])('finds lines that run at %p°', (angle) => {
    const [cos, sin] = [Math.cos((angle * Math.PI) / 180), Math.sin((angle * Math.PI) / 180)];
    const { direction } = analyse(
      drawn(W, H, (x, y) => 127 + 100 * Math.sin((y * cos - x * sin) / 14)),
      FULL_CROP,
      null,
    );
    const off = Math.abs(((direction.angleDeg - angle + 270) % 180) - 90);
    expect(off).toBeLessThan(3);
    expect(direction.coherence).toBeGreaterThan(0.7);
  });
  it('proposes nothing where lines run every way', () => {
    expect(
      analyse(
        drawn(W, W, (x, y) => (Math.hypot(x - 500, y - 500) < 300 ? 60 : 200)),
        FULL_CROP,
        null,
      ).direction.coherence,
    ).toBeLessThan(0.1);
  });
});

describe('turning', () => {
  it('maps corners where they belong, and back', () => {
    const picture = { widthPx: 400, heightPx: 300 };
    for (const [turns, x, y] of [
      [0, 0, 0],
      [1, 300, 0],
      [2, 400, 300],
      [3, 0, 400],
    ]) {
      const [a, b, c, d, e, f] = frameMatrix(picture, { turns, straightenDeg: 0 });
      expect([e, f]).toEqual([x, y]);
      const far = [a * 400 + c * 300 + e, b * 400 + d * 300 + f];
      const frame = frameSize(picture, { turns, straightenDeg: 0 });
      expect(far).toEqual([frame.widthPx - x, frame.heightPx - y]);
    }
  });
  it('straightened, a kept crop is full: every corner lies in the picture', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -20, max: 20, noNaN: true }),
        fc.integer({ min: 40, max: 900 }),
        fc.integer({ min: 40, max: 900 }),
        fc.double({ min: 0, max: 0.6, noNaN: true }),
        fc.double({ min: 0.1, max: 0.4, noNaN: true }),
        (deg, widthPx, heightPx, at, size) => {
          const picture = { widthPx, heightPx };
          const [a, b, c, d, e, f] = frameMatrix(picture, { turns: 0, straightenDeg: deg });
          const det = a * d - b * c;
          for (const crop of [
            straightCrop(picture, deg),
            keptFull({ x: at, y: 1 - at - size, width: size, height: size }, picture, deg),
          ]) {
            for (const [x, y] of [
              [crop.x, crop.y],
              [crop.x + crop.width, crop.y],
              [crop.x, crop.y + crop.height],
              [crop.x + crop.width, crop.y + crop.height],
            ]) {
              const [px, py] = [x * widthPx - e, y * heightPx - f];
              const [sx, sy] = [(d * px - c * py) / det, (a * py - b * px) / det];
              expect(sx).toBeGreaterThan(-1e-6);
              expect(sx).toBeLessThan(widthPx + 1e-6);
              expect(sy).toBeGreaterThan(-1e-6);
              expect(sy).toBeLessThan(heightPx + 1e-6);
            }
          }
        },
      ),
    );
  });
});
