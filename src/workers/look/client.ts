import { wrap, type Remote } from 'comlink';
import type { LookJob, LookOrder } from './protocol';

let remote: Remote<LookJob> | null = null;
let queue: Promise<unknown> = Promise.resolve();

function job(): Remote<LookJob> {
  if (remote) return remote;
  const worker = new Worker(new URL('./look.worker.ts', import.meta.url), { type: 'module' });
  // A worker that died is replaced at the next order.
  worker.onerror = () => {
    worker.terminate();
    remote = null;
  };
  remote = wrap<LookJob>(worker);
  return remote;
}

/** Draws a specimen in the page's one drawing worker. The bitmap is the caller's to close. Orders are drawn in turn. */
export function drawLook(order: LookOrder): Promise<ImageBitmap | null> {
  const drawn = queue.then(() => job().draw(order)).catch(() => null);
  queue = drawn;
  return drawn;
}
