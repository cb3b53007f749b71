import type { Page } from '@playwright/test';
import { drawing } from './support/pictures';
import {
  answer,
  beginPiece,
  choosePicture,
  clockAhead,
  markDone,
  openPart,
  openStation,
  settled,
  storedPieces,
} from './support/page';
import { expect, test } from './support/test';

const PICTURE = '<rect width="1600" height="1200" fill="#c9d6c4"/><circle cx="800" cy="600" r="360" fill="#5b2a3a"/>';

type Sections = Record<string, Record<string, unknown>>;

/** A piece with a picture; its other sections are laid over the stored record, as if they had been chosen. */
async function pieceOf(page: Page, name: string, sections: Sections): Promise<string> {
  await beginPiece(page, name);
  await choosePicture(page, await drawing(name.replaceAll(' ', '-'), PICTURE, 1600, 1200));
  await expect(page.getByText(/ × \d+ pixels/)).toBeVisible();
  await settled(page);
  const id = /piece\/([^/]+)\//.exec(page.url())?.[1] ?? '';
  await page.goto('/');
  await page.evaluate(
    async ({ id, sections }) => {
      const db = await new Promise<IDBDatabase>((resolve) => {
        const open = indexedDB.open('fobbet');
        open.onsuccess = () => resolve(open.result);
      });
      const store = db.transaction('pieces', 'readwrite').objectStore('pieces');
      const piece = await new Promise<Sections>((resolve) => {
        const get = store.get(id);
        get.onsuccess = () => resolve(get.result as Sections);
      });
      for (const [section, values] of Object.entries(sections)) Object.assign(piece[section] ?? {}, values);
      const revision = Number(piece.revision) + 1;
      await new Promise<void>((resolve) => {
        const put = store.put({ ...piece, revision });
        put.onsuccess = () => resolve();
      });
      db.close();
    },
    { id, sections: { picture: { lettering: 'no' }, ...sections } },
  );
  await page.goto(`/piece/${id}/lay`);
  await expect(page.getByTestId('laid-now').or(page.getByText(/^Laid /))).toBeVisible();
  return id;
}

const BARE = { finish: 'bare', baseCoat: 'none' };

async function keepIt(page: Page): Promise<void> {
  await openStation(page, 'Keep');
  await page.getByRole('radio', { name: '4 Stars' }).dispatchEvent('click');
  await settled(page);
  await expect(page.getByRole('link', { name: 'Keep, done' })).toBeVisible();
}

test('the bench does not walk on into a wait: wet paper is rubbed only against a held press, and said to be early', async ({
  page,
}) => {
  test.setTimeout(120_000);
  const id = await pieceOf(page, 'Wet board', {
    surface: { kind: 'soft-wood', widthMm: 200, heightMm: 150, prepared: ['sand', 'dust'], ...BARE },
    method: { school: 'dry-and-rub', binder: 'fluid-gel' },
    sheet: { printedAt: 1 },
  });
  await page.getByTestId('laid-now').click();
  await settled(page);
  await page.goto(`/bench?step=${id}%2Fpass-1`);
  const wait = page.getByTestId('bench-wait');
  await expect(wait).toContainText('It dries');
  await expect(wait).toContainText('Rubbed wet, the toner comes off.');
  await expect(page.getByTestId('bench-done')).toHaveCount(0);
  await expect(page.getByTestId('bench-next')).toHaveCount(0);
  await page.getByTestId('begin-early').click();
  await page.keyboard.press('ArrowRight');
  await expect(wait).toBeVisible();
  await page.getByTestId('begin-early').hover();
  await page.mouse.down();
  await expect(page.getByTestId('bench-card')).toBeVisible({ timeout: 8000 });
  await page.mouse.up();
  while (await page.getByTestId('bench-next').isVisible()) await page.getByTestId('bench-next').click();
  await page.getByTestId('bench-done').click();
  await expect(page.getByTestId('when-done')).toContainText('Did you do it just now, or earlier?');
  await page.getByTestId('done-now').click();
  await expect(page.getByTestId('bench-wait')).toContainText('Rub, pass 2');
  const [stored] = await storedPieces(page);
  expect(stored).toMatchObject({
    work: { done: expect.arrayContaining([expect.objectContaining({ step: 'pass-1', early: true, minutes: null })]) },
  });
});

test('a tape decal is soaked, freed, dried until it is tacky and stuck on; nothing is mended or sealed', async ({
  page,
}) => {
  test.setTimeout(120_000);
  await pieceOf(page, 'Jar label', {
    surface: { kind: 'glass', widthMm: 80, heightMm: 60, prepared: ['degrease'], ...BARE },
    method: { school: 'tape-decal', binder: 'none' },
    sheet: { printedAt: 1, margins: { topMm: 0, rightMm: 0, bottomMm: 0, leftMm: 0 } },
  });
  await page.getByTestId('laid-now').click();
  await openStation(page, 'Cure');
  await expect(answer(page)).toHaveText('Soak it 15 min in warm water, then take the paper off.');
  await expect(page.getByText('Oven', { exact: true })).toHaveCount(0);
  await expect(page.getByTestId('label-hours')).toHaveCount(0);
  await settled(page);
  await clockAhead(page, 1);
  await openStation(page, 'Rub');
  await markDone(page, 'paper-off');
  await expect(answer(page)).toContainText('it must be tacky before it is stuck on');
  await settled(page);
  await clockAhead(page, 1);
  await markDone(page, 'stuck-on');
  await expect(answer(page)).toHaveText('It is on. A decal needs no mending and no sealer.');
  await openStation(page, 'Mend');
  await expect(answer(page)).toHaveText('A tape decal is not mended: it lies under its own tape.');
  await openStation(page, 'Seal');
  await expect(answer(page)).toHaveText('No sealer: the decal lies under its own tape.');
  await keepIt(page);
});

test('a liner in glue-sealer on painted canvas: no rubbing, no wet test, through to Keep', async ({ page }) => {
  test.setTimeout(120_000);
  await pieceOf(page, 'Painted canvas', {
    surface: {
      kind: 'canvas',
      widthMm: 200,
      heightMm: 150,
      finish: 'bare',
      baseCoat: 'chalk-type-paint',
      prepared: ['base-coat', 'base-coat-2'],
    },
    method: { school: 'liner-peel', binder: 'glue-sealer', print: 'release-liner' },
    sheet: { printedAt: 1 },
  });
  const all = page.getByTestId('all-steps');
  if (await all.count()) await all.click();
  await expect(page.getByText('It cannot be moved once it is down.')).toBeVisible();
  await page.getByTestId('laid-now').click();
  await settled(page);
  await clockAhead(page, 30);
  await openStation(page, 'Rub');
  await expect(answer(page)).toHaveText('Lift the liner off.');
  await markDone(page, 'paper-off');
  await openStation(page, 'Mend');
  await expect(page.getByText('Wet test for haze')).toHaveCount(0);
  await markDone(page, 'mended');
  await openStation(page, 'Seal');
  await markDone(page, 'coat-on');
  await settled(page);
  await clockAhead(page, 6);
  await markDone(page, 'coat-on');
  await keepIt(page);
});

test('inkjet on plain paper, peeled tacky: a window, two passes, and two coats of gloss', async ({ page }) => {
  test.setTimeout(120_000);
  await pieceOf(page, 'Inkjet block', {
    surface: { kind: 'soft-wood', widthMm: 150, heightMm: 120, prepared: ['sand', 'dust'], ...BARE },
    method: { school: 'tacky-peel', binder: 'fluid-gel', print: 'inkjet-plain' },
    sheet: { printedAt: 1 },
  });
  await page.getByTestId('laid-now').click();
  await openStation(page, 'Cure');
  await expect(answer(page)).toContainText(/^Peel 2 min to \d min after laying/);
  await settled(page);
  await clockAhead(page, 1);
  await openStation(page, 'Rub');
  for (const _pass of [1, 2]) await markDone(page, 'pass-done');
  await settled(page);
  await clockAhead(page, 12);
  await openStation(page, 'Mend');
  await markDone(page, 'mended');
  await openStation(page, 'Seal');
  await expect(answer(page)).toHaveText(/^2 coats of water-based acrylic varnish/);
  await openPart(page, 'Because');
  await expect(page.getByText('clears the paper that the peel leaves; two coats of it')).toBeVisible();
  await markDone(page, 'coat-on');
  await settled(page);
  await clockAhead(page, 6);
  await markDone(page, 'coat-on');
  await keepIt(page);
});

/** A figure with a metric unit, where nobody asked for one. */
const METRIC = /\d\s?(mm|cm|m|µm|ml|cl|l|°C|kPa|cm²|m²|g\/m²)(?![a-z0-9/])/;

/** Turns the units, and waits until they are kept. */
async function flipUnits(page: Page, to: 'inches' | 'centimetres'): Promise<void> {
  await page.getByRole('button', { name: /^cm in: units/ }).click();
  await expect(page.getByRole('button', { name: `cm in: units, in use: ${to}` })).toBeVisible();
}

test('an inch user never meets a metric unit', async ({ page }) => {
  test.setTimeout(200_000);
  await page.goto('/');
  await flipUnits(page, 'inches');
  const id = await pieceOf(page, 'Inch board', {
    surface: { kind: 'soft-wood', widthMm: 298.45, heightMm: 203.2, thicknessMm: 19.05, ...BARE },
    method: { school: 'dry-and-rub', binder: 'fluid-gel' },
    sheet: { paper: 'letter' },
  });
  const places = [
    ...['picture', 'surface', 'method', 'sheet', 'lay', 'cure', 'rub', 'mend', 'seal', 'keep'].map(
      (station) => `/piece/${id}/${station}`,
    ),
    '/',
    '/pieces',
    '/ahead',
    '/stash',
    `/bench?step=${id}%2Flay`,
    `/bench?step=${id}%2Fprint`,
  ];
  const found: string[] = [];
  for (const place of places) {
    await page.goto(place);
    await expect(page.getByRole('heading').first()).toBeVisible();
    await expect(page.locator('[aria-busy="true"]')).toHaveCount(0);
    const shown = await page.evaluate(() => {
      for (const fold of document.querySelectorAll('details')) fold.open = true;
      const fields = [...document.querySelectorAll('input')].map(({ value, placeholder }) => `${value} ${placeholder}`);
      return [document.body.innerText, ...fields].join('\n');
    });
    for (const line of shown.split('\n')) if (METRIC.test(line)) found.push(`${place}: ${line}`);
  }
  expect(found).toEqual([]);
  // The same check sees them where they are wanted.
  await page.goto('/');
  await flipUnits(page, 'centimetres');
  await page.goto(`/piece/${id}/lay`);
  await expect(answer(page)).toHaveText(METRIC);
});
