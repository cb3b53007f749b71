/**
 * How fast the page answers under load: the longest task of its main thread while a photo of 24 megapixels is read, and
 * how long a print that is being made takes to stop. Needs a build. `npx tsx bench/answers.mts [DIRECTORY OF A BUILT
 * CHECKOUT]`
 */
import type { Browser, Page } from '@playwright/test';
import { turnedPhoto } from '../e2e/support/pictures';
import { ADDRESS, withApp } from './app.mjs';

interface TraceEvent {
  name: string;
  pid: number;
  tid: number;
  dur?: number;
  args?: { name?: string };
}

/** The longest task of the page's main thread while something is done, ms, from the browser's own trace. */
async function longestTaskMs(browser: Browser, page: Page, act: () => Promise<void>): Promise<number> {
  await browser.startTracing(page, {
    categories: ['toplevel', 'disabled-by-default-devtools.timeline', 'devtools.timeline', '__metadata'],
  });
  await act();
  const { traceEvents } = JSON.parse((await browser.stopTracing()).toString('utf8')) as { traceEvents: TraceEvent[] };
  const threadOf = ({ pid, tid }: TraceEvent) => `${pid}:${tid}`;
  const mains = new Set(
    traceEvents.filter(({ name, args }) => name === 'thread_name' && args?.name === 'CrRendererMain').map(threadOf),
  );
  const tasks = traceEvents.filter(
    (event) => /^(ThreadControllerImpl::)?RunTask$/.test(event.name) && mains.has(threadOf(event)),
  );
  if (tasks.length < 100) throw new Error('the trace holds no tasks');
  return Math.max(...tasks.map(({ dur = 0 }) => dur)) / 1000;
}

await withApp(async (page, context) => {
  const browser = context.browser();
  if (!browser) throw new Error('no browser');
  const photo = await turnedPhoto('twenty-four-megapixels', 4000, 6000);
  await page.getByTestId('new-piece').click();
  const longest = await longestTaskMs(browser, page, async () => {
    await page.locator('input[type="file"]').first().setInputFiles(photo);
    await page.getByTestId('picture-preview').waitFor();
    await page.getByText('4000 × 6000 pixels').waitFor();
  });
  console.log(`Longest main-thread task while 24 megapixels are read: ${longest.toFixed(0)} ms (goal: under 200)`);

  await page.goto(`${ADDRESS}/piece/demo-route-map/sheet`);
  await page.getByTestId('make-pdf').click();
  const progress = page.getByRole('progressbar', { name: 'Making the print' });
  await progress.waitFor();
  const from = performance.now();
  await page.getByRole('button', { name: 'Stop' }).click();
  await progress.waitFor({ state: 'detached' });
  console.log(`A print that is being made stops in ${(performance.now() - from).toFixed(0)} ms (goal: under 500)`);
});
