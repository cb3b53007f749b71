/**
 * As late as is safe: a schedule's steps moved to the right as far as their pieces' due dates, the steps after them,
 * hands and places allow, the last first. Pieces without a due date stay as early as they were, and so does what shares
 * its set-up with others.
 */
import { batchesOf } from './batches';
import { handsMinutesOf, horizonOf, type Placed } from './instance';
import type { Bench } from './bench';
import { Placing, spotOf } from './placing';

/** @param reserveMinutes kept free before each due date */
export function asLateAsSafe(bench: Bench, before: Placed, reserveMinutes: number): Placed {
  const {
    instance,
    instance: { tasks, pieces },
    followers,
    ripeness,
    tied,
  } = bench;
  const placing = new Placing(bench);
  const horizon = horizonOf(instance);
  const together = batchesOf(instance, before).flatMap((batch) => (batch.length > 1 ? batch : []));
  const inBatch = new Set(together);
  // Steps that must follow each other closely stay where they are: moved one by one they could lose their hands.
  const inTie = (index: number) => tied[index] >= 0 || tasks[index].after.some((earlier) => tied[earlier] === index);
  const moves = (index: number) =>
    tasks[index].pinnedAt === null &&
    pieces[tasks[index].piece].dueMinute !== null &&
    !inTie(index) &&
    !inBatch.has(index);
  const { starts, who } = before;
  const placed = [...tasks.keys()].filter((index) => who[index] !== 0).sort((a, b) => starts[a] - starts[b]);
  const stood = (index: number) => spotOf(instance, before, index);
  placed.forEach((index) => placing.book(index, stood(index)));
  for (const index of placed.filter(moves).sort((a, b) => starts[b] - starts[a] || b - a)) {
    const task = tasks[index];
    const due = pieces[task.piece].dueMinute ?? horizon;
    const by = Math.min(
      horizon,
      ripeness.latestEnd(task, due - reserveMinutes),
      ...followers[index]
        .filter((next) => placing.isPlaced(next))
        .map((next) => ripeness.latestEnd(task, placing.placed.starts[next])),
    );
    placing.free(index);
    if (by < starts[index] + handsMinutesOf(task, 0) || !placing.placeLatest(index, by, starts[index], who[index]))
      placing.book(index, stood(index));
  }
  return placing.placed;
}
