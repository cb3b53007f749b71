import { READY_MINUTES, endOf, type Instance, type Placed, type PlaceId } from './instance';
import { ripenessOf } from './ripeness';

export interface Violation {
  rule:
    | 'unplaced'
    | 'hands'
    | 'skill'
    | 'free-hours'
    | 'order'
    | 'too-late'
    | 'place'
    | 'heat'
    | 'not-before'
    | 'pinned'
    | 'attended'
    | 'set-up';
  task: number;
  other: number | null;
  minutes: number;
}

/** Everything that a schedule breaks, looked up by itself: not with the means that made it. */
export function checkSchedule(instance: Instance, placed: Placed): Violation[] {
  const { tasks, hands, places, occupied } = instance;
  const { starts, who, shared } = placed;
  const { ripeAt } = ripenessOf(instance);
  const found: Violation[] = [];
  const say = (rule: Violation['rule'], task: number, minutes: number, other: number | null = null) =>
    found.push({ rule, task, other, minutes });
  const end = (index: number) => endOf(instance, placed, index);
  const doers = (index: number) => hands.flatMap((_, one) => ((who[index] >> one) & 1 ? [one] : []));
  const standing = tasks.map((_, index) => index).filter((index) => who[index] !== 0);
  tasks.forEach((task, index) => {
    if (who[index] === 0) {
      say('unplaced', index, 0);
      return;
    }
    if (doers(index).length !== task.people || (who[index] & ~task.hands) !== 0) say('skill', index, 0);
    if (shared[index] && !standing.some((other) => other !== index && isReadiedBy(index, other)))
      say('set-up', index, task.setUp?.minutes ?? 0);
    if (task.pinnedAt !== null && starts[index] !== task.pinnedAt) say('pinned', index, starts[index] - task.pinnedAt);
    if (task.pinnedAt === null && starts[index] < task.notBefore)
      say('not-before', index, task.notBefore - starts[index]);
    if (task.pinnedAt === null) {
      const stretches = doers(index).map((one) =>
        hands[one].find((free) => free.from <= starts[index] && end(index) <= free.until),
      );
      if (stretches.some((stretch) => !stretch)) say('free-hours', index, 0);
      else if (task.attended) {
        const stays = Math.max(...stretches.map((stretch) => stretch?.until ?? 0));
        if (ripeAt(task, end(index)) > stays) say('attended', index, ripeAt(task, end(index)) - stays);
      }
    }
    for (const before of task.after) {
      if (who[before] === 0) continue;
      const ripe = ripeAt(tasks[before], end(before));
      if (starts[index] < ripe) say('order', index, ripe - starts[index], before);
      const { maxMinutes } = tasks[before].wait;
      if (maxMinutes !== null && starts[index] > end(before) + maxMinutes)
        say('too-late', index, starts[index] - end(before) - maxMinutes, before);
    }
  });
  const byStart = [...standing].sort((a, b) => starts[a] - starts[b] || end(a) - end(b));
  hands.forEach((_, one) => {
    const own = byStart.filter((index) => (who[index] >> one) & 1);
    own.slice(1).forEach((index, at) => {
      const before = own[at];
      if (starts[index] < end(before)) say('hands', index, end(before) - starts[index], before);
    });
  });
  for (const place of ['bench', 'rack', 'oven'] as const) crowded(place).forEach((index) => say('place', index, 0));
  for (const index of standing)
    for (const other of standing) if (index < other && meetInOtherHeats(index, other)) say('heat', other, 0, index);
  return found;

  /** The same hands did one of its kind and end it where this one begins. */
  function isReadiedBy(index: number, other: number): boolean {
    const gap = starts[index] - end(other);
    if (who[other] !== who[index] || tasks[other].setUp?.kind !== tasks[index].setUp?.kind) return false;
    const between = (one: number) =>
      one !== index &&
      one !== other &&
      (who[one] & who[index]) !== 0 &&
      starts[one] < starts[index] &&
      end(one) > end(other);
    return gap >= 0 && gap < READY_MINUTES && !standing.some(between);
  }

  function meetInOtherHeats(one: number, other: number): boolean {
    const [a, b] = [tasks[one].wait, tasks[other].wait];
    if (a.place === null || a.place !== b.place || a.heat === null || b.heat === null || a.heat === b.heat)
      return false;
    return end(one) < ripeAt(tasks[other], end(other)) && end(other) < ripeAt(tasks[one], end(one));
  }

  function crowded(place: PlaceId): number[] {
    const held = occupied
      .filter((one) => one.place === place)
      .flatMap(({ until, room }) => [
        { at: 0, by: room, index: -1 },
        { at: until, by: -room, index: -1 },
      ]);
    const events = [
      ...held,
      ...standing.flatMap((index) => {
        const { wait } = tasks[index];
        const spans: [number, number, number][] = [];
        if (place === 'bench') spans.push([starts[index], end(index), 1]);
        if (wait.place === place) spans.push([end(index), ripeAt(tasks[index], end(index)), wait.room]);
        return spans
          .filter(([from, until]) => until > from)
          .flatMap(([from, until, room]) => [
            { at: from, by: room, index },
            { at: until, by: -room, index },
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
