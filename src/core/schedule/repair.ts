/**
 * After a change: the schedule as it was, moved as little as the change asks for. Steps whose place still holds stay;
 * the others find the nearest later place round them; only where that makes a piece late that was not, all later steps
 * are pushed on in their order instead, or the whole is planned anew.
 */
import { handsMinutesOf, type Instance, type Placed } from './instance';
import { benchOf, type Bench } from './bench';
import { outcomeOf, withPinned, type Placing } from './placing';
import { searchOn, type SearchLimits } from './search';

export interface Repaired {
  placed: Placed;
  moved: number[];
  how: 'kept' | 'fitted' | 'pushed' | 'anew';
}

/** @param before as it was; a step that is new stands nowhere */
export function repairSchedule(instance: Instance, before: Placed, search: SearchLimits): Repaired {
  const bench = benchOf(instance);
  const fitted = roundWhatStays(bench, before);
  const pushed = pushedOn(bench, before);
  const options: Repaired[] = [
    { placed: fitted, moved: movedOf(fitted, before), how: 'fitted' },
    { placed: pushed, moved: movedOf(pushed, before), how: 'pushed' },
  ];
  const harm = (placed: Placed) => {
    const { tardiness, unplaced } = outcomeOf(bench, placed);
    return tardiness.reduce((sum, late) => sum + late, 0) + unplaced.length * UNPLACED_MINUTES;
  };
  const best = options.sort((a, b) => harm(a.placed) - harm(b.placed) || a.moved.length - b.moved.length)[0];
  if (best.moved.length === 0 && harm(best.placed) === 0) return { ...best, how: 'kept' };
  if (harm(best.placed) === 0) return best;
  const anew = searchOn(bench, search).placed;
  const moved = movedOf(anew, before);
  const worth = WORTH_MINUTES + WORTH_EACH * moved.length;
  return harm(anew) < harm(best.placed) - worth ? { placed: anew, moved, how: 'anew' } : best;
}

const UNPLACED_MINUTES = 10_080;
/** Lateness that must be saved to be worth upsetting a plan, and for each step that moves. */
const WORTH_MINUTES = 30;
const WORTH_EACH = 5;

const movedOf = ({ starts: after }: Placed, { starts: before }: Placed): number[] =>
  [...after.keys()].filter((index) => !Number.isNaN(before[index]) && before[index] !== after[index]);

/** What can stay is booked first, in order; the rest finds the earliest place round it. */
function roundWhatStays(bench: Bench, before: Placed): Placed {
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
    if (trial.isPlaced(index) || !mayStand(index)) continue;
    const spot = trial.spotAt(index, before.starts[index], before.who[index]);
    if (!spot) continue;
    trial.book(index, spot);
    stays[index] = 1;
  }
  // What a step leans on may not have found its place: tied steps stay together or not at all.
  for (let settled = false; !settled;) {
    settled = true;
    for (const index of order) {
      if (!stays[index] || tasks[index].pinnedAt !== null) continue;
      const next = tied[index];
      const leans =
        tasks[index].after.every((earlier) => stays[earlier]) &&
        (next < 0 || stays[next] === 1) &&
        (!trial.placed.shared[index] || trial.isReadied(index));
      if (leans) continue;
      trial.free(index);
      stays[index] = 0;
      settled = false;
    }
  }
  return placeRest(trial, bench, order, before);

  function mayStand(index: number): boolean {
    const wanted = before.starts[index];
    if (Number.isNaN(wanted) || wanted < 0 || tasks[index].after.some((earlier) => !stays[earlier])) return false;
    const tie = tasks[index].after.find((earlier) => tied[earlier] === index);
    if (tie !== undefined) {
      const { starts, shared } = trial.placed;
      const end = starts[tie] + handsMinutesOf(tasks[tie], shared[tie]);
      if (wanted > end + (tasks[tie].wait.maxMinutes ?? 0)) return false;
    }
    return trial.lowerBound(index) <= wanted;
  }
}

/**
 * When each piece is finished if its waits take other hours than the plan reckons with: all in their order, none sooner
 * than it stands.
 *
 * @param otherwise the same steps with those waits
 */
export function finishesIf(otherwise: Instance, placed: Placed): number[] {
  const bench = benchOf(otherwise);
  return outcomeOf(bench, pushedOn(bench, placed)).finishes;
}

/** All in the order of their old starts, none sooner than it stood. */
const pushedOn = (bench: Bench, before: Placed): Placed =>
  placeRest(withPinned(bench), bench, inOrder(bench, before), before);

/** Places what is not placed yet, in an order, none sooner than it stood and none before what must come first. */
function placeRest(
  placing: Placing,
  { instance: { tasks } }: Bench,
  order: readonly number[],
  { starts }: Placed,
): Placed {
  const ready = (index: number) => tasks[index].after.every((earlier) => placing.isPlaced(earlier));
  for (const index of order)
    if (!placing.isPlaced(index) && ready(index))
      placing.placeFrom(index, Math.max(placing.lowerBound(index), Number.isNaN(starts[index]) ? 0 : starts[index]));
  return placing.placed;
}

/**
 * By old start, but never before what must come first: new steps right after their predecessors, and of several new
 * pieces the first step of each before the second, so that they can share what is got ready.
 */
function inOrder({ instance: { tasks } }: Bench, { starts: before }: Placed): number[] {
  const at = new Float64Array(tasks.length);
  const depth = new Uint16Array(tasks.length);
  tasks.forEach((task, index) => {
    at[index] = Number.isNaN(before[index]) ? 0 : before[index];
    for (const earlier of task.after) {
      at[index] = Math.max(at[index], at[earlier]);
      depth[index] = Math.max(depth[index], depth[earlier] + 1);
    }
  });
  return [...tasks.keys()].sort((a, b) => at[a] - at[b] || depth[a] - depth[b] || a - b);
}
