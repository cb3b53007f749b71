import { expose } from 'comlink';
import { densityOf, judgeProof, readProof } from '@/core/proof';
import { fail, ok } from '@/core/shared';
import { reducedPhoto } from '../reduced-photo';
import type { ProofJob } from './protocol';

/** A phone's photo has more than is needed: longer sides are reduced to this. */
const LONGEST_PX = 1640;
/** A file says its density near its beginning. */
const HEADER_BYTES = 65_536;

const job: ProofJob = {
  async read({ photo, pages }) {
    const taken = await reducedPhoto(photo, (width, height) => LONGEST_PX / Math.max(width, height));
    if (!taken) return fail('picture-broken', 'the photo could not be decoded');
    const { pixels, scale } = taken;
    const said = densityOf(new Uint8Array(await photo.slice(0, HEADER_BYTES).arrayBuffer()));
    const density = said && { xPerMm: said.xPerMm * scale, yPerMm: said.yPerMm * scale };
    const reading = readProof(pixels, pages, density);
    return reading.ok ? ok(judgeProof(reading.value)) : reading;
  },
};

expose(job);
