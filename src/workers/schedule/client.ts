import type { Instance } from '@/core/schedule';
import { WorkerLife } from '../running';
import type { PlanAnswer, PlanOrder, ScheduleJob } from './protocol';

/** A worker that stays while a place with a schedule is open. */
export interface Scheduler {
  plan: (order: PlanOrder) => Promise<PlanAnswer | null>;
  weigh: (instances: readonly Instance[]) => Promise<number[][] | null>;
  close: () => void;
}

const nothing = () => null;

export function openScheduler(): Scheduler {
  const life = new WorkerLife<ScheduleJob>(
    () => new Worker(new URL('./schedule.worker.ts', import.meta.url), { type: 'module' }),
  );
  return {
    plan: (order) => life.ask<PlanAnswer | null>((job) => job.plan(order), nothing).done,
    weigh: (instances) => life.ask<number[][] | null>((job) => job.weigh(instances), nothing).done,
    close: () => life.end(),
  };
}
