import { wrap, type Remote } from 'comlink';
import { MS_PER_MINUTE } from '@/core/shared';
import { say } from '@/words/say';

/** A job under way in a worker. Cancelling ends the worker at once and settles the promise with null. */
export interface Running<T> {
  done: Promise<T | null>;
  cancel: () => void;
}

/** A job's own failure, of a reason; whether it was its own time that was up. */
type Failed<T> = (reason: string, isSlow: boolean) => T;

interface LifeOptions {
  /** Whether an order waits until the one before it is answered. */
  inTurn?: boolean;
  /** What takes longer than this hangs: its worker is ended, and the order has failed. */
  limitMs?: number;
}

/** Far above what the largest picture takes on a slow device. */
const LONGEST_MS = 5 * MS_PER_MINUTE;

interface Living<Job> {
  worker: Worker;
  /** Its one handle: with the last of them the worker would hear no more. */
  job: Remote<Job>;
  /** Why it ended; null where it was asked to. */
  ended: Promise<string | null>;
  end: (reason: string | null) => void;
}

/**
 * One worker's life: started with its first order, replaced by a new one with the next order after it died, hung or was
 * ended. Every order comes to an end: answered, failed for a reason, or null where it was cancelled.
 */
export class WorkerLife<Job> {
  private living: Living<Job> | null = null;
  private last: Promise<unknown> = Promise.resolve();

  constructor(
    private readonly create: () => Worker,
    private readonly options: LifeOptions = {},
  ) {}

  get isAlive(): boolean {
    return this.living !== null;
  }

  /** Starts it before there is anything to do. */
  warm(): void {
    this.started();
  }

  /**
   * Gives an order. Cancelling it ends the worker, with all that it has under way.
   *
   * @param failed makes the job's own failure from a reason
   */
  ask<T>(run: (job: Remote<Job>) => Promise<T>, failed: Failed<T>): Running<T> {
    let isCancelled = false;
    let isUnderWay = false;
    let isSlow = false;
    const { inTurn = false, limitMs = LONGEST_MS } = this.options;
    const carryOut = async (): Promise<T | null> => {
      if (inTurn) await this.last;
      if (isCancelled) return null;
      isUnderWay = true;
      let limit: ReturnType<typeof setTimeout> | undefined;
      try {
        const { job, ended, end } = this.started();
        limit = setTimeout(() => {
          isSlow = true;
          end(say`it took too long`);
        }, limitMs);
        return await Promise.race([
          run(job),
          ended.then((reason) => (reason === null ? null : failed(reason, isSlow))),
        ]);
      } catch (error) {
        return failed(error instanceof Error ? error.message : String(error), isSlow);
      } finally {
        clearTimeout(limit);
        isUnderWay = false;
      }
    };
    const done = carryOut();
    this.last = done;
    return {
      done,
      cancel: () => {
        isCancelled = true;
        if (isUnderWay) this.end();
      },
    };
  }

  /** Ends it at once: all that is under way is cancelled. */
  end(): void {
    this.living?.end(null);
  }

  private started(): Living<Job> {
    if (this.living) return this.living;
    const worker = this.create();
    let settle: (reason: string | null) => void = () => undefined;
    const living: Living<Job> = {
      worker,
      job: wrap<Job>(worker),
      ended: new Promise((resolve) => {
        settle = resolve;
      }),
      end: (reason) => {
        if (this.living === living) this.living = null;
        worker.terminate();
        settle(reason);
      },
    };
    worker.onerror = (event) => living.end(event.message || say`the worker stopped`);
    worker.onmessageerror = () => living.end(say`the worker stopped`);
    this.living = living;
    return living;
  }
}

/** Starts a worker for one order and ends it when that is answered. */
export function startWorker<Job, T>(
  create: () => Worker,
  run: (job: Remote<Job>) => Promise<T>,
  failed: Failed<T>,
  limitMs = LONGEST_MS,
): Running<T> {
  const life = new WorkerLife<Job>(create, { limitMs });
  const { done, cancel } = life.ask(run, failed);
  return { done: done.finally(() => life.end()), cancel };
}
