// `npm run mutants [PATH …]`: mutants of folders or files below src, killed by the tests beside them or not. Ends with
// the score of each folder; survivors are listed in .cache/survivors.txt. Minutes a folder, hours for all; not part of
// `npm test`. Records of the craft and what only lists others have no logic to mutate.
import { readFileSync, readdirSync, writeFileSync } from 'node:fs';
import { dirname, join, relative } from 'node:path';
import { ROOT, bin, installPackages, run } from './steps.mjs';

const NO_LOGIC = ['!src/**/*.test.ts', '!src/**/index.ts', '!src/**/*.as.ts', '!src/core/craft/**'];
/** Rooms whose behaviour is held from elsewhere. */
const TESTED_FROM = {
  'src/core/stations': ['src/core/plan', 'src/records'],
  'src/core/at-hand': ['src/core/plan', 'src/core/cure'],
  'src/core/journal': ['src/core/plan'],
  'src/core/plan': ['src/core/plan', 'src/records'],
};
const KILLED = ['Killed', 'Timeout'];
const JUDGED = [...KILLED, 'Survived'];

const below = (folder) =>
  readdirSync(join(ROOT, folder), { withFileTypes: true })
    .filter((entry) => entry.isDirectory())
    .map(({ name }) => `${folder}/${name}`);
const folderOf = (path) => (path.endsWith('.ts') ? dirname(path) : path);
const roomOf = (path) =>
  folderOf(path)
    .split('/')
    .slice(0, path.startsWith('src/core') ? 3 : 2)
    .join('/');

await installPackages();
const asked = process.argv.slice(2).map((path) => relative(ROOT, join(process.cwd(), path)));
const paths = asked.length > 0 ? asked : [...below('src/core'), 'src/records', 'src/storage'];
const rows = [];
const survivors = [];
for (const path of paths) {
  const room = roomOf(path);
  const mutate = [path.endsWith('.ts') ? path : `${path}/**/*.ts`, ...NO_LOGIC].join(',');
  const tests = TESTED_FROM[room] ?? [room];
  const code = await run(bin('stryker'), ['run', '--mutate', mutate], {
    env: { FOBBET_MUTANTS_TESTS: tests.join(',') },
  });
  if (code !== 0) {
    rows.push(`| ${path} | not run | | | |`);
    process.exitCode = code;
    continue;
  }
  const { files } = JSON.parse(readFileSync(join(ROOT, '.cache', 'mutants.json'), 'utf8'));
  let [killed, judged, uncovered] = [0, 0, 0];
  for (const [file, { source, mutants }] of Object.entries(files))
    for (const { status, location, replacement, mutatorName } of mutants) {
      killed += KILLED.includes(status);
      judged += JUDGED.includes(status);
      uncovered += status === 'NoCoverage';
      if (status !== 'Survived' && status !== 'NoCoverage') continue;
      const { line } = location.start;
      const text = source.split('\n')[line - 1]?.trim();
      survivors.push(`${file}:${line} ${status} ${mutatorName}: ${text} → ${replacement?.split('\n')[0]}`);
    }
  const share = Math.round((100 * killed) / Math.max(1, judged));
  rows.push(`| ${path} | ${killed} | ${judged} | ${share} % | ${uncovered} |`);
  console.log(rows.at(-1));
  writeFileSync(join(ROOT, '.cache', 'survivors.txt'), survivors.join('\n'));
}
console.log(`\n| folder | killed | of | share | not covered |\n| --- | --- | --- | --- | --- |\n${rows.join('\n')}`);
