import { expose, transfer } from 'comlink';
import { acceptPicture, checkBytes, isWhole, isTransparent, remarksOf, sketchOf, toneShares } from '@/core/picture';
import { fail, ok } from '@/core/shared';
import { hashBytes } from '@/core/shared/hash';
import { readHeader } from './header';
import { PREVIEW_PX, type PictureJob } from './protocol';

const PREVIEW_QUALITY = 0.85;

const job: PictureJob = {
  async inspect(file, onFirstPreview) {
    const size = checkBytes(file.size);
    if (!size.ok) return size;
    const header = await readHeader(file);
    const accepted = acceptPicture(file.size, header);
    if (!accepted.ok) return accepted;
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
    const remarks = [...(isClear ? (['transparent'] as const) : []), ...remarksOf(accepted.value.type, bytes)];
    // What is see-through is no toner: it lies on white paper.
    context.globalCompositeOperation = 'destination-over';
    context.fillStyle = '#fff';
    context.fillRect(0, 0, canvas.width, canvas.height);
    context.globalCompositeOperation = 'source-over';
    const first = await createImageBitmap(canvas);
    onFirstPreview(transfer(first, [first]));

    const pixels = context.getImageData(0, 0, canvas.width, canvas.height).data;
    const tones = { ...toneShares(pixels), sketch: sketchOf(pixels, canvas.width, canvas.height) };
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
};

expose(job);
