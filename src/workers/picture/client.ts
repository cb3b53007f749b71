import { proxy, type Remote } from 'comlink';
import type { IntakeCode } from '@/core/picture';
import { fail, type Result } from '@/core/shared';
import { startWorker, type Running } from '../running';
import type { InspectedPicture, PictureJob } from './protocol';

const create = () => new Worker(new URL('./picture.worker.ts', import.meta.url), { type: 'module' });

const look = (order: (job: Remote<PictureJob>) => Promise<Result<InspectedPicture, IntakeCode>>) =>
  startWorker<PictureJob, Result<InspectedPicture, IntakeCode>>(create, order, (reason) =>
    fail('picture-broken', reason),
  );

/** Inspects one file in a worker of its own. The bitmap given to `onFirstPreview` is the caller's to close. */
export function inspectPicture(
  file: Blob,
  onFirstPreview: (preview: ImageBitmap) => void,
): Running<Result<InspectedPicture, IntakeCode>> {
  return look((job) => job.inspect(file, proxy(onFirstPreview)));
}

/** A kept picture, mirrored and inspected anew. */
export const mirrorPicture = (file: Blob): Running<Result<InspectedPicture, IntakeCode>> =>
  look((job) =>
    job.mirrored(
      file,
      proxy((preview: ImageBitmap) => preview.close()),
    ),
  );
