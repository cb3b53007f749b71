import { expose, transfer } from 'comlink';
import {
  acceptPicture,
  checkBytes,
  foreignType,
  isTransparent,
  isWhole,
  looksLettered,
  remarksOf,
  sketchOf,
  toneShares,
} from '@/core/picture';
import { fail, ok } from '@/core/shared';
import { hashBytes } from '@/core/shared/hash';
import { asJpeg } from '../foreign-picture';
import { readHeader } from './header';
import { PREVIEW_PX, type PictureJob } from './protocol';

const PREVIEW_QUALITY = 0.85;
/** Of a photo that is written anew, mirrored. */
const KEPT_QUALITY = 0.95;

const job: PictureJob = {
  async inspect(given, onFirstPreview) {
    const size = checkBytes(given.size);
    if (!size.ok) return size;
    const header = await readHeader(given);
    const accepted = acceptPicture(given.size, header);
    if (!accepted.ok) return accepted;
    const foreign = foreignType(header);
    const file = foreign ? await asJpeg(given) : given;
    if (!file) return fail('picture-broken', `the ${foreign} picture could not be decoded`);
    const bytes = new Uint8Array(await file.arrayBuffer());
    if (!isWhole(accepted.value.type, bytes)) return fail('picture-broken', 'the file ends before its end mark');
    const bitmap = await createImageBitmap(file, { imageOrientation: 'from-image' }).catch(() => null);
    if (!bitmap) return fail('picture-broken', 'the picture could not be decoded');

    const { widthPx, heightPx } = { widthPx: bitmap.width, heightPx: bitmap.height };
    const scale = Math.min(1, PREVIEW_PX / Math.max(widthPx, heightPx));
    const canvas = new OffscreenCanvas(
      Math.max(1, Math.round(widthPx * scale)),
      Math.max(1, Math.round(heightPx * scale)),
    );
    const context = canvas.getContext('2d');
    if (!context) return fail('picture-broken', 'no canvas to decode on');
    context.imageSmoothingQuality = 'high';
    context.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
    bitmap.close();
    const isClear =
      accepted.value.type !== 'image/jpeg' &&
      isTransparent(context.getImageData(0, 0, canvas.width, canvas.height).data);
    const remarks = [
      ...(isClear ? (['transparent'] as const) : []),
      ...(foreign ? (['kept-as-jpeg'] as const) : remarksOf(accepted.value.type, bytes)),
    ];
    // What is see-through is no toner: it lies on white paper.
    context.globalCompositeOperation = 'destination-over';
    context.fillStyle = '#fff';
    context.fillRect(0, 0, canvas.width, canvas.height);
    context.globalCompositeOperation = 'source-over';
    const first = await createImageBitmap(canvas);
    onFirstPreview(transfer(first, [first]));

    const pixels = context.getImageData(0, 0, canvas.width, canvas.height).data;
    const { width, height } = canvas;
    const tones = {
      ...toneShares(pixels),
      sketch: sketchOf(pixels, width, height),
      reads: looksLettered(pixels, width, height),
    };
    const preview = await canvas.convertToBlob({ type: 'image/jpeg', quality: PREVIEW_QUALITY });
    return ok({
      ...accepted.value,
      widthPx,
      heightPx,
      ...tones,
      preview,
      remarks,
      file: new Blob([bytes], { type: accepted.value.type }),
      sha256: await hashBytes(bytes),
    });
  },

  async mirrored(given, onFirstPreview) {
    const file = await mirrorOf(given);
    return file ? job.inspect(file, onFirstPreview) : fail('picture-broken', 'the picture could not be decoded');
  },
};

/** Upright, and its left on the right. */
async function mirrorOf(given: Blob): Promise<Blob | null> {
  const bitmap = await createImageBitmap(given, { imageOrientation: 'from-image' }).catch(() => null);
  if (!bitmap) return null;
  const canvas = new OffscreenCanvas(bitmap.width, bitmap.height);
  const context = canvas.getContext('2d');
  context?.setTransform(-1, 0, 0, 1, bitmap.width, 0);
  context?.drawImage(bitmap, 0, 0);
  bitmap.close();
  if (!context) return null;
  return given.type === 'image/jpeg'
    ? canvas.convertToBlob({ type: 'image/jpeg', quality: KEPT_QUALITY })
    : canvas.convertToBlob({ type: 'image/png' });
}

expose(job);
