import { expose } from 'comlink';
import {
  asLateAsSafe,
  benchOf,
  checkSchedule,
  outcomeOf,
  repairSchedule,
  searchSchedule,
  type Starts,
} from '@/core/schedule';
import type { ScheduleJob } from './protocol';

const SEED = 11;
const MOST_TRIES = 20_000;
/** What planning anew may take where a change can't be fitted in, so that it still answers at once. */
const ANEW_MS = 60;

const received = (starts: readonly (number | null)[]): Starts => Float64Array.from(starts, (start) => start ?? NaN);
const sent = (starts: Starts) => [...starts].map((start) => (Number.isNaN(start) ? null : start));
const within = (ms: number) => {
  const from = performance.now();
  return () => (performance.now() - from) / ms;
};

const job: ScheduleJob = {
  plan({ instance, before, mode, reserveMinutes, budgetMs }) {
    const from = performance.now();
    const bench = benchOf(instance);
    const stood = before && received(before);
    const repaired = stood
      ? repairSchedule(instance, stood, {
          tries: MOST_TRIES,
          seed: SEED,
          progress: within(Math.min(budgetMs, ANEW_MS)),
        })
      : null;
    let starts =
      repaired?.starts ??
      searchSchedule(instance, { tries: MOST_TRIES, seed: SEED, progress: within(budgetMs) }).starts;
    if (mode === 'latest' && !stood) starts = asLateAsSafe(bench, starts, reserveMinutes);
    const { finishes, tardiness, cost } = outcomeOf(bench, starts);
    return {
      cost,
      starts: sent(starts),
      finishes,
      tardiness,
      moved: repaired?.moved ?? [],
      how: repaired?.how ?? 'anew',
      violations: checkSchedule(instance, starts),
      ms: performance.now() - from,
    };
  },
  weigh: (instances, budgetMs) =>
    instances.map((instance) => {
      const { starts } = searchSchedule(instance, { tries: MOST_TRIES, seed: SEED, progress: within(budgetMs) });
      const { finishes, unplaced } = outcomeOf(benchOf(instance), starts);
      unplaced.forEach((index) => {
        finishes[instance.tasks[index]!.piece] = Infinity;
      });
      return finishes;
    }),
};

expose(job);
