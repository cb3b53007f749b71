/**
 * Crop, mirror, resample and tone in one streaming pass: source rows come in bands, output rows go out in bands, and
 * only as many resampled rows are kept as the vertical filter reaches over. Works on sRGB levels, as print drivers and
 * sharp do. The passes are a WebAssembly kernel of under 1 kB; its plain twin runs where there is none. Memory: a band
 * of the source's columns, output width × (vertical taps + one band).
 */
import { assert, fail, kernelRoom, ok, startKernel, type Result } from '@/core/shared';
import type { RectPx, SizePx } from '@/core/picture/crop';
import { RESAMPLE_WASM } from './kernel/resample.bytes';
import { lanczosWeights, type AxisWeights } from './lanczos-weights';
import { WEIGHT_BITS, plainPasses, type ResamplePasses } from './resample-plain';
import type { ToneTables } from './tone';

export interface RowSource extends SizePx {
  /**
   * RGBA of rows `from` to `from + count`, columns `left` to `left + width`, opaque and without gaps. The array is only
   * read until the next call.
   */
  readRows(from: number, count: number, left: number, width: number): Uint8ClampedArray | Promise<Uint8ClampedArray>;
}

/**
 * Luma and halved chroma of a band of a decoded JPEG, one plane behind the other, as decoders keep them: a third of
 * RGBA's bytes, and coloured in the kernel.
 */
export interface PlaneSource extends SizePx {
  /** Rows `from` to `from + count` and columns `left` to `left + width`; all even but for the picture's own end. */
  readPlanes(
    from: number,
    count: number,
    left: number,
    width: number,
    into: Uint8Array<ArrayBuffer>,
  ): Promise<{ luma: number; blueness: number; redness: number; lumaStride: number; chromaStride: number }>;
}

/** RGBA rows of the output, opaque, which the sink may alter. The array is used again: copy what must stay. */
export type RowSink = (firstRow: number, rows: number, pixels: Uint8ClampedArray<ArrayBuffer>) => void;

/** Rows that are asked for at a time, at the most. */
export const BAND_ROWS = 128;
const ONE = 1 << WEIGHT_BITS;

export type ResampleCode = 'crop-empty';

/** The kernel with its memory, or the plain passes where WebAssembly or its SIMD is missing. One job at a time. */
export function loadResampler(): ResamplePasses {
  const kernel = startKernel<Omit<ResamplePasses, 'reserve'>>(RESAMPLE_WASM);
  if (!kernel) return plainPasses();
  const { horizontal, vertical, tone, colour } = kernel.exports;
  return { horizontal, vertical, tone, colour, reserve: kernel.reserve };
}

/** @param tone laid on as rows come out; null leaves the levels */
export async function resample(
  source: RowSource | PlaneSource,
  crop: RectPx,
  out: SizePx,
  mirrored: boolean,
  sink: RowSink,
  passes: ResamplePasses,
  tone: ToneTables | null = null,
): Promise<Result<void, ResampleCode>> {
  if (!(crop.widthPx > 0 && crop.heightPx > 0))
    return fail('crop-empty', `expected a crop, got ${crop.widthPx} × ${crop.heightPx} px`);
  assert(
    Number.isInteger(out.widthPx) && Number.isInteger(out.heightPx) && out.widthPx > 0 && out.heightPx > 0,
    'output size is whole pixels',
  );
  const across = wholeWeights(lanczosWeights(source.widthPx, crop.xPx, crop.widthPx, out.widthPx, mirrored), 4);
  const along = wholeWeights(lanczosWeights(source.heightPx, crop.yPx, crop.heightPx, out.heightPx), 2);
  const { left, width } = columnsOf(across, source.widthPx);
  // One block of memory: tables, weights, a band of the source, the ring of filtered rows, a band of the output.
  const { placed: place, end } = kernelRoom();
  const tables = place(768);
  const starts = place(out.widthPx * 4);
  const weights = place(across.weights.byteLength);
  const rowWeights = place(along.weights.byteLength);
  const rowAddresses = place(along.padded * 4);
  // A band as RGBA, or as planes with one row of RGBA beside it.
  const band = place(BAND_ROWS * width * 4 + 64);
  const colouredRow = place(width * 4 + 64);
  const rowBytes = Math.ceil(out.widthPx / 2) * 16;
  const ring = place(along.padded * rowBytes);
  const outRowBytes = rowBytes / 2;
  const outBand = place(BAND_ROWS * out.widthPx * 4 + outRowBytes);
  const memory = passes.reserve(end());
  const bytes = new Uint8ClampedArray(memory);
  const words = new Uint32Array(memory);
  for (let x = 0; x < out.widthPx; x++) words[starts / 4 + x] = (across.starts[x] - left) * 4;
  new Int16Array(memory, weights, across.weights.length).set(across.weights);
  new Int16Array(memory, rowWeights, along.weights.length).set(along.weights);
  if (tone) [tone.red, tone.green, tone.blue].forEach((table, channel) => bytes.set(table, tables + channel * 256));
  const grey = tone?.mono ?? ([0, 0, 0] as const);

  const lastRow = Math.min(source.heightPx, along.starts[out.heightPx - 1] + along.taps);
  const fetched = bandReader(source, { left, width, lastRow, at: band, memory });
  let nextSource = along.starts[0];
  let inBand = 0;
  for (let y = 0; y < out.heightPx; y++) {
    for (const wanted = Math.min(lastRow, along.starts[y] + along.taps); nextSource < wanted; nextSource++) {
      if (!fetched.holds(nextSource)) await fetched.fetch(nextSource);
      let row = fetched.rowAt(nextSource);
      if (fetched.planes) {
        passes.colour(
          fetched.planes.luma(nextSource),
          fetched.planes.blueness(nextSource),
          fetched.planes.redness(nextSource),
          colouredRow,
          Math.ceil(width / 8) * 8,
        );
        row = colouredRow;
      }
      passes.horizontal(
        row,
        ring + (nextSource % along.padded) * rowBytes,
        starts,
        weights,
        across.padded / 4,
        out.widthPx,
      );
    }
    for (let tap = 0; tap < along.padded; tap++)
      words[rowAddresses / 4 + tap] = ring + ((along.starts[y] + tap) % along.padded) * rowBytes;
    passes.vertical(
      rowAddresses,
      outBand + inBand * out.widthPx * 4,
      rowWeights + y * along.padded * 2,
      along.padded / 2,
      rowBytes / 16,
    );
    if (tone) passes.tone(outBand + inBand * out.widthPx * 4, out.widthPx, tables, tables + 256, tables + 512, ...grey);
    inBand++;
    if (inBand === BAND_ROWS || y === out.heightPx - 1) {
      sink(y + 1 - inBand, inBand, bytes.subarray(outBand, outBand + inBand * out.widthPx * 4));
      inBand = 0;
    }
  }
  return ok(undefined);
}

/** The columns that a pass reaches, on even bounds: chroma is halved. */
function columnsOf({ starts, taps }: WholeWeights, sourceWidth: number): { left: number; width: number } {
  let [least, most] = [Infinity, 0];
  for (const start of starts) {
    least = Math.min(least, start);
    most = Math.max(most, start + taps);
  }
  const left = least - (least % 2);
  return { left, width: Math.min(sourceWidth, most + (most % 2)) - left };
}

interface BandPlace {
  left: number;
  width: number;
  lastRow: number;
  at: number;
  memory: ArrayBuffer;
}

/** Reads bands of rows into memory, and says where in it a row lies. */
function bandReader(source: RowSource | PlaneSource, { left, width, lastRow, at, memory }: BandPlace) {
  let [first, count] = [0, 0];
  const native = 'readPlanes' in source ? source : null;
  let layout = { luma: 0, blueness: 0, redness: 0, lumaStride: 0, chromaStride: 0 };
  return {
    holds: (row: number) => row >= first && row < first + count,
    async fetch(row: number) {
      first = row - (row % 2);
      count = Math.min(BAND_ROWS, lastRow - first);
      if (native) {
        count = Math.min(source.heightPx - first, count + (count % 2));
        layout = await native.readPlanes(first, count, left, width, new Uint8Array(memory, at, BAND_ROWS * width * 4));
      } else
        new Uint8ClampedArray(memory, at, count * width * 4).set(
          await (source as RowSource).readRows(first, count, left, width),
        );
    },
    rowAt: (row: number) => at + (row - first) * width * 4,
    planes: native && {
      luma: (row: number) => at + layout.luma + (row - first) * layout.lumaStride,
      blueness: (row: number) => at + layout.blueness + ((row - first) >> 1) * layout.chromaStride,
      redness: (row: number) => at + layout.redness + ((row - first) >> 1) * layout.chromaStride,
    },
  };
}

interface WholeWeights {
  starts: Int32Array;
  weights: Int16Array;
  taps: number;
  /** Taps with the zero ones that fill up. */ padded: number;
}

/** Weights in 1/16384 that sum to exactly one for each output pixel, filled up with zeros to a multiple of taps. */
function wholeWeights({ starts, weights, taps }: AxisWeights, multiple: number): WholeWeights {
  const padded = Math.ceil(taps / multiple) * multiple;
  const whole = new Int16Array(starts.length * padded);
  for (let pixel = 0; pixel < starts.length; pixel++) {
    let [total, largest] = [0, 0];
    for (let tap = 0; tap < taps; tap++) {
      const weight = Math.round(weights[pixel * taps + tap] * ONE);
      whole[pixel * padded + tap] = weight;
      total += weight;
      if (weight > whole[pixel * padded + largest]) largest = tap;
    }
    whole[pixel * padded + largest] += ONE - total;
  }
  return { starts, weights: whole, taps, padded };
}
