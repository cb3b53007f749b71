import { gatheredOver } from '@/core/cure';
import type { Instance, Task } from './instance';

/** When a task's wait is over, by the minute its hands end; and the latest such minute for a given ripe one. One table for each still factor, made once. */
export interface Ripeness { ripeAt: (task: Task, end: number) => number; latestEnd: (task: Task, ripe: number) => number }

const MS_PER_MINUTE = 60_000;

export function ripenessOf({ room, tasks }: Pick<Instance, 'room' | 'tasks'>): Ripeness {
  const tables = new Map<number, Float64Array>();
  const ofTask = new Map<Task, Float64Array>();
  const tableOf = (still: number): Float64Array => {
    const key = Math.round(still * 1000);
    let table = tables.get(key);
    if (!table) {
      const { vpdKpa, stepMinutes } = room ?? { vpdKpa: [REFERENCE_KPA], stepMinutes: 60 };
      table = gatheredOver({ stepMs: stepMinutes * MS_PER_MINUTE, vpdKpa: Float64Array.from(vpdKpa) }, still).map((hours) => hours * 60);
      tables.set(key, table);
    }
    return table;
  };
  for (const task of tasks) if (task.wait.drying) ofTask.set(task, tableOf(task.wait.drying.still));
  const step = room?.stepMinutes ?? 60;
  const gathered = (table: Float64Array, minute: number): number => {
    const last = table.length - 1;
    const at = minute / step;
    if (at <= 0) return (at * step * table[1]) / step;
    if (at >= last) return table[last] + (minute - last * step) * lateRate(table, step);
    const whole = Math.floor(at);
    return table[whole] + (at - whole) * (table[whole + 1] - table[whole]);
  };
  const minuteOf = (table: Float64Array, total: number): number => {
    const last = table.length - 1;
    if (total <= 0) return (total / table[1]) * step;
    if (total >= table[last]) return last * step + (total - table[last]) / lateRate(table, step);
    let [low, high] = [0, last];
    while (high - low > 1) {
      const middle = (low + high) >> 1;
      if (table[middle] <= total) low = middle;
      else high = middle;
    }
    return (low + (total - table[low]) / (table[low + 1] - table[low])) * step;
  };
  return {
    ripeAt: (task, end) => {
      const { wait } = task;
      const byClock = end + wait.minMinutes;
      if (!wait.drying) return byClock;
      const table = ofTask.get(task) ?? tableOf(wait.drying.still);
      return Math.max(byClock, Math.ceil(minuteOf(table, gathered(table, end) + wait.drying.labelMinutes) - 1e-6));
    },
    latestEnd: ({ wait }, ripe) => {
      const byClock = ripe - wait.minMinutes;
      if (!wait.drying) return byClock;
      const table = tableOf(wait.drying.still);
      return Math.min(byClock, Math.floor(minuteOf(table, gathered(table, ripe) - wait.drying.labelMinutes) + 1e-6));
    },
  };
}

const REFERENCE_KPA = 1.243;

/** Past the table its last day goes on, on average. */
function lateRate(table: Float64Array, step: number): number {
  const last = table.length - 1;
  const day = Math.max(1, Math.min(last, Math.round(1440 / step)));
  return (table[last] - table[last - day]) / (day * step);
}
