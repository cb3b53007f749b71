/**
 * The share of a core that Today takes while nothing happens, from the browser's own count of task time.
 * Needs a build. `npx tsx bench/idle.mts [DIRECTORY OF A BUILT CHECKOUT]`
 */
import { withApp } from './app.mjs';

const SETTLED_MS = 8000;
const WATCHED_MS = 20_000;

await withApp(async (page, context) => {
  await page.getByTestId('hands-step').first().waitFor();
  await page.waitForTimeout(SETTLED_MS);
  const session = await context.newCDPSession(page);
  await session.send('Performance.enable');
  const busySeconds = async () => {
    const { metrics } = await session.send('Performance.getMetrics');
    return metrics.find(({ name }) => name === 'TaskDuration')?.value ?? NaN;
  };
  const [before, from] = [await busySeconds(), performance.now()];
  await page.waitForTimeout(WATCHED_MS);
  const share = ((await busySeconds()) - before) / ((performance.now() - from) / 1000);
  console.log(`Today while nothing happens: ${(share * 100).toFixed(1)} % of a core (goal: under 2 %)`);
});
