import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import {
  DEMO_URL,
  beginPiece,
  openStation,
  savedTo,
  settled,
  storedPieces,
  storedRecord,
  typeInto,
} from './support/page';
import { expect, test } from './support/test';

const opened = async (page: Page, path: string) => {
  await page.goto(`${DEMO_URL}/`);
  await expect(page.getByTestId('hands-step').first()).toBeVisible({ timeout: 40_000 });
  await page.goto(`${DEMO_URL}${path}`);
};

test('a bottle that holds nothing is refused in its field; the stash stays', async ({ page }) => {
  await opened(page, '/stash');
  const items = page.getByTestId('stash-item');
  await expect(items.first()).toBeVisible();
  const before = await items.count();
  await page.locator('[data-item="demo-heavy-gel"]').getByRole('button').click();
  await typeInto(page, 'item-size', '0');
  await expect(page.getByRole('dialog')).toContainText('A figure from 0.1 to 1000000 is needed here.');
  await page.getByTestId('item-save').click();
  await page.reload();
  await expect(items).toHaveCount(before);
  await page.locator('[data-item="demo-heavy-gel"]').getByRole('button').click();
  await typeInto(page, 'item-size', '500 ml');
  await page.getByTestId('item-save').click();
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await expect(items).toHaveCount(before);
});

test('a stash of a newer program is named, kept, offered as a file, and never written over', async ({ page }, info) => {
  await opened(page, '/stash');
  await expect(page.getByTestId('stash-item').first()).toBeVisible();
  await storedRecord(page, 'stash', 'stash', { version: 99 });
  await page.reload();
  const bar = page.getByTestId('unreadable-stash');
  await expect(bar).toContainText('written over');
  await page.getByTestId('new-item').click();
  await page.getByTestId('item-name').fill('Glue');
  await page.getByTestId('item-save').click();
  await expect(page.getByTestId('notice')).toContainText('newer Fobbet');
  await expect(page.getByTestId('item-name')).toHaveValue('Glue');
  await page.getByRole('button', { name: 'Cancel' }).click();
  const download = page.waitForEvent('download');
  await bar.getByRole('button', { name: 'Save it as a file' }).click();
  const file = await savedTo(await download, info.outputPath('stash.json'));
  const saved = JSON.parse(readFileSync(file, 'utf8')) as { version: number; items: unknown[] };
  expect(saved.version).toBe(99);
  expect(saved.items.length).toBeGreaterThan(5);
  await page.getByTestId('aside-stash').click();
  await expect(bar).toHaveCount(0);
  await expect(page.getByText('Nothing is written down yet.')).toBeVisible();
});

test('a piece that can’t be read is named and offered as a file; every other place works', async ({ page }, info) => {
  await opened(page, '/pieces');
  await expect(page.getByText('Fern platform marker').first()).toBeVisible();
  await storedRecord(page, 'pieces', 'demo-fern-marker', { dueOn: '2026-31-12' });
  await page.reload();
  await expect(page.getByRole('alert').filter({ hasText: 'Fern platform marker' })).toContainText('cannot be shown');
  await expect(page.getByText('Route map').first()).toBeVisible();
  for (const path of ['/', '/ahead', '/stash']) {
    await page.goto(`${DEMO_URL}${path}`);
    await expect(page.getByRole('heading').first()).toBeVisible();
  }
  await page.goto(`${DEMO_URL}/piece/demo-fern-marker/keep`);
  await expect(page.getByRole('heading', { name: 'Fern platform marker cannot be opened' })).toBeVisible();
  const download = page.waitForEvent('download');
  await page.getByTestId('save-unreadable').click();
  const file = await savedTo(await download, info.outputPath('piece.json'));
  expect(JSON.parse(readFileSync(file, 'utf8'))).toMatchObject({ name: 'Fern platform marker', dueOn: '2026-31-12' });
});

test('storage full: what was typed stays, over stations too, and is kept once there is room', async ({ page }) => {
  await beginPiece(page, 'Booking hall');
  await openStation(page, 'Surface');
  await typeInto(page, 'blank-width', '30 cm');
  await settled(page);
  const full = (isFull: boolean) =>
    page.evaluate((now) => {
      const { prototype } = IDBObjectStore;
      const store = window as unknown as { put?: IDBObjectStore['put'] };
      store.put ??= Reflect.get(prototype, 'put');
      prototype.put = now
        ? () => {
            throw new DOMException('full', 'QuotaExceededError');
          }
        : store.put;
    }, isFull);
  await full(true);
  await typeInto(page, 'blank-width', '42 cm');
  const dialog = page.getByRole('dialog');
  await expect(dialog).toContainText('storage is full');
  await dialog.getByRole('button', { name: 'Not now' }).click();
  await expect(page.getByTestId('blank-width')).toHaveValue('42 cm');
  await openStation(page, 'Method');
  await openStation(page, 'Surface');
  await expect(page.getByTestId('blank-width')).toHaveValue('42 cm');
  expect(await storedPieces(page)).toMatchObject([{ surface: { widthMm: 300 } }]);
  await full(false);
  await page.getByTestId('not-kept').click();
  await expect(page.getByTestId('not-kept')).toHaveCount(0);
  await settled(page);
  expect(await storedPieces(page)).toMatchObject([{ surface: { widthMm: 420 } }]);
});

for (const [name, script] of [
  ['no store at all', `Object.defineProperty(window, 'indexedDB', { value: undefined })`],
  [
    'a store that is forbidden',
    `IDBFactory.prototype.open = () => { throw new DOMException('denied', 'SecurityError') }`,
  ],
] as const)
  test(`${name}: the page says why, and works on in memory if wanted`, async ({ page }) => {
    await page.addInitScript(script);
    await page.goto('/');
    await expect(page.getByTestId('no-storage')).toContainText(/private/);
    await page.getByTestId('in-memory').click();
    await expect(page.getByTestId('not-kept-bar')).toContainText('Not kept');
    await page.getByTestId('new-piece').click();
    await openStation(page, 'Surface');
    await typeInto(page, 'blank-width', '30 cm');
    await expect(page.getByTestId('blank-width')).toHaveValue('30 cm');
    await expect(page.getByTestId('not-kept-bar')).toBeVisible();
  });

test('a calendar that would never end is given up, and the page stays', async ({ page }) => {
  await opened(page, '/ahead');
  const event = (...lines: string[]) =>
    ['BEGIN:VCALENDAR', 'VERSION:2.0', 'BEGIN:VEVENT', 'UID:a', ...lines, 'END:VEVENT', 'END:VCALENDAR', ''].join(
      '\r\n',
    );
  for (const text of [
    event('DTSTART:20261127T100000Z', 'DURATION:P99999999999999999W'),
    event('DTSTART:20260227T100000Z', 'DURATION:PT1H', 'RRULE:FREQ=MONTHLY;BYDAY=MO;BYSETPOS=400'),
    event('DTSTART:20260227T100000Z', 'DURATION:PT1H', 'RRULE:FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=30;BYSETPOS=5'),
  ]) {
    await page
      .getByTestId('busy-in')
      .setInputFiles({ name: 'endless.ics', mimeType: 'text/calendar', buffer: Buffer.from(text) });
    await expect(page.getByTestId('notice')).toContainText('othing was changed', { timeout: 60_000 });
    await page.getByTestId('notice').getByRole('button').first().click();
    await expect(page.getByTestId('notice')).toHaveCount(0);
  }
  await page.getByRole('button', { name: 'Now' }).click();
  await expect(page.getByRole('heading').first()).toBeVisible();
});
