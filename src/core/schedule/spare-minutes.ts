import { handsMinutesOf, type Instance, type Placed } from './instance';
import { benchOf } from './bench';
import { OWN, Placing, spotOf } from './placing';

/**
 * What the first pair of hands could do with spare minutes at once, the most useful first: it can begin now, is over in
 * time, and leaves the rest of the schedule alone.
 */
export function spareSteps(instance: Instance, placed: Placed, minutes: number): number[] {
  const { starts } = placed;
  const [own = [], ...others] = instance.hands;
  const bench = benchOf({ ...instance, hands: [[{ from: 0, until: minutes }, ...own], ...others] });
  const begun = instance.tasks
    .map((_, index) => index)
    .filter((index) => {
      const task = instance.tasks[index];
      return (
        task.after.length === 0 &&
        task.notBefore <= 0 &&
        task.pinnedAt === null &&
        task.people === 1 &&
        (task.hands & OWN) !== 0 &&
        handsMinutesOf(task, 0) <= minutes &&
        task.wait.maxMinutes === null &&
        !task.attended &&
        !(starts[index] <= 0)
      );
    });
  const placing = new Placing(bench);
  const stands = (index: number) => placed.who[index] !== 0;
  for (const index of starts.keys()) if (stands(index)) placing.book(index, spotOf(instance, placed, index));
  return begun
    .filter((index) => {
      if (stands(index)) placing.free(index);
      const spot = placing.spotAt(index, 0, OWN);
      if (stands(index)) placing.book(index, spotOf(instance, placed, index));
      return spot?.who === OWN;
    })
    .sort((a, b) => usefulness(b) - usefulness(a) || starts[a] - starts[b]);

  /** Waits that get going sooner count most, then minutes used. */
  function usefulness(index: number): number {
    const task = instance.tasks[index];
    return Math.min(1440, bench.ripeness.ripeAt(task, 0)) / 10 + task.minutes;
  }
}
