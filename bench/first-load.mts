/**
 * First-load JavaScript of each place and station: bytes over the wire (gzip) with an empty cache, and what a chart
 * adds. Needs a build. `npx tsx bench/first-load.mts [DIRECTORY OF A BUILT CHECKOUT]` measures another checkout beside.
 */
import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import type { CDPSession, Page } from '@playwright/test';
import { ADDRESS, CHECKOUT, withApp } from './app.mjs';

const STATIONS = ['picture', 'surface', 'method', 'sheet', 'lay', 'cure', 'rub', 'mend', 'seal', 'keep'];
const PIECE = 'demo-departures-board';
const PATHS = [
  '/',
  '/pieces',
  '/ahead',
  '/bench',
  '/stash',
  '/faults',
  '/kept',
  ...STATIONS.map((station) => `/piece/${PIECE}/${station}`),
];
/** Longest quiet time of the network that counts as loaded. */
const QUIET_MS = 2500;

/** Scripts that hold the charting library. */
const chunks = join(CHECKOUT, '.next', 'static', 'chunks');
const charts = new Set(
  readdirSync(chunks).filter(
    (name) => name.endsWith('.js') && readFileSync(join(chunks, name), 'utf8').split('plotly').length > 50,
  ),
);

interface Load {
  page: number;
  chart: number;
}

await withApp(async (page) => {
  await page.waitForTimeout(QUIET_MS);
  console.log('First-load JavaScript, kB gzip: page, chart');
  for (const path of PATHS) {
    const load = await firstLoad(page, path);
    const kB = (bytes: number) => (bytes / 1000).toFixed(0).padStart(6);
    console.log(`${path.padEnd(40)}${kB(load.page)}${kB(load.chart)}`);
  }
});

/** The profile keeps the example; the cache is emptied and switched off, so that every script comes over the wire. */
async function firstLoad(page: Page, path: string): Promise<Load> {
  const load: Load = { page: 0, chart: 0 };
  const client = await page.context().newCDPSession(page);
  await client.send('Network.enable');
  await client.send('Network.clearBrowserCache');
  await client.send('Network.setCacheDisabled', { cacheDisabled: true });
  listen(client, load);
  await page.goto(`${ADDRESS}${path}`);
  await page.waitForLoadState('networkidle').catch(() => undefined);
  await page.waitForTimeout(QUIET_MS);
  await client.detach();
  return load;
}

function listen(client: CDPSession, load: Load): void {
  const scripts = new Map<string, string>();
  client.on('Network.responseReceived', ({ requestId, response }) => {
    if (/\.js(\?|$)/.test(response.url)) scripts.set(requestId, new URL(response.url).pathname.split('/').at(-1) ?? '');
  });
  client.on('Network.loadingFinished', ({ requestId, encodedDataLength }) => {
    const script = scripts.get(requestId);
    if (script) load[charts.has(script) ? 'chart' : 'page'] += encodedDataLength;
  });
}
