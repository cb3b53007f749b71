import { expose } from 'comlink';
import { densityOf, judgeProof, readProof } from '@/core/proof';
import { fail, ok } from '@/core/shared';
import { decodeUpright } from '../bitmap-rows';
import type { ProofJob } from './protocol';

/** A phone's photo has more than is needed: longer sides are reduced to this. */
const LONGEST_PX = 1640;
/** A file says its density near its beginning. */
const HEADER_BYTES = 65_536;

const job: ProofJob = {
  async read({ photo, pages }) {
    const bitmap = await decodeUpright(photo);
    if (!bitmap) return fail('picture-broken', 'the photo could not be decoded');
    const scale = Math.min(1, LONGEST_PX / Math.max(bitmap.width, bitmap.height));
    const [width, height] = [
      Math.max(1, Math.round(bitmap.width * scale)),
      Math.max(1, Math.round(bitmap.height * scale)),
    ];
    const context = new OffscreenCanvas(width, height).getContext('2d', { alpha: false, willReadFrequently: true });
    if (!context) return fail('proof-failed', 'no canvas to read the photo with');
    context.imageSmoothingQuality = 'high';
    context.drawImage(bitmap, 0, 0, width, height);
    bitmap.close();
    const said = densityOf(new Uint8Array(await photo.slice(0, HEADER_BYTES).arrayBuffer()));
    const density = said && { xPerMm: said.xPerMm * scale, yPerMm: said.yPerMm * scale };
    const reading = readProof({ data: context.getImageData(0, 0, width, height).data, width, height }, pages, density);
    return reading.ok ? ok(judgeProof(reading.value)) : reading;
  },
};

expose(job);
