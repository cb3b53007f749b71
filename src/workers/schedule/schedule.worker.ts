import { expose } from 'comlink';
import {
  asLateAsSafe,
  benchOf,
  checkSchedule,
  finishesIf,
  outcomeOf,
  repairSchedule,
  searchSchedule,
  triesFor,
} from '@/core/schedule';
import type { ScheduleJob } from './protocol';

const SEED = 11;
/** Of a quick look, what planning anew may take where a change can't be fitted in, and one remedy of many. */
const SMALL_SHARE = 1 / 10;

const job: ScheduleJob = {
  plan({ instance, safest, before, mode, reserveMinutes, thorough }) {
    const from = performance.now();
    const bench = benchOf(instance);
    const steps = instance.tasks.length;
    const repaired = before
      ? repairSchedule(instance, before, { tries: Math.round(triesFor(steps, false) * SMALL_SHARE), seed: SEED })
      : null;
    let placed = repaired?.placed ?? searchSchedule(instance, { tries: triesFor(steps, thorough), seed: SEED }).placed;
    if (mode === 'latest' && !before) placed = asLateAsSafe(bench, placed, reserveMinutes);
    const { finishes, tardiness, cost } = outcomeOf(bench, placed);
    return {
      cost,
      placed,
      finishes,
      safestFinishes: safest ? finishesIf(safest, placed) : finishes,
      tardiness,
      moved: repaired?.moved ?? [],
      how: repaired?.how ?? 'anew',
      violations: checkSchedule(instance, placed),
      ms: performance.now() - from,
    };
  },
  weigh: (instances) =>
    instances.map((instance) => {
      const tries = Math.round(triesFor(instance.tasks.length, false) * SMALL_SHARE);
      const { placed } = searchSchedule(instance, { tries, seed: SEED });
      const { finishes, unplaced } = outcomeOf(benchOf(instance), placed);
      unplaced.forEach((index) => {
        finishes[instance.tasks[index]!.piece] = Infinity;
      });
      return finishes;
    }),
};

expose(job);
