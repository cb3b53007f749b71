import { expose, transfer } from 'comlink';
import { cropPixels } from '@/core/picture';
import { resample, type RowSource } from '@/core/raster';
import { writeSheetPdf } from '@/core/sheet/pdf';
import { fail, ok } from '@/core/shared';
import type { SheetJob } from './protocol';

const STRIP_ROWS = 256;
const JPEG_QUALITY = 0.93;
/** Shares of the work: decoding, pixels, then encoding and writing. */
const DECODED = 0.2;
const RESAMPLED = 0.85;

const job: SheetJob = {
  async make({ file, crop, layout, text }, onProgress) {
    onProgress(0.02);
    const bitmap = await createImageBitmap(file, { imageOrientation: 'from-image' }).catch(() => null);
    if (!bitmap) return fail('picture-broken', 'the picture could not be decoded');
    onProgress(DECODED);
    const { widthPx, heightPx } = layout.rasterPx;
    const canvas = new OffscreenCanvas(widthPx, heightPx);
    const context = canvas.getContext('2d', { alpha: false, willReadFrequently: true });
    if (!context) return fail('sheet-failed', 'no canvas to print on');
    const pixels = cropPixels(crop, { widthPx: bitmap.width, heightPx: bitmap.height });
    const made = resample(bitmapRows(bitmap), pixels, layout.rasterPx, true, (firstRow, rows, rgba) => {
      context.putImageData(new ImageData(new Uint8ClampedArray(rgba), widthPx, rows), 0, firstRow);
      onProgress(DECODED + (RESAMPLED - DECODED) * ((firstRow + rows) / heightPx));
    });
    bitmap.close();
    if (!made.ok) return made;
    const jpeg = new Uint8Array(await (await canvas.convertToBlob({ type: 'image/jpeg', quality: JPEG_QUALITY })).arrayBuffer());
    const pdf = new Uint8Array(await writeSheetPdf(layout, jpeg, text));
    onProgress(1);
    return ok(transfer(pdf, [pdf.buffer]));
  },
};

/** Reads a bitmap's rows through a canvas of a few rows: the whole picture is never copied out at once. */
function bitmapRows(bitmap: ImageBitmap): RowSource {
  const canvas = new OffscreenCanvas(bitmap.width, Math.min(STRIP_ROWS, bitmap.height));
  const context = canvas.getContext('2d', { willReadFrequently: true });
  if (!context) throw new Error('no canvas to read the picture with');
  let strip = new Uint8ClampedArray(0);
  let first = 0;
  let held = 0;
  const rowBytes = bitmap.width * 4;
  return {
    widthPx: bitmap.width,
    heightPx: bitmap.height,
    readRows(from, count) {
      if (from < first || from + count > first + held) {
        first = from;
        held = Math.min(canvas.height, bitmap.height - from);
        context.clearRect(0, 0, canvas.width, canvas.height);
        context.drawImage(bitmap, 0, from, bitmap.width, held, 0, 0, bitmap.width, held);
        strip = context.getImageData(0, 0, bitmap.width, held).data;
      }
      return strip.subarray((from - first) * rowBytes, (from - first + count) * rowBytes);
    },
  };
}

expose(job);
