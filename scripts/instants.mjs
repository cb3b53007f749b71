// `npm run instants`: the whole of `npm test` at instants and in zones that tests have stumbled over, or might: a weekday's
// morning, the end of an evening, weekends, the turn of a year, a leap day, both changes of clocks. Hours of work;
// `npm run instants -- unit` runs Jest alone, further words are handed on to it.
import { bin, installPackages, run } from './steps.mjs';

const INSTANTS = [
  '2026-12-01T10:00 Europe/London',
  '2026-12-01T10:00 Asia/Kolkata',
  '2026-12-04T20:59 Europe/London',
  '2026-12-05T09:00 America/Los_Angeles',
  '2026-12-06T23:50 Pacific/Auckland',
  '2026-12-31T22:30 Europe/London',
  '2027-01-01T00:10 America/Los_Angeles',
  '2028-02-29T12:00 Asia/Kolkata',
  '2027-03-27T21:00 Europe/London',
  '2027-10-30T21:00 Europe/London',
  '2027-11-06T20:00 America/Los_Angeles',
  '2027-09-25T20:00 Pacific/Auckland',
];

await installPackages();
const [only, ...words] = process.argv.slice(2);
const failed = [];
for (const at of INSTANTS) {
  console.log(`\n— ${at}`);
  const env = { FOBBET_AT: at };
  const code =
    only === 'unit'
      ? await run(bin('jest'), words, { env })
      : await run(process.execPath, ['scripts/test.mjs'], { env });
  if (code !== 0) failed.push(at);
}
console.log(`\n${INSTANTS.length - failed.length} of ${INSTANTS.length} instants passed`);
for (const at of failed) console.log(`failed: ${at}`);
process.exitCode = failed.length > 0 ? 1 : 0;
