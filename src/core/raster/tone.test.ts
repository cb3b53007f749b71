import fc from '@/testing/properties';
import { PLAIN_TONE, applyTone, fadeRows, fadeShare, isPlain, toneTables, type Tone } from './index';

const amount = fc.integer({ min: -100, max: 100 });
const anyTone: fc.Arbitrary<Tone> = fc.record({
  lightness: amount,
  contrast: amount,
  gamma: fc.double({ min: 0.3, max: 3, noNaN: true }),
  warmth: amount,
  mono: fc.constant(null),
  fade: fc.constant('none' as const),
  fadeMm: fc.constant(0),
  compensate: fc.constant(0),
});
const identity = (table: Uint8Array) => table.every((value, level) => value === level);

describe('tone curves', () => {
  it('leave everything alone when nothing is set', () => {
    const tables = toneTables(PLAIN_TONE);
    expect([tables.red, tables.green, tables.blue].every(identity)).toBe(true);
    expect(isPlain(tables)).toBe(true);
  });

  it('are monotone for any setting: no tone overtakes a lighter one', () => {
    fc.assert(
      fc.property(anyTone, (tone) => {
        const { red, green, blue } = toneTables(tone);
        for (const table of [red, green, blue])
          expect(table.every((value, level) => level === 0 || value >= table[level - 1])).toBe(true);
      }),
    );
  });

  it('keep black and white where they are, but for lightness and flattening', () => {
    fc.assert(
      fc.property(anyTone, (tone) => {
        const { green } = toneTables({ ...tone, lightness: 0, contrast: Math.abs(tone.contrast) });
        expect([green[0], green[255]]).toEqual([0, 255]);
      }),
    );
  });

  it.each<[string, Partial<Tone>, (table: Uint8Array) => boolean]>([
    ['gamma above 1 lightens midtones', { gamma: 1.5 }, (table) => table[128] > 150],
    [
      'contrast parts midtones',
      { contrast: 60 },
      (table) => table[64] < 64 && table[192] > 192 && Math.abs(table[128] - 128) < 4,
    ],
    ['less contrast brings them together', { contrast: -60 }, (table) => table[0] > 30 && table[255] < 225],
    ['lightness lifts the darks', { lightness: 50 }, (table) => table[0] > 60 && table[255] === 255],
    ['and lowers the lights', { lightness: -50 }, (table) => table[0] === 0 && table[255] < 190],
  ])('%s', (_, patch, holds) => expect(holds(toneTables({ ...PLAIN_TONE, ...patch }).green)).toBe(true));

  it('warmth moves red and blue apart, and means nothing in black and white', () => {
    const warm = toneTables({ ...PLAIN_TONE, warmth: 80 });
    expect(warm.red[128]).toBeGreaterThan(128);
    expect(warm.blue[128]).toBeLessThan(128);
    const grey = toneTables({ ...PLAIN_TONE, warmth: 80, mono: { red: 1, green: 1, blue: 1 } });
    expect(grey.red[128]).toBe(grey.blue[128]);
  });

  it('compensation is laid on by its share', () => {
    const half = Float64Array.from({ length: 256 }, (_, level) => level / 2);
    const curves = { red: half, green: half, blue: half };
    expect(toneTables({ ...PLAIN_TONE, compensate: 100 }, curves).green[200]).toBe(100);
    expect(toneTables({ ...PLAIN_TONE, compensate: 50 }, curves).green[200]).toBe(150);
    expect(toneTables({ ...PLAIN_TONE, compensate: 0 }, curves).green[200]).toBe(200);
  });
});

describe('black and white', () => {
  it('weighs the channels and makes every pixel grey', () => {
    const pixels = Uint8ClampedArray.from([255, 0, 0, 255, 0, 255, 0, 255, 0, 0, 255, 128]);
    applyTone(pixels, toneTables({ ...PLAIN_TONE, mono: { red: 1, green: 0, blue: 0 } }));
    expect([...pixels]).toEqual([255, 255, 255, 255, 0, 0, 0, 255, 0, 0, 0, 128]);
    const shares = toneTables({ ...PLAIN_TONE, mono: { red: 0.3, green: 0.59, blue: 0.11 } }).mono;
    expect(shares?.reduce((a, b) => a + b, 0)).toBe(256);
  });
});

describe('the edge of a print', () => {
  const print = { widthMm: 100, heightMm: 60 };
  it.each(['rectangle', 'oval', 'ragged'] as const)('%s is whole in the middle and gone at the rim', (form) => {
    expect(fadeShare(form, 10, print, 50, 30)).toBe(1);
    expect(fadeShare(form, 10, print, 0.01, 0.01)).toBeLessThan(0.05);
  });
  it('fades over its width, the same everywhere along a side', () => {
    expect(fadeShare('rectangle', 10, print, 5, 30)).toBeCloseTo(0.5, 5);
    expect(fadeShare('rectangle', 10, print, 5, 20)).toBeCloseTo(fadeShare('rectangle', 10, print, 5, 40), 9);
    expect(fadeShare('oval', 10, print, 2, 30)).toBeLessThan(0.3);
  });
  it('is ragged within its width: never beyond, and not straight', () => {
    const depths = Array.from({ length: 50 }, (_, i) => {
      let x = 0;
      while (x < 20 && fadeShare('ragged', 8, print, x, 5 + i) < 0.5) x += 0.1;
      return x;
    });
    expect(Math.max(...depths)).toBeLessThanOrEqual(8.5);
    expect(Math.max(...depths) - Math.min(...depths)).toBeGreaterThan(1);
  });
  it('runs out towards white paper, mirrored as the print is', () => {
    const rows = () => new Uint8ClampedArray(100 * 60 * 4).fill(0);
    const [plain, mirrored] = [rows(), rows()];
    const place = { widthPx: 100, firstRow: 0, firstColumn: 0, mmPerPx: 1, print };
    fadeRows(plain, 'ragged', 8, { ...place, mirrored: false });
    fadeRows(mirrored, 'ragged', 8, { ...place, mirrored: true });
    const at = (pixels: Uint8ClampedArray, x: number, y: number) => pixels[(y * 100 + x) * 4];
    expect(at(plain, 0, 30)).toBeGreaterThan(200);
    expect(at(plain, 50, 30)).toBe(0);
    for (let y = 0; y < 60; y += 7)
      for (let x = 0; x < 100; x += 3) expect(at(mirrored, 99 - x, y)).toBe(at(plain, x, y));
  });
});
