import { readFileSync, writeFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { DEMO_URL, answer, openDemo, savedTo, settled, storedPieces } from './support/page';
import { anotherPage, expect, test } from './support/test';

const rename = async (page: Page, piece: string, name: string) => {
  await page.goto(`${DEMO_URL}/piece/${piece}/picture`);
  const title = page.getByLabel('Name of the piece');
  await title.fill(name);
  await title.press('Enter');
  await settled(page);
};
async function saveCopy(page: Page, path: string): Promise<string> {
  await page.goto(`${DEMO_URL}/kept`);
  const [download] = await Promise.all([page.waitForEvent('download'), page.getByTestId('copy-out').click()]);
  return savedTo(download, path);
}
async function viaductPdf(page: Page, url: string, path: string): Promise<Buffer> {
  await page.goto(`${url}/piece/demo-viaduct/sheet`);
  const [download] = await Promise.all([
    page.waitForEvent('download', { timeout: 90_000 }),
    page.getByTestId('make-pdf').click(),
  ]);
  return readFileSync(await savedTo(download, path));
}

test('a copy of everything goes into an empty browser: pieces, stash, hours, and the same prints', async ({
  page,
  browser,
  baseURL,
}, info) => {
  await openDemo(page);
  const pdf = await viaductPdf(page, DEMO_URL, info.outputPath('before.pdf'));
  const copy = await saveCopy(page, info.outputPath('all.zip'));
  await expect(answer(page)).toContainText('a copy of everything as it stands');
  const before = await storedPieces(page);

  const other = await anotherPage(browser);
  await other.goto(`${baseURL}/kept`);
  await expect(answer(other)).toHaveText('Nothing is kept here yet.');
  const bytes = readFileSync(copy);
  const bent = Buffer.from(bytes);
  bent[Math.floor(bytes.length / 2)] ^= 0xff;
  for (const [name, content] of [
    ['cut.zip', bytes.subarray(0, bytes.length * 0.6)],
    ['bent.zip', bent],
    ['note.zip', Buffer.from('shopping list')],
  ] as const) {
    writeFileSync(info.outputPath(name), content);
    await other.getByTestId('copy-in').setInputFiles(info.outputPath(name));
    await expect(other.getByTestId('restore').getByRole('alert')).toContainText('nothing was changed');
    await other.getByRole('button', { name: 'Close' }).click();
    expect(await storedPieces(other)).toEqual([]);
  }
  await other.getByTestId('copy-in').setInputFiles(copy);
  await expect(other.getByTestId('restore')).toContainText('8 pieces: 8 new here');
  await other.getByTestId('restore-take').click();
  await expect(other.getByTestId('notice')).toContainText('Taken in: 8 pieces');
  expect(await storedPieces(other)).toEqual(before);
  expect((await viaductPdf(other, baseURL ?? '', info.outputPath('after.pdf'))).equals(pdf)).toBe(true);
  await other.goto(`${baseURL}/stash`);
  await expect(other.getByRole('table').first()).toBeVisible();
  await other.context().close();
});

test('a copy joins what is there: what both changed is asked about, and can be undone', async ({
  page,
  browser,
}, info) => {
  await openDemo(page);
  const old = await saveCopy(page, info.outputPath('old.zip'));
  const other = await anotherPage(browser);
  await other.goto(`${DEMO_URL}/kept`);
  await expect(answer(other)).not.toBeEmpty({ timeout: 30_000 });
  await expect.poll(async () => (await storedPieces(other)).length, { timeout: 30_000 }).toBe(8);

  await rename(page, 'demo-viaduct', 'Viaduct, from here');
  await rename(page, 'demo-route-map', 'Map, from here');
  const newer = await saveCopy(page, info.outputPath('newer.zip'));
  await other.goto(`${DEMO_URL}/kept`);
  await other.getByTestId('copy-in').setInputFiles(old);
  await expect(other.getByTestId('restore-take')).toBeVisible();
  for (const select of await other.locator('[data-testid^="clash-demo"]').all()) await select.selectOption('file');
  await other.getByTestId('restore-take').click();
  await expect(other.getByTestId('restore')).toHaveCount(0);
  await rename(other, 'demo-viaduct', 'Viaduct, from there');
  await other.goto(`${DEMO_URL}/kept`);
  await other.getByTestId('copy-in').setInputFiles(newer);
  await expect(other.getByTestId('clash-demo-viaduct')).toBeVisible();
  await other.getByTestId('clash-demo-viaduct').selectOption('file');
  await other.getByTestId('restore-take').click();
  await expect(other.getByTestId('restore')).toHaveCount(0);
  const names = (await storedPieces(other)).map(({ name }) => name);
  expect(names).toEqual(expect.arrayContaining(['Viaduct, from here', 'Map, from here']));
  await other.goto(`${DEMO_URL}/piece/demo-viaduct/picture`);
  await other.getByRole('button', { name: 'Undo: taking a copy in' }).click();
  await expect(other.getByLabel('Name of the piece')).toHaveValue('Viaduct, from there');
  await other.context().close();
});

test('a removed piece lies in the bin; a change of the stash or the hours is taken back and done again', async ({
  page,
}) => {
  await openDemo(page, '/piece/demo-fern-marker/picture');
  await page.getByRole('button', { name: 'Files of this piece' }).click();
  await page.getByRole('menuitem', { name: 'Remove this piece' }).click();
  await expect(page).toHaveURL(/\/pieces$/);
  await page.goto(`${DEMO_URL}/kept`);
  await expect(page.getByTestId('bin')).toContainText('30 days left');
  await page.getByTestId('back-demo-fern-marker').click();
  await expect(page.getByTestId('bin').getByRole('listitem')).toHaveCount(0);
  expect((await storedPieces(page)).map(({ id }) => id)).toContain('demo-fern-marker');

  await page.goto(`${DEMO_URL}/stash`);
  const rows = page.getByRole('row');
  await expect(rows.nth(1)).toBeVisible();
  const count = await rows.count();
  await rows.nth(1).getByRole('button').first().click();
  const name = await page.getByRole('dialog').getByLabel('Name').inputValue();
  await page.getByRole('dialog').getByRole('button', { name: 'Remove' }).click();
  await expect(rows).toHaveCount(count - 1);
  await page.getByRole('button', { name: `Undo: ${name}` }).click();
  await expect(rows).toHaveCount(count);
  await page.keyboard.press('Control+Shift+Z');
  await expect(rows).toHaveCount(count - 1);
  await page.goto(`${DEMO_URL}/kept`);
  await page.getByTestId('take-back-stash-0').click();
  await expect(page.getByTestId('versions-stash')).toContainText('Do it again');
  await page.goto(`${DEMO_URL}/stash`);
  await expect(rows).toHaveCount(count);
  await page.goto(`${DEMO_URL}/ahead`);
  await page.getByRole('radio', { name: 'Late, but safe' }).click();
  await page.getByRole('button', { name: 'Undo: how steps are placed' }).click();
  await expect(page.getByRole('radio', { name: 'Soon' })).toBeChecked();
});

test('copies go into the chosen folder by themselves, a whole one each day', async ({ page }) => {
  await openDemo(page);
  // The browser's own private folder stands for one on the disk: no window asks for it.
  await page.evaluate(async () => {
    const folder = await navigator.storage.getDirectory();
    const open = indexedDB.open('fobbet');
    const db = await new Promise<IDBDatabase>((resolve) => {
      open.onsuccess = () => resolve(open.result);
    });
    const put = db.transaction('copies', 'readwrite').objectStore('copies');
    put.put({ id: 'copies', madeAt: null, changes: 0, folder });
    await new Promise((resolve) => {
      put.transaction.oncomplete = resolve;
    });
    db.close();
  });
  const names = () =>
    page.evaluate(async () => {
      const folder = (await navigator.storage.getDirectory()) as unknown as { keys: () => AsyncIterable<string> };
      const found: string[] = [];
      for await (const name of folder.keys()) found.push(name);
      return found;
    });
  await rename(page, 'demo-viaduct', 'Viaduct, copied');
  await page.goto(`${DEMO_URL}/pieces`);
  await expect.poll(names, { timeout: 60_000 }).toContainEqual(expect.stringMatching(/^fobbet-\d{4}-\d\d-\d\d\.zip$/));
  const copied = () =>
    page.evaluate(async () => {
      const folder = (await navigator.storage.getDirectory()) as unknown as {
        values: () => AsyncIterable<FileSystemFileHandle>;
      };
      for await (const handle of folder.values())
        if (handle.name.endsWith('.zip')) return (await handle.getFile()).size;
      return 0;
    });
  await expect.poll(copied, { timeout: 60_000 }).toBeGreaterThan(100_000);
  await page.goto(`${DEMO_URL}/kept`);
  await expect(answer(page)).toContainText('a copy of everything as it stands');
  await expect(page.getByText('Copies go to the folder')).toBeVisible();
});
