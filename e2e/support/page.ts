import { expect, type Download, type Locator, type Page } from '@playwright/test';
import { STATIONS } from '../../src/core/stations';
import { ANY_PIECE, keptPages } from '../../src/offline/pages';

export const DEMO_URL = 'http://localhost:3418';

/** Opens the example on the demo server, and then one of its places. */
export async function openDemo(page: Page, path = '/'): Promise<void> {
  await page.goto(DEMO_URL);
  await expect(page.getByText('Departures board').first()).toBeVisible({ timeout: 30_000 });
  if (path !== '/') await page.goto(`${DEMO_URL}${path}`);
}

/** All places that are of no piece. */
export const PLACES = [
  ...['/', '/pieces', '/pieces/print', '/ahead', '/bench', '/stash'],
  ...['/faults?piece=demo-fern-marker', '/kept', '/help'],
];
/** Every place, and every station of a piece. */
export const tourOf = (piece: string): string[] => keptPages(STATIONS).map((path) => path.replace(ANY_PIECE, piece));

/** The page stands, with what it says. */
export const stands = (page: Page) => page.locator('main:not([aria-busy="true"])').waitFor();

/** Whether nothing is wider than the screen; a chart takes a moment to be drawn anew after this changed. */
export async function fits(page: Page): Promise<boolean> {
  const now = () => page.evaluate(() => document.documentElement.scrollWidth <= innerWidth);
  for (let tries = 0; tries < 30 && !(await now()); tries++) await page.waitForTimeout(100);
  return now();
}

export const answer = (page: Page) => page.getByTestId('answer');

/** Waits until everything that was changed is stored. */
export async function settled(page: Page): Promise<void> {
  await expect(page.locator('main[data-saving="true"]')).toHaveCount(0);
}

export async function typeInto(page: Page, testId: string, text: string): Promise<void> {
  const field = page.getByTestId(testId);
  await field.fill(text);
  await field.press('Enter');
}

export async function choose(page: Page, testId: string, option: string | RegExp): Promise<void> {
  const select = page.getByTestId(testId);
  const value = await select.locator('option', { hasText: option }).first().getAttribute('value');
  await select.selectOption(value);
}

export async function openStation(page: Page, name: string): Promise<void> {
  await page
    .getByRole('navigation', { name: 'Stations' })
    .getByRole('link', { name: new RegExp(`^${name}`) })
    .click();
  await expect(page).toHaveURL(new RegExp(`/${name.toLowerCase()}$`));
  if (name === 'Method') await sayPrinter(page);
}

/** Method asks once what prints; where it does, a laser. */
async function sayPrinter(page: Page): Promise<void> {
  const asks = page.getByText('What will print the picture?');
  await expect(page.getByTestId('answer')).toBeVisible();
  await page.waitForTimeout(500);
  if (!(await asks.isVisible())) return;
  await page.getByTestId('printer-laser').click();
  await expect(asks).toBeHidden();
}

/** Sets the program's clock ahead through its stored settings, as a demo server's buttons do, and reloads. */
export async function clockAhead(page: Page, hours: number): Promise<void> {
  await page.evaluate(async (ms) => {
    const open = indexedDB.open('fobbet');
    const db = await new Promise<IDBDatabase>((resolve, reject) => {
      open.onsuccess = () => resolve(open.result);
      open.onerror = () => reject(new Error('no database'));
    });
    const store = db.transaction('settings', 'readwrite').objectStore('settings');
    const stored = await new Promise<Record<string, unknown> | undefined>((resolve) => {
      const get = store.get('settings');
      get.onsuccess = () => resolve(get.result as Record<string, unknown> | undefined);
    });
    const ahead = Number(stored?.clockAheadMs ?? 0) + ms;
    await new Promise<void>((resolve) => {
      const put = store.put({
        id: 'settings',
        unitSystem: 'metric',
        theme: 'auto',
        room: { temperatureC: 21, humidityPercent: 50 },
        ...stored,
        clockAheadMs: ahead,
      });
      put.onsuccess = () => resolve();
    });
    db.close();
  }, hours * 3_600_000);
  await page.reload();
}

export async function savedTo(download: Download, path: string): Promise<string> {
  await download.saveAs(path);
  return path;
}

/** Begins a piece from an empty browser and names it. */
export async function beginPiece(page: Page, name: string): Promise<void> {
  await page.goto('/');
  await page.getByTestId('new-piece').click();
  await expect(answer(page)).toHaveText('Choose the picture you want to move.');
  const title = page.getByLabel('Name of the piece');
  await title.fill(name);
  await title.press('Enter');
  await settled(page);
}

export async function choosePicture(page: Page, file: string): Promise<void> {
  await page.locator('input[type="file"]').first().setInputFiles(file);
  await expect(page.getByTestId('picture-preview')).toBeVisible({ timeout: 30_000 });
}

/** Answers the question at Picture: nothing on it must not read backwards. */
export const noLettering = (page: Page) =>
  page
    .getByRole('radiogroup', { name: /^Is there lettering/ })
    .getByRole('radio', { name: 'None' })
    .click();

/** A piece with a picture without lettering, on a surface of a size; at Surface when it is done. */
export async function pieceWith(
  page: Page,
  name: string,
  file: string,
  surface: RegExp,
  width: string,
  height: string,
): Promise<void> {
  await beginPiece(page, name);
  await choosePicture(page, file);
  await noLettering(page);
  await openStation(page, 'Surface');
  await choose(page, 'surface-kind', surface);
  await typeInto(page, 'blank-width', width);
  await typeInto(page, 'blank-height', height);
  await settled(page);
}

/** The stored pieces, straight from the browser's database. */
export const storedPieces = (page: Page): Promise<Record<string, unknown>[]> =>
  page.evaluate(async () => {
    const open = indexedDB.open('fobbet');
    const db = await new Promise<IDBDatabase>((resolve) => {
      open.onsuccess = () => resolve(open.result);
    });
    const get = db.transaction('pieces').objectStore('pieces').getAll();
    const pieces = await new Promise<Record<string, unknown>[]>((resolve) => {
      get.onsuccess = () => resolve(get.result as Record<string, unknown>[]);
    });
    db.close();
    return pieces;
  });

/** Lets the only timer end soon. @returns when, epoch ms */
export const ringIn = (page: Page, ms: number): Promise<number> =>
  page.evaluate(async (left) => {
    const open = indexedDB.open('fobbet');
    const db = await new Promise<IDBDatabase>((resolve) => {
      open.onsuccess = () => resolve(open.result);
    });
    const store = db.transaction('timers', 'readwrite').objectStore('timers');
    const [timer] = await new Promise<{ endsAt: number }[]>((resolve) => {
      const get = store.getAll();
      get.onsuccess = () => resolve(get.result as { endsAt: number }[]);
    });
    if (!timer) throw new Error('no timer');
    timer.endsAt = Date.now() + left;
    await new Promise<void>((resolve) => {
      const put = store.put(timer);
      put.onsuccess = () => resolve();
    });
    db.close();
    return timer.endsAt;
  }, ms);

/** Opens a folded part of the worksheet; one that is open stays so. */
export async function openPart(page: Page, title: string): Promise<void> {
  const part = page.locator(`[data-part="${title}"]`);
  await part.waitFor();
  if (!(await part.evaluate((element: HTMLDetailsElement) => element.open)))
    await part.locator('summary').first().click();
}

/** A record as it lies in the store, altered first where that is wanted, as another program or a fault would. */
export const storedRecord = <T>(page: Page, table: string, key: string, patch: object = {}) =>
  page.evaluate(
    async ([table, key, patch]) => {
      const open = indexedDB.open('fobbet');
      const db = await new Promise<IDBDatabase>((resolve) => {
        open.onsuccess = () => resolve(open.result);
      });
      const store = db.transaction(table, 'readwrite').objectStore(table);
      const get = store.get(key);
      const record = await new Promise<Record<string, unknown>>((resolve) => {
        get.onsuccess = () => resolve(get.result as Record<string, unknown>);
      });
      const join = (old: unknown, more: unknown): unknown =>
        old !== null && typeof old === 'object' && more !== null && typeof more === 'object' && !Array.isArray(more)
          ? { ...old, ...Object.fromEntries(Object.entries(more).map(([k, v]) => [k, join((old as never)[k], v)])) }
          : more;
      const next = join(record, patch);
      const put = store.put(next);
      await new Promise<void>((resolve) => {
        put.onsuccess = () => resolve();
      });
      db.close();
      return next;
    },
    [table, key, patch] as const,
  ) as Promise<T>;

/** Holds a button that must be held, until it is done. */
export async function hold(page: Page, button: Locator): Promise<void> {
  await button.scrollIntoViewIfNeeded();
  await button.hover();
  await page.mouse.down();
  await expect(button).toHaveCount(0, { timeout: 20_000 });
  await page.mouse.up();
}

/**
 * Marks a station's step done, in one breath with the one before it if need be: held where it must be held, and said to
 * be done just now where it is asked.
 */
export async function markDone(page: Page, testId: string): Promise<void> {
  const button = page.getByTestId(testId);
  const [held, asked] = [page.getByTestId(`${testId}-held`), page.getByTestId('when-done')];
  await expect(button.or(held).first()).toBeAttached();
  if (await held.count()) {
    await held.locator('summary').click();
    await hold(page, button);
    await asked.waitFor();
  } else await button.click();
  if (await asked.isVisible()) await asked.getByTestId('done-now').click();
}
