// `npm run shots`: one picture per main view from the example, into docs/screenshots. Needs a build.
// `node scripts/shots.mjs OUT [NAME …]` puts chosen ones elsewhere.
import { spawn } from 'node:child_process';
import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { ROOT, bin } from './steps.mjs';
import { CHROMIUM } from './browser.mjs';

const PORT = 3455;
const DESK = { width: 1280, height: 800 };
const HAND = { width: 390, height: 844 };
const TABLET = { width: 1180, height: 820 };
const VIEWS = [
  { name: 'today', path: '/', size: DESK },
  { name: 'today-phone', path: '/', size: HAND, full: true, settle: 4000, extra: true },
  { name: 'ahead', path: '/ahead', size: DESK },
  { name: 'ahead-full', path: '/ahead', size: { width: 1280, height: 1500 }, full: true, settle: 4000, extra: true },
  {
    name: 'ahead-hands',
    path: '/ahead',
    size: DESK,
    press: ['role=button[name="Hands"]', 'role=button[name="2 days"]'],
    settle: 3000,
    extra: true,
  },
  { name: 'ahead-phone', path: '/ahead', size: HAND, full: true, settle: 4000, extra: true },
  {
    name: 'bench',
    path: '/bench?step=demo-viaduct%2Flay',
    size: TABLET,
    press: [
      '[data-testid="bench-next"]',
      '[data-testid="bench-next"]',
      '[data-testid="bench-next"]',
      '[data-testid="bench-next"]',
      '[data-testid="bench-next"]',
      '[data-testid="card-timer"]',
    ],
    settle: 3000,
  },
  {
    name: 'bench-phone',
    path: '/bench?step=demo-viaduct%2Flay',
    size: HAND,
    press: [
      '[data-testid="bench-next"]',
      '[data-testid="bench-next"]',
      '[data-testid="bench-next"]',
      '[data-testid="bench-next"]',
      '[data-testid="bench-next"]',
      '[data-testid="card-timer"]',
    ],
    settle: 3000,
  },
  { name: 'stash', path: '/stash', size: DESK, settle: 3000 },
  { name: 'pieces', path: '/pieces', size: DESK },
  { name: 'first-piece', path: '/', size: DESK, empty: true, extra: true },
  {
    name: 'picture',
    path: '/piece/demo-route-map/picture',
    size: DESK,
    press: ['[data-finding="show-through"] button'],
  },
  {
    name: 'on-the-piece',
    path: '/piece/demo-route-map/picture',
    size: DESK,
    press: ['text=On the piece'],
    extra: true,
  },
  { name: 'surface', path: '/piece/demo-viaduct/surface', size: DESK, press: ['[data-testid="with-picture"]'] },
  {
    name: 'vessel',
    path: '/piece/demo-crest-bucket/surface',
    size: DESK,
    press: ['[data-testid="with-picture"]'],
    extra: true,
  },
  {
    name: 'try-on',
    path: '/piece/demo-viaduct/method',
    size: DESK,
    press: ['[data-testid="try-on-view"]'],
    settle: 6000,
    extra: true,
  },
  {
    name: 'set',
    path: '/piece/demo-tea-canisters/surface',
    size: DESK,
    run: async (page) => {
      await page.getByRole('button', { name: 'Files of this piece' }).click();
      await page.getByRole('menuitem', { name: /A set like this/ }).click();
      await page.getByTestId('set-alike').fill('9');
      await page.getByTestId('set-alike').blur();
      await page.getByTestId('make-set').click();
      await page.getByTestId('tick-all').first().click();
      for (let at = 0; at < 4; at++) {
        await page.waitForTimeout(2500);
        await page.locator('[data-step="print"] button[data-state="ready"]').first().click();
      }
      await page.waitForTimeout(12_000);
    },
  },
  { name: 'method', path: '/piece/demo-viaduct/method', size: DESK },
  { name: 'sheet', path: '/piece/demo-departures-board/sheet', size: DESK },
  { name: 'tiles', path: '/piece/demo-route-map/sheet', size: DESK, press: ['[data-testid="next-page"]'], extra: true },
  { name: 'print-together', path: '/pieces/print', size: DESK, settle: 5000, extra: true },
  { name: 'fan', path: '/piece/demo-crest-bucket/sheet', size: DESK, extra: true },
  { name: 'wrap', path: '/piece/demo-viaduct/sheet', size: DESK, extra: true },
  { name: 'sheet-phone', path: '/piece/demo-departures-board/sheet', size: HAND, full: true, extra: true },
  {
    name: 'sheet-full',
    path: '/piece/demo-crest-bucket/sheet',
    size: { width: 1280, height: 2200 },
    full: true,
    extra: true,
  },
  { name: 'method-phone', path: '/piece/demo-viaduct/method', size: HAND, full: true, extra: true },
  { name: 'picture-phone', path: '/piece/demo-route-map/picture', size: HAND, full: true, extra: true },
  { name: 'picture-dark', path: '/piece/demo-viaduct/picture', size: DESK, dark: true, extra: true },
  { name: 'lay', path: '/piece/demo-viaduct/lay', size: DESK },
  { name: 'lay-phone', path: '/piece/demo-viaduct/lay', size: HAND, extra: true },
  { name: 'cure', path: '/piece/demo-departures-board/cure', size: DESK },
  { name: 'cure-phone', path: '/piece/demo-departures-board/cure', size: HAND, full: true, extra: true },
  { name: 'kept', path: '/kept', size: DESK, press: ['[data-testid="copy-out"]'] },
  { name: 'kept-phone', path: '/kept', size: HAND, full: true, extra: true },
  { name: 'rub', path: '/piece/demo-departures-board/rub', size: DESK },
  {
    name: 'mend',
    path: '/piece/demo-departures-board/mend',
    size: DESK,
    press: ['[data-part="Read it from a photo"] summary', '[data-testid="example-dry"]'],
    settle: 12000,
    scroll: '[data-testid="mixes"]',
  },
  {
    name: 'faults',
    path: '/faults?piece=demo-fern-marker',
    size: DESK,
    press: ['[data-testid="sign-holes-long"]', '[data-testid="sign-veil"]'],
  },
  { name: 'seal', path: '/piece/demo-fern-marker/seal', size: DESK },
  { name: 'keep', path: '/piece/demo-fern-marker/keep', size: DESK },
  { name: 'cure-dark', path: '/piece/demo-departures-board/cure', size: DESK, dark: true, extra: true },
];

const [out = join(ROOT, 'docs', 'screenshots'), ...names] = process.argv.slice(2);
mkdirSync(out, { recursive: true });
const server = spawn(bin('next'), ['start', '-p', String(PORT)], {
  cwd: ROOT,
  env: { ...process.env, FOBBET_DEMO: '1' },
  stdio: ['ignore', 'pipe', 'inherit'],
});
process.on('exit', () => server.kill());
await new Promise((resolve) => server.stdout.on('data', (chunk) => String(chunk).includes('Ready') && resolve()));
const browser = await chromium.launch(CHROMIUM);
try {
  for (const view of VIEWS.filter(({ name, extra }) => (names.length === 0 ? !extra : names.includes(name)))) {
    const context = await browser.newContext({
      viewport: view.size,
      locale: 'en-GB',
      colorScheme: view.dark ? 'dark' : 'light',
      reducedMotion: 'reduce',
    });
    const page = await context.newPage();
    page.on('pageerror', (error) => console.error(`${view.name}: ${error.message}`));
    page.on('console', (message) => message.type() === 'error' && console.error(`${view.name}: ${message.text()}`));
    if (view.empty) await page.route('**/demo/*', (route) => route.abort());
    await page.goto(`http://localhost:${PORT}/`);
    if (!view.empty) await page.getByText('Fern platform marker').first().waitFor();
    else await page.getByTestId('new-piece').waitFor();
    if (view.path !== '/') await page.goto(`http://localhost:${PORT}${view.path}`);
    await page.waitForTimeout(1200);
    if (view.empty)
      await page
        .getByLabel('Close')
        .click()
        .catch(() => undefined);
    for (const selector of view.press ?? []) await page.locator(selector).first().click();
    await view.run?.(page);
    await page.waitForTimeout(view.settle ?? 4000);
    if (view.scroll) await page.locator(view.scroll).first().scrollIntoViewIfNeeded();
    await page.screenshot({ path: join(out, `${view.name}.png`), fullPage: view.full ?? false });
    await context.close();
  }
} finally {
  await browser.close();
  server.kill();
}
