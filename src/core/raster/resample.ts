/**
 * Crop, mirror and resample in one streaming pass: source rows come in bands, output rows go out in bands, and only as many
 * resampled rows are kept as the vertical filter reaches over. Works on sRGB levels, as print drivers and sharp do; what is
 * transparent is laid over white paper first. Memory: output width × (vertical taps + one band).
 */
import { assert, fail, ok, type Result } from '@/core/shared';
import type { RectPx, SizePx } from '@/core/picture/crop';
import { lanczosWeights, type AxisWeights } from './lanczos-weights';

export interface RowSource extends SizePx {
  /** RGBA of whole source rows `from` to `from + count`. The array is only read until the next call. */
  readRows(from: number, count: number): Uint8ClampedArray;
}

/** RGBA rows of the output, opaque. The array is reused: copy what must stay. */
export type RowSink = (firstRow: number, rows: number, pixels: Uint8ClampedArray) => void;

const CHANNELS = 3;
const BAND_ROWS = 64;

export type ResampleCode = 'crop-empty';

export function resample(source: RowSource, crop: RectPx, out: SizePx, mirrored: boolean, sink: RowSink): Result<void, ResampleCode> {
  if (!(crop.widthPx > 0 && crop.heightPx > 0)) return fail('crop-empty', `expected a crop, got ${crop.widthPx} × ${crop.heightPx} px`);
  assert(Number.isInteger(out.widthPx) && Number.isInteger(out.heightPx) && out.widthPx > 0 && out.heightPx > 0, 'output size is whole pixels');
  const across = lanczosWeights(source.widthPx, crop.xPx, crop.widthPx, out.widthPx, mirrored);
  const along = lanczosWeights(source.heightPx, crop.yPx, crop.heightPx, out.heightPx);
  const rowLength = out.widthPx * CHANNELS;
  const ring = new Float32Array(along.taps * rowLength);
  const sums = new Float32Array(rowLength);
  const band = new Uint8ClampedArray(Math.min(BAND_ROWS, out.heightPx) * out.widthPx * 4).fill(255);
  const paper = new Float32Array(source.widthPx * CHANNELS);

  let nextSource = along.starts[0];
  let inBand = 0;
  for (let y = 0; y < out.heightPx; y++) {
    const wanted = along.starts[y] + along.taps;
    while (nextSource < wanted) {
      const count = Math.min(BAND_ROWS, wanted - nextSource);
      const rows = source.readRows(nextSource, count);
      for (let row = 0; row < count; row++) {
        overWhite(rows, row * source.widthPx * 4, paper);
        filterRow(paper, across, ring, ((nextSource + row) % along.taps) * rowLength, out.widthPx);
      }
      nextSource += count;
    }
    sums.fill(0);
    for (let tap = 0; tap < along.taps; tap++) {
      const weight = along.weights[y * along.taps + tap];
      if (weight === 0) continue;
      const base = ((along.starts[y] + tap) % along.taps) * rowLength;
      for (let i = 0; i < rowLength; i++) sums[i] += weight * ring[base + i];
    }
    let target = inBand * out.widthPx * 4;
    for (let i = 0; i < rowLength; i += CHANNELS, target += 4) {
      band[target] = sums[i];
      band[target + 1] = sums[i + 1];
      band[target + 2] = sums[i + 2];
    }
    inBand++;
    if (inBand === BAND_ROWS || y === out.heightPx - 1) {
      sink(y + 1 - inBand, inBand, band.subarray(0, inBand * out.widthPx * 4));
      inBand = 0;
    }
  }
  return ok(undefined);
}

function overWhite(rgba: Uint8ClampedArray, offset: number, paper: Float32Array): void {
  for (let from = offset, to = 0; to < paper.length; from += 4, to += CHANNELS) {
    const alpha = rgba[from + 3];
    if (alpha === 255) {
      paper[to] = rgba[from];
      paper[to + 1] = rgba[from + 1];
      paper[to + 2] = rgba[from + 2];
    } else {
      const share = alpha / 255;
      const white = 255 * (1 - share);
      paper[to] = rgba[from] * share + white;
      paper[to + 1] = rgba[from + 1] * share + white;
      paper[to + 2] = rgba[from + 2] * share + white;
    }
  }
}

function filterRow(paper: Float32Array, { starts, weights, taps }: AxisWeights, ring: Float32Array, base: number, outWidth: number): void {
  for (let x = 0; x < outWidth; x++) {
    let red = 0;
    let green = 0;
    let blue = 0;
    let from = starts[x] * CHANNELS;
    const first = x * taps;
    for (let tap = 0; tap < taps; tap++, from += CHANNELS) {
      const weight = weights[first + tap];
      red += weight * paper[from];
      green += weight * paper[from + 1];
      blue += weight * paper[from + 2];
    }
    const to = base + x * CHANNELS;
    ring[to] = red;
    ring[to + 1] = green;
    ring[to + 2] = blue;
  }
}
