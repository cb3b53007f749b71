import { REFERENCE_VPD_KPA, gatheredLine, gatheredOver, type GatheredLine } from '@/core/cure';
import { MS_PER_MINUTE } from '@/core/shared';
import type { Instance, Task } from './instance';

/**
 * When a task's wait is over, by the minute its hands end; and the latest such minute for a given ripe one. One table
 * for each still factor, made once.
 */
export interface Ripeness {
  ripeAt: (task: Task, end: number) => number;
  latestEnd: (task: Task, ripe: number) => number;
}

const DAY_MINUTES = 1440;
const STEADY_ROOM = { vpdKpa: [REFERENCE_VPD_KPA], stepMinutes: 60 };

export function ripenessOf({ room, tasks }: Pick<Instance, 'room' | 'tasks'>): Ripeness {
  const { vpdKpa, stepMinutes } = room ?? STEADY_ROOM;
  const course = { stepMs: stepMinutes * MS_PER_MINUTE, vpdKpa: Float64Array.from(vpdKpa) };
  const lines = new Map<number, GatheredLine>();
  const ofTask = new Map<Task, GatheredLine>();
  /** Label minutes gathered by a minute. */
  const lineOf = (still: number): GatheredLine => {
    const key = Math.round(still * 1000);
    let line = lines.get(key);
    if (!line)
      lines.set(
        key,
        (line = gatheredLine(
          gatheredOver(course, still).map((hours) => hours * 60),
          stepMinutes,
          Math.round(DAY_MINUTES / stepMinutes),
        )),
      );
    return line;
  };
  for (const task of tasks) if (task.wait.drying) ofTask.set(task, lineOf(task.wait.drying.still));
  return {
    ripeAt: (task, end) => {
      const { wait } = task;
      const byClock = end + wait.minMinutes;
      if (!wait.drying) return byClock;
      const { at, timeOf } = ofTask.get(task) ?? lineOf(wait.drying.still);
      return Math.max(byClock, Math.ceil(timeOf(at(end) + wait.drying.labelMinutes) - 1e-6));
    },
    latestEnd: (task, ripe) => {
      const { wait } = task;
      const byClock = ripe - wait.minMinutes;
      if (!wait.drying) return byClock;
      const { at, timeOf } = ofTask.get(task) ?? lineOf(wait.drying.still);
      return Math.min(byClock, Math.floor(timeOf(at(ripe) - wait.drying.labelMinutes) + 1e-6));
    },
  };
}
