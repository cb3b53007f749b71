/**
 * `npm run soak [mutants|kills|full|windows|leaving|batches|shop|properties|whole|instants …]`: files and records bent by
 * chance for every reader, browsers killed in the middle of changing, copying and restoring, storage that is full at
 * every point, two windows typing, pieces left with a change that has no room, batches interrupted, a copy shop asked
 * for too much, the tests' properties with other draws, all of what the tests prove a share of.
 * Bounded, seeded (`SEED`), and not part of `npm test`; ends with 1 where anything was lost, torn, thrown or not said.
 * `instants`, the whole of `npm test` at twelve instants, takes hours and runs where it is named.
 */
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { soakBatches, soakLeaving, soakShop } from './soak-app.mts';
import { soakFull, soakKills } from './soak-browser.mts';
import { soakMutants } from './soak-threads.mts';
import { soakWindows } from './soak-windows.mts';

const ROOT = join(import.meta.dirname, '..');

async function soakInstants(): Promise<{ said: string; wrong: string[] }> {
  const { status } = spawnSync(process.execPath, [join(ROOT, 'scripts', 'instants.mjs')], { stdio: 'inherit' });
  return Promise.resolve({ said: 'npm test, as told above', wrong: status === 0 ? [] : ['it failed at some instant'] });
}

/** The files of tests that take something in. */
function testsWith(taken: string): string[] {
  const { stdout } = spawnSync('git', ['grep', '-l', taken, '--', 'src/*.test.ts*'], { cwd: ROOT, encoding: 'utf8' });
  return stdout.trim().split('\n');
}
/** What the first test that failed of some files is called; null where all passed. */
function failedOf(files: readonly string[], env: Record<string, string>): string | null {
  const jest = join(ROOT, 'node_modules', 'jest', 'bin', 'jest.js');
  const { status, stderr } = spawnSync(process.execPath, [jest, '--silent', ...files], {
    ...{ cwd: ROOT, env: { ...process.env, ...env }, encoding: 'utf8', maxBuffer: 1 << 28 },
  });
  return status === 0 ? null : (/●.*/.exec(stderr)?.[0] ?? 'failed');
}

/** All of what `npm test` proves a share of. */
function soakWhole(): Promise<{ said: string; wrong: string[] }> {
  const files = testsWith('@/testing/share');
  const failed = failedOf(files, { FOBBET_WHOLE: '1' });
  return Promise.resolve({ said: `all of ${files.length} files of tests`, wrong: failed === null ? [] : [failed] });
}

const SEEDS = 8;
async function soakProperties(first: number): Promise<{ said: string; wrong: string[] }> {
  const files = testsWith('@/testing/properties');
  const wrong: string[] = [];
  for (let seed = 1000 * first; seed < 1000 * first + SEEDS; seed++) {
    const failed = failedOf(files, { FOBBET_SEED: String(seed) });
    if (failed !== null) wrong.push(`seed ${seed}: ${failed}`);
  }
  return Promise.resolve({ said: `${files.length} files of tests at ${SEEDS} seeds`, wrong });
}

const PARTS = {
  ...{ mutants: soakMutants, kills: soakKills, full: soakFull },
  ...{ windows: soakWindows, leaving: soakLeaving, batches: soakBatches, shop: soakShop },
  ...{ properties: soakProperties, whole: soakWhole, instants: soakInstants },
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
