/**
 * Reads 12-megapixel photos of the example's board in Chromium, beside decoding them alone: the reading from the press to
 * what it says, the first outline, and how much memory it takes.
 */
import { execSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import sharp from 'sharp';
import { withApp, ADDRESS } from './app.mjs';

const SIZE = { width: 4000, height: 3000 };
const TIMES = 5;
const PAUSE_MS = 4000;
const BOARD = 'demo-departures-board';

/** Memory of all renderers and workers under this process, MB. */
const memoryMb = (): number =>
  execSync('ps -eo rss,args', { encoding: 'utf8' })
    .split('\n')
    .filter((line) => line.includes('--type=renderer'))
    .reduce((sum, line) => sum + Number(line.trim().split(/\s+/)[0]) / 1024, 0);

const photo = await sharp(readFileSync(join(import.meta.dirname, '../public/demo/board-half-rubbed.jpg')))
  .resize(SIZE)
  .jpeg({ quality: 88 })
  .toBuffer();
const small = await sharp(photo).resize(2000).jpeg({ quality: 88 }).toBuffer();

await withApp(async (page) => {
  await page.goto(`${ADDRESS}/piece/${BOARD}/rub`);
  await page.locator('[data-part="Read it from a photo"] summary').first().click();
  const input = page.getByTestId('inspect-dry');
  await input.waitFor({ state: 'attached' });
  await page.waitForTimeout(3000);
  const decodeMs = await page.evaluate(
    async (bytes) => {
      const file = new Blob([new Uint8Array(bytes)], { type: 'image/jpeg' });
      const taken: number[] = [];
      for (let k = 0; k < 5; k++) {
        const from = performance.now();
        const bitmap = await createImageBitmap(file);
        taken.push(performance.now() - from);
        bitmap.close();
      }
      return taken.sort((a, b) => a - b)[2];
    },
    [...photo],
  );
  // What the transpiler wraps functions in.
  await page.evaluate('globalThis.__name = (of) => of');
  // By the page's own clock, from the moment it has the file: handing it over to the browser is no part of it.
  await page.evaluate(() => {
    const marks: Record<string, number> = {};
    Object.assign(window, { marks });
    document.addEventListener('change', () => (marks.chosen = performance.now()), true);
    const shows = (at: string) => document.querySelector(at) !== null;
    new MutationObserver(() => {
      if (shows('[data-testid="first-outline"]')) marks.outline ??= performance.now();
      if (shows('[role="progressbar"]')) marks.busy = 1;
      else if (marks.busy) marks.read ??= performance.now();
    }).observe(document.body, { childList: true, subtree: true });
  });
  const outlines: number[] = [];
  const taken: number[] = [];
  const middle = (times: number[]) => times.sort((a, b) => a - b)[times.length >> 1];
  const read = async (buffer: Buffer) => {
    await page.evaluate(() => {
      const { marks } = window as unknown as { marks: Record<string, number> };
      for (const mark of Object.keys(marks)) delete marks[mark];
    });
    await input.setInputFiles({ name: 'board.jpg', mimeType: 'image/jpeg', buffer });
    await page.waitForFunction(() => (window as unknown as { marks: Record<string, number> }).marks.read);
    const marks = await page.evaluate(() => (window as unknown as { marks: Record<string, number> }).marks);
    outlines.push(marks.outline - marks.chosen);
    taken.push(marks.read - marks.chosen);
    // A person takes the next photo first; the print is prepared for it meanwhile.
    await page.waitForTimeout(PAUSE_MS);
  };
  const before = memoryMb();
  let most = before;
  const watch = setInterval(() => (most = Math.max(most, memoryMb())), 100);
  for (let k = 0; k < TIMES; k++) await read(photo);
  const [readMs, outlineMs] = [middle(taken.splice(0)), middle(outlines)];
  for (let k = 0; k < 3; k++) await read(small);
  const smallMs = middle(taken);
  clearInterval(watch);
  console.log(
    `12 megapixels read in ${readMs.toFixed(0)} ms, ${(readMs / decodeMs).toFixed(1)} times decoding it alone ` +
      `(${decodeMs.toFixed(0)} ms); first outline after ${outlineMs.toFixed(0)} ms; 3 megapixels in ` +
      `${smallMs.toFixed(0)} ms; at most ${(most - before).toFixed(0)} MB more than before, ` +
      `${((SIZE.width * SIZE.height * 4) / 2 ** 20).toFixed(0)} of them the decoded photo`,
  );
});
