import { proxy, wrap, type Remote } from 'comlink';
import type { Point } from '@/core/photo';
import { fail, type Result } from '@/core/shared';
import { startWorker, type Running } from '../running';
import type { InspectJob, InspectJobCode, InspectOrder, Inspected, SoughtOrder } from './protocol';

const create = () => new Worker(new URL('./inspect.worker.ts', import.meta.url), { type: 'module' });

/** A worker that looks for one print, prepared before there is a photo of it. */
export interface Inspector {
  worker: Worker;
  /** Its one handle: with the last of them the worker would hear no more. */
  job: Remote<InspectJob>;
  /** Whether it is still to read: it reads once, and its memory goes with it. */
  fresh: boolean;
}

export function prepareInspector(order: SoughtOrder): Inspector {
  const worker = create();
  const job = wrap<InspectJob>(worker);
  // What fails is said when a photo is read.
  job.prepare(order).catch(() => undefined);
  return { worker, job, fresh: true };
}

/** Reads a photo of the piece, or two; with the photo to be shown, and progress from 0 to 1. The inspector ends with it. */
export function inspectPiece(
  inspector: Inspector,
  order: InspectOrder,
  onPhoto: (photo: ImageBitmap) => void,
  onProgress: (share: number, outline?: Point[]) => void,
): Running<Result<Inspected, InspectJobCode>> {
  inspector.fresh = false;
  return startWorker<Result<Inspected, InspectJobCode>>(
    () => inspector.worker,
    () => inspector.job.read(order, proxy(onPhoto), proxy(onProgress)),
    (reason) => fail('inspect-failed', reason),
  );
}
