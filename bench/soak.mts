/**
 * `npm run soak [mutants|kills|full|windows|leaving|batches|shop|properties|instants …]`: files and records bent by
 * chance for every reader, browsers killed in the middle of changing, copying and restoring, storage that is full at
 * every point, two windows typing, pieces left with a change that has no room, batches interrupted, a copy shop asked
 * for too much, the tests' properties with other draws.
 * Bounded, seeded (`SEED`), and not part of `npm test`; ends with 1 where anything was lost, torn, thrown or not said.
 * `instants`, the whole of `npm test` at twelve instants, takes hours and runs where it is named.
 */
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { soakBatches, soakLeaving, soakShop, soakWindows } from './soak-app.mts';
import { soakFull, soakKills } from './soak-browser.mts';
import { soakMutants } from './soak-threads.mts';

const ROOT = join(import.meta.dirname, '..');

async function soakInstants(): Promise<{ said: string; wrong: string[] }> {
  const { status } = spawnSync(process.execPath, [join(ROOT, 'scripts', 'instants.mjs')], { stdio: 'inherit' });
  return Promise.resolve({ said: 'npm test, as told above', wrong: status === 0 ? [] : ['it failed at some instant'] });
}

const SEEDS = 8;
async function soakProperties(first: number): Promise<{ said: string; wrong: string[] }> {
  const { stdout: listed } = spawnSync('git', ['grep', '-l', '@/testing/properties', '--', 'src/*.test.ts*'], {
    cwd: ROOT,
    encoding: 'utf8',
  });
  const files = listed.trim().split('\n');
  const wrong: string[] = [];
  for (let seed = 1000 * first; seed < 1000 * first + SEEDS; seed++) {
    const env = { ...process.env, FOBBET_SEED: String(seed) };
    const jest = join(ROOT, 'node_modules', 'jest', 'bin', 'jest.js');
    const { status, stderr } = spawnSync(process.execPath, [jest, '--silent', ...files], {
      ...{ cwd: ROOT, env, encoding: 'utf8', maxBuffer: 1 << 28 },
    });
    if (status !== 0) wrong.push(`seed ${seed}: ${/●.*/.exec(stderr)?.[0] ?? 'failed'}`);
  }
  return Promise.resolve({ said: `${files.length} files of tests at ${SEEDS} seeds`, wrong });
}

const PARTS = {
  ...{ mutants: soakMutants, kills: soakKills, full: soakFull },
  ...{ windows: soakWindows, leaving: soakLeaving, batches: soakBatches, shop: soakShop },
  ...{ properties: soakProperties, instants: soakInstants },
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
