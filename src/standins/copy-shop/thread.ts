/** Runs the machine in a thread of its own, for so long and with so much memory only. Server only. */
import { join } from 'node:path';
import { Worker } from 'node:worker_threads';
import { fail, type Result } from '@/core/shared';
import type { ShopCode } from '@/records';
import type { ShopJob, ShopOptions } from './machine';

export type ThreadOrder =
  | { kind: 'measure'; pdf: Uint8Array }
  | { kind: 'proof'; pdf: Uint8Array; page: number; options: Pick<ShopOptions, 'colour' | 'fit'> };

const LONGEST_MS = 25_000;
const MOST_MEMORY_MB = 700;
/** Machines in the shop: who comes meanwhile waits. */
const MACHINES = 2;
/** The server runs in the project's folder. */
const THREAD = join(process.cwd(), '.cache', 'copy-shop.mjs');

/** Who waits holds a whole file in memory: no more than so many. */
const MOST_WAITING = 4;

let busy = 0;
/** Taken in, from the first byte of the order to the last of the answer. */
let taken = 0;
const waiting: (() => void)[] = [];

/**
 * Takes an order in, where there is room for it, and lets the next one in when it is over: its body is not read before.
 * @returns `shop-busy` where as many wait as may
 */
export async function takenIn<T>(work: () => Promise<T>): Promise<T | Result<never, 'shop-busy'>> {
  if (taken >= MACHINES + MOST_WAITING) return fail('shop-busy', `expected at most ${MOST_WAITING} waiting`);
  taken++;
  try {
    return await work();
  } finally {
    taken--;
  }
}

export const measureApart = (pdf: Uint8Array, signal?: AbortSignal) =>
  inTurn<ShopJob>({ kind: 'measure', pdf }, signal);
export const proofApart = (
  pdf: Uint8Array,
  page: number,
  options: Pick<ShopOptions, 'colour' | 'fit'>,
  signal?: AbortSignal,
) => inTurn<Uint8Array>({ kind: 'proof', pdf, page, options: { colour: options.colour, fit: options.fit } }, signal);

/** Work that nobody waits for any more is not begun, and ends where it was. */
const LEFT = () => fail('shop-left', 'the client has gone');

async function inTurn<T>(order: ThreadOrder, signal?: AbortSignal): Promise<Result<T, ShopCode>> {
  if (busy >= MACHINES) {
    await new Promise<void>((resolve) => {
      waiting.push(resolve);
      signal?.addEventListener('abort', () => {
        const at = waiting.indexOf(resolve);
        if (at >= 0) waiting.splice(at, 1);
        resolve();
      });
    });
    if (signal?.aborted) return LEFT();
  }
  if (signal?.aborted) {
    waiting.shift()?.();
    return LEFT();
  }
  busy++;
  try {
    return await apart<T>(order, signal);
  } finally {
    busy--;
    waiting.shift()?.();
  }
}

function apart<T>(order: ThreadOrder, signal?: AbortSignal): Promise<Result<T, ShopCode>> {
  return new Promise((resolve) => {
    const thread = new Worker(THREAD, {
      workerData: order,
      resourceLimits: { maxOldGenerationSizeMb: MOST_MEMORY_MB },
      stderr: true,
    });
    const limit = setTimeout(() => end(fail('shop-too-slow', `expected to end within ${LONGEST_MS} ms`)), LONGEST_MS);
    const leave = () => end(LEFT());
    const end = (answer: Result<T, ShopCode>) => {
      clearTimeout(limit);
      signal?.removeEventListener('abort', leave);
      resolve(answer);
      void thread.terminate();
    };
    signal?.addEventListener('abort', leave);
    thread.once('message', (answer: Result<T, ShopCode>) => end(answer));
    thread.once('error', (error) => end(fail('shop-too-slow', error.message)));
    thread.once('exit', () => end(fail('shop-too-slow', 'the thread ended')));
  });
}
