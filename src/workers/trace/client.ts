import { proxy } from 'comlink';
import { fail, type Result } from '@/core/shared';
import { startWorker, type Running } from '../running';
import type { TraceJob, TraceJobCode, Traced } from './protocol';

const create = () => new Worker(new URL('./trace.worker.ts', import.meta.url), { type: 'module' });

/** Traces a blank in a photo, in a worker of its own. */
export const traceBlank = (
  photo: Blob,
  longMm: number,
  onPhoto: (photo: ImageBitmap) => void,
): Running<Result<Traced, TraceJobCode>> =>
  startWorker<TraceJob, Result<Traced, TraceJobCode>>(
    create,
    (job) => job.trace(photo, longMm, proxy(onPhoto)),
    (reason) => fail('trace-failed', reason),
  );
