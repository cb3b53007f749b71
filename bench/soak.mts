/**
 * `npm run soak [mutants|kills|full|windows|leaving|batches|shop|instants …]`: files and records bent by chance for
 * every reader, browsers killed in the middle of changing, copying and restoring, storage that is full at every point,
 * two windows typing, pieces left with a change that has no room, batches interrupted, a copy shop asked for too much.
 * Bounded, seeded (`SEED`), and not part of `npm test`; ends with 1 where anything was lost, torn, thrown or not said.
 * `instants`, the whole of `npm test` at twelve instants, takes hours and runs where it is named.
 */
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { soakBatches, soakLeaving, soakShop, soakWindows } from './soak-app.mts';
import { soakFull, soakKills } from './soak-browser.mts';
import { soakMutants } from './soak-threads.mts';

async function soakInstants(): Promise<{ said: string; wrong: string[] }> {
  const { status } = spawnSync(process.execPath, [join(import.meta.dirname, '..', 'scripts', 'instants.mjs')], {
    stdio: 'inherit',
  });
  return Promise.resolve({ said: 'npm test, as told above', wrong: status === 0 ? [] : ['it failed at some instant'] });
}

const PARTS = {
  ...{ mutants: soakMutants, kills: soakKills, full: soakFull },
  ...{ windows: soakWindows, leaving: soakLeaving, batches: soakBatches, shop: soakShop, instants: soakInstants },
};
/** Hours of work. */
const ONLY_WHERE_NAMED = 'instants';
const wanted = process.argv.slice(2);
let faults = 0;
for (const [name, run] of Object.entries(PARTS)) {
  if (wanted.length > 0 ? !wanted.includes(name) : name === ONLY_WHERE_NAMED) continue;
  const from = performance.now();
  const { said, wrong } = await run(Number(process.env.SEED ?? 1));
  faults += wrong.length;
  console.log(`${name}: ${said} (${((performance.now() - from) / 1000).toFixed(0)} s)`);
  for (const one of wrong.slice(0, 20)) console.log(`  ${one}`);
}
process.exit(faults === 0 ? 0 : 1);
