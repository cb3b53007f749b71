import type { Instance, Placed, Repaired, Violation } from '@/core/schedule';

export interface PlanOrder {
  instance: Instance;
  /** The same with the safest waits; null where those are planned with. */
  safest: Instance | null;
  /** As the steps stood; null to plan afresh. */
  before: Placed | null;
  mode: 'earliest' | 'latest';
  reserveMinutes: number;
  /** Whether it may take its time. */
  thorough: boolean;
}

export interface PlanAnswer {
  placed: Placed;
  finishes: number[];
  /** If every wait takes its safest hours. */
  safestFinishes: number[];
  tardiness: number[];
  /** Steps that moved against before, and how the answer came about. */
  moved: number[];
  how: Repaired['how'];
  violations: Violation[];
  cost: number;
  ms: number;
}

export interface ScheduleJob {
  plan: (order: PlanOrder) => PlanAnswer;
  /** Finish of each piece in each of several problems, in minutes; Infinity where a step finds no place. */
  weigh: (instances: readonly Instance[]) => number[][];
}
