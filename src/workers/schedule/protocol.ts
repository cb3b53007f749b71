import type { Instance, Violation } from '@/core/schedule';

/** Starts in minutes from the instance's origin; null where a step finds no place. */
type SentStarts = (number | null)[];

export interface PlanOrder {
  instance: Instance;
  /** As the steps stood; null to plan afresh. */
  before: SentStarts | null;
  mode: 'earliest' | 'latest';
  reserveMinutes: number;
  budgetMs: number;
}

export interface PlanAnswer {
  starts: SentStarts;
  finishes: number[];
  tardiness: number[];
  /** Steps that moved against before, and how the answer came about. */
  moved: number[];
  how: 'kept' | 'fitted' | 'pushed' | 'anew';
  violations: Violation[];
  cost: number;
  ms: number;
}

export interface ScheduleJob {
  plan: (order: PlanOrder) => PlanAnswer;
  /** Finish of each piece in each of several problems, in minutes; Infinity where a step finds no place. */
  weigh: (instances: readonly Instance[], budgetMs: number) => number[][];
}
