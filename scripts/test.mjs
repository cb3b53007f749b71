// `npm test`: installs what is missing, then lint, types, layer rules, Jest, build, Playwright. Plain Node, needs no node_modules to start.
// The last line counts what passed and failed over both runners.
import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT, bin, build, installPackages, installPrograms, must, run } from './steps.mjs';

await installPackages();
await installPrograms({ chromium: 'chromium', pdfinfo: 'poppler-utils' });
await must(bin('next'), ['typegen']);
await must(bin('eslint'), ['.']);
await must(bin('tsc'), ['--noEmit']);
await must(bin('depcruise'), ['src', '--config', '.dependency-cruiser.cjs']);

const results = join(ROOT, 'test-results');
rmSync(results, { recursive: true, force: true });
const cache = join(ROOT, '.cache');
mkdirSync(cache, { recursive: true });
const jestFile = join(cache, 'jest.json');
const jestCode = await run(bin('jest'), ['--json', `--outputFile=${jestFile}`]);
const jest = JSON.parse(readFileSync(jestFile, 'utf8'));

await build({ force: true });
const playwrightFile = join(cache, 'playwright.json');
const playwrightCode = await run(bin('playwright'), ['test'], { env: { PLAYWRIGHT_JSON_OUTPUT_FILE: playwrightFile } });
const { stats } = JSON.parse(readFileSync(playwrightFile, 'utf8'));

const passed = jest.numPassedTests + stats.expected + stats.flaky;
const failed = jest.numFailedTests + jest.numFailedTestSuites * (jest.numFailedTests === 0 ? 1 : 0) + stats.unexpected;
console.log(`\n${passed} passed, ${failed} failed`);
process.exitCode = jestCode || playwrightCode || (failed > 0 ? 1 : 0);
