// `npm run bench`: measures beside other libraries, each in one run. Prints medians and ratios; no test depends on it.
import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { buildSync } from 'esbuild';
import { ROOT, bin, build, installPackages, installPrograms, must } from './steps.mjs';

await installPackages();
await installPrograms({ chromium: 'chromium' });
for (const part of ['analysis', 'preview', 'sheet']) await must(bin('tsx'), [`bench/${part}.mts`]);
// Bundled as the browser's workers are: run by a transpiler that wraps every function, hot loops are measured too slow.
const out = join(ROOT, '.cache', 'bench');
mkdirSync(out, { recursive: true });
for (const part of ['schedule', 'drying', 'panels', 'trace']) {
  buildSync({
    entryPoints: [join(ROOT, 'bench', `${part}.mts`)],
    bundle: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    outfile: join(out, `${part}.mjs`),
    alias: { '@': join(ROOT, 'src') },
    external: ['highs'],
    logLevel: 'error',
  });
  await must(process.execPath, [join(out, `${part}.mjs`), ...process.argv.slice(2)]);
}
// Many more photos of printed sheets than a test run has time for, each to be read rightly.
await must(bin('jest'), ['src/core/proof', '-t', 'reads photos of prints|half a hundredth'], {
  env: { PHOTOS: '200' },
});
// And of half-rubbed pieces, dry and wet.
await must(bin('tsx'), ['bench/inspect.mts', '200', '5001']);
// What each page loads, what it does while nothing happens, how fast it answers, and what a slider's tick draws anew,
// over the built program.
await build();
for (const part of ['first-piece', 'first-load', 'renders', 'idle', 'answers', 'thousand', 'inspect-browser'])
  await must(bin('tsx'), [`bench/${part}.mts`]);
