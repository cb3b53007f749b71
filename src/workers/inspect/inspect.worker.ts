import { expose } from 'comlink';
import { readPiece, rehearse, seek, type Sought } from '@/core/inspect';
import { loadResampler } from '@/core/raster';
import { fail, ok, type Result } from '@/core/shared';
import { bitmapRows, decodeUpright } from '../bitmap-rows';
import { reducedPhoto, shownPhoto, type ReducedPhoto } from '../reduced-photo';
import { paintLanded } from './landed';
import type { InspectJob, InspectJobCode, SoughtOrder } from './protocol';

/** A phone's photo has more than tells: it is reduced to this. */
const PHOTO_PX = 2_000_000;
const PAINTED = 0.1;

const QUALITY = 0.86;

const photoOf = (file: Blob): Promise<ReducedPhoto | null> =>
  reducedPhoto(file, (width, height) => Math.sqrt(PHOTO_PX / (width * height)));
const asFile = (photo: ReducedPhoto): Promise<Blob> =>
  photo.canvas.convertToBlob({ type: 'image/jpeg', quality: QUALITY });

let prepared: Promise<Result<Sought, InspectJobCode>> | null = null;
/** A photo has come. */
let isAsked = false;

async function sought({ landed, picture }: SoughtOrder): Promise<Result<Sought, InspectJobCode>> {
  const bitmap = await decodeUpright(picture);
  if (!bitmap) return fail('picture-broken', 'the picture could not be decoded');
  const print = await paintLanded(landed, bitmapRows(bitmap, landed.turning), loadResampler());
  bitmap.close();
  if (!print.ok) return print;
  const { box: _, ...blank } = landed.blank;
  return ok(seek({ ...blank, ...print.value }));
}

const job: InspectJob = {
  async prepare(order) {
    prepared = sought(order);
    const print = await prepared;
    // Not where a photo waits already.
    setTimeout(() => !isAsked && print.ok && rehearse(print.value));
  },
  async read({ dry, wet, corners }, onPhoto, onPart) {
    isAsked = true;
    const print = await prepared;
    if (!print) return fail('inspect-failed', 'expected a print to look for, got none');
    if (!print.ok) return print;
    onPart(PAINTED);
    const dryPhoto = await photoOf(dry);
    if (dryPhoto) onPhoto(shownPhoto(dryPhoto));
    const wetPhoto = wet && (await photoOf(wet));
    if (!dryPhoto || (wet && !wetPhoto)) return fail('photo-broken', 'the photo could not be decoded');
    const { width, height } = dryPhoto.pixels;
    const set = corners?.map(({ x, y }) => ({ x: x * width, y: y * height })) ?? null;
    const read = readPiece(
      print.value,
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
