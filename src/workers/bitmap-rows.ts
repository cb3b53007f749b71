import { frameMatrix, frameSize, type PictureRows, type Turning } from '@/core/picture';
import { BAND_ROWS, type RowSource } from '@/core/raster';

/**
 * Reads a bitmap's rows, turned and straightened, over white, through a canvas of a few rows: the whole picture is
 * never copied out at once. Worker only.
 */
export function bitmapRows(bitmap: ImageBitmap, turning: Turning): RowSource & PictureRows {
  const picture = { widthPx: bitmap.width, heightPx: bitmap.height };
  const { widthPx, heightPx } = frameSize(picture, turning);
  const [a, b, c, d, e, f] = frameMatrix(picture, turning);
  const canvas = new OffscreenCanvas(widthPx, Math.min(BAND_ROWS, heightPx));
  const context = canvas.getContext('2d', { alpha: false, willReadFrequently: true });
  if (!context) throw new Error('no canvas to read the picture with');
  const straight = turning.straightenDeg === 0;
  context.imageSmoothingEnabled = !straight;
  context.imageSmoothingQuality = 'high';
  return {
    widthPx,
    heightPx,
    readRows(from: number, count: number, left: number = 0, width: number = widthPx): Uint8ClampedArray {
      context.setTransform(1, 0, 0, 1, 0, 0);
      context.fillStyle = '#fff';
      context.fillRect(left, 0, width, count);
      if (straight && turning.turns === 0) context.drawImage(bitmap, left, from, width, count, left, 0, width, count);
      else {
        context.setTransform(a, b, c, d, e, f - from);
        context.drawImage(bitmap, 0, 0);
      }
      return context.getImageData(left, 0, width, count).data;
    },
  };
}

/** Decodes a picture upright, or null where it can't be. */
export const decodeUpright = (file: Blob): Promise<ImageBitmap | null> =>
  createImageBitmap(file, { imageOrientation: 'from-image' }).catch(() => null);
