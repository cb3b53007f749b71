import type { Instance, PlaceId, Starts } from './instance';
import { ripenessOf } from './ripeness';

export interface Violation {
  rule: 'unplaced' | 'hands' | 'free-hours' | 'order' | 'too-late' | 'place' | 'not-before' | 'pinned' | 'attended';
  task: number;
  other: number | null;
  minutes: number;
}

/** Everything that a schedule breaks, looked up by itself: not with the means that made it. */
export function checkSchedule(instance: Instance, starts: Starts): Violation[] {
  const { tasks, windows, places, occupied } = instance;
  const { ripeAt } = ripenessOf(instance);
  const found: Violation[] = [];
  const say = (rule: Violation['rule'], task: number, minutes: number, other: number | null = null) =>
    found.push({ rule, task, other, minutes });
  const end = (index: number) => starts[index] + tasks[index].minutes;
  const placed = tasks.map((_, index) => index).filter((index) => !Number.isNaN(starts[index]));
  tasks.forEach((task, index) => {
    if (Number.isNaN(starts[index])) {
      say('unplaced', index, 0);
      return;
    }
    if (task.pinnedAt !== null && starts[index] !== task.pinnedAt) say('pinned', index, starts[index] - task.pinnedAt);
    if (task.pinnedAt === null && starts[index] < task.notBefore)
      say('not-before', index, task.notBefore - starts[index]);
    const window = windows.find((free) => free.from <= starts[index] && end(index) <= free.until);
    if (!window && task.pinnedAt === null) say('free-hours', index, 0);
    if (window && task.attended && task.pinnedAt === null && ripeAt(task, end(index)) > window.until)
      say('attended', index, ripeAt(task, end(index)) - window.until);
    for (const before of task.after) {
      if (Number.isNaN(starts[before])) continue;
      const ripe = ripeAt(tasks[before], end(before));
      if (starts[index] < ripe) say('order', index, ripe - starts[index], before);
      const { maxMinutes } = tasks[before].wait;
      if (maxMinutes !== null && starts[index] > end(before) + maxMinutes)
        say('too-late', index, starts[index] - end(before) - maxMinutes, before);
    }
  });
  const byStart = [...placed].sort((a, b) => starts[a] - starts[b]);
  byStart.slice(1).forEach((index, at) => {
    const before = byStart[at];
    if (starts[index] < end(before)) say('hands', index, end(before) - starts[index], before);
  });
  for (const place of ['bench', 'rack', 'oven'] as const) crowded(place).forEach((index) => say('place', index, 0));
  return found;

  function crowded(place: PlaceId): number[] {
    const held = occupied
      .filter((one) => one.place === place)
      .flatMap(({ until }) => [
        { at: 0, by: 1, index: -1 },
        { at: until, by: -1, index: -1 },
      ]);
    const events = [
      ...held,
      ...placed.flatMap((index) => {
        const spans: [number, number][] = [];
        if (place === 'bench') spans.push([starts[index], end(index)]);
        if (tasks[index].wait.place === place) spans.push([end(index), ripeAt(tasks[index], end(index))]);
        return spans
          .filter(([from, until]) => until > from)
          .flatMap(([from, until]) => [
            { at: from, by: 1, index },
            { at: until, by: -1, index },
          ]);
      }),
    ].sort((a, b) => a.at - b.at || a.by - b.by);
    let used = 0;
    return events
      .filter((event) => {
        used += event.by;
        return event.index >= 0 && event.by > 0 && used > places[place];
      })
      .map((event) => event.index);
  }
}
