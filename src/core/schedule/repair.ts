/**
 * After a change: the schedule as it was, moved as little as the change asks for. Steps whose place still holds stay;
 * the others find the nearest later place round them; only where that makes a piece late that was not, all later steps
 * are pushed on in their order instead, or the whole is planned anew.
 */
import type { Instance, Starts } from './instance';
import { benchOf, outcomeOf, withPinned, type Bench, type Placing } from './placing';
import { searchOn } from './search';

export interface Repaired {
  starts: Starts;
  moved: number[];
  how: 'kept' | 'fitted' | 'pushed' | 'anew';
}

/** @param before starts as they were; NaN where a step is new */
export function repairSchedule(
  instance: Instance,
  before: Starts,
  search: { tries: number; seed: number; progress?: () => number },
): Repaired {
  const bench = benchOf(instance);
  const fitted = roundWhatStays(bench, before);
  const pushed = pushedOn(bench, before);
  const options: Repaired[] = [
    { starts: fitted, moved: movedOf(fitted, before), how: 'fitted' },
    { starts: pushed, moved: movedOf(pushed, before), how: 'pushed' },
  ];
  const harm = (starts: Starts) => {
    const { tardiness, unplaced } = outcomeOf(bench, starts);
    return tardiness.reduce((sum, late) => sum + late, 0) + unplaced.length * UNPLACED_MINUTES;
  };
  const best = options.sort((a, b) => harm(a.starts) - harm(b.starts) || a.moved.length - b.moved.length)[0];
  if (best.moved.length === 0 && harm(best.starts) === 0) return { ...best, how: 'kept' };
  if (harm(best.starts) === 0) return best;
  const anew = searchOn(bench, search).starts;
  return harm(anew) < harm(best.starts) - WORTH_MINUTES
    ? { starts: anew, moved: movedOf(anew, before), how: 'anew' }
    : best;
}

const UNPLACED_MINUTES = 10_080;
/** Lateness that must be saved to be worth upsetting everything. */
const WORTH_MINUTES = 30;

const movedOf = (after: Starts, before: Starts): number[] =>
  [...after.keys()].filter((index) => !Number.isNaN(before[index]) && before[index] !== after[index]);

/** What can stay is booked first, in order; the rest finds the earliest place round it. */
function roundWhatStays(bench: Bench, before: Starts): Starts {
  const {
    instance: { tasks },
    tied,
  } = bench;
  const order = inOrder(bench, before);
  // A step can stay if it stands alone where it stood: found by placing all in order and seeing who is not pushed.
  const stays = new Uint8Array(tasks.length);
  const trial = withPinned(bench);
  for (const index of bench.pinned) stays[index] = 1;
  for (const index of order) {
    const isTied = tasks[index].after.some((earlier) => tied[earlier] === index && tasks[earlier].pinnedAt === null);
    if (!Number.isNaN(trial.starts[index]) || isTied) continue;
    const chain: number[] = [];
    for (let one = index; one >= 0 && tasks[one].pinnedAt === null && stands(one); one = tied[one]) {
      trial.book(one, before[one]);
      stays[one] = 1;
      chain.push(one);
    }
    const last = chain.at(-1);
    // Tied steps stay together or not at all.
    if (last !== undefined && tied[last] >= 0 && !stays[tied[last]])
      for (const one of chain) {
        trial.free(one);
        stays[one] = 0;
      }
  }
  return placeRest(trial, bench, order, before);

  function stands(index: number): boolean {
    const wanted = before[index];
    if (Number.isNaN(wanted) || wanted < 0 || tasks[index].after.some((earlier) => !stays[earlier])) return false;
    const tie = tasks[index].after.find((earlier) => tied[earlier] === index);
    if (tie !== undefined && wanted > trial.starts[tie] + tasks[tie].minutes + (tasks[tie].wait.maxMinutes ?? 0))
      return false;
    return trial.lowerBound(index) <= wanted && trial.fits(index, wanted);
  }
}

/** All in the order of their old starts, none sooner than it stood. */
const pushedOn = (bench: Bench, before: Starts): Starts =>
  placeRest(withPinned(bench), bench, inOrder(bench, before), before);

/** Places what is not placed yet, in an order, none sooner than it stood and none before what must come first. */
function placeRest(placing: Placing, { instance: { tasks } }: Bench, order: readonly number[], before: Starts): Starts {
  const ready = (index: number) => tasks[index].after.every((earlier) => !Number.isNaN(placing.starts[earlier]));
  for (const index of order)
    if (Number.isNaN(placing.starts[index]) && ready(index))
      placing.placeFrom(index, Math.max(placing.lowerBound(index), Number.isNaN(before[index]) ? 0 : before[index]));
  return placing.starts;
}

/** By old start, but never before what must come first: new steps right after their predecessors. */
function inOrder({ instance: { tasks } }: Bench, before: Starts): number[] {
  const at = new Float64Array(tasks.length);
  tasks.forEach((task, index) => {
    at[index] = Math.max(Number.isNaN(before[index]) ? 0 : before[index], ...task.after.map((earlier) => at[earlier]));
  });
  return [...tasks.keys()].sort((a, b) => at[a] - at[b] || a - b);
}
