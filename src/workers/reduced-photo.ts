/** A photo from a camera, upright and no larger than is needed. Worker only. */
import { transfer } from 'comlink';
import type { Rgba } from '@/core/photo';
import { decodeHeic } from './foreign-picture';
import { decodeUpright } from './bitmap-rows';

export interface ReducedPhoto {
  pixels: Rgba;
  /** Of its own sides, those that are left. */
  scale: number;
  canvas: OffscreenCanvas;
}

/**
 * @param scaleOf how much of its sides is kept, from its own size; never more than all
 * @returns null where it can't be decoded
 */
export async function reducedPhoto(
  file: Blob,
  scaleOf: (width: number, height: number) => number,
): Promise<ReducedPhoto | null> {
  const bitmap = (await decodeUpright(file)) ?? (await decodeHeic(file));
  if (!bitmap) return null;
  const scale = Math.min(1, scaleOf(bitmap.width, bitmap.height));
  const size = {
    width: Math.max(1, Math.round(bitmap.width * scale)),
    height: Math.max(1, Math.round(bitmap.height * scale)),
  };
  const canvas = drawnSmaller(bitmap, size);
  bitmap.close();
  const context = contextOf(canvas);
  return { pixels: { data: context.getImageData(0, 0, size.width, size.height).data, ...size }, scale, canvas };
}

function contextOf(canvas: OffscreenCanvas): OffscreenCanvasRenderingContext2D {
  const context = canvas.getContext('2d', { alpha: false, willReadFrequently: true });
  if (!context) throw new Error('no canvas to read the photo with');
  return context;
}

/** Halved as often as that goes – halving by line is the mean of four, and quick – and then by what is left. */
function drawnSmaller(from: ImageBitmap | OffscreenCanvas, to: { width: number; height: number }): OffscreenCanvas {
  const half = { width: Math.ceil(from.width / 2), height: Math.ceil(from.height / 2) };
  const isFar = half.width >= to.width && half.height >= to.height;
  const { width, height } = isFar ? half : to;
  const canvas = new OffscreenCanvas(width, height);
  const context = contextOf(canvas);
  context.imageSmoothingQuality = 'low';
  context.drawImage(from, 0, 0, width, height);
  if (!isFar) return canvas;
  const smaller = drawnSmaller(canvas, to);
  canvas.width = 0;
  return smaller;
}

/** As much of it as a page shows. */
const SHOWN_PX = 900;

/** The photo as it is shown while it is read: handed over, not copied. */
export function shownPhoto({ canvas }: ReducedPhoto): ImageBitmap {
  const scale = Math.min(1, SHOWN_PX / Math.max(canvas.width, canvas.height));
  const bitmap = drawnSmaller(canvas, {
    width: Math.max(1, Math.round(canvas.width * scale)),
    height: Math.max(1, Math.round(canvas.height * scale)),
  }).transferToImageBitmap();
  return transfer(bitmap, [bitmap]);
}
