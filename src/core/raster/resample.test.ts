import fc from 'fast-check';
import sharp from 'sharp';
import { resample, type RowSource } from './index';
import { lanczosWeights } from './lanczos-weights';

function source(widthPx: number, heightPx: number, pixel: (x: number, y: number) => [number, number, number, number]): RowSource {
  const data = new Uint8ClampedArray(widthPx * heightPx * 4);
  for (let y = 0; y < heightPx; y++) for (let x = 0; x < widthPx; x++) data.set(pixel(x, y), (y * widthPx + x) * 4);
  return { widthPx, heightPx, readRows: (from, count) => data.subarray(from * widthPx * 4, (from + count) * widthPx * 4) };
}

function run(from: RowSource, out: { widthPx: number; heightPx: number }, mirrored = false, crop = { xPx: 0, yPx: 0, widthPx: from.widthPx, heightPx: from.heightPx }): Uint8ClampedArray {
  const pixels = new Uint8ClampedArray(out.widthPx * out.heightPx * 4);
  const result = resample(from, crop, out, mirrored, (firstRow, _rows, rgba) => pixels.set(rgba, firstRow * out.widthPx * 4));
  expect(result.ok).toBe(true);
  return pixels;
}

/** A smooth, detailed test picture without a library's help. */
const wavy = (x: number, y: number): [number, number, number, number] => [128 + 110 * Math.sin(x / 7 + y / 13), 128 + 90 * Math.cos((x * y) / 900), (x * 3 + y * 2) % 256, 255];

describe('Lanczos-3 weights', () => {
  it('sum to one and stay inside the picture', () => {
    fc.assert(fc.property(fc.integer({ min: 1, max: 200 }), fc.integer({ min: 1, max: 200 }), fc.double({ min: 0, max: 0.5, noNaN: true }), fc.boolean(), (size, out, offset, mirrored) => {
      const { starts, weights, taps } = lanczosWeights(size, offset * size, size * (1 - offset), out, mirrored);
      for (let i = 0; i < out; i++) {
        let total = 0;
        for (let tap = 0; tap < taps; tap++) total += weights[i * taps + tap];
        expect(total).toBeCloseTo(1, 5);
        expect(starts[i]).toBeGreaterThanOrEqual(0);
        expect(starts[i] + taps).toBeLessThanOrEqual(size);
      }
    }));
  });
});

describe('resampling', () => {
  it('leaves a picture alone at its own size, and mirrors it to the pixel', () => {
    const from = source(37, 91, wavy);
    const [same, mirrored] = [run(from, from), run(from, from, true)];
    for (let y = 0; y < 91; y += 7) for (let x = 0; x < 37; x++) for (let c = 0; c < 3; c++) {
      expect(Math.abs(same[(y * 37 + x) * 4 + c] - from.readRows(y, 1)[x * 4 + c])).toBeLessThanOrEqual(1);
      expect(mirrored[(y * 37 + 36 - x) * 4 + c]).toBe(same[(y * 37 + x) * 4 + c]);
    }
  });

  it('keeps an even colour even', () => {
    for (const out of [{ widthPx: 13, heightPx: 200 }, { widthPx: 150, heightPx: 11 }]) {
      const pixels = run(source(64, 70, () => [40, 90, 200, 255]), out);
      for (let i = 0; i < pixels.length; i += 4) expect([...pixels.subarray(i, i + 4)]).toEqual([40, 90, 200, 255]);
    }
  });

  it('lays what is transparent over white paper', () => {
    const pixels = run(source(8, 8, () => [0, 0, 0, 127]), { widthPx: 4, heightPx: 4 });
    expect(pixels[0]).toBe(128);
    expect(pixels[3]).toBe(255);
  });

  it('cuts to the crop', () => {
    const pixels = run(source(100, 100, (x, y) => (x >= 50 && y >= 50 ? [255, 0, 0, 255] : [0, 0, 255, 255])), { widthPx: 20, heightPx: 20 }, false, { xPx: 60, yPx: 60, widthPx: 30, heightPx: 30 });
    expect([...pixels.subarray(0, 3)]).toEqual([255, 0, 0]);
  });

  it.each([[600, 400, 150, 100], [600, 400, 233, 171], [1001, 303, 500, 77]])('agrees with another Lanczos-3 from %p × %p to %p × %p', async (w, h, outW, outH) => {
    const from = source(w, h, wavy);
    const mine = run(from, { widthPx: outW, heightPx: outH });
    const theirs = await sharp(Buffer.from(from.readRows(0, h)), { raw: { width: w, height: h, channels: 4 } }).resize(outW, outH, { kernel: 'lanczos3', fit: 'fill', fastShrinkOnLoad: false }).raw().toBuffer();
    let total = 0;
    for (let i = 0; i < mine.length; i++) total += Math.abs(mine[i] - theirs[i]);
    expect(total / mine.length).toBeLessThan(1);
  });

  it.each([[120, 90, 300, 225], [40, 77, 30, 120], [90, 60, 33, 21]])('is within one level of Lanczos-3 worked out in full from %p × %p to %p × %p', (w, h, outW, outH) => {
    const from = source(w, h, wavy);
    const mine = run(from, { widthPx: outW, heightPx: outH });
    const kernel = (x: number) => (x === 0 ? 1 : Math.abs(x) >= 3 ? 0 : (3 * Math.sin(Math.PI * x) * Math.sin((Math.PI * x) / 3)) / (Math.PI * x) ** 2);
    const axis = (size: number, out: number, at: number) => {
      const step = size / out;
      const stretch = Math.max(1, step);
      const weights = Array.from({ length: size }, (_, i) => kernel((i + 0.5 - (at + 0.5) * step) / stretch));
      const total = weights.reduce((a, b) => a + b, 0);
      return weights.map((weight) => weight / total);
    };
    const pixels = from.readRows(0, h);
    for (let y = 0; y < outH; y += 11) for (let x = 0; x < outW; x += 9) {
      const [down, across] = [axis(h, outH, y), axis(w, outW, x)];
      for (let c = 0; c < 3; c++) {
        let value = 0;
        for (let j = 0; j < h; j++) if (down[j] !== 0) for (let i = 0; i < w; i++) if (across[i] !== 0) value += down[j] * across[i] * pixels[(j * w + i) * 4 + c];
        expect(Math.abs(mine[(y * outW + x) * 4 + c] - Math.min(255, Math.max(0, value)))).toBeLessThanOrEqual(1);
      }
    }
  });

  it('refuses a crop without pixels', () => {
    const from = source(10, 10, wavy);
    expect(resample(from, { xPx: 0, yPx: 0, widthPx: 0, heightPx: 5 }, { widthPx: 5, heightPx: 5 }, false, () => undefined)).toMatchObject({ ok: false, error: { code: 'crop-empty' } });
  });

  it('asks for no more rows at a time than the filter reaches', () => {
    let most = 0;
    const inner = source(50, 3000, wavy);
    run({ ...inner, readRows: (from, count) => { most = Math.max(most, count); return inner.readRows(from, count); } }, { widthPx: 50, heightPx: 300 });
    expect(most).toBeLessThanOrEqual(64);
  });
});
