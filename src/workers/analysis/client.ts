import { proxy } from 'comlink';
import type { Analysis, MotifCode, MotifRing } from '@/core/picture';
import { fail, type Result } from '@/core/shared';
import { WorkerLife, startWorker, type Running } from '../running';
import type { AnalysisCode, AnalysisJob, AnalysisOrder, MotifOrder } from './protocol';

const create = () => new Worker(new URL('./analysis.worker.ts', import.meta.url), { type: 'module' });
const failed = (reason: string) => fail('analysis-failed', reason);

/**
 * A worker that stays while a piece is open, and keeps its picture decoded. Orders are answered one after the other.
 */
export interface Analyser {
  /** Null where it was closed meanwhile. */
  analyse: (
    order: AnalysisOrder,
    onProgress: (share: number) => void,
  ) => Promise<Result<Analysis, AnalysisCode> | null>;
  close: () => void;
}

/** Finds a motif's outline in a worker that ends with it. */
export const findMotif = (order: MotifOrder): Running<Result<MotifRing[], AnalysisCode | MotifCode>> =>
  startWorker<AnalysisJob, Result<MotifRing[], AnalysisCode | MotifCode>>(create, (job) => job.motif(order), failed);

export function openAnalyser(): Analyser {
  const life = new WorkerLife<AnalysisJob>(create, { inTurn: true });
  return {
    analyse: (order, onProgress) =>
      life.ask<Result<Analysis, AnalysisCode>>((job) => job.analyse(order, proxy(onProgress)), failed).done,
    close: () => life.end(),
  };
}
