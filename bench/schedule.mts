// Schedules beside an exact solver on the same model, without and with set-ups, two pairs of hands, split rubbing and
// pieces of several sizes; then their growth. `--long` searches thirty pieces and a hundred for ten minutes, `--each`
// says every gap, `--growth` leaves the exact solver out.
import highsLoader from 'highs';
import { benchOf, checkSchedule, endOf, outcomeOf, repairSchedule, searchSchedule, triesFor } from '@/core/schedule';
import { instanceOf } from '@/testing/instances';
import { exactModel } from './exact-model';

const GRID = 15;
const SMALL = 40;
const SOLVER_SECONDS = 60;
const LONG_MS = 600_000;
const RICH = { hands: 2, setUps: true } as const;
const median = (values: number[]) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)];
const timed = <T,>(job: () => T): { ms: number; of: T } => {
  const from = performance.now();
  const of = job();
  return { ms: performance.now() - from, of };
};
const highs = await highsLoader();

for (const rich of process.argv.includes('--growth') ? [] : [false, true]) {
  const gaps: number[] = [];
  const times: number[] = [];
  let proven = 0;
  for (let seed = 1; seed <= SMALL; seed++) {
    const instance = instanceOf({ seed, pieces: 2 + (seed % 3), gridMinutes: GRID, days: 7, ...(rich ? RICH : {}) });
    const steps = instance.tasks.length;
    const { ms, of: found } = timed(() => searchSchedule(instance, { tries: triesFor(steps, false), seed: 11 }));
    times.push(ms);
    const broken = checkSchedule(instance, found.placed);
    if (broken.length > 0) throw new Error(`seed ${seed}: ${JSON.stringify(broken)}`);
    const horizon = Math.max(...instance.tasks.map((_, index) => endOf(instance, found.placed, index))) + 1440;
    // A solver is made anew each time: it keeps no memory of the last model.
    const options = { time_limit: SOLVER_SECONDS, mip_rel_gap: 0 } as object;
    const solved = highs.solve(exactModel(instance, GRID, horizon), options);
    const { cost } = outcomeOf(benchOf(instance), found.placed);
    const isProven = solved.Status === 'Optimal';
    const gap = cost / solved.ObjectiveValue - 1;
    if (isProven && gap < -1e-6)
      throw new Error(`seed ${seed}: ${cost} is better than the optimum, ${solved.ObjectiveValue}`);
    if (isProven) {
      proven++;
      gaps.push(gap);
    }
    if (process.argv.includes('--each'))
      console.log(
        `seed ${seed}: ${steps} steps, ${cost.toFixed(0)} against ${solved.ObjectiveValue.toFixed(0)}, gap ` +
          `${(100 * gap).toFixed(2)} %, ${solved.Status}`,
      );
  }
  const mean = gaps.reduce((sum, gap) => sum + gap, 0) / gaps.length;
  console.log(
    `${rich ? 'with' : 'without'} set-ups and helpers: ${SMALL} instances, ${proven} proven optimal; mean gap ` +
      `${(100 * mean).toFixed(3)} %, worst ${(100 * Math.max(...gaps)).toFixed(2)} %; search ` +
      `${median(times).toFixed(0)} ms (median)`,
  );
}

for (const rich of [false, true])
  for (const pieces of [10, 30, 100]) {
    const instance = instanceOf({
      seed: 7,
      pieces,
      gridMinutes: 5,
      days: 10 + pieces,
      steps: [9, 13],
      ...(rich ? RICH : {}),
    });
    const steps = instance.tasks.length;
    const name = `${rich ? 'with' : 'without'} set-ups and helpers, ${pieces} pieces, ${steps} steps`;
    const { ms, of: found } = timed(() => searchSchedule(instance, { tries: triesFor(steps, true), seed: 11 }));
    const broken = checkSchedule(instance, found.placed);
    if (broken.length > 0) throw new Error(`${pieces} pieces: ${JSON.stringify(broken.slice(0, 5))}`);
    const late = Array.from({ length: 15 }, (_, run) => {
      const index = (run * 17) % steps;
      const changed = {
        ...instance,
        tasks: instance.tasks.map((task, at) =>
          at === index ? { ...task, notBefore: found.placed.starts[at] + 180 } : task,
        ),
      };
      const mended = timed(() =>
        repairSchedule(changed, found.placed, { tries: triesFor(steps, false) / 10, seed: 1 }),
      );
      return { ms: mended.ms, moved: mended.of.moved.length };
    });
    console.log(
      `${name}: ${found.tries} orders in ${(ms / 1000).toFixed(1)} s, cost ${found.cost.toFixed(0)}; after one ` +
        `late step ${median(late.map((one) => one.ms)).toFixed(1)} ms, ${median(late.map(({ moved }) => moved))} ` +
        `steps moved (medians of 15)`,
    );
    if (pieces >= 30 && process.argv.includes('--long')) {
      const tries = Math.round((found.tries * LONG_MS) / ms);
      const long = timed(() => searchSchedule(instance, { tries, seed: 5 }));
      const best = Math.min(long.of.cost, found.cost);
      console.log(
        `${name}: within ${(100 * (found.cost / best - 1)).toFixed(2)} % of the best of ` +
          `${(long.ms / 1000).toFixed(0)} s (${long.of.cost.toFixed(0)}, ${tries} orders)`,
      );
    }
  }
