import { WorkerLife } from '../running';
import type { LookJob, LookOrder } from './protocol';

/** What takes longer is drawn by nobody: the next order finds a new worker. */
const LONGEST_MS = 60_000;

const life = new WorkerLife<LookJob>(
  () => new Worker(new URL('./look.worker.ts', import.meta.url), { type: 'module' }),
  { inTurn: true, limitMs: LONGEST_MS },
);

/** Draws a specimen in the page's one drawing worker. The bitmap is the caller's to close. Orders are drawn in turn. */
export const drawLook = (order: LookOrder): Promise<ImageBitmap | null> =>
  life.ask<ImageBitmap | null>(
    (job) => job.draw(order),
    () => null,
  ).done;
