import { proxy, wrap } from 'comlink';
import type { Point } from '@/core/photo';
import { fail, type Result } from '@/core/shared';
import { startWorker, type Running } from '../running';
import type { InspectJob, InspectJobCode, InspectOrder, Inspected } from './protocol';

const create = () => new Worker(new URL('./inspect.worker.ts', import.meta.url), { type: 'module' });

/** Reads a photo of the piece, or two; with progress from 0 to 1. */
export const inspectPiece = (
  order: InspectOrder,
  onProgress: (share: number, outline?: Point[]) => void,
): Running<Result<Inspected, InspectJobCode>> =>
  startWorker<Result<Inspected, InspectJobCode>>(
    create,
    (worker) => wrap<InspectJob>(worker).read(order, proxy(onProgress)),
    (reason) => fail('inspect-failed', reason),
  );
