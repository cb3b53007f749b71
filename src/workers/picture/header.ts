import { imageSize } from 'image-size';
import type { PictureHeader } from '@/core/picture';

const HEADER_BYTES = 512 * 1024;

/** Most headers stand in the first half megabyte; a large profile or thumbnail can push them further. Null for none. */
export async function readHeader(file: Blob): Promise<PictureHeader | null> {
  for (const part of [file.slice(0, HEADER_BYTES), file]) {
    try {
      return imageSize(new Uint8Array(await part.arrayBuffer()));
    } catch {
      // tried again with the whole file
    }
  }
  return null;
}
