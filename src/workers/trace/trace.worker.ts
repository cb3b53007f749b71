import { expose } from 'comlink';
import { fail, ok } from '@/core/shared';
import { faceOf, traceBoard } from '@/core/trace';
import { reducedPhoto, shownPhoto } from '../reduced-photo';
import type { TraceJob } from './protocol';

/** Edges are found between pixels: more of them tell little. */
const LONGEST_PX = 1800;
const QUALITY = 0.9;

const job: TraceJob = {
  async trace(photo, longMm, onPhoto) {
    const taken = await reducedPhoto(photo, (width, height) => LONGEST_PX / Math.max(width, height));
    if (!taken) return fail('picture-broken', 'the photo could not be decoded');
    onPhoto(shownPhoto(taken));
    const { pixels } = taken;
    const traced = traceBoard(pixels, longMm);
    if (!traced.ok) return traced;
    const { edge, h, ...board } = traced.value;
    const { pixels: flat, ...face } = faceOf(pixels, { ...board, edge, h });
    const canvas = new OffscreenCanvas(flat.width, flat.height);
    const context = canvas.getContext('2d');
    if (!context) throw new Error('no canvas to draw the face on');
    context.putImageData(new ImageData(new Uint8ClampedArray(flat.data), flat.width, flat.height), 0, 0);
    // Outside the outline it is the usual colour of the stuff.
    context.globalCompositeOperation = 'destination-over';
    context.fillStyle = face.colour;
    context.fillRect(0, 0, flat.width, flat.height);
    return ok({
      board,
      edge: edge.map(({ x, y }) => ({ x: x / pixels.width, y: y / pixels.height })),
      face,
      file: await canvas.convertToBlob({ type: 'image/jpeg', quality: QUALITY }),
    });
  },
};

expose(job);
