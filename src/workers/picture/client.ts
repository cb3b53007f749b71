import { proxy, wrap } from 'comlink';
import type { IntakeCode } from '@/core/picture';
import { fail, type Result } from '@/core/shared';
import { startWorker, type Running } from '../running';
import type { InspectedPicture, PictureJob } from './protocol';

const create = () => new Worker(new URL('./picture.worker.ts', import.meta.url), { type: 'module' });

/** Inspects one file in a worker of its own. The bitmap given to `onFirstPreview` is the caller's to close. */
export function inspectPicture(
  file: Blob,
  onFirstPreview: (preview: ImageBitmap) => void,
): Running<Result<InspectedPicture, IntakeCode>> {
  return startWorker<Result<InspectedPicture, IntakeCode>>(
    create,
    (worker) => wrap<PictureJob>(worker).inspect(file, proxy(onFirstPreview)),
    (reason) => fail('picture-broken', reason),
  );
}
