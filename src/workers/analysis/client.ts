import { proxy, wrap, type Remote } from 'comlink';
import type { Analysis, MotifCode, MotifRing } from '@/core/picture';
import { fail, type Result } from '@/core/shared';
import { startWorker, type Running } from '../running';
import type { AnalysisCode, AnalysisJob, AnalysisOrder, MotifOrder } from './protocol';

const create = () => new Worker(new URL('./analysis.worker.ts', import.meta.url), { type: 'module' });

/**
 * A worker that stays while a piece is open, and keeps its picture decoded. Orders are answered one after the other.
 */
export interface Analyser {
  analyse: (order: AnalysisOrder, onProgress: (share: number) => void) => Promise<Result<Analysis, AnalysisCode>>;
  close: () => void;
}

/** Finds a motif's outline in a worker that ends with it. */
export const findMotif = (order: MotifOrder): Running<Result<MotifRing[], AnalysisCode | MotifCode>> =>
  startWorker<Result<MotifRing[], AnalysisCode | MotifCode>>(
    create,
    (worker) => wrap<AnalysisJob>(worker).motif(order),
    (reason) => fail('analysis-failed', reason),
  );

export function openAnalyser(): Analyser {
  const worker = create();
  const remote: Remote<AnalysisJob> = wrap<AnalysisJob>(worker);
  let queue: Promise<unknown> = Promise.resolve();
  let stop: (result: Result<Analysis, AnalysisCode>) => void = () => undefined;
  const died = new Promise<Result<Analysis, AnalysisCode>>((resolve) => {
    stop = resolve;
  });
  worker.onerror = (event) => stop(fail('analysis-failed', event.message || 'the worker stopped'));
  return {
    analyse(order, onProgress) {
      const answer = queue
        .then(() => Promise.race([remote.analyse(order, proxy(onProgress)), died]))
        .catch((error: unknown) => fail('analysis-failed', error instanceof Error ? error.message : String(error)));
      queue = answer;
      return answer;
    },
    close: () => {
      stop(fail('analysis-failed', 'closed'));
      worker.terminate();
    },
  };
}
