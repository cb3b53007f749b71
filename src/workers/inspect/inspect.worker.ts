import { expose } from 'comlink';
import { judgePiece, readPiece } from '@/core/inspect';
import type { Rgba } from '@/core/photo';
import { loadResampler } from '@/core/raster';
import { fail, ok } from '@/core/shared';
import { bitmapRows, decodeUpright } from '../bitmap-rows';
import { paintLanded } from './landed';
import type { InspectJob } from './protocol';

/** A phone's photo has more than tells: it is reduced to this. */
const PHOTO_PX = 2_000_000;
const PAINTED = 0.1;

async function photoOf(file: Blob): Promise<Rgba | null> {
  const bitmap = await decodeUpright(file);
  if (!bitmap) return null;
  const share = Math.min(1, Math.sqrt(PHOTO_PX / (bitmap.width * bitmap.height)));
  const [width, height] = [
    Math.max(1, Math.round(bitmap.width * share)),
    Math.max(1, Math.round(bitmap.height * share)),
  ];
  const context = new OffscreenCanvas(width, height).getContext('2d', { alpha: false, willReadFrequently: true });
  if (!context) throw new Error('no canvas to read the photo with');
  context.imageSmoothingQuality = 'high';
  context.drawImage(bitmap, 0, 0, width, height);
  bitmap.close();
  return { data: context.getImageData(0, 0, width, height).data, width, height };
}

const job: InspectJob = {
  async read({ landed, picture, dry, wet, corners }, onPart) {
    const bitmap = await decodeUpright(picture);
    if (!bitmap) return fail('picture-broken', 'the picture could not be decoded');
    const print = await paintLanded(landed, bitmapRows(bitmap, landed.turning), await loadResampler());
    bitmap.close();
    if (!print.ok) return print;
    onPart(PAINTED);
    const [dryPhoto, wetPhoto] = [await photoOf(dry), wet && (await photoOf(wet))];
    if (!dryPhoto || (wet && !wetPhoto)) return fail('photo-broken', 'the photo could not be decoded');
    const { width, height } = dryPhoto;
    const set = corners?.map(({ x, y }) => ({ x: x * width, y: y * height })) ?? null;
    const { box: _, ...blank } = landed.blank;
    const read = readPiece({ ...blank, ...print.value }, { dry: dryPhoto, wet: wetPhoto }, set, (share) =>
      onPart(PAINTED + (1 - PAINTED) * share),
    );
    if (!read.ok) return read;
    const reading = { ...read.value, corners: read.value.corners.map(({ x, y }) => ({ x: x / width, y: y / height })) };
    return ok({ reading, judgement: judgePiece(reading), photo: { width, height } });
  },
};

expose(job);
