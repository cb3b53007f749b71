import { expose, transfer } from 'comlink';
import { cropPixels, type SizePx } from '@/core/picture';
import { MM_PER_INCH } from '@/core/measure';
import { applyTone, fadeRows, isPlain, resample, type RowSource } from '@/core/raster';
import type { SheetLayout, SheetPack } from '@/core/sheet';
import { writeSheetPdf, type SheetPage } from '@/core/sheet/pdf';
import { fail, ok, type Result } from '@/core/shared';
import { bitmapRows, decodeUpright } from '../bitmap-rows';
import { drawLayers } from '../layers';
import type { SheetCode, SheetJob, SheetOrder } from './protocol';

const JPEG_QUALITY = 0.93;
/** Shares of the work: decoding, then pixels and encoding page by page. */
const DECODED = 0.12;
const PAGES_DONE = 0.97;

const job: SheetJob = {
  async make(order, onProgress) {
    const { file, turning, pack, text } = order;
    onProgress(0.02);
    const bitmap = await decodeUpright(file);
    if (!bitmap) return fail('picture-broken', 'the picture could not be decoded');
    onProgress(DECODED);
    const source = bitmapRows(bitmap, turning);
    const each = (PAGES_DONE - DECODED) / pack.pages.length;
    const pages: SheetPage[] = [];
    for (const layout of pack.pages) {
      const made = await makePage(order, layout, source, (share) => onProgress(DECODED + each * (pages.length + share)));
      if (!made.ok) return made;
      pages.push({ layout, jpeg: made.value });
    }
    bitmap.close();
    const pdf = new Uint8Array(await writeSheetPdf(pages, text, order.truth));
    onProgress(1);
    return ok(transfer(pdf, [pdf.buffer]));
  },
};

/** One page's part of the print: never more pixels than a page holds. */
async function makePage(order: SheetOrder, layout: SheetLayout, source: RowSource, onProgress: (share: number) => void): Promise<Result<Uint8Array, SheetCode>> {
  const { crop, tone, fade, mirrored, print, picture, pack } = order;
  const { widthPx, heightPx } = layout.rasterPx;
  const canvas = new OffscreenCanvas(widthPx, heightPx);
  const context = canvas.getContext('2d', { alpha: false, willReadFrequently: true });
  if (!context) return fail('sheet-failed', 'no canvas to print on');
  context.fillStyle = '#fff';
  context.fillRect(0, 0, widthPx, heightPx);
  const plain = isPlain(tone);
  const place = picturePx(order);
  const part = tilePart(place, layout, pack);
  if (part) {
    const whole = cropPixels(crop, source);
    const shareX = mirrored ? 1 - (part.fromX + part.widthPx) / place.widthPx : part.fromX / place.widthPx;
    const window = {
      xPx: whole.xPx + shareX * whole.widthPx, yPx: whole.yPx + (part.fromY / place.heightPx) * whole.heightPx,
      widthPx: (whole.widthPx * part.widthPx) / place.widthPx, heightPx: (whole.heightPx * part.heightPx) / place.heightPx,
    };
    const mmPerPx = picture.widthMm / place.widthPx;
    const made = resample(source, window, part, mirrored, (firstRow, rows, rgba) => {
      if (!plain) applyTone(rgba, tone);
      fadeRows(rgba.subarray(0, rows * part.widthPx * 4), fade.fade, fade.fadeMm, { widthPx: part.widthPx, firstRow: part.fromY + firstRow, firstColumn: part.fromX, mmPerPx, print: picture, mirrored });
      context.putImageData(new ImageData(new Uint8ClampedArray(rgba), part.widthPx, rows), part.x, part.y + firstRow);
      onProgress((0.85 * (firstRow + rows)) / part.heightPx);
    });
    if (!made.ok) return made;
  }
  if (order.layers.length > 0) {
    // Layers are drawn in the whole print's coordinates, moved so that this tile's window lies on the canvas.
    const { window } = layout.tile;
    const left = mirrored ? print.widthMm - window.xMm - window.widthMm : window.xMm;
    await drawLayers(context, order.layers, { xMm: print.xMm + left, yMm: print.yMm + window.yMm, widthMm: window.widthMm, heightMm: window.heightMm }, layout.rasterPx, mirrored);
  }
  return ok(new Uint8Array(await (await canvas.convertToBlob({ type: 'image/jpeg', quality: JPEG_QUALITY })).arrayBuffer()));
}

interface PlacePx extends SizePx { x: number; y: number }

/** Where the main picture lies on the whole printed raster, whole dots, counted as printed. */
function picturePx({ print, picture, pack, mirrored }: SheetOrder): PlacePx {
  const [across, along] = [pack.printPx.widthPx / print.widthMm, pack.printPx.heightPx / print.heightMm];
  const widthPx = Math.max(1, Math.round(picture.widthMm * across));
  const heightPx = Math.max(1, Math.round(picture.heightMm * along));
  const left = Math.round((picture.xMm - print.xMm) * across);
  return { widthPx, heightPx, x: mirrored ? pack.printPx.widthPx - left - widthPx : left, y: Math.round((picture.yMm - print.yMm) * along) };
}

/** What of the picture lies on a tile: its place on the tile, and where in the picture it begins. Dots; null where there is none. */
function tilePart(place: PlacePx, { tile, rasterPx }: SheetLayout, pack: SheetPack): (PlacePx & { fromX: number; fromY: number }) | null {
  const dotsPerMm = pack.pages[0].rasterPpi / MM_PER_INCH;
  const [tileX, tileY] = [Math.round(tile.window.xMm * dotsPerMm), Math.round(tile.window.yMm * dotsPerMm)];
  const [left, top] = [Math.max(place.x, tileX), Math.max(place.y, tileY)];
  const widthPx = Math.min(place.x + place.widthPx, tileX + rasterPx.widthPx) - left;
  const heightPx = Math.min(place.y + place.heightPx, tileY + rasterPx.heightPx) - top;
  return widthPx > 0 && heightPx > 0 ? { x: left - tileX, y: top - tileY, widthPx, heightPx, fromX: left - place.x, fromY: top - place.y } : null;
}

expose(job);
