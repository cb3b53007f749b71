import { wrap, type Remote } from 'comlink';
import type { Instance } from '@/core/schedule';
import type { PlanAnswer, PlanOrder, ScheduleJob } from './protocol';

/**
 * A worker that stays while a place with a schedule is open. A worker that dies is started anew with the next order.
 */
export interface Scheduler {
  plan: (order: PlanOrder) => Promise<PlanAnswer | null>;
  weigh: (instances: readonly Instance[]) => Promise<number[][] | null>;
  close: () => void;
}

const create = () => new Worker(new URL('./schedule.worker.ts', import.meta.url), { type: 'module' });

export function openScheduler(): Scheduler {
  let worker: Worker | null = null;
  let remote: Remote<ScheduleJob> | null = null;
  let stop: (value: null) => void = () => undefined;
  let died = new Promise<null>(() => undefined);
  const close = () => {
    stop(null);
    worker?.terminate();
    worker = null;
    remote = null;
  };
  const started = (): Remote<ScheduleJob> => {
    if (remote) return remote;
    worker = create();
    died = new Promise((resolve) => {
      stop = resolve;
    });
    worker.onerror = close;
    remote = wrap<ScheduleJob>(worker);
    return remote;
  };
  const ask = <T>(run: (job: Remote<ScheduleJob>) => Promise<T>): Promise<T | null> => {
    const job = started();
    return Promise.race([run(job), died]).catch(() => null);
  };
  return {
    plan: (order) => ask((job) => job.plan(order)),
    weigh: (instances) => ask((job) => job.weigh(instances)),
    close,
  };
}
