/** A job under way in a worker. Cancelling ends the worker at once and settles the promise with null. */
import { say } from '@/words/say';
export interface Running<T> {
  done: Promise<T | null>;
  cancel: () => void;
}

/**
 * Starts a worker for one job and ends it when the job does. A worker that dies (out of memory, failed to load) settles
 * as a failure.
 *
 * @param failed makes the job's own failure from a reason
 */
export function startWorker<T>(
  create: () => Worker,
  run: (worker: Worker) => Promise<T>,
  failed: (reason: string) => T,
): Running<T> {
  const worker = create();
  let settle: (value: T | null) => void = () => undefined;
  const done = new Promise<T | null>((resolve) => {
    settle = resolve;
    worker.onerror = (event) => resolve(failed(event.message || say`the worker stopped`));
    run(worker).then(resolve, (error: unknown) =>
      resolve(failed(error instanceof Error ? error.message : String(error))),
    );
  }).finally(() => worker.terminate());
  return { done, cancel: () => settle(null) };
}
