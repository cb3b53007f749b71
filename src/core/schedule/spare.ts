import type { Instance, Starts } from './instance';
import { benchOf, Placing } from './placing';

/**
 * What could be done with spare minutes at once, the most useful first: it can begin now, is over in time, and leaves
 * the rest of the schedule alone.
 */
export function spareSteps(instance: Instance, starts: Starts, minutes: number): number[] {
  const bench = benchOf({ ...instance, windows: [{ from: 0, until: minutes }, ...instance.windows] });
  const begun = instance.tasks
    .map((_, index) => index)
    .filter((index) => {
      const task = instance.tasks[index];
      return (
        task.after.length === 0 &&
        task.notBefore <= 0 &&
        task.pinnedAt === null &&
        task.minutes <= minutes &&
        task.wait.maxMinutes === null &&
        !task.attended &&
        !(starts[index] <= 0)
      );
    });
  const others = (index: number) =>
    [...starts.keys()].filter((other) => other !== index && !Number.isNaN(starts[other]));
  return begun
    .filter((index) => {
      const placing = new Placing(bench);
      for (const other of others(index)) placing.book(other, starts[other]);
      return placing.fits(index, 0);
    })
    .sort((a, b) => usefulness(b) - usefulness(a) || starts[a] - starts[b]);

  /** Waits that get going sooner count most, then minutes used. */
  function usefulness(index: number): number {
    const task = instance.tasks[index];
    return Math.min(1440, bench.ripeness.ripeAt(task, 0)) / 10 + task.minutes;
  }
}
