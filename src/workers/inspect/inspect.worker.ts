import { expose } from 'comlink';
import { readPiece } from '@/core/inspect';
import { loadResampler } from '@/core/raster';
import { fail, ok } from '@/core/shared';
import { bitmapRows, decodeUpright } from '../bitmap-rows';
import { reducedPhoto, type ReducedPhoto } from '../reduced-photo';
import { paintLanded } from './landed';
import type { InspectJob } from './protocol';

/** A phone's photo has more than tells: it is reduced to this. */
const PHOTO_PX = 2_000_000;
const PAINTED = 0.1;

const QUALITY = 0.86;

const photoOf = (file: Blob): Promise<ReducedPhoto | null> =>
  reducedPhoto(file, (width, height) => Math.sqrt(PHOTO_PX / (width * height)));
const asFile = (photo: ReducedPhoto): Promise<Blob> =>
  photo.canvas.convertToBlob({ type: 'image/jpeg', quality: QUALITY });

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
    const { width, height } = dryPhoto.pixels;
    const set = corners?.map(({ x, y }) => ({ x: x * width, y: y * height })) ?? null;
    const { box: _, ...blank } = landed.blank;
    const read = readPiece(
      { ...blank, ...print.value },
      { dry: dryPhoto.pixels, wet: wetPhoto?.pixels ?? null },
      set,
      (share, outline) =>
        onPart(
          PAINTED + (1 - PAINTED) * share,
          outline?.map(({ x, y }) => ({ x: x / width, y: y / height })),
        ),
    );
    if (!read.ok) return read;
    const reading = { ...read.value, corners: read.value.corners.map(({ x, y }) => ({ x: x / width, y: y / height })) };
    return ok({
      reading,
      photo: { width, height },
      files: { dry: await asFile(dryPhoto), wet: wetPhoto && (await asFile(wetPhoto)) },
    });
  },
};

expose(job);
