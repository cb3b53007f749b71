import { proxy } from 'comlink';
import type { Point } from '@/core/photo';
import { fail, type Result } from '@/core/shared';
import { WorkerLife, type Running } from '../running';
import type { InspectJob, InspectJobCode, InspectOrder, Inspected, SoughtOrder } from './protocol';

/** A worker that looks for one print, prepared before there is a photo of it. */
export interface Inspector {
  /** Whether it is still to read: it reads once, and its memory goes with it. */
  isFresh: () => boolean;
  /** Reads a photo of the piece, or two; with the photo to be shown, and progress from 0 to 1. The inspector ends with it. */
  inspect: (
    order: InspectOrder,
    onPhoto: (photo: ImageBitmap) => void,
    onProgress: (share: number, outline?: Point[]) => void,
  ) => Running<Result<Inspected, InspectJobCode>>;
  end: () => void;
}

export function prepareInspector(order: SoughtOrder): Inspector {
  const life = new WorkerLife<InspectJob>(
    () => new Worker(new URL('./inspect.worker.ts', import.meta.url), { type: 'module' }),
  );
  // What fails is said when a photo is read.
  life.ask(
    (job) => job.prepare(order),
    () => undefined,
  );
  let isFresh = true;
  return {
    isFresh: () => isFresh && life.isAlive,
    inspect: (photos, onPhoto, onProgress) => {
      isFresh = false;
      const { done, cancel } = life.ask<Result<Inspected, InspectJobCode>>(
        (job) => job.read(photos, proxy(onPhoto), proxy(onProgress)),
        (reason) => fail('inspect-failed', reason),
      );
      return { done: done.finally(() => life.end()), cancel };
    },
    end: () => life.end(),
  };
}
