/**
 * Makes public/sw.js from the build: the service worker with the list of what it keeps. Run by the build, after Next's.
 */
import { createHash } from 'node:crypto';
import { readFileSync, readdirSync, statSync } from 'node:fs';
import { join, relative, sep } from 'node:path';
import { buildSync } from 'esbuild';
import { STATIONS } from '@/core/stations';
import { NOWHERE, keptPages } from '@/offline/pages';

const ROOT = join(import.meta.dirname, '..');
const PUBLIC = join(ROOT, 'public');
const STATIC = join(ROOT, '.next', 'static');
const OUT = join(PUBLIC, 'sw.js');

const filesIn = (folder: string): string[] =>
  readdirSync(folder, { recursive: true, encoding: 'utf8' })
    .map((name) => join(folder, name))
    .filter((path) => statSync(path).isFile());
const urlOf = (path: string, folder: string) =>
  `/${relative(folder, path).split(sep).map(encodeURIComponent).join('/')}`;
const hashOf = (path: string) => createHash('sha256').update(readFileSync(path)).digest('hex').slice(0, 16);

const buildId = readFileSync(join(ROOT, '.next', 'BUILD_ID'), 'utf8').trim();
const kept = [
  // Named by their content.
  ...filesIn(STATIC).map((path) => ({ url: `/_next/static${urlOf(path, STATIC)}`, revision: null })),
  ...filesIn(PUBLIC)
    .filter((path) => path !== OUT)
    .map((path) => ({ url: urlOf(path, PUBLIC), revision: hashOf(path) })),
  ...[...keptPages(STATIONS), NOWHERE].map((url) => ({ url, revision: buildId })),
  { url: '/icon.svg', revision: buildId },
  { url: '/manifest.webmanifest', revision: buildId },
];

buildSync({
  entryPoints: [join(ROOT, 'src', 'offline', 'service-worker.ts')],
  outfile: OUT,
  bundle: true,
  minify: true,
  format: 'iife',
  target: 'es2022',
  define: { KEPT_FILES: JSON.stringify(kept), 'process.env.NODE_ENV': '"production"' },
});
const bytes = [...filesIn(STATIC), ...filesIn(PUBLIC)].reduce((sum, path) => sum + statSync(path).size, 0);
console.log(`public/sw.js keeps ${kept.length} files, ${(bytes / 2 ** 20).toFixed(1)} MB.`);
