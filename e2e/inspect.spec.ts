import type { Page } from '@playwright/test';
import { drawing } from './support/pictures';
import { DEMO_URL, markDone, openDemo, savedTo, settled, openPart } from './support/page';
import { drawPage, pageBoxMm } from './support/reading';
import { expect, test } from './support/test';

const BOARD = 'demo-departures-board';
const reading = (page: Page) => page.getByTestId('inspect-reading');
/** A reading takes seconds; a machine five times slower takes more. */
const READ_MS = 120_000;

test('the example’s board: read by photo, areas worked, read again, stopped, wetted, mended, sealed, its days in Ahead', async ({
  page,
}) => {
  test.setTimeout(400_000);
  await openDemo(page, `/piece/${BOARD}/rub`);
  await openPart(page, 'The map of the work');
  await expect(page.getByTestId('sections').getByRole('listitem')).toHaveCount(2);
  await markDone(page, 'pass-done');
  await page.getByTestId('example-dry').click();
  await expect(reading(page)).toHaveAttribute('data-decision', 'areas', { timeout: READ_MS });
  await expect(page.getByTestId('answer')).toHaveText('Rub these areas again, and leave the rest.');
  await expect(reading(page)).toContainText(/\d+ cm²\s*with paper left in it/);
  await expect(reading(page).getByRole('img', { name: /Photo of the piece with \d+ areas marked/ })).toBeVisible();
  await expect(
    reading(page)
      .getByText(/from the left and .* from the top/)
      .first(),
  ).toBeVisible();

  // The bench names the areas, and no others.
  await page.goto(`${DEMO_URL}/bench?step=${encodeURIComponent(`${BOARD}/pass-2`)}`);
  const wait = page.getByTestId('bench-wait');
  const cards = page.getByTestId('bench-card');
  await expect(wait.or(cards).first()).toBeVisible();
  if (await wait.isVisible()) {
    const hold = page.getByTestId('begin-early');
    await hold.hover();
    await page.mouse.down();
    await expect(cards).toBeVisible({ timeout: 20_000 });
    await page.mouse.up();
  }
  for (let shown = await cards.getAttribute('data-card'); shown !== 'area-1';) {
    await page.getByTestId('bench-next').click();
    await expect(cards).not.toHaveAttribute('data-card', shown ?? '');
    shown = await cards.getAttribute('data-card');
  }
  await expect(cards).toContainText(/Only here: .* from the left and .* from the top/);

  // After that pass rubbing still pays; after one too many it does not.
  await page.goto(`${DEMO_URL}/piece/${BOARD}/rub`);
  await markDone(page, 'pass-done');
  await page.getByTestId('example-dry').click();
  await expect(page.getByTestId('since-before')).toContainText('Rubbing still pays.', { timeout: READ_MS });
  await page.getByTestId('example-dry').click();
  await expect(reading(page)).toHaveAttribute('data-decision', 'stop', { timeout: READ_MS });
  await expect(page.getByTestId('since-before')).toHaveAttribute('data-stop', 'true');
  await expect(page.getByTestId('compare-slider')).toBeVisible();
  await page.getByTestId('example-wet').click();
  await expect(reading(page)).toContainText('of haze that was gone when it was wet', { timeout: READ_MS });

  // All of it is still there after a reload, once it is kept, and Mend has the holes with their mixes.
  await settled(page);
  await page.reload();
  await expect(reading(page)).toContainText('of haze that was gone when it was wet');
  // What it says ends the rubbing, everywhere; it can be overruled.
  await expect(page.getByTestId('pass-done')).toHaveCount(0);
  await expect(page.getByTestId('rub-on')).toBeVisible();
  await page.goto(`${DEMO_URL}/piece/${BOARD}/mend`);
  await expect(page.getByTestId('mixes').getByRole('listitem').first()).toContainText(/parts? .*A brush about/s);
  await markDone(page, 'mended');
  await page.goto(`${DEMO_URL}/piece/${BOARD}/seal`);
  await markDone(page, 'coat-on');
  await expect(page.getByText('1 on', { exact: true })).toBeVisible();
  await markDone(page, 'coat-on');
  await expect(page.getByTestId('answer')).toContainText('Sealed.');
  await page.goto(`${DEMO_URL}/ahead`);
  await expect(page.getByTestId('days-to-keep')).toContainText(/Departures board.*hang it/s);
});

test('what is not the piece is refused with its reason, and can be shown by hand', async ({ page }) => {
  await openDemo(page, `/piece/${BOARD}/rub`);
  await openPart(page, 'Read it from a photo');
  const refused = async (name: string, body: string, sentence: RegExp) => {
    await page.getByTestId('inspect-dry').setInputFiles(await drawing(name, body));
    await expect(page.getByText(sentence)).toBeVisible({ timeout: READ_MS });
    await expect(reading(page)).toHaveCount(0);
  };
  await refused('black', '<rect width="900" height="600" fill="#000"/>', /This photo is all but black/);
  await refused(
    'hand',
    '<rect width="900" height="600" fill="#b98"/><circle cx="400" cy="300" r="120" fill="#a76"/><path d="M0 ' +
      '0L900 420" stroke="#543" stroke-width="9"/>',
    /This piece was not found in the photo|This is not this piece/,
  );
  // Another piece's picture.
  await refused(
    'other',
    Array.from(
      { length: 60 },
      (_, k) =>
        `<rect x="${(k * 137) % 860}" y="${(k * 71) % 560}" width="${20 + (k % 7) * 9}" ` +
        `height="${14 + (k % 5) * 8}" fill="hsl(${k * 40} 60% ${20 + (k % 6) * 12}%)"/>`,
    ).join(''),
    /This piece was not found in the photo|This is not this piece/,
  );
  // Four grips stand ready, moved by keys as by hand.
  const corners = page.getByTestId('corners');
  await expect(corners).toBeVisible();
  const first = page.getByTestId('corner-0');
  const before = await first.getAttribute('transform');
  await first.focus();
  await page.keyboard.press('ArrowRight');
  await expect(first).not.toHaveAttribute('transform', before ?? '');
  await page.getByRole('button', { name: 'Leave it' }).click();
  await expect(corners).toHaveCount(0);
});

test('the care label prints as a small card at its size, with marks to cut it by', async ({ page }, info) => {
  await openDemo(page, '/piece/demo-fern-marker/keep');
  await openPart(page, 'Care label');
  const [download] = await Promise.all([page.waitForEvent('download'), page.getByTestId('care-card').click()]);
  expect(download.suggestedFilename()).toBe('fern-platform-marker-care.pdf');
  const pdf = await savedTo(download, info.outputPath('care.pdf'));
  expect(pageBoxMm(pdf)).toMatchObject({ pages: 1 });
  const card = await drawPage(pdf, 254);
  /** Dark pixels within a box, mm. */
  const dark = (x0: number, y0: number, x1: number, y1: number) => {
    let count = 0;
    for (let y = card.px(y0); y < card.px(y1); y++)
      for (let x = card.px(x0); x < card.px(x1); x++) if (card.pixel(x, y)[0] < 128) count++;
    return count;
  };
  // Writing on the card, marks at its corners, nothing else on the page.
  expect(dark(16, 16, 118, 87)).toBeGreaterThan(2000);
  expect(dark(14.5, 6, 15.5, 14)).toBeGreaterThan(10);
  expect(dark(20, 100, 190, 250)).toBe(0);
});

test('a photo whose print is not sure to lie there asks first: nothing is told of it before somebody looks', async ({
  page,
}) => {
  test.setTimeout(300_000);
  await openDemo(page, `/piece/${BOARD}/rub`);
  await markDone(page, 'pass-done');
  await page.getByTestId('example-dry').click();
  await expect(reading(page)).toBeVisible({ timeout: READ_MS });
  await settled(page);
  // As a print of one tone would be read.
  await page.evaluate(
    (id) =>
      new Promise<void>((resolve, reject) => {
        const opening = indexedDB.open('fobbet');
        opening.onerror = () => reject(new Error('not opened'));
        opening.onsuccess = () => {
          const store = opening.result.transaction('pieces', 'readwrite').objectStore('pieces');
          const asked = store.get(id);
          asked.onsuccess = () => {
            const piece = asked.result as { rub: { readings: { sure: number }[] } };
            const readings = piece.rub.readings.map((one) => ({ ...one, sure: 0 }));
            store.put({ ...piece, rub: { ...piece.rub, readings } }).onsuccess = () => {
              opening.result.close();
              resolve();
            };
          };
        };
      }),
    BOARD,
  );
  await page.reload();
  const question = page.getByTestId('corners');
  await expect(question).toContainText('Is this where the print lies');
  await expect(reading(page)).toHaveCount(0);
  await expect(page.getByTestId('inspect-wet')).toHaveCount(0);
  await expect(page.getByTestId('answer')).not.toHaveText('Rub these areas again, and leave the rest.');
  // Moved, it is read anew; as it lies, it is taken.
  await page.getByTestId('corner-0').focus();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByTestId('read-corners')).toBeVisible();
  await page.reload();
  await page.getByTestId('lies-so').click();
  await expect(reading(page)).toHaveAttribute('data-decision', 'areas');
  await expect(page.getByTestId('answer')).toHaveText('Rub these areas again, and leave the rest.');
});
