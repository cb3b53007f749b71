import { expose, transfer } from 'comlink';
import { cropPixels, type SizePx } from '@/core/picture';
import { applyTone, fadeRows, isPlain, resample } from '@/core/raster';
import { writeSheetPdf } from '@/core/sheet/pdf';
import { fail, ok } from '@/core/shared';
import { bitmapRows, decodeUpright } from '../bitmap-rows';
import { drawLayers } from '../layers';
import type { SheetJob, SheetOrder } from './protocol';

const JPEG_QUALITY = 0.93;
/** Shares of the work: decoding, pixels, then encoding and writing. */
const DECODED = 0.2;
const RESAMPLED = 0.85;

const job: SheetJob = {
  async make(order, onProgress) {
    const { file, turning, crop, tone, fade, layout, text, mirrored } = order;
    onProgress(0.02);
    const bitmap = await decodeUpright(file);
    if (!bitmap) return fail('picture-broken', 'the picture could not be decoded');
    onProgress(DECODED);
    const { widthPx, heightPx } = layout.rasterPx;
    const canvas = new OffscreenCanvas(widthPx, heightPx);
    const context = canvas.getContext('2d', { alpha: false, willReadFrequently: true });
    if (!context) return fail('sheet-failed', 'no canvas to print on');
    context.fillStyle = '#fff';
    context.fillRect(0, 0, widthPx, heightPx);
    const place = picturePx(order);
    const source = bitmapRows(bitmap, turning);
    const plain = isPlain(tone);
    const mmPerPx = order.picture.widthMm / place.widthPx;
    const made = resample(source, cropPixels(crop, source), place, mirrored, (firstRow, rows, rgba) => {
      if (!plain) applyTone(rgba, tone);
      fadeRows(rgba.subarray(0, rows * place.widthPx * 4), place.widthPx, firstRow, fade.fade, fade.fadeMm, order.picture, mmPerPx, mirrored);
      context.putImageData(new ImageData(new Uint8ClampedArray(rgba), place.widthPx, rows), place.x, place.y + firstRow);
      onProgress(DECODED + (RESAMPLED - DECODED) * ((firstRow + rows) / place.heightPx));
    });
    bitmap.close();
    if (!made.ok) return made;
    await drawLayers(context, order.layers, order.print, layout.rasterPx, mirrored);
    const jpeg = new Uint8Array(await (await canvas.convertToBlob({ type: 'image/jpeg', quality: JPEG_QUALITY })).arrayBuffer());
    const pdf = new Uint8Array(await writeSheetPdf(layout, jpeg, text));
    onProgress(1);
    return ok(transfer(pdf, [pdf.buffer]));
  },
};

/** Where the main picture lies on the printed raster, whole pixels, counted as printed. */
function picturePx({ print, picture, layout, mirrored }: SheetOrder): SizePx & { x: number; y: number } {
  const [across, along] = [layout.rasterPx.widthPx / print.widthMm, layout.rasterPx.heightPx / print.heightMm];
  const widthPx = Math.max(1, Math.round(picture.widthMm * across));
  const heightPx = Math.max(1, Math.round(picture.heightMm * along));
  const left = Math.round((picture.xMm - print.xMm) * across);
  return { widthPx, heightPx, x: mirrored ? layout.rasterPx.widthPx - left - widthPx : left, y: Math.round((picture.yMm - print.yMm) * along) };
}

expose(job);
