// Bundles the simulated copy shop's machine into .cache/copy-shop.mjs, where the server starts it as a thread of its
// own. Run by the build.
import { join } from 'node:path';
import { buildSync } from 'esbuild';

const ROOT = join(import.meta.dirname, '..');
buildSync({
  entryPoints: [join(ROOT, 'src', 'standins', 'copy-shop', 'machine.thread.ts')],
  outfile: join(ROOT, '.cache', 'copy-shop.mjs'),
  bundle: true,
  platform: 'node',
  format: 'esm',
  target: 'node20',
  packages: 'external',
  tsconfig: join(ROOT, 'tsconfig.json'),
});
