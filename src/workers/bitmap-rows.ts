import { frameMatrix, frameSize, type Turning } from '@/core/picture';
import type { RowSource } from '@/core/raster/resample';

const STRIP_ROWS = 256;

/**
 * Reads a bitmap's rows, turned and straightened, through a canvas of a few rows: the whole picture is never copied out at once. What straightening leaves empty
 * is transparent. Worker only.
 */
export function bitmapRows(bitmap: ImageBitmap, turning: Turning): RowSource {
  const picture = { widthPx: bitmap.width, heightPx: bitmap.height };
  const { widthPx, heightPx } = frameSize(picture, turning);
  const [a, b, c, d, e, f] = frameMatrix(picture, turning);
  const canvas = new OffscreenCanvas(widthPx, Math.min(STRIP_ROWS, heightPx));
  const context = canvas.getContext('2d', { willReadFrequently: true });
  if (!context) throw new Error('no canvas to read the picture with');
  const straight = turning.straightenDeg === 0;
  context.imageSmoothingEnabled = !straight;
  context.imageSmoothingQuality = 'high';
  let strip = new Uint8ClampedArray(0);
  let [first, held] = [0, 0];
  return {
    widthPx, heightPx,
    readRows(from, count) {
      if (from < first || from + count > first + held) {
        first = from;
        held = Math.min(canvas.height, heightPx - from);
        context.setTransform(1, 0, 0, 1, 0, 0);
        context.clearRect(0, 0, canvas.width, canvas.height);
        if (straight && turning.turns === 0) context.drawImage(bitmap, 0, from, widthPx, held, 0, 0, widthPx, held);
        else {
          context.setTransform(a, b, c, d, e, f - from);
          context.drawImage(bitmap, 0, 0);
        }
        strip = context.getImageData(0, 0, widthPx, held).data;
      }
      return strip.subarray((from - first) * widthPx * 4, (from - first + count) * widthPx * 4);
    },
  };
}

/** Decodes a picture upright, or null where it can't be. */
export const decodeUpright = (file: Blob): Promise<ImageBitmap | null> => createImageBitmap(file, { imageOrientation: 'from-image' }).catch(() => null);
