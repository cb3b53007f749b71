/**
 * A picture file as a source of rows for resampling. A plain JPEG is decoded by the browser's image decoder, whose
 * native planes are copied out for a tenth of what a canvas takes; its frame is shared with other workers as a clone.
 * What is turned, straightened, transparent or of another colour space goes through a bitmap. Worker only.
 */
import type { Turning } from '@/core/picture';
import type { PlaneSource, RowSource } from '@/core/raster';
import { bitmapRows, decodeUpright } from './bitmap-rows';

export interface OpenPicture {
  frame: VideoFrame | null;
  source(turning: Turning): RowSource | PlaneSource;
  close(): void;
}

const HEAD_BYTES = 262_144;

interface FrameTurning {
  rotation?: number;
  flip?: boolean;
}

/** Whether a frame's planes can be read as sRGB, upright. */
function isPlain(frame: VideoFrame): boolean {
  const { rotation, flip } = frame as VideoFrame & FrameTurning;
  const { matrix, fullRange, primaries } = frame.colorSpace;
  return (
    frame.format === 'I420' &&
    rotation === 0 &&
    flip === false &&
    matrix === 'smpte170m' &&
    fullRange === true &&
    (primaries === 'bt709' || primaries === null)
  );
}

/** A JPEG's first bytes name a colour profile that is not sRGB. */
async function hasOtherProfile(file: Blob): Promise<boolean> {
  const head = new TextDecoder('latin1').decode(await file.slice(0, HEAD_BYTES).arrayBuffer());
  return head.includes('ICC_PROFILE') && !head.includes('sRGB');
}

async function decodeFrame(file: Blob): Promise<VideoFrame | null> {
  if (typeof ImageDecoder === 'undefined' || file.type !== 'image/jpeg' || (await hasOtherProfile(file))) return null;
  const decoder = new ImageDecoder({ data: await file.arrayBuffer(), type: file.type, preferAnimation: false });
  try {
    const { image } = await decoder.decode();
    if (isPlain(image)) return image;
    image.close();
    return null;
  } catch {
    return null;
  } finally {
    decoder.close();
  }
}

/**
 * @param shared a frame that another worker decoded
 * @param turned it will be read turned or straightened
 * @returns null where the file is no picture
 */
export async function openPicture(file: Blob, shared: VideoFrame | null, turned: boolean): Promise<OpenPicture | null> {
  const frame = shared ?? (turned ? null : await decodeFrame(file));
  let bitmap: ImageBitmap | null = frame ? null : await decodeUpright(file);
  if (!frame && !bitmap) return null;
  return {
    frame,
    source(turning) {
      if (frame) return planesOf(frame);
      if (!bitmap) throw new Error('the picture is closed');
      return bitmapRows(bitmap, turning);
    },
    close() {
      frame?.close();
      bitmap?.close();
      bitmap = null;
    },
  };
}

function planesOf(frame: VideoFrame): PlaneSource {
  return {
    widthPx: frame.codedWidth,
    heightPx: frame.codedHeight,
    async readPlanes(from, count, left, width, into) {
      const [chroma, chromaRows] = [Math.ceil(width / 2), Math.ceil(count / 2)];
      const layout = {
        luma: 0,
        blueness: width * count,
        redness: width * count + chroma * chromaRows,
        lumaStride: width,
        chromaStride: chroma,
      };
      await frame.copyTo(into, {
        rect: { x: left, y: from, width, height: count },
        layout: [
          { offset: layout.luma, stride: width },
          { offset: layout.blueness, stride: chroma },
          { offset: layout.redness, stride: chroma },
        ],
      });
      return layout;
    },
  };
}
