import { join } from 'node:path';
import { Worker } from 'node:worker_threads';
import { buildSync } from 'esbuild';
import { MUTANT_KINDS } from '@/testing/mutants';

const ROOT = join(import.meta.dirname, '..');
const THREAD = join(ROOT, '.cache', 'soak-mutants.cjs');
const MUTANTS = Number(process.env.MUTANTS ?? 20_000);
const LONGEST_MS = 2000;
const MOST_MEMORY_MB = 500;

interface Outcome {
  index: number;
  at: 'begun' | 'accepted' | 'refused' | 'thrown' | 'slow';
  ms: number;
  said?: string;
}

export async function soakMutants(seed: number): Promise<{ said: string; wrong: string[] }> {
  buildSync({
    entryPoints: [join(ROOT, 'bench', 'soak-mutants.mts')],
    outfile: THREAD,
    bundle: true,
    platform: 'node',
    format: 'cjs',
    target: 'node20',
    mainFields: ['module', 'main'],
    alias: { '@': join(ROOT, 'src') },
    logLevel: 'error',
  });
  const outcomes = new Map<number, Outcome>();
  for (let from = 0; from < MUTANTS;) from = await stretch(seed, from, outcomes);
  const wrong: string[] = [];
  const lines = MUTANT_KINDS.map(({ name, isTimed }, offset) => {
    const own = [...outcomes.values()].filter(({ index }) => index % MUTANT_KINDS.length === offset);
    const count = (at: Outcome['at']) => own.filter((one) => one.at === at).length;
    for (const { index, at, said, ms } of own)
      if (at === 'thrown' || (at === 'slow' && !isTimed))
        wrong.push(`${name} ${index}: ${at} after ${ms.toFixed(0)} ms ${said ?? ''}`);
    const slowest = Math.max(0, ...own.filter(({ at }) => at !== 'slow').map(({ ms }) => ms));
    return (
      `${name} ${own.length}: ${count('accepted')} accepted, ${count('refused')} refused, ` +
      `${count('thrown')} thrown, ${count('slow')} given up, slowest ${slowest.toFixed(0)} ms`
    );
  });
  return { said: `${outcomes.size} mutants\n  ${lines.join('\n  ')}`, wrong };
}

/** Runs on until one hangs or the thread dies. @returns where to go on */
function stretch(seed: number, from: number, outcomes: Map<number, Outcome>): Promise<number> {
  return new Promise((resolve, reject) => {
    const thread = new Worker(THREAD, {
      workerData: { seed, from, until: MUTANTS },
      resourceLimits: { maxOldGenerationSizeMb: MOST_MEMORY_MB },
    });
    let current: Outcome = { index: from, at: 'begun', ms: 0 };
    let begunAt = performance.now();
    let ended = false;
    // Loading the thread is no part of it.
    let isBegun = false;
    const end = (next: number) => {
      if (ended) return;
      ended = true;
      clearInterval(watch);
      void thread.terminate().then(() => resolve(next));
    };
    const watch = setInterval(() => {
      const ms = performance.now() - begunAt;
      if (!isBegun || current.at !== 'begun' || ms < LONGEST_MS) return;
      outcomes.set(current.index, { ...current, at: 'slow', ms });
      end(current.index + 1);
    }, 200);
    thread.on('message', (outcome: Outcome) => {
      current = outcome;
      begunAt = performance.now();
      if (outcome.at !== 'begun') outcomes.set(outcome.index, outcome);
      if (outcome.at !== 'begun' && outcome.index === MUTANTS - 1) end(MUTANTS);
    });
    thread.once('message', () => {
      isBegun = true;
    });
    thread.on('error', (error) => {
      if (!isBegun) return reject(error);
      outcomes.set(current.index, { ...current, at: 'thrown', ms: 0, said: error.message });
      end(current.index + 1);
    });
  });
}
