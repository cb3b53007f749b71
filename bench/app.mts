import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { chromium, type BrowserContext, type Page } from '@playwright/test';
import { CHROMIUM } from '../scripts/browser.mjs';

/** Another built checkout may be named, to measure it beside. */
export const CHECKOUT = process.argv[2] ?? join(import.meta.dirname, '..');
const PORT = 3466;
export const ADDRESS = `http://localhost:${PORT}`;

/** Runs `measure` in a browser over the built program, with its example loaded or with nothing in it. */
export async function withApp(
  measure: (page: Page, context: BrowserContext) => Promise<void>,
  { demo = true }: { demo?: boolean } = {},
): Promise<void> {
  const server = spawn(process.execPath, ['node_modules/next/dist/bin/next', 'start', '-p', String(PORT)], {
    cwd: CHECKOUT,
    env: { ...process.env, FOBBET_DEMO: demo ? '1' : '', NEXT_TELEMETRY_DISABLED: '1' },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  await new Promise<void>((resolve, reject) => {
    server.stdout.on('data', (chunk) => {
      if (String(chunk).includes('Ready')) resolve();
    });
    server.on('exit', () => reject(new Error(`the server at ${ADDRESS} ended`)));
  });
  const browser = await chromium.launch(CHROMIUM);
  try {
    const context = await browser.newContext({
      locale: 'en-GB',
      viewport: { width: 1280, height: 800 },
      serviceWorkers: 'block',
    });
    const page = await context.newPage();
    await page.goto(`${ADDRESS}/`);
    await page
      .getByText(demo ? 'Fern platform marker' : 'Fobbet')
      .first()
      .waitFor();
    await measure(page, context);
  } finally {
    await browser.close();
    server.kill();
  }
}
