import { execFileSync } from 'node:child_process';
import { readFileSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { chromium, type Page } from '@playwright/test';
import ICAL from 'ical.js';
import {
  answer,
  beginPiece,
  choose,
  choosePicture,
  noLettering,
  openStation,
  savedTo,
  settled,
  storedPieces,
  typeInto,
} from './support/page';
import { turnedPhoto } from './support/pictures';
import { anotherPage, expect, tellTime, test } from './support/test';

/** A piece that has all it needs up to the laying. */
async function readyPiece(page: Page, name: string): Promise<void> {
  await beginPiece(page, name);
  await choosePicture(page, await turnedPhoto('small', 1200, 900));
  await noLettering(page);
  await openStation(page, 'Surface');
  await choose(page, 'surface-kind', /^Painted wood/);
  await typeInto(page, 'blank-width', '20 cm');
  await typeInto(page, 'blank-height', '15 cm');
  await openStation(page, 'Method');
  await page.getByRole('button', { name: 'Choose: Fluid gel or polymer medium, dry and rub' }).click();
  await settled(page);
}

async function saveFromMenu(page: Page, item: RegExp) {
  await page.getByRole('button', { name: 'Files of this piece' }).click();
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('menuitem', { name: item }).click(),
  ]);
  return download;
}

async function sheetPdf(page: Page, path: string): Promise<Buffer> {
  await openStation(page, 'Sheet');
  const [download] = await Promise.all([page.waitForEvent('download'), page.getByTestId('make-pdf').click()]);
  return readFileSync(await savedTo(download, path));
}

test('a bundle carries the piece, its figures and its PDF into an empty browser; a bad one changes nothing', async ({
  page,
  browser,
}, info) => {
  await readyPiece(page, 'Ticket window');
  await openStation(page, 'Lay');
  await expect(answer(page)).toHaveText(/^Pour/);
  const pour = await answer(page).textContent();
  const pdf = await sheetPdf(page, info.outputPath('before.pdf'));
  const bundle = await savedTo(await saveFromMenu(page, /bundle/), info.outputPath('ticket-window.fobbet.zip'));
  const [stored] = await storedPieces(page);

  const other = await anotherPage(browser);
  await other.goto('/pieces');
  const bytes = readFileSync(bundle);
  const bad = (name: string, content: Buffer) => {
    const path = info.outputPath(name);
    writeFileSync(path, content);
    return path;
  };
  const flipped = Buffer.from(bytes);
  flipped[Math.floor(bytes.length / 2)] ^= 0xff;
  const refusals: [string, RegExp][] = [
    [bad('cut.fobbet.zip', bytes.subarray(0, bytes.length * 0.7)), /damaged or cut short/],
    [bad('flipped.fobbet.zip', flipped), /in this bundle is damaged/],
    [bad('other.zip', Buffer.from('PK\u0005\u0006'.padEnd(22, '\0'), 'latin1')), /not made by Fobbet/],
    [bad('note.zip', Buffer.from('shopping list')), /no zip file/],
  ];
  for (const [file, sentence] of refusals) {
    await other.getByTestId('import-bundle').setInputFiles(file);
    await expect(other.getByTestId('notice')).toHaveText(sentence);
    await other.getByTestId('notice').getByRole('button', { name: 'Close' }).click();
    expect(await storedPieces(other)).toEqual([]);
  }
  await other.getByTestId('import-bundle').setInputFiles(bundle);
  await expect(other).toHaveURL(/\/picture$/);
  expect(await storedPieces(other)).toEqual([stored]);
  await openStation(other, 'Lay');
  await expect(answer(other)).toHaveText(pour ?? '');
  expect((await sheetPdf(other, info.outputPath('after.pdf'))).equals(pdf)).toBe(true);
  await other.context().close();
});

test('cure times go out as a calendar file that another reader reads', async ({ page }, info) => {
  await readyPiece(page, 'Clock case');
  await openStation(page, 'Cure');
  await page.getByTestId('laid-now').click();
  await settled(page);
  const file = await savedTo(await saveFromMenu(page, /calendar/), info.outputPath('clock-case.ics'));
  const calendar = new ICAL.Component(ICAL.parse(readFileSync(file, 'utf8')) as never[]);
  const events = calendar.getAllSubcomponents('vevent').map((event) => new ICAL.Event(event));
  expect(events.map((event) => event.summary)).toEqual(['Clock case: start rubbing', 'Clock case: safe to rub']);
  expect(events[0].startDate.toJSDate().getTime()).toBeGreaterThan(
    (await page.evaluate(() => Date.now())) + 8 * 3_600_000,
  );
  expect(events[0].component.getAllSubcomponents('valarm')).toHaveLength(1);
});

test('every change can be undone and done again, and undo outlives a reload', async ({ page }) => {
  await readyPiece(page, 'Lamp shelf');
  await openStation(page, 'Surface');
  await typeInto(page, 'blank-width', '30 cm');
  await choose(page, 'base-coat', 'Gesso');
  await settled(page);
  await page.reload();
  await page.getByRole('button', { name: 'Undo: base coat' }).click();
  await expect(page.getByTestId('base-coat').locator('option:checked')).toHaveText('None');
  await page.keyboard.press('Control+z');
  await expect(page.getByTestId('blank-width')).toHaveValue('20 cm');
  await page.keyboard.press('Control+Shift+z');
  await expect(page.getByTestId('blank-width')).toHaveValue('30 cm');
  await page.getByRole('button', { name: 'Files of this piece' }).click();
  await page.getByRole('menuitem', { name: 'Remove this piece' }).click();
  await page.getByTestId('notice').getByRole('button', { name: 'Bring back' }).click();
  await expect(page.getByRole('link', { name: /Lamp shelf/ })).toBeVisible();
});

test('two windows on one piece: different things join, the same thing is asked about', async ({ page, context }) => {
  await readyPiece(page, 'Signal arm');
  await openStation(page, 'Surface');
  const second = await context.newPage();
  await second.goto(page.url());
  await typeInto(page, 'blank-width', '24 cm');
  await expect(second.getByTestId('blank-width')).toHaveValue('24 cm');

  // A window that hears nothing of the others, as one that slept in the background, still holds the piece as it was.
  const asleep = await context.newPage();
  await asleep.addInitScript(() => {
    Reflect.deleteProperty(window, 'BroadcastChannel');
  });
  await asleep.goto(page.url());
  await expect(asleep.getByTestId('blank-height')).toHaveValue('15 cm');
  await typeInto(page, 'blank-height', '16 cm');
  await settled(page);
  await typeInto(asleep, 'blank-height', '18 cm');
  const dialog = asleep.getByRole('dialog');
  await expect(dialog).toContainText(
    'Another window changed the same thing meanwhile. Your change here was: height. Which shall hold?',
  );
  await expect(page.getByTestId('blank-height')).toHaveValue('16 cm');
  await dialog.getByRole('button', { name: 'Use mine' }).click();
  await settled(asleep);
  await page.reload();
  await expect(page.getByTestId('blank-height')).toHaveValue('18 cm');
  await expect(page.getByTestId('blank-width')).toHaveValue('24 cm');
});

test('two windows: undo takes back what its button names, whoever did it', async ({ page, context }) => {
  await readyPiece(page, 'Signal lamp');
  const other = await context.newPage();
  await other.goto(page.url().replace(/[a-z]+$/, 'surface'));
  await typeInto(other, 'blank-width', '31 cm');
  await settled(other);
  const undo = page.getByRole('button', { name: /^Undo: / });
  await expect(undo).toHaveAttribute('aria-label', 'Undo: width');
  await undo.click();
  await expect(other.getByTestId('blank-width')).toHaveValue('20 cm');
  await expect(undo).not.toHaveAttribute('aria-label', 'Undo: width');
  expect((await storedPieces(page))[0]).toMatchObject({ name: 'Signal lamp', method: { school: 'dry-and-rub' } });
});

/** The browser's own process: the one with this profile that is no child of it. */
function browserPid(profile: string): number {
  const found = readdirSync('/proc')
    .filter((name) => /^\d+$/.test(name))
    .find((pid) => {
      try {
        const line = readFileSync(join('/proc', pid, 'cmdline'), 'utf8');
        return line.includes(profile) && !line.includes('--type=');
      } catch {
        return false;
      }
    });
  return Number(found);
}

test('a browser killed in the middle of saving opens with the last complete state', async ({ baseURL }, info) => {
  const profile = info.outputPath('profile');
  const { launchOptions, locale } = info.project.use as { launchOptions: object; locale: string };
  const start = async () => {
    const context = await chromium.launchPersistentContext(profile, { ...launchOptions, baseURL: baseURL!, locale });
    await tellTime(context);
    return context;
  };
  const first = await start();
  const page = await first.newPage();
  await readyPiece(page, 'Coal box');
  await openStation(page, 'Surface');
  // Width and the note of what it is are changed in one save each; the kill comes while such saves are under way.
  for (let step = 0; step < 30; step++) {
    await page.getByTestId('blank-width').fill(`${30 + step} cm`);
    await page.getByTestId('blank-width').press('Enter');
  }
  execFileSync('kill', ['-9', String(browserPid(profile))]);
  await first.close().catch(() => undefined);
  rmSync(join(profile, 'SingletonLock'), { force: true });

  const again = await start();
  const reopened = await again.newPage();
  await reopened.goto('/pieces');
  await reopened.getByRole('link', { name: /Coal box/ }).click();
  await openStation(reopened, 'Surface');
  const [piece] = (await storedPieces(reopened)) as { surface: { widthMm: number }; revision: number }[];
  const saves = (piece.surface.widthMm - 290) / 10;
  expect(saves).toBeGreaterThanOrEqual(0);
  expect(saves).toBeLessThanOrEqual(30);
  // Revision and undo moved together with the width: a save is whole or not at all.
  const undo = reopened.getByRole('button', { name: /^Undo: / });
  await undo.click();
  await expect(reopened.getByTestId('blank-width')).toHaveValue(saves <= 1 ? '20 cm' : `${28 + saves} cm`);
  await again.close();
});
