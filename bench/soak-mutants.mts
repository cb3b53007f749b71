/**
 * A thread that runs mutants one after the other and says what became of each, so that one that hangs or eats memory
 * ends here alone.
 */
import { parentPort, workerData } from 'node:worker_threads';
import { mutant } from '@/testing/mutants';

const { seed, from, until } = workerData as { seed: number; from: number; until: number };
console.warn = () => undefined;
async function run(): Promise<void> {
  for (let index = from; index < until; index++) {
    parentPort?.postMessage({ index, at: 'begun' });
    const begun = performance.now();
    try {
      const accepted = await mutant(seed, index).run();
      parentPort?.postMessage({ index, at: accepted ? 'accepted' : 'refused', ms: performance.now() - begun });
    } catch (error) {
      const said = error instanceof Error ? (error.stack ?? error.message) : String(error);
      parentPort?.postMessage({ index, at: 'thrown', ms: performance.now() - begun, said });
    }
  }
}
void run();
