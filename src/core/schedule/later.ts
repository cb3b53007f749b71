/**
 * As late as is safe: a schedule's steps moved to the right as far as their pieces' due dates, the steps after them,
 * hands and places allow, the last first. Pieces without a due date stay as early as they were.
 */
import type { Starts } from './instance';
import { Placing, type Bench } from './placing';

/** @param reserveMinutes kept free before each due date */
export function asLateAsSafe(bench: Bench, starts: Starts, reserveMinutes: number): Starts {
  const {
    instance: { tasks, pieces, windows },
    followers,
    ripeness,
    tied,
  } = bench;
  const placing = new Placing(bench);
  const horizon = windows.at(-1)?.until ?? 0;
  // Steps that must follow each other closely stay where they are: moved one by one they could lose their hands.
  const inTie = (index: number) => tied[index] >= 0 || tasks[index].after.some((before) => tied[before] === index);
  const moves = (index: number) =>
    tasks[index].pinnedAt === null && pieces[tasks[index].piece].dueMinute !== null && !inTie(index);
  const placed = [...tasks.keys()].filter((index) => !Number.isNaN(starts[index]));
  placed.forEach((index) => placing.book(index, starts[index]));
  for (const index of placed.filter(moves).sort((a, b) => starts[b] - starts[a] || b - a)) {
    const task = tasks[index];
    const due = pieces[task.piece].dueMinute ?? horizon;
    const by = Math.min(
      horizon,
      ripeness.latestEnd(task, due - reserveMinutes),
      ...followers[index].map((next) => ripeness.latestEnd(task, placing.starts[next])),
    );
    placing.free(index);
    if (by < starts[index] + task.minutes || !placing.placeLatest(index, by, starts[index]))
      placing.book(index, starts[index]);
  }
  return placing.starts;
}
