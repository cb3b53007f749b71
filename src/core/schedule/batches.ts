import { READY_MINUTES, endOf, type Instance, type Placed } from './instance';

/**
 * Steps in runs of one set-up, each run in working order: the first gets it ready, the others by the same hands share
 * it. A step by itself is a run of one.
 */
export function batchesOf(instance: Instance, placed: Placed): number[][] {
  const { tasks } = instance;
  const { starts, who, shared } = placed;
  const order = [...tasks.keys()].filter((index) => who[index] !== 0).sort((a, b) => starts[a] - starts[b] || a - b);
  const batches: number[][] = [];
  const latest = new Map<string, number[]>();
  for (const index of order) {
    const { setUp } = tasks[index];
    const key = setUp && `${setUp.kind} ${who[index]}`;
    const before = key === null ? undefined : latest.get(key);
    const last = before?.at(-1);
    const gap = last === undefined ? NaN : starts[index] - endOf(instance, placed, last);
    if (shared[index] === 1 && before && gap >= 0 && gap < READY_MINUTES) before.push(index);
    else {
      const batch = [index];
      batches.push(batch);
      if (key !== null) latest.set(key, batch);
    }
  }
  return batches;
}
