import fc from '@/testing/properties';
import sharp from 'sharp';
import { BAND_ROWS, loadResampler, resample, type PlaneSource, type RowSource } from './index';
import { lanczosWeights } from './lanczos-weights';
import { plainPasses } from './resample-plain';
import { PLAIN_TONE, applyTone, toneTables, type ToneTables } from './tone';

function source(
  widthPx: number,
  heightPx: number,
  pixel: (x: number, y: number) => [number, number, number, number],
): RowSource {
  const data = new Uint8ClampedArray(widthPx * heightPx * 4);
  for (let y = 0; y < heightPx; y++) for (let x = 0; x < widthPx; x++) data.set(pixel(x, y), (y * widthPx + x) * 4);
  return {
    widthPx,
    heightPx,
    readRows(from, count, left, width) {
      const rows = new Uint8ClampedArray(count * width * 4);
      for (let row = 0; row < count; row++)
        rows.set(
          data.subarray(((from + row) * widthPx + left) * 4, ((from + row) * widthPx + left + width) * 4),
          row * width * 4,
        );
      return rows;
    },
  };
}
const rowsOf = (from: RowSource, first = 0, count = from.heightPx) =>
  from.readRows(first, count, 0, from.widthPx) as Uint8ClampedArray;

async function run(
  from: RowSource,
  out: { widthPx: number; heightPx: number },
  mirrored = false,
  crop = { xPx: 0, yPx: 0, widthPx: from.widthPx, heightPx: from.heightPx },
  passes = loadResampler(),
  tone: ToneTables | null = null,
): Promise<Uint8ClampedArray> {
  const pixels = new Uint8ClampedArray(out.widthPx * out.heightPx * 4);
  const result = await resample(
    from,
    crop,
    out,
    mirrored,
    (firstRow, _rows, rgba) => pixels.set(rgba, firstRow * out.widthPx * 4),
    passes,
    tone,
  );
  expect(result.ok).toBe(true);
  return pixels;
}

/** A smooth, detailed test picture without a library's help. */
const wavy = (x: number, y: number): [number, number, number, number] => [
  128 + 110 * Math.sin(x / 7 + y / 13),
  128 + 90 * Math.cos((x * y) / 900),
  (x * 3 + y * 2) % 256,
  255,
];

describe('Lanczos-3 weights', () => {
  it('sum to one and stay inside the picture', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 200 }),
        fc.integer({ min: 1, max: 200 }),
        fc.double({ min: 0, max: 0.5, noNaN: true }),
        fc.boolean(),
        (size, out, offset, mirrored) => {
          const { starts, weights, taps } = lanczosWeights(size, offset * size, size * (1 - offset), out, mirrored);
          for (let i = 0; i < out; i++) {
            let total = 0;
            for (let tap = 0; tap < taps; tap++) total += weights[i * taps + tap];
            expect(total).toBeCloseTo(1, 5);
            expect(starts[i]).toBeGreaterThanOrEqual(0);
            expect(starts[i] + taps).toBeLessThanOrEqual(size);
          }
        },
      ),
    );
  });
});

describe('resampling', () => {
  it('leaves a picture alone at its own size, and mirrors it to the pixel', async () => {
    const from = source(37, 91, wavy);
    const [same, mirrored] = [await run(from, from), await run(from, from, true)];
    for (let y = 0; y < 91; y += 7)
      for (let x = 0; x < 37; x++)
        for (let c = 0; c < 3; c++) {
          expect(Math.abs(same[(y * 37 + x) * 4 + c] - rowsOf(from, y, 1)[x * 4 + c])).toBeLessThanOrEqual(1);
          expect(mirrored[(y * 37 + 36 - x) * 4 + c]).toBe(same[(y * 37 + x) * 4 + c]);
        }
  });

  it('keeps an even colour even', async () => {
    for (const out of [
      { widthPx: 13, heightPx: 200 },
      { widthPx: 150, heightPx: 11 },
    ]) {
      const pixels = await run(
        source(64, 70, () => [40, 90, 200, 255]),
        out,
      );
      for (let i = 0; i < pixels.length; i += 4) expect([...pixels.subarray(i, i + 4)]).toEqual([40, 90, 200, 255]);
    }
  });

  it('is the same to the bit with and without WebAssembly, toned and grey', async () => {
    const size = fc.integer({ min: 1, max: 60 });
    await fc.assert(
      fc.asyncProperty(
        size,
        size,
        size,
        size,
        fc.boolean(),
        fc.constantFrom(
          null,
          { ...PLAIN_TONE, gamma: 1.4, warmth: 30 },
          { ...PLAIN_TONE, mono: { red: 3, green: 6, blue: 1 } },
        ),
        async (w, h, outW, outH, mirrored, tone) => {
          const from = source(w, h, wavy);
          const tables = tone && toneTables(tone);
          const crop = { xPx: w * 0.1, yPx: h * 0.05, widthPx: w * 0.8, heightPx: h * 0.9 };
          const out = { widthPx: outW, heightPx: outH };
          const [kernel, plain, bare] = [
            await run(from, out, mirrored, crop, undefined, tables),
            await run(from, out, mirrored, crop, plainPasses(), tables),
            await run(from, out, mirrored, crop),
          ];
          expect(Buffer.compare(Buffer.from(kernel), Buffer.from(plain))).toBe(0);
          if (tables) {
            applyTone(bare, tables);
            expect(Buffer.compare(Buffer.from(kernel), Buffer.from(bare))).toBe(0);
          }
        },
      ),
      { numRuns: 60 },
    );
  });

  it('cuts to the crop', async () => {
    const pixels = await run(
      source(100, 100, (x, y) => (x >= 50 && y >= 50 ? [255, 0, 0, 255] : [0, 0, 255, 255])),
      { widthPx: 20, heightPx: 20 },
      false,
      { xPx: 60, yPx: 60, widthPx: 30, heightPx: 30 },
    );
    expect([...pixels.subarray(0, 3)]).toEqual([255, 0, 0]);
  });

  it.each([
    [600, 400, 150, 100],
    [600, 400, 233, 171],
    [1001, 303, 500, 77],
  ])('agrees with another Lanczos-3 from %p × %p to %p × %p', async (w, h, outW, outH) => {
    const from = source(w, h, wavy);
    const mine = await run(from, { widthPx: outW, heightPx: outH });
    const theirs = await sharp(Buffer.from(rowsOf(from)), { raw: { width: w, height: h, channels: 4 } })
      .resize(outW, outH, { kernel: 'lanczos3', fit: 'fill', fastShrinkOnLoad: false })
      .raw()
      .toBuffer();
    let total = 0;
    for (let i = 0; i < mine.length; i++) total += Math.abs(mine[i] - theirs[i]);
    expect(total / mine.length).toBeLessThan(1);
  });

  it.each([
    [120, 90, 300, 225],
    [40, 77, 30, 120],
    [90, 60, 33, 21],
  ])('is within one level of Lanczos-3 worked out in full from %p × %p to %p × %p', async (w, h, outW, outH) => {
    const from = source(w, h, wavy);
    const mine = await run(from, { widthPx: outW, heightPx: outH });
    const kernel = (x: number) =>
      x === 0
        ? 1
        : Math.abs(x) >= 3
          ? 0
          : (3 * Math.sin(Math.PI * x) * Math.sin((Math.PI * x) / 3)) / (Math.PI * x) ** 2;
    const axis = (size: number, out: number, at: number) => {
      const step = size / out;
      const stretch = Math.max(1, step);
      const weights = Array.from({ length: size }, (_, i) => kernel((i + 0.5 - (at + 0.5) * step) / stretch));
      const total = weights.reduce((a, b) => a + b, 0);
      return weights.map((weight) => weight / total);
    };
    const pixels = rowsOf(from);
    for (let y = 0; y < outH; y += 11)
      for (let x = 0; x < outW; x += 9) {
        const [down, across] = [axis(h, outH, y), axis(w, outW, x)];
        for (let c = 0; c < 3; c++) {
          let value = 0;
          for (let j = 0; j < h; j++)
            if (down[j] !== 0)
              for (let i = 0; i < w; i++)
                if (across[i] !== 0) value += down[j] * across[i] * pixels[(j * w + i) * 4 + c];
          expect(Math.abs(mine[(y * outW + x) * 4 + c] - Math.min(255, Math.max(0, value)))).toBeLessThanOrEqual(1);
        }
      }
  });

  it('reads a decoder’s planes as if they were coloured first, with and without WebAssembly', async () => {
    const [w, h] = [51, 37];
    const plane = (width: number, height: number, level: (x: number, y: number) => number) =>
      Uint8Array.from({ length: width * height }, (_, i) => level(i % width, Math.floor(i / width)));
    const [cw, ch] = [Math.ceil(w / 2), Math.ceil(h / 2)];
    const [luma, blue, red] = [
      plane(w, h, (x, y) => 128 + 100 * Math.sin(x / 3 + y / 5)),
      plane(cw, ch, (x) => 90 + 3 * x),
      plane(cw, ch, (_, y) => 60 + 8 * y),
    ];
    const planes: PlaneSource = {
      widthPx: w,
      heightPx: h,
      readPlanes(from, count, left, width, into) {
        const [lumaStride, chromaStride, chromaRows] = [width, Math.ceil(width / 2), Math.ceil(count / 2)];
        expect([from % 2, left % 2]).toEqual([0, 0]);
        const layout = {
          luma: 0,
          blueness: lumaStride * count,
          redness: lumaStride * count + chromaStride * chromaRows,
          lumaStride,
          chromaStride,
        };
        for (let row = 0; row < count; row++)
          into.set(luma.subarray((from + row) * w + left, (from + row) * w + left + width), row * lumaStride);
        for (let row = 0; row < chromaRows; row++)
          for (const [source, at] of [
            [blue, layout.blueness],
            [red, layout.redness],
          ] as const) {
            const start = (from / 2 + row) * cw + left / 2;
            into.set(source.subarray(start, start + chromaStride), at + row * chromaStride);
          }
        return Promise.resolve(layout);
      },
    };
    const coloured = source(w, h, (x, y) => {
      const [l, u, v] = [luma[y * w + x], blue[(y >> 1) * cw + (x >> 1)] - 128, red[(y >> 1) * cw + (x >> 1)] - 128];
      return [Math.round(l + 1.402 * v), Math.round(l - 0.344136 * u - 0.714136 * v), Math.round(l + 1.772 * u), 255];
    });
    const crop = { xPx: 4, yPx: 3, widthPx: 40, heightPx: 30 };
    const out = { widthPx: 30, heightPx: 44 };
    const reference = await run(coloured, out, true, crop);
    const [kernel, plain] = [
      await run(planes as never, out, true, crop),
      await run(planes as never, out, true, crop, plainPasses()),
    ];
    expect(Buffer.compare(Buffer.from(kernel), Buffer.from(plain))).toBe(0);
    expect(Math.max(...kernel.map((level, i) => Math.abs(level - reference[i])))).toBeLessThanOrEqual(2);
  });

  it('refuses a crop without pixels', async () => {
    const from = source(10, 10, wavy);
    expect(
      await resample(
        from,
        { xPx: 0, yPx: 0, widthPx: 0, heightPx: 5 },
        { widthPx: 5, heightPx: 5 },
        false,
        () => undefined,
        plainPasses(),
      ),
    ).toMatchObject({ ok: false, error: { code: 'crop-empty' } });
  });

  it('asks for no more rows at a time than the filter reaches, and for the crop’s columns only', async () => {
    let [most, widest] = [0, 0];
    const inner = source(90, 3000, wavy);
    await run(
      {
        ...inner,
        readRows: (from, count, left, width) => {
          most = Math.max(most, count);
          widest = Math.max(widest, width);
          return inner.readRows(from, count, left, width);
        },
      },
      { widthPx: 20, heightPx: 300 },
      false,
      { xPx: 10, yPx: 0, widthPx: 20, heightPx: 3000 },
    );
    expect(most).toBeLessThanOrEqual(BAND_ROWS);
    expect(widest).toBeLessThanOrEqual(30);
  });

  it('shows no alias on a zone plate: reduced past its finest rings it is as even as another Lanczos-3 makes it', async () => {
    const size = 1200;
    const zone = source(size, size, (x, y) => {
      const v = 127.5 + 127.5 * Math.cos((Math.PI / (2 * size)) * ((x - size / 2) ** 2 + (y - size / 2) ** 2) * 2);
      return [v, v, v, 255];
    });
    const out = { widthPx: 400, heightPx: 400 };
    const mine = await run(zone, out);
    const theirs = await sharp(Buffer.from(rowsOf(zone)), { raw: { width: size, height: size, channels: 4 } })
      .resize(400, 400, { kernel: 'lanczos3', fit: 'fill' })
      .raw()
      .toBuffer();
    let squares = 0;
    for (let i = 0; i < mine.length; i += 4) squares += (mine[i] - theirs[i]) ** 2;
    // 60 dB and more.
    expect(10 * Math.log10(255 ** 2 / Math.max(1e-9, squares / (mine.length / 4)))).toBeGreaterThan(50);
    // Beyond the finest ring that 400 pixels can show there is only grey.
    const corner = Array.from({ length: 40 * 40 }, (_, i) => mine[((i % 40) + Math.floor(i / 40) * 400) * 4]);
    expect(Math.max(...corner) - Math.min(...corner)).toBeLessThan(20);
  });
});
