// Schedules beside an exact solver on the same model, then their growth. `--long` searches ten minutes for the best of
// 30 pieces.
import highsLoader from 'highs';
import { benchOf, checkSchedule, outcomeOf, repairSchedule, searchSchedule } from '@/core/schedule';
import { instanceOf } from '@/testing/instances';
import { exactModel } from './exact-model';

const GRID = 15;
const SMALL = 40;
const PLAN_MS = 900;
const LARGE_MS = 10_000;
const median = (values: number[]) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)];
const highs = await highsLoader();

let worst = 0;
let total = 0;
let proven = 0;
const times: number[] = [];
for (let seed = 1; seed <= SMALL; seed++) {
  const instance = instanceOf({ seed, pieces: 2 + (seed % 3), gridMinutes: GRID, days: 7 });
  const begun = performance.now();
  // The time that the program gives a plan.
  const found = searchSchedule(instance, {
    tries: 1e9,
    seed: 1,
    progress: () => (performance.now() - begun) / PLAN_MS,
  });
  times.push(performance.now() - begun);
  const broken = checkSchedule(instance, found.starts);
  if (broken.length > 0) throw new Error(`seed ${seed}: ${JSON.stringify(broken)}`);
  const bench = benchOf(instance);
  const horizon = Math.max(...[...found.starts].map((start, index) => start + instance.tasks[index].minutes)) + 1440;
  // A solver is made anew each time: it keeps no memory of the last model.
  const solved = highs.solve(exactModel(instance, GRID, horizon), { time_limit: 120, mip_rel_gap: 0 } as object);
  const { cost } = outcomeOf(bench, found.starts);
  const gap = cost / solved.ObjectiveValue - 1;
  if (solved.Status === 'Optimal') proven++;
  if (gap < -1e-6)
    throw new Error(
      `seed ${seed}: better than the optimum, ${cost} against ${solved.ObjectiveValue} (${solved.Status})`,
    );
  worst = Math.max(worst, gap);
  total += gap;
  if (process.argv.includes('--each'))
    console.log(
      `seed ${seed}: ${instance.tasks.length} steps, ${cost.toFixed(0)} against ${solved.ObjectiveValue.toFixed(0)}, gap ${(100 * gap).toFixed(2)} %, ${solved.Status}`,
    );
}
console.log(
  `small: ${SMALL} instances, ${proven} proven optimal; mean gap ${((100 * total) / SMALL).toFixed(3)} %, worst ${(100 * worst).toFixed(2)} %; search ${median(times).toFixed(1)} ms (median)`,
);

for (const pieces of [10, 30, 100]) {
  const instance = instanceOf({ seed: 7, pieces, gridMinutes: 5, days: 10 + pieces, steps: [9, 13] });
  const begun = performance.now();
  const found = searchSchedule(instance, {
    tries: 1e9,
    seed: 1,
    progress: () => (performance.now() - begun) / LARGE_MS,
  });
  const broken = checkSchedule(instance, found.starts);
  if (broken.length > 0) throw new Error(`${pieces} pieces: ${JSON.stringify(broken.slice(0, 5))}`);
  const late = Array.from({ length: 15 }, (_, run) => {
    const index = (run * 17) % instance.tasks.length;
    const changed = {
      ...instance,
      tasks: instance.tasks.map((task, at) => (at === index ? { ...task, notBefore: found.starts[at] + 180 } : task)),
    };
    const from = performance.now();
    const repaired = repairSchedule(changed, found.starts, {
      tries: 1e9,
      seed: 1,
      progress: () => (performance.now() - from) / 60,
    });
    return { ms: performance.now() - from, moved: repaired.moved.length };
  });
  console.log(
    `${pieces} pieces, ${instance.tasks.length} steps: ${found.tries} orders tried in ${LARGE_MS / 1000} s, cost ${found.cost.toFixed(0)}; after one late step ${median(late.map(({ ms }) => ms)).toFixed(1)} ms, ${median(late.map(({ moved }) => moved))} steps moved (medians of 15)`,
  );
  if (pieces === 30 && process.argv.includes('--long')) {
    const from = performance.now();
    const long = searchSchedule(instance, {
      tries: 1e9,
      seed: 5,
      progress: () => (performance.now() - from) / 600_000,
    });
    console.log(
      `30 pieces: ${LARGE_MS / 1000} s come within ${(100 * (found.cost / Math.min(long.cost, found.cost) - 1)).toFixed(2)} % of the best of ${((performance.now() - from) / 1000).toFixed(0)} s (${long.cost.toFixed(0)}, ${long.tries} orders)`,
    );
  }
}
