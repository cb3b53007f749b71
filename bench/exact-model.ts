/**
 * The same scheduling problem as a time-indexed integer programme in LP text: one binary for each step, each start it may
 * have, who does it, and whether its set-up stands already. Waits through changing air are coefficients of the starts, so
 * the model is the same to the minute. Starts lie on a grid; with all durations and waits on it nothing is lost.
 */
import { LATE_WEIGHT, benchOf, handsMinutesOf, readyCost, type Instance } from '@/core/schedule';

/** One way to do a step. */
interface Way {
  name: string;
  start: number;
  end: number;
  ripe: number;
  who: number;
  shared: 0 | 1;
}

export function exactModel(instance: Instance, gridMinutes: number, horizonMinutes: number): string {
  const { tasks, pieces, hands, places } = instance;
  const { ripeness, teams, kin } = benchOf(instance);
  const ways = tasks.map((_, index) =>
    teams[index].flatMap((who) =>
      ([0, 1] as const)
        .filter((shared) => shared === 0 || kin[index].length > 0)
        .flatMap((shared) => startsOf(index, who, shared)),
    ),
  );
  const term = (coefficient: number, name: string) => `${coefficient < 0 ? '-' : '+'} ${Math.abs(coefficient)} ${name}`;
  const sumOf = (list: readonly Way[], by: (way: Way) => number = () => 1) =>
    list.map((way) => term(by(way), way.name)).join(' ');
  const rows: string[] = [];
  tasks.forEach((task, index) => {
    rows.push(`${sumOf(ways[index])} = 1`);
    // In the stronger form: whatever starts by a time needs its predecessor ripe by then.
    for (const before of task.after) {
      for (const at of new Set(ways[index].map(({ start }) => start))) {
        const early = ways[index].filter(({ start }) => start <= at);
        const ripe = ways[before].filter((way) => way.ripe <= at);
        rows.push(`${[sumOf(early), sumOf(ripe, () => -1)].filter(Boolean).join(' ')} <= 0`);
      }
      const { maxMinutes } = tasks[before].wait;
      if (maxMinutes !== null)
        rows.push(
          `${sumOf(ways[index], ({ start }) => start)} ${sumOf(ways[before], ({ end }) => -end)} <= ${maxMinutes}`,
        );
    }
    // What shares its set-up begins where the same hands end one of its kind.
    for (const way of ways[index].filter(({ shared }) => shared === 1)) {
      const ready = kin[index].flatMap((other) =>
        ways[other].filter(({ end, who }) => end === way.start && who === way.who),
      );
      rows.push(`${[term(1, way.name), sumOf(ready, () => -1)].filter(Boolean).join(' ')} <= 0`);
    }
  });
  const all = ways.flat();
  hands.forEach((_, one) => {
    const own = all.filter(({ who }) => (who >> one) & 1);
    for (let slot = 0; slot < horizonMinutes; slot += gridMinutes) {
      const over = own.filter(({ start, end }) => start < slot + gridMinutes && end > slot);
      if (over.length > 1) rows.push(`${sumOf(over)} <= 1`);
    }
  });
  // Every minute at which something may begin: places can only become too few there.
  const slots = [...new Set(all.flatMap(({ start, end }) => [start, end]))].sort((a, b) => a - b);
  for (const place of ['bench', 'rack', 'oven'] as const)
    for (const slot of slots) {
      // Hands' own time on the bench and the waits that lie there are two spans of one step.
      const over = ways.flatMap((list, index) =>
        list.flatMap((way) => {
          const onBench = place === 'bench' && way.start <= slot && way.end > slot;
          const { wait } = tasks[index];
          const lies = wait.place === place && way.end <= slot && way.ripe > slot;
          const room = (onBench ? 1 : 0) + (lies ? wait.room : 0);
          return room > 0 ? [{ way, room }] : [];
        }),
      );
      const free = instance.occupied.reduce(
        (left, one) => left - (one.place === place && one.until > slot ? one.room : 0),
        places[place],
      );
      if (over.reduce((sum, { room }) => sum + room, 0) > free)
        rows.push(`${over.map(({ way, room }) => term(room, way.name)).join(' ')} <= ${free}`);
    }
  // A set counts as one piece: finished when the last of it is, and due on its first date.
  const sets = [...new Set(pieces.map(({ set }, piece) => set ?? piece))].map((key) => {
    const own = [...pieces.keys()].filter((piece) => (pieces[piece].set ?? piece) === key);
    const due = Math.min(...own.map((piece) => pieces[piece].dueMinute ?? Infinity));
    return { name: own[0], own, due };
  });
  for (const { name, own, due } of sets) {
    tasks.forEach((task, index) => {
      if (own.includes(task.piece)) rows.push(`f${name} ${sumOf(ways[index], ({ ripe }) => -ripe)} >= 0`);
    });
    if (due < Infinity) rows.push(`l${name} - f${name} >= ${-due}`);
  }
  const ready = tasks.flatMap((task, index) =>
    ways[index].flatMap(({ name, shared }) => {
      const weight = readyCost(task, shared);
      return weight > 0 ? [term(weight, name)] : [];
    }),
  );
  const finishes = sets.map(({ name, due }) => `f${name}${due < Infinity ? ` + ${LATE_WEIGHT} l${name}` : ''}`);
  const objective = `${finishes.join(' + ')} ${ready.join(' ')}`;
  return (
    `Minimize\n obj: ${objective}\nSubject To\n` +
    `${rows.map((row, index) => ` c${index}: ${row.replace(/^\+ /, '')}`).join('\n')}\nBinaries\n` +
    ` ${all.map(({ name }) => name).join('\n ')}\nEnd\n`
  );

  function startsOf(index: number, who: number, shared: 0 | 1): Way[] {
    const task = tasks[index];
    const minutes = handsMinutesOf(task, shared);
    const doers = hands.filter((_, one) => (who >> one) & 1);
    const found: Way[] = [];
    for (
      let start = Math.ceil(task.notBefore / gridMinutes) * gridMinutes;
      start < horizonMinutes;
      start += gridMinutes
    ) {
      const end = start + minutes;
      const free = doers.every((windows) => windows.some(({ from, until }) => from <= start && end <= until));
      if (end > horizonMinutes || !free) continue;
      found.push({
        name: `x${index}_${start}_${who}_${shared}`,
        start,
        end,
        ripe: ripeness.ripeAt(task, end),
        who,
        shared,
      });
    }
    return found;
  }
}
