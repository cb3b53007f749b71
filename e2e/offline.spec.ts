import { readFileSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:http';
import type { Page } from '@playwright/test';
import { STATIONS } from '../src/core/stations';
import { DEMO_URL, answer, openDemo, openPart, ringIn, settled, stands, tourOf } from './support/page';
import { ownServer } from './support/server';
import { expect, test } from './support/test';

test.use({ serviceWorkers: 'allow' });

/** The program is kept in the browser, and looks after this page. */
async function kept(page: Page): Promise<void> {
  await expect
    .poll(() => page.evaluate(async () => (await navigator.serviceWorker.getRegistration())?.active?.state ?? 'none'), {
      timeout: 120_000,
    })
    .toBe('activated');
  await expect.poll(() => page.evaluate(() => navigator.serviceWorker.controller !== null)).toBe(true);
}

test('after one visit every place and station opens without the server, by link and by address', async ({ page }) => {
  const server = await ownServer(3419);
  try {
    await page.goto(server.url);
    await expect(page.getByText('Departures board').first()).toBeVisible({ timeout: 30_000 });
    await kept(page);
  } finally {
    await server.stop();
  }
  const broken: string[] = [];
  page.on('pageerror', (error) => broken.push(`${page.url()} ${error.message}`));

  // Stations that were never visited, of a piece that the program keeps no page of its own for.
  for (const path of tourOf('demo-viaduct')) {
    await page.goto(`${server.url}${path}`);
    await stands(page);
    await expect(page.locator('main')).not.toBeEmpty();
    await expect(page.getByText('There is nothing here')).toHaveCount(0);
    if (path.startsWith('/piece/')) await expect(page.getByLabel('Name of the piece')).toHaveValue('Viaduct at dusk');
  }
  await page.goto(`${server.url}/pieces`);
  await page.getByRole('link', { name: /Departures board/ }).click();
  await expect(page).toHaveURL(/demo-departures-board/);
  for (const station of STATIONS) {
    await page
      .getByRole('navigation', { name: 'Stations' })
      .getByRole('link', { name: new RegExp(`^${station}`, 'i') })
      .click();
    await expect(page).toHaveURL(new RegExp(`/${station}$`));
    await stands(page);
  }

  // What leads nowhere says so; a server in trouble, and a network that puts a page of its own in place, do not come between.
  await page.goto(`${server.url}/no/such/place`);
  await expect(page.getByRole('heading', { name: 'There is nothing here' })).toBeVisible();
  for (const status of [500, 200, 302]) {
    const between = createServer((_, answer) =>
      answer
        .writeHead(status, { 'content-type': 'text/html', ...(status === 302 ? { location: '/log-in' } : {}) })
        .end('<h1>Log in to the network</h1>'),
    ).listen(3419);
    await page.goto(`${server.url}/pieces`);
    await expect(page.getByTestId('shelf-piece').first()).toBeVisible();
    between.closeAllConnections();
    await new Promise((resolve) => between.close(resolve));
  }

  // Work goes on: a change is kept, a print is made, and the stand-ins say that they are away.
  await page.goto(`${server.url}/piece/demo-viaduct/sheet`);
  const made = page.waitForEvent('download', { timeout: 90_000 });
  await page.getByTestId('make-pdf').click();
  await made;
  const title = page.getByLabel('Name of the piece');
  await title.fill('Viaduct, away');
  await title.press('Enter');
  await settled(page);
  await page.reload();
  await expect(page.getByLabel('Name of the piece')).toHaveValue('Viaduct, away');
  await openPart(page, 'At the copy shop');
  await page.getByTestId('shop-quote').click();
  await expect(page.getByText('does not answer')).toBeVisible({ timeout: 60_000 });
  expect(broken).toEqual([]);
});

test('a new version waits until it is asked for, and then takes over', async ({ page }) => {
  const original = readFileSync('public/sw.js', 'utf8');
  await openDemo(page);
  await kept(page);
  try {
    writeFileSync('public/sw.js', `${original}\n// another build\n`);
    await page.reload();
    const news = page.getByTestId('new-version');
    await expect(news).toContainText('A new version of Fobbet is ready', { timeout: 60_000 });
    const before = await page.evaluate(() => performance.timeOrigin);
    await news.getByRole('button', { name: 'Use it now' }).click();
    await expect.poll(() => page.evaluate(() => performance.timeOrigin).catch(() => before)).not.toBe(before);
    await expect(page.getByText('Departures board').first()).toBeVisible({ timeout: 30_000 });
    await expect(news).toHaveCount(0);
    expect(await page.evaluate(async () => Boolean((await navigator.serviceWorker.getRegistration())?.waiting))).toBe(
      false,
    );
  } finally {
    writeFileSync('public/sw.js', original);
  }
});

test('a timer rings through the service worker, as phones ask for', async ({ page, context }) => {
  await context.grantPermissions(['notifications'], { origin: DEMO_URL });
  await openDemo(page, '/bench');
  await kept(page);
  await page.getByTestId('quick-timers').click();
  await page.getByTestId('timer-1').click();
  await ringIn(page, 3000);
  await page.reload();
  const shown = () =>
    page.evaluate(async () => {
      const registration = await navigator.serviceWorker.getRegistration();
      return (await registration?.getNotifications())?.map(({ body }) => body) ?? [];
    });
  await expect.poll(shown, { timeout: 30_000 }).toContain('1 min: time is up.');
});

test('what passed while the server was away and back: the page that is open works on', async ({ page }) => {
  const server = await ownServer(3420);
  await page.goto(`${server.url}/stash`);
  await expect(answer(page)).not.toBeEmpty({ timeout: 30_000 });
  await kept(page);
  await server.stop();
  await page.getByRole('link', { name: 'Ahead' }).click();
  await expect(page).toHaveURL(/\/ahead$/);
  await stands(page);
  const again = await ownServer(3420);
  try {
    await page.getByRole('link', { name: 'Pieces' }).click();
    await expect(page.getByText('Departures board').first()).toBeVisible({ timeout: 30_000 });
  } finally {
    await again.stop();
  }
});
