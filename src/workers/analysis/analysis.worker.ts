import { expose } from 'comlink';
import { analyse } from '@/core/picture';
import { fail, ok } from '@/core/shared';
import { bitmapRows, decodeUpright } from '../bitmap-rows';
import type { AnalysisJob } from './protocol';

let held: { pictureId: string; bitmap: ImageBitmap } | null = null;

const job: AnalysisJob = {
  async analyse({ pictureId, file, turning, crop, tone }, onProgress) {
    if (held?.pictureId !== pictureId) {
      held?.bitmap.close();
      held = null;
      const bitmap = await decodeUpright(file);
      if (!bitmap) return fail('picture-broken', 'the picture could not be decoded');
      held = { pictureId, bitmap };
    }
    return ok(analyse(bitmapRows(held.bitmap, turning), crop, tone, onProgress));
  },
};

expose(job);
