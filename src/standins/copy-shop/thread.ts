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

let busy = 0;
const waiting: (() => void)[] = [];

export const measureApart = (pdf: Uint8Array) => inTurn<ShopJob>({ kind: 'measure', pdf });
export const proofApart = (pdf: Uint8Array, page: number, options: Pick<ShopOptions, 'colour' | 'fit'>) =>
  inTurn<Uint8Array>({ kind: 'proof', pdf, page, options: { colour: options.colour, fit: options.fit } });

async function inTurn<T>(order: ThreadOrder): Promise<Result<T, ShopCode>> {
  if (busy >= MACHINES) await new Promise<void>((resolve) => waiting.push(resolve));
  busy++;
  try {
    return await apart<T>(order);
  } finally {
    busy--;
    waiting.shift()?.();
  }
}

function apart<T>(order: ThreadOrder): Promise<Result<T, ShopCode>> {
  return new Promise((resolve) => {
    const thread = new Worker(THREAD, {
      workerData: order,
      resourceLimits: { maxOldGenerationSizeMb: MOST_MEMORY_MB },
      stderr: true,
    });
    const limit = setTimeout(() => end(fail('shop-too-slow', `expected to end within ${LONGEST_MS} ms`)), LONGEST_MS);
    const end = (answer: Result<T, ShopCode>) => {
      clearTimeout(limit);
      resolve(answer);
      void thread.terminate();
    };
    thread.once('message', (answer: Result<T, ShopCode>) => end(answer));
    thread.once('error', (error) => end(fail('shop-too-slow', error.message)));
    thread.once('exit', () => end(fail('shop-too-slow', 'the thread ended')));
  });
}
