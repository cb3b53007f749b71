import { proxy, wrap } from 'comlink';
import { fail, type Result } from '@/core/shared';
import { startWorker, type Running } from '../running';
import type { SheetCode, SheetJob, SheetOrder } from './protocol';

const create = () => new Worker(new URL('./sheet.worker.ts', import.meta.url), { type: 'module' });

/** Makes a print's PDF in a worker of its own, with its progress from 0 to 1. */
export function makeSheet(order: SheetOrder, onProgress: (share: number) => void): Running<Result<Uint8Array<ArrayBuffer>, SheetCode>> {
  return startWorker<Result<Uint8Array<ArrayBuffer>, SheetCode>>(create, (worker) => wrap<SheetJob>(worker).make(order, proxy(onProgress)), (reason) => fail('sheet-failed', reason));
}
