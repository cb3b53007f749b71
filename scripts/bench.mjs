// `npm run bench`: measures beside other libraries, each in one run. Prints medians and ratios; no test depends on it.
import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { buildSync } from 'esbuild';
import { ROOT, bin, installPackages, installPrograms, must } from './steps.mjs';

await installPackages();
await installPrograms({ chromium: 'chromium' });
for (const part of ['analysis', 'preview', 'sheet']) await must(bin('tsx'), [`bench/${part}.mts`]);
// Bundled as the browser's workers are: run by a transpiler that wraps every function, hot loops are measured too slow.
const out = join(ROOT, '.cache', 'bench');
mkdirSync(out, { recursive: true });
for (const part of ['schedule', 'drying']) {
  buildSync({ entryPoints: [join(ROOT, 'bench', `${part}.mts`)], bundle: true, platform: 'node', format: 'esm', target: 'node20', outfile: join(out, `${part}.mjs`), alias: { '@': join(ROOT, 'src') }, external: ['highs'], logLevel: 'error' });
  await must(process.execPath, [join(out, `${part}.mjs`), ...process.argv.slice(2)]);
}
