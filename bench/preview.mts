/**
 * Re-render of a one-megapixel specimen after a slider move, in a worker of headless Chromium, beside a bare copy of
 * the same pixels; and each surface's ground.
 */
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { build } from 'esbuild';
import { CHROMIUM } from '../scripts/browser.mjs';

const root = join(import.meta.dirname, '..');
const { outputFiles } = await build({
  entryPoints: [join(root, 'bench', 'preview-worker.ts')],
  bundle: true,
  format: 'iife',
  write: false,
  target: 'es2022',
  tsconfig: join(root, 'tsconfig.json'),
});
const browser = await chromium.launch(CHROMIUM);
try {
  const page = await browser.newPage();
  const result = await page.evaluate(
    (code) =>
      new Promise<{ grounds: [string, number][]; render: number; plain: number; copy: number; megapixels: number }>(
        (resolve, reject) => {
          const worker = new Worker(URL.createObjectURL(new Blob([code], { type: 'text/javascript' })));
          worker.onmessage = (event) => resolve(event.data as never);
          worker.onerror = (event) => reject(new Error(event.message));
        },
      ),
    outputFiles[0].text,
  );
  console.log(
    `re-render of ${result.megapixels.toFixed(2)} megapixels: ${result.render.toFixed(1)} ms, without ` +
      `WebAssembly ${result.plain.toFixed(1)} ms, bare copy ${result.copy.toFixed(2)} ms, ratio ` +
      `${(result.render / result.copy).toFixed(0)}`,
  );
  console.log(`grounds, once each: ${result.grounds.map(([id, ms]) => `${id} ${ms.toFixed(0)} ms`).join(', ')}`);
} finally {
  await browser.close();
}
