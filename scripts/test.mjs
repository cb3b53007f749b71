// `npm test`: installs what is missing, then format, lint, types, layer rules and unused exports beside Jest, build,
// Playwright. Plain Node, needs no node_modules to start. The last line counts what passed and failed over both
// runners.
import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT, bin, build, checkAll, installPackages, installPrograms, must, prepareFiles, run } from './steps.mjs';

await installPackages();
await installPrograms({ chromium: 'chromium', pdfinfo: 'poppler-utils' });
await prepareFiles();
await must(bin('next'), ['typegen']);
rmSync(join(ROOT, 'test-results'), { recursive: true, force: true });
const cache = join(ROOT, '.cache');
mkdirSync(cache, { recursive: true });

/** Each takes one core for a while, and so does Jest: side by side. A check that fails ends everything. */
async function checksAndBuild() {
  await checkAll();
  await build({ force: true });
}
const jestFile = join(cache, 'jest.json');
const [jestCode] = await Promise.all([run(bin('jest'), ['--json', `--outputFile=${jestFile}`]), checksAndBuild()]);
const jest = JSON.parse(readFileSync(jestFile, 'utf8'));

const playwrightFile = join(cache, 'playwright.json');
const playwrightCode = await run(bin('playwright'), ['test'], { env: { PLAYWRIGHT_JSON_OUTPUT_FILE: playwrightFile } });
const { stats } = JSON.parse(readFileSync(playwrightFile, 'utf8'));

const passed = jest.numPassedTests + stats.expected + stats.flaky;
const failed = jest.numFailedTests + jest.numFailedTestSuites * (jest.numFailedTests === 0 ? 1 : 0) + stats.unexpected;
if (stats.flaky > 0) console.log(`\n${stats.flaky} passed on the second try only: see flaky above`);
console.log(`\n${passed} passed, ${failed} failed`);
process.exitCode = jestCode || playwrightCode || (failed > 0 ? 1 : 0);
