// `npm run bench [-- PART … --OPTION]`: measures beside other libraries, each in one run. Prints medians and ratios; no test
// depends on it. Parts: the file names in bench/, `photos` for what tests prove on many; all of them where none is named.
import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { buildSync } from 'esbuild';
import { ROOT, bin, build, installPackages, installPrograms, must } from './steps.mjs';

const words = process.argv.slice(2);
const options = words.filter((word) => word.startsWith('--'));
const named = words.filter((word) => !word.startsWith('--'));

const plain = (part, ...given) => must(bin('tsx'), [`bench/${part}.mts`, ...given]);

/** Bundled as the browser's workers are: run by a transpiler that wraps every function, hot loops are measured too slow. */
async function bundled(part) {
  const out = join(ROOT, '.cache', 'bench');
  mkdirSync(out, { recursive: true });
  const outfile = join(out, `${part}.mjs`);
  buildSync({
    entryPoints: [join(ROOT, 'bench', `${part}.mts`)],
    bundle: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    outfile,
    alias: { '@': join(ROOT, 'src') },
    external: ['highs'],
    logLevel: 'error',
  });
  await must(process.execPath, [outfile, ...options]);
}

/** Over the built program. */
async function inBrowser(part) {
  await build();
  await plain(part);
}

/** Each with how it is run. */
const PARTS = new Map([
  ...['analysis', 'preview', 'sheet'].map((part) => [part, plain]),
  ...['schedule', 'drying', 'panels', 'trace'].map((part) => [part, bundled]),
  // Many more photos of printed sheets than a test run has time for, each to be read rightly.
  ['photos', () => must(bin('jest'), ['src/core/proof'], { env: { FOBBET_WHOLE: '1' } })],
  // And of half-rubbed pieces, dry and wet.
  ['inspect', (part) => plain(part, '200', '5001')],
  // What each page loads, what it does while nothing happens, how fast it answers, what a slider's tick draws anew.
  ...['first-piece', 'first-screens', 'first-load', 'renders', 'idle', 'answers', 'thousand', 'inspect-browser'].map(
    (part) => [part, inBrowser],
  ),
]);

const unknown = named.filter((part) => !PARTS.has(part));
if (unknown.length > 0) {
  console.error(`No part ${unknown.join(', ')}. There are: ${[...PARTS.keys()].join(', ')}.`);
  process.exit(1);
}
await installPackages();
await installPrograms({ chromium: 'chromium', pdfinfo: 'poppler-utils' });
for (const [part, run] of PARTS) if (named.length === 0 || named.includes(part)) await run(part);
