/** Pictures as phones keep them (HEIC, AVIF), made into JPEG once. Worker only. */
import { decodeUpright } from './bitmap-rows';

const JPEG_QUALITY = 0.95;

/**
 * @returns the picture upright over white as JPEG, at its full size; null where it can't be decoded
 */
export async function asJpeg(file: Blob): Promise<Blob | null> {
  const bitmap = (await decodeUpright(file)) ?? (await decodeHeic(file));
  if (!bitmap) return null;
  const canvas = new OffscreenCanvas(bitmap.width, bitmap.height);
  const context = canvas.getContext('2d', { alpha: false });
  if (!context) return null;
  context.fillStyle = '#fff';
  context.fillRect(0, 0, canvas.width, canvas.height);
  context.drawImage(bitmap, 0, 0);
  bitmap.close();
  return canvas.convertToBlob({ type: 'image/jpeg', quality: JPEG_QUALITY }).catch(() => null);
}

/** By a decoder that is loaded then (libheif, LGPL-3.0): few browsers read HEIC themselves. Null where it can't. */
export async function decodeHeic(file: Blob): Promise<ImageBitmap | null> {
  try {
    const { heicTo, isHeic } = await import('heic-to/csp');
    return (await isHeic(file as File)) ? await heicTo({ blob: file, type: 'bitmap' }) : null;
  } catch {
    return null;
  }
}
