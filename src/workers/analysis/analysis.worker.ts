import { expose } from 'comlink';
import { analyse, motifOutline } from '@/core/picture';
import { fail, ok } from '@/core/shared';
import { bitmapRows, decodeUpright } from '../bitmap-rows';
import type { AnalysisJob } from './protocol';

let held: { pictureId: string; bitmap: ImageBitmap } | null = null;

const job: AnalysisJob = {
  async analyse({ pictureId, file, turning, crop, tone }, onProgress) {
    const bitmap = await decoded(pictureId, file);
    return bitmap
      ? ok(analyse(bitmapRows(bitmap, turning), crop, tone, onProgress))
      : fail('picture-broken', 'the picture could not be decoded');
  },
  async motif({ pictureId, file, turning }) {
    const bitmap = await decoded(pictureId, file);
    return bitmap
      ? motifOutline(bitmapRows(bitmap, turning))
      : fail('picture-broken', 'the picture could not be decoded');
  },
};

async function decoded(pictureId: string, file: Blob): Promise<ImageBitmap | null> {
  if (held?.pictureId === pictureId) return held.bitmap;
  held?.bitmap.close();
  held = null;
  const bitmap = await decodeUpright(file);
  held = bitmap && { pictureId, bitmap };
  return bitmap;
}

expose(job);
