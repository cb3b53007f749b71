import { defineConfig } from '@playwright/test';
import { CHROMIUM } from './scripts/browser.mjs';
import { toldTime } from './scripts/told-time.mjs';

const PORT = 3417;
const { zone } = toldTime();
// What a journey works out beside its page it works out in the page's zone.
process.env.TZ = zone;

export default defineConfig({
  testDir: 'e2e',
  // Six times what the longest takes on a quiet machine.
  timeout: 360_000,
  expect: { timeout: 15_000 },
  // A browser on a busy machine may stumble once: what passes on its second try is counted and named as flaky.
  retries: 1,
  // A page works in bursts, and waits: two fill two cores.
  workers: 2,
  reporter: [['list'], ['json', { outputFile: process.env.PLAYWRIGHT_JSON_OUTPUT_FILE ?? '.cache/playwright.json' }]],
  use: {
    baseURL: `http://localhost:${PORT}`,
    viewport: { width: 1280, height: 800 },
    locale: 'en-GB',
    acceptDownloads: true,
    // Where the journey is not about it: keeping the whole program takes a second of every test.
    serviceWorkers: 'block',
    launchOptions: CHROMIUM,
  },
  webServer: [
    {
      command: `node node_modules/next/dist/bin/next start -p ${PORT}`,
      url: `http://localhost:${PORT}`,
      reuseExistingServer: false,
      env: { NEXT_TELEMETRY_DISABLED: '1', TZ: zone },
    },
    {
      command: `node node_modules/next/dist/bin/next start -p ${PORT + 1}`,
      url: `http://localhost:${PORT + 1}`,
      reuseExistingServer: false,
      env: { NEXT_TELEMETRY_DISABLED: '1', TZ: zone, FOBBET_DEMO: '1' },
    },
  ],
});
