// `npm run check`: everything that needs no build, over all of it. `npm run check -- --changed [REVISION]`: what changed
// since (the last commit where none is named) and the tests beside it, side by side; `npm test` proves the rest.
import { execFileSync } from 'node:child_process';
import { existsSync, readdirSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { CHECKS, ROOT, bin, checkAll, installPackages, must, run } from './steps.mjs';

const [mode, since = 'HEAD'] = process.argv.slice(2);
await installPackages();

async function everything() {
  await checkAll();
  await must(bin('jest'), []);
}

const listed = (...words) => execFileSync('git', words, { cwd: ROOT, encoding: 'utf8' }).split('\n').filter(Boolean);
const isTest = (file) => /\.test\.tsx?$/.test(file);

async function changed() {
  const files = [
    ...new Set([
      ...listed('diff', '--name-only', '--diff-filter=ACMR', since),
      ...listed('ls-files', '--others', '--exclude-standard'),
    ]),
  ].filter((file) => existsSync(join(ROOT, file)));
  if (files.length === 0) return console.log('Nothing changed.');
  const code = files.filter((file) => /\.(ts|tsx|mts|mjs|cjs)$/.test(file) && !file.endsWith('.as.ts'));
  const folders = new Set(code.filter((file) => file.startsWith('src/')).map(dirname));
  const tests = [...folders].flatMap((folder) =>
    readdirSync(join(ROOT, folder))
      .filter(isTest)
      .map((name) => `${folder}/${name}`),
  );
  const checks = [
    [bin('prettier'), ['--check', '--log-level', 'warn', '--ignore-unknown', ...files]],
    CHECKS.layers,
    CHECKS.types,
    ...(code.length > 0 ? [[bin('eslint'), ['--no-warn-ignored', ...code]]] : []),
  ];
  const inTurn = async (all) => {
    let failed = 0;
    for (const [command, words] of all) failed += Number((await run(command, words)) !== 0);
    return failed;
  };
  const beside = tests.length > 0 ? [[bin('jest'), ['-w', '1', ...tests]]] : [];
  const failed = (await Promise.all([inTurn(checks), inTurn(beside)])).reduce((sum, count) => sum + count, 0);
  console.log(
    `\n${files.length} files, ${tests.length} files of tests: ${failed === 0 ? 'right' : `${failed} checks failed`}`,
  );
  process.exitCode = failed === 0 ? 0 : 1;
}

await (mode === '--changed' ? changed() : everything());
