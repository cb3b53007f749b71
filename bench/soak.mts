/**
 * `npm run soak [mutants|kills|full …]`: files and records bent by chance for every reader, browsers killed in the
 * middle of changing, copying and restoring, and storage that is full at every point. Bounded, seeded (`SEED`), and not
 * part of `npm test`; ends with 1 where anything was lost, torn, thrown or not said.
 */
import { soakFull, soakKills } from './soak-browser.mts';
import { soakMutants } from './soak-threads.mts';

const PARTS = { mutants: soakMutants, kills: soakKills, full: soakFull };
const wanted = process.argv.slice(2);
let faults = 0;
for (const [name, run] of Object.entries(PARTS)) {
  if (wanted.length > 0 && !wanted.includes(name)) continue;
  const from = performance.now();
  const { said, wrong } = await run(Number(process.env.SEED ?? 1));
  faults += wrong.length;
  console.log(`${name}: ${said} (${((performance.now() - from) / 1000).toFixed(0)} s)`);
  for (const one of wrong.slice(0, 20)) console.log(`  ${one}`);
}
process.exit(faults === 0 ? 0 : 1);
