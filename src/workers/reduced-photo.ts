/** A photo from a camera, upright and no larger than is needed. Worker only. */
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
  const [width, height] = [
    Math.max(1, Math.round(bitmap.width * scale)),
    Math.max(1, Math.round(bitmap.height * scale)),
  ];
  const canvas = new OffscreenCanvas(width, height);
  const context = canvas.getContext('2d', { alpha: false, willReadFrequently: true });
  if (!context) throw new Error('no canvas to read the photo with');
  context.imageSmoothingQuality = 'high';
  context.drawImage(bitmap, 0, 0, width, height);
  bitmap.close();
  return { pixels: { data: context.getImageData(0, 0, width, height).data, width, height }, scale, canvas };
}
