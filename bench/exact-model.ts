/**
 * The same scheduling problem as a time-indexed integer programme in LP text: one binary for each step and each start
 * it may have. Waits through changing air are coefficients of the starts, so the model is the same to the minute.
 * Starts lie on a grid; with all durations and waits on it nothing is lost.
 */
import { LATE_WEIGHT, benchOf, type Instance } from '@/core/schedule';

export function exactModel(instance: Instance, gridMinutes: number, horizonMinutes: number): string {
  const { tasks, pieces, windows, places } = instance;
  const { ripeAt } = benchOf(instance).ripeness;
  const starts = tasks.map((task) =>
    windows.flatMap((window) => {
      const list: number[] = [];
      for (
        let start = Math.ceil(Math.max(window.from, task.notBefore) / gridMinutes) * gridMinutes;
        start + task.minutes <= Math.min(window.until, horizonMinutes);
        start += gridMinutes
      )
        list.push(start);
      return list;
    }),
  );
  const x = (task: number, start: number) => `x${task}_${start}`;
  const term = (coefficient: number, name: string) => `${coefficient < 0 ? '-' : '+'} ${Math.abs(coefficient)} ${name}`;
  const rows: string[] = [];
  tasks.forEach((task, index) => {
    rows.push(`${starts[index].map((start) => term(1, x(index, start))).join(' ')} = 1`);
    // In the stronger form: whatever starts by a time needs its predecessor ripe by then.
    for (const before of task.after) {
      for (const at of starts[index]) {
        const early = starts[index].filter((start) => start <= at);
        const ripe = starts[before].filter((start) => ripeAt(tasks[before], start + tasks[before].minutes) <= at);
        rows.push(
          `${[...early.map((start) => term(1, x(index, start))), ...ripe.map((start) => term(-1, x(before, start)))].join(' ')} <= 0`,
        );
      }
      const { maxMinutes } = tasks[before].wait;
      if (maxMinutes !== null)
        rows.push(
          `${[...starts[index].map((start) => term(start, x(index, start))), ...starts[before].map((start) => term(-start, x(before, start)))].join(' ')} <= ${tasks[before].minutes + maxMinutes}`,
        );
    }
  });
  for (let slot = 0; slot < horizonMinutes; slot += gridMinutes) {
    const over = tasks.flatMap((task, index) =>
      starts[index]
        .filter((start) => start < slot + gridMinutes && start + task.minutes > slot)
        .map((start) => x(index, start)),
    );
    if (over.length > 1) rows.push(`${over.map((name) => term(1, name)).join(' ')} <= 1`);
  }
  for (const place of ['bench', 'rack', 'oven'] as const) crowdAt(place);
  function crowdAt(place: 'bench' | 'rack' | 'oven') {
    // Hands' own time on the bench and the waits that lie there are two spans of one step.
    for (const slot of slotsOf()) {
      const over = tasks.flatMap((task, index) =>
        starts[index]
          .filter((start) => {
            const end = start + task.minutes;
            const onBench = place === 'bench' && start <= slot && end > slot;
            const lies = task.wait.place === place && end <= slot && ripeAt(task, end) > slot;
            return onBench || lies;
          })
          .map((start) => x(index, start)),
      );
      const free = places[place] - instance.occupied.filter((one) => one.place === place && one.until > slot).length;
      if (over.length > free) rows.push(`${over.map((name) => term(1, name)).join(' ')} <= ${free}`);
    }
  }
  /** Every minute at which something may begin: places can only become too few there. */
  function slotsOf(): number[] {
    return [
      ...new Set(tasks.flatMap((task, index) => starts[index].flatMap((start) => [start, start + task.minutes]))),
    ].sort((a, b) => a - b);
  }
  pieces.forEach(({ dueMinute }, piece) => {
    tasks.forEach((task, index) => {
      if (task.piece !== piece) return;
      rows.push(
        `f${piece} ${starts[index].map((start) => term(-ripeAt(task, start + task.minutes), x(index, start))).join(' ')} >= 0`,
      );
    });
    if (dueMinute !== null) rows.push(`l${piece} - f${piece} >= ${-dueMinute}`);
  });
  const objective = pieces
    .map(({ dueMinute }, piece) => `f${piece}${dueMinute === null ? '' : ` + ${LATE_WEIGHT} l${piece}`}`)
    .join(' + ');
  const binaries = tasks.flatMap((_, index) => starts[index].map((start) => x(index, start)));
  return `Minimize\n obj: ${objective}\nSubject To\n${rows.map((row, index) => ` c${index}: ${row.replace(/^\+ /, '')}`).join('\n')}\nBinaries\n ${binaries.join('\n ')}\nEnd\n`;
}
