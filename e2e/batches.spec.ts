import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import type { Locator, Page } from '@playwright/test';
import {
  storedRecord,
  DEMO_URL,
  choose,
  openDemo,
  openPart,
  savedTo,
  settled,
  storedPieces,
  typeInto,
} from './support/page';
import { drawing } from './support/pictures';
import { expect, test } from './support/test';

interface StoredAgenda {
  starts: Record<string, number>;
  who: Record<string, number>;
  pins: Record<string, number>;
  partly: Record<string, number>;
}
const agenda = (page: Page) => storedRecord<StoredAgenda>(page, 'agenda', 'agenda');
const planned = async (page: Page) => {
  await expect(page.locator('main[data-busy="false"]')).toBeVisible({ timeout: 60_000 });
  await page.waitForTimeout(600);
  await expect(page.locator('main[data-busy="false"]')).toBeVisible({ timeout: 60_000 });
};
const batch = (page: Page, name: RegExp) => page.getByTestId('hands-batch').filter({ hasText: name });
/** By Tab alone: arrows go along the timeline here. */
const pressTo = async (page: Page, target: Locator) => {
  for (let keys = 0; keys < 120; keys++) {
    if (await target.evaluate((element) => document.activeElement === element)) return;
    await page.keyboard.press('Tab');
  }
  throw new Error('Tab does not come to it');
};
const textOf = (path: string) => execFileSync('pdftotext', ['-layout', path, '-'], { encoding: 'utf8' });

test('sheets stand in one row, go onto one PDF, and are marked', async ({ page }, info) => {
  await openDemo(page, '/ahead');
  await planned(page);
  await page.goto(`${DEMO_URL}/`);
  // How many evenings share the printing is the plan's affair, by the hour of the day.
  const prints = batch(page, /Print \d sheets/);
  await expect(prints.first()).toBeVisible({ timeout: 60_000 });
  await prints.first().getByTestId('start-step').click();
  const ticks = page.getByTestId('batch-tick');
  await expect(ticks.nth(1)).toBeVisible();
  const count = await ticks.count();
  const names = (await ticks.evaluateAll((all) => all.map((tick) => tick.ariaLabel ?? ''))).map((label) =>
    label.slice(0, label.indexOf(':')),
  );
  await expect(page.getByTestId('batch-card')).toContainText(`${count} pieces`);
  await page.getByTestId('batch-print').click();
  await expect(page.getByRole('checkbox', { checked: true })).toHaveCount(count, { timeout: 20_000 });
  await expect(page.getByTestId('together-pdf')).toBeEnabled({ timeout: 20_000 });
  const [download] = await Promise.all([
    page.waitForEvent('download', { timeout: 120_000 }),
    page.getByTestId('together-pdf').click(),
  ]);
  const pdf = await savedTo(download, info.outputPath('together.pdf'));
  expect(textOf(pdf)).toContain('100 mm');
  await page.getByTestId('together-printed').click();
  await expect(page.getByText('All of them are marked as printed.')).toBeVisible({ timeout: 20_000 });

  await page.goto(`${DEMO_URL}/`);
  await expect(page.getByTestId('hands-day').first()).toBeVisible({ timeout: 40_000 });
  const toPrint = page
    .getByTestId('hands-day')
    .getByRole('listitem')
    .filter({ hasText: /Print / });
  for (const name of names) await expect(toPrint.filter({ hasText: name })).toHaveCount(0);
});

test('a helper with two evenings takes what they may do, and nothing else', async ({ page }) => {
  await openDemo(page, '/ahead');
  await planned(page);
  await typeInto(page, 'helper-name', 'Ada');
  const helper = page.getByTestId('helper');
  await expect(helper).toContainText('nothing is planned for Ada');
  // Every day but two is left empty: Saturday and Sunday come soon, whatever today is.
  await typeInto(page, 'helper-6', '8-20');
  await typeInto(page, 'helper-0', '8-20');
  await expect(helper).not.toContainText('nothing is planned');
  await page.getByRole('button', { name: 'Plan afresh' }).click();
  await expect.poll(async () => Object.keys((await agenda(page)).who).length, { timeout: 60_000 }).toBeGreaterThan(0);
  await planned(page);
  const { who, starts } = await agenda(page);
  for (const key of Object.keys(who)) {
    expect([6, 0]).toContain(new Date(starts[key] ?? 0).getDay());
    expect(key).not.toMatch(/\/(seal-|mend|sand|scuff|strip|lead-test|base-coat)/);
  }
  await page.getByRole('radio', { name: 'Hands' }).click();
  await expect(page.getByTestId('timeline')).toContainText('Ada');
});

test('a long rub is done in two sittings, the second from where the first ended', async ({ page }) => {
  await openDemo(page);
  const now = await page.evaluate(() => Date.now());
  await storedRecord(page, 'pieces', 'demo-route-map', {
    surface: { widthMm: 640, heightMm: 480 },
    sheet: { printedAt: now - 60 * 3_600_000 },
    lay: { laidAt: now - 60 * 3_600_000 },
  });
  const short = [{ fromMinute: 0, untilMinute: 50 }];
  await storedRecord(page, 'agenda', 'agenda', {
    weekly: Array.from({ length: 7 }, () =>
      [short, [5, 10, 15, 20].map((hour) => ({ fromMinute: hour * 60, untilMinute: hour * 60 + 50 }))].flat(),
    ),
    quiet: null,
  });
  await page.goto(`${DEMO_URL}/ahead`);
  await planned(page);
  await page.getByRole('button', { name: 'Plan afresh' }).click();
  await expect.poll(async () => Object.keys((await agenda(page)).starts).some((key) => key.includes('~'))).toBe(true);
  await planned(page);
  await page.goto(`${DEMO_URL}/bench?step=${encodeURIComponent('demo-route-map/pass-1')}`);
  await expect(page.getByRole('main')).toContainText('sitting 1 of 2', { timeout: 40_000 });
  while (await page.getByTestId('bench-next').count()) await page.getByTestId('bench-next').click();
  await page.getByTestId('bench-done').click();
  await page.getByTestId('done-now').click();
  await expect(page.getByTestId('notice')).toContainText('sitting 1 of 2, done');
  const { partly } = await agenda(page);
  expect(partly['demo-route-map/pass-1']).toBeGreaterThan(0.2);
  expect(partly['demo-route-map/pass-1']).toBeLessThan(0.9);
  await page.goto(`${DEMO_URL}/bench?step=${encodeURIComponent('demo-route-map/pass-1')}`);
  await expect(page.getByRole('main')).toContainText('sitting 2 of 2', { timeout: 40_000 });
  while (await page.getByTestId('bench-next').count()) await page.getByTestId('bench-next').click();
  await page.getByTestId('bench-done').click();
  await page.getByTestId('done-now').click();
  await expect.poll(async () => (await agenda(page)).partly).toEqual({});
  const piece = await storedRecord<{ rub: { done: unknown[] } }>(page, 'pieces', 'demo-route-map');
  expect(piece.rub.done).toHaveLength(1);
});

test('a step is chosen and moved to its time by keyboard alone, at the week’s zoom', async ({ page }) => {
  await openDemo(page, '/ahead');
  await planned(page);
  const grouped = page.locator('[data-steps]').first();
  expect((await grouped.locator('rect').boundingBox())?.width).toBeGreaterThanOrEqual(24);
  await pressTo(page, grouped);
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('step-group').getByRole('button').first()).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('chosen-step')).toBeVisible();
  await pressTo(page, page.getByTestId('step-time'));
  await page.keyboard.type('half past');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('chosen-step')).toContainText('is no time of the day');
  await page.keyboard.press('Control+a');
  await page.keyboard.type('23:45');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('chosen-when')).toContainText('pinned');
  const [pin = 0] = Object.values((await agenda(page)).pins);
  expect(new Date(pin).toTimeString().slice(0, 5)).toBe('23:45');
});

test('a piece is put away, found again by its words, and taken out; another is made like it', async ({ page }) => {
  await openDemo(page);
  await storedRecord(page, 'pieces', 'demo-crest-bucket', { keep: { notes: 'Beeswax for aunt Ottilie' } });
  await page.goto(`${DEMO_URL}/pieces`);
  const shelf = page.getByTestId('shelf-piece');
  await expect(shelf).toHaveCount(8, { timeout: 20_000 });
  await page.getByTestId('choose-several').click();
  await page.getByLabel('Choose Crest bucket').click();
  await page.getByTestId('put-away').click();
  await expect(shelf).toHaveCount(7);
  await page.goto(`${DEMO_URL}/`);
  await expect(page.getByTestId('hands-day').first()).toBeVisible({ timeout: 40_000 });
  await expect(page.getByRole('main')).not.toContainText('Crest bucket');

  await page.goto(`${DEMO_URL}/pieces`);
  await page.getByRole('radio', { name: /Put away/ }).click();
  await page.getByLabel('Find a piece').fill('ottilie beeswax');
  await expect(shelf).toHaveCount(1);
  await page.getByTestId('choose-several').click();
  await page.getByLabel('Choose Crest bucket').click();
  await page.getByTestId('put-away').click();
  await expect(shelf).toHaveCount(0);
  await page.getByLabel('Find a piece').fill('');
  await page.getByRole('radio', { name: 'In work' }).click();
  await expect(shelf).toHaveCount(8);
  await choose(page, 'filter-surface', /metal/i);
  await expect(shelf).toHaveCount(1);

  await page.goto(`${DEMO_URL}/piece/demo-fern-marker/surface`);
  await page.getByRole('button', { name: 'Files of this piece' }).click();
  await page.getByRole('menuitem', { name: 'Another like this' }).click();
  await expect(page.getByRole('heading', { name: 'Fern platform marker 2' })).toBeVisible();
  await settled(page);
  await page
    .getByRole('navigation', { name: 'Stations' })
    .getByRole('link', { name: /^7 Rub|^Rub/ })
    .click();
  await expect(page.getByTestId('answer')).toContainText('passes');
});

test('the work card of a piece, and of a day, read from their PDFs', async ({ page }, info) => {
  await openDemo(page);
  await expect(page.getByTestId('hands-step').first()).toBeVisible({ timeout: 40_000 });
  const [day] = await Promise.all([page.waitForEvent('download'), page.getByTestId('print-day').click()]);
  const first =
    (await page.getByTestId('hands-day').first().getByRole('listitem').first().locator('b').textContent()) ?? '';
  expect(textOf(await savedTo(day, info.outputPath('day.pdf')))).toContain(first.split(',')[0]);

  await page.goto(`${DEMO_URL}/piece/demo-crest-bucket/surface`);
  await page.getByRole('button', { name: 'Files of this piece' }).click();
  const [card] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('menuitem', { name: /Work card/ }).click(),
  ]);
  const path = await savedTo(card, info.outputPath('card.pdf'));
  const text = textOf(path);
  for (const words of ['Crest bucket', 'Board or jar', 'Medium', 'Print the mirrored sheet', 'min'])
    expect(text).toContain(words);
  expect(execFileSync('pdfinfo', [path], { encoding: 'utf8' })).toMatch(/Pages:\s+1\b/);
  expect(execFileSync('pdfimages', ['-list', path], { encoding: 'utf8' })).toContain('jpeg');
});

test('a set of six from a table with names and pictures: each its own lettering, printed in one go and counted through', async ({
  page,
}, info) => {
  await openDemo(page);
  await page.goto(`${DEMO_URL}/piece/demo-tea-canisters/picture`);
  const kept = await storedRecord<{ picture: { pictureId: string; layers: object[] } }>(
    page,
    'pieces',
    'demo-tea-canisters',
  );
  await openPart(page, 'Lettering and more pictures');
  await page.getByTestId('add-lettering').click();
  await expect(page.getByTestId('lettering-words')).toBeVisible({ timeout: 20_000 });
  await settled(page);
  const menu = page.getByRole('button', { name: 'Files of this piece' });
  await menu.click();
  await page.getByRole('menuitem', { name: /A set like this/ }).click();
  const names = ['Ada', 'Ben', 'Cleo', 'Dora', 'Emil', 'Fay'];
  const table = [
    'name,text,picture',
    ...names.map((name, at) => `${name},For ${name},${at === 2 ? 'dot.png' : ''}`),
    'Gus,,none.png',
  ];
  await page.getByTestId('set-files').setInputFiles([
    { name: 'guests.csv', mimeType: 'text/csv', buffer: Buffer.from(table.join('\n')) },
    {
      name: 'dot.png',
      mimeType: 'image/png',
      buffer: readFileSync(await drawing('dot', '<circle cx="450" cy="300" r="200"/>')),
    },
  ]);
  const dialog = page.getByTestId('set-dialog');
  await expect(dialog).toContainText('6 pieces like', { timeout: 20_000 });
  await expect(dialog).toContainText('Line 8 stays out: its picture “none.png” is not among the files.');
  await dialog.getByTestId('set-name').fill('Place cards');
  await page.getByTestId('make-set').click();
  await expect(page.getByTestId('set-part')).toHaveCount(6, { timeout: 20_000 });

  const pieces = (await storedPieces(page)) as unknown as {
    id: string;
    name: string;
    picture: { pictureId: string; layers: { kind: string; text?: string }[] };
  }[];
  const made = names.map((name) => pieces.find((piece) => piece.name === name));
  made.forEach((piece, at) => {
    expect(piece?.picture.layers.some(({ text }) => text === `For ${names[at]}`)).toBe(true);
    expect(piece?.picture.pictureId === kept.picture.pictureId).toBe(at !== 2);
  });

  await page.goto(`${DEMO_URL}/pieces/print?pieces=${made.map((piece) => piece?.id).join(',')}`);
  await expect(page.getByRole('checkbox', { checked: true })).toHaveCount(6, { timeout: 20_000 });
  const [download] = await Promise.all([
    page.waitForEvent('download', { timeout: 120_000 }),
    page.getByTestId('together-pdf').click(),
  ]);
  const words = textOf(await savedTo(download, info.outputPath('set.pdf')));
  for (const name of names) expect(words).toContain(name);

  // One row of the day for all of them, and counted through at the bench. Hands are free all day and night, so that
  // printing stands near whatever the hour is.
  await storedRecord(page, 'agenda', 'agenda', {
    weekly: Array.from({ length: 7 }, () => [{ fromMinute: 0, untilMinute: 1440 }]),
    quiet: null,
  });
  await page.goto(`${DEMO_URL}/ahead`);
  await planned(page);
  await page.getByRole('button', { name: 'Plan afresh' }).click();
  await planned(page);
  await expect(page.getByTestId('sure-dates')).toContainText('Place cards');
  await page.goto(`${DEMO_URL}/`);
  const row = batch(page, /Print \d+ sheets/)
    .filter({ hasText: 'Place cards (' })
    .first();
  await expect(row).toBeVisible({ timeout: 60_000 });
  await row.getByTestId('start-step').click();
  const ticks = page.getByTestId('batch-tick');
  await expect(ticks.first()).toBeVisible();
  for (const at of [0, 1]) {
    await ticks.nth(at).click();
    await expect(ticks.nth(at)).toHaveAttribute('aria-pressed', 'true');
  }

  // The rest on the set's own page; the first two ticked may have been of other pieces in the same batch.
  const printed = async () =>
    ((await storedPieces(page)) as unknown as { name: string; sheet: { printedAt: number | null } }[]).filter(
      ({ name, sheet }) => names.includes(name) && sheet.printedAt !== null,
    ).length;
  const before = await printed();
  await page.goto(`${DEMO_URL}/pieces`);
  const shelf = page.getByTestId('shelf-piece');
  await shelf.filter({ hasText: 'Place cards' }).getByRole('link').click();
  const print = page.locator('[data-testid=set-step][data-step=print]');
  await expect(print).toContainText(`${before} of 6`, { timeout: 20_000 });
  const ready = print.getByRole('button', { name: /ready to be done/ });
  await ready.first().click();
  await expect(print).toContainText(`${before + 1} of 6`);
  await print.getByTestId('tick-all').click();
  await expect(print).toContainText('6 of 6', { timeout: 30_000 });
  expect(await printed()).toBe(6);

  // What is chosen for one holds for all, and is taken back for all.
  const films = async () =>
    ((await storedPieces(page)) as unknown as { set: { id: string } | null; lay: { filmUm: number | null } }[])
      .filter(({ set }) => set !== null)
      .map(({ lay }) => lay.filmUm);
  await page.goto(`${DEMO_URL}/piece/${made[1]?.id}/lay`);
  await expect(page.getByTestId('in-set')).toContainText('2 of 6 in Place cards');
  await openPart(page, 'Change the coat');
  await typeInto(page, 'film', '130');
  await expect.poll(films).toEqual(names.map(() => 130));
  await page.getByRole('button', { name: /^Undo: / }).click();
  await expect.poll(films).toEqual(names.map(() => null));

  // The piece they were made like is a template by now, and the next is begun from it.
  await page.goto(`${DEMO_URL}/pieces`);
  await expect(shelf).toHaveCount(8, { timeout: 20_000 });
  await page.getByTestId('from-template').click();
  await page.getByRole('menuitem', { name: 'Tea canister labels' }).click();
  await expect(page.getByLabel('Name of the piece')).toHaveValue('Tea canister labels', { timeout: 20_000 });
  await page.goto(`${DEMO_URL}/pieces`);
  await expect(shelf).toHaveCount(9, { timeout: 20_000 });

  // Two pieces that are there already become a set, planned as the one chosen first; and no more, taken back.
  await page.getByTestId('choose-several').click();
  await page.getByRole('checkbox', { name: 'Choose Viaduct at dusk' }).click();
  await page.getByRole('checkbox', { name: 'Choose Route map' }).click();
  await page.getByTestId('make-several-a-set').click();
  await expect(page.getByTestId('set-part')).toHaveCount(2, { timeout: 20_000 });
  await expect(page.getByTestId('set-name')).toHaveValue('Viaduct at dusk');
  const binder = async (id: string) =>
    (await storedRecord<{ method: { binder: string } }>(page, 'pieces', id)).method.binder;
  expect(await binder('demo-route-map')).toBe(await binder('demo-viaduct'));
  await page.getByTestId('notice').getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('heading', { name: 'No such set' })).toBeVisible({ timeout: 20_000 });
  await page.goto(`${DEMO_URL}/pieces`);
  await expect(shelf).toHaveCount(9, { timeout: 20_000 });

  // A set goes into the bin as a whole, and comes back.
  await page.getByTestId('choose-several').click();
  await page.getByRole('checkbox', { name: 'Choose Place cards' }).click();
  await expect(page.getByTestId('several')).toContainText('6 pieces chosen');
  await page.getByTestId('remove-several').click();
  await expect(shelf).toHaveCount(8, { timeout: 20_000 });
  await page.getByTestId('notice').getByRole('button', { name: 'Bring back' }).click();
  await expect(shelf).toHaveCount(9, { timeout: 20_000 });
  await page.getByRole('radio', { name: 'Templates: 1' }).click();
  await expect(shelf).toHaveCount(1);
});
