import type { Page } from '@playwright/test';
import {
  DEMO_URL,
  answer,
  choose,
  openStation,
  pieceWith,
  savedTo,
  settled,
  storedPieces,
  typeInto,
  openPart,
} from './support/page';
import { drawing } from './support/pictures';
import { drawPage, pageBoxMm } from './support/reading';
import { expect, test } from './support/test';

/** A third white, the rest a mid tone with some structure. */
const THIRD_WHITE =
  '<rect width="900" height="600" fill="#6a7f92"/><rect width="300" height="600" fill="#fff"/><path d="M340 100 ' +
  'L860 500 M340 500 L860 100" stroke="#553322" stroke-width="30"/>';

/** Waits until a canvas was drawn at its full size. */
const drawn = (page: Page, testId: string) =>
  expect(page.getByTestId(testId)).toHaveAttribute('data-drawn', /^([2-9]|\d\d+)$/, { timeout: 20_000 });

const finding = (page: Page, id: string) => page.locator(`[data-finding="${id}"]`);
const findingsSettled = async (page: Page) => {
  await expect(page.getByTestId('findings')).toHaveAttribute('aria-busy', 'false', { timeout: 20_000 });
  const others = page.getByTestId('all-findings');
  if (await others.count()) await others.click();
};

test('a finding with its figure, where it lies, and a remedy that takes it away', async ({ page }) => {
  await pieceWith(page, 'Lamp room', await drawing('third-white', THIRD_WHITE), /^Soft wood/, '24 cm', '16 cm');
  await openStation(page, 'Picture');
  await findingsSettled(page);
  await expect(finding(page, 'show-through')).toContainText('33 %');
  await expect(finding(page, 'show-through')).toHaveAttribute('data-weight', 'act');
  await finding(page, 'show-through').getByRole('button', { name: 'Where' }).click();
  await expect(page.getByTestId('finding-overlay')).toBeVisible();
  await finding(page, 'show-through').getByRole('button', { name: 'Opaque photo-transfer medium' }).click();
  await expect(finding(page, 'show-through')).toHaveAttribute('data-weight', 'good');
  await expect(finding(page, 'show-through')).toContainText('the gel or glue is opaque');
  await page.keyboard.press('Control+z');
  await expect(finding(page, 'show-through')).toHaveAttribute('data-weight', 'act');
});

test('a slider answers on the specimen while it moves, and is kept when it is let go', async ({ page }) => {
  await pieceWith(
    page,
    'Booking hall',
    await drawing(
      'dark',
      '<rect width="900" height="600" fill="#14141c"/><circle cx="450" cy="300" r="200" fill="#9ab"/>',
    ),
    /^Painted wood/,
    '20 cm',
    '14 cm',
  );
  await openStation(page, 'Picture');
  await findingsSettled(page);
  await expect(finding(page, 'dark')).toHaveAttribute('data-weight', 'act');
  await page.getByRole('radio', { name: 'On the piece' }).click();
  await drawn(page, 'look');
  const before = Number(await page.getByTestId('look').getAttribute('data-drawn'));
  await openPart(page, 'Tone');
  const slider = page.getByTestId('tone-gamma').getByRole('slider');
  await slider.focus();
  for (let press = 0; press < 6; press++) await slider.press('ArrowRight');
  await expect
    .poll(async () => Number(await page.getByTestId('look').getAttribute('data-drawn')))
    .toBeGreaterThan(before);
  await settled(page);
  const [stored] = (await storedPieces(page)) as { picture: { tone: { gamma: number } } }[];
  expect(stored.picture.tone.gamma).toBeCloseTo(1.3, 5);
  await findingsSettled(page);
  await finding(page, 'dark')
    .getByRole('button', { name: /^Lighten the midtones/ })
    .click();
  await findingsSettled(page);
  await expect(finding(page, 'dark').or(page.getByText('its range'))).not.toHaveCount(0);
});

test('trying on: pairs at one scale, one added, one taken', async ({ page }) => {
  await pieceWith(page, 'Clock face', await drawing('third-white', THIRD_WHITE), /^Painted wood/, '24 cm', '16 cm');
  await openStation(page, 'Method');
  await page.getByTestId('try-on-view').click();
  const board = page.getByTestId('try-on');
  const pairs = board.locator('[data-surface]');
  await expect(pairs).toHaveCount(6);
  const widths = await pairs
    .locator('> svg')
    .evaluateAll((all) => all.map((one) => Math.round(one.getBoundingClientRect().width)));
  expect(new Set(widths).size).toBe(1);
  await pairs.last().getByRole('button', { name: 'Take this pair away' }).click();
  await expect(pairs).toHaveCount(5);
  await choose(page, 'try-surface', 'Leather');
  await page.getByTestId('try-add').click();
  await expect(board.locator('[data-surface="leather"]')).toHaveAttribute('data-binder', 'opaque-medium');
  await board.locator('[data-surface="leather"]').getByRole('button', { name: 'Take this', exact: true }).click();
  await expect(answer(page)).toContainText('Opaque photo-transfer medium');
  await settled(page);
  expect((await storedPieces(page))[0]).toMatchObject({
    surface: { kind: 'leather' },
    method: { binder: 'opaque-medium' },
  });
});

test('methods: another print opens another school; label values hold for all pieces', async ({ page }) => {
  await pieceWith(page, 'Tea canister', await drawing('third-white', THIRD_WHITE), /^Glass/, '12 cm', '9 cm');
  await openStation(page, 'Method');
  await expect(page.getByTestId('compare')).toContainText('Toner kept');
  await openPart(page, 'Refused, and why');
  await page
    .getByTestId('refused')
    .getByRole('button', { name: /^Print it as: slip-coated/ })
    .first()
    .click();
  await expect(answer(page)).toContainText('slip paper');
  await page.locator('summary', { hasText: 'On the label of your' }).click();
  await typeInto(page, 'label-film', '180');
  await openStation(page, 'Lay');
  await openPart(page, 'Because');
  await expect(page.getByText('180 µm')).toBeVisible();
  await openStation(page, 'Rub');
  await expect(page.getByText('Wet the back evenly for 15 to 30 s.').first()).toBeVisible();
  await openStation(page, 'Cure');
  await expect(answer(page)).toHaveText(/^Wait \d/);
});

test('a wrapped canvas, slats and a tapered vessel: typed, dragged, and both agree', async ({ page }, info) => {
  await pieceWith(page, 'Signal cabin', await drawing('third-white', THIRD_WHITE), /^Canvas/, '20 cm', '14 cm');
  await choose(page, 'shape', /^Wrapped canvas/);
  await typeInto(page, 'wrap-depth', '16 mm');
  await typeInto(page, 'wrap-tuck', '10 mm');
  // Front 280 cm², and 26 mm round its 680 mm.
  await openPart(page, 'Because');
  await expect(page.getByText('front, sides and tuck to cover')).toBeVisible();
  await expect(page.getByText('457 cm²')).toBeVisible();
  const handle = page.getByTestId('depth-handle');
  await handle.focus();
  for (let press = 0; press < 4; press++) await handle.press('ArrowUp');
  await expect(page.getByTestId('wrap-depth')).toHaveValue('20 mm');
  const scale = Number(await page.getByTestId('specimen').getAttribute('data-px-per-mm'));
  const corner = await page.getByTestId('size-handle').boundingBox();
  if (!corner) throw new Error('no size grip');
  await page.mouse.move(corner.x + corner.width / 2, corner.y + corner.height / 2);
  await page.mouse.down();
  await page.mouse.move(corner.x + corner.width / 2 - 20 * scale, corner.y + corner.height / 2, { steps: 5 });
  await page.mouse.up();
  await expect(page.getByTestId('blank-width')).toHaveValue('18 cm');

  await openStation(page, 'Method');
  await page.getByRole('button', { name: 'Choose: Fluid gel or polymer medium, dry and rub' }).click();
  await openStation(page, 'Sheet');
  const [download] = await Promise.all([page.waitForEvent('download'), page.getByTestId('make-pdf').click()]);
  expect(pageBoxMm(await savedTo(download, info.outputPath('wrapped.pdf'))).pages).toBe(1);
  // The print is front, sides and tuck: 180 + 2 × 30 by 140 + 2 × 30 mm.
  await expect(page.getByText('24 × 20 cm', { exact: true }).first()).toBeVisible();

  // Half as wide again it takes more than a page of A4: tiles, each told what to do.
  await openStation(page, 'Surface');
  await typeInto(page, 'blank-width', '30 cm');
  await openStation(page, 'Sheet');
  await expect(answer(page)).toHaveText('Print 2 A4 pages, portrait, mirrored, at 100 %.');
  await page.getByTestId('next-page').click();
  await expect(page.getByText('Page 2 of 2, as printed: column 2, row 1.')).toBeVisible();
  await openPart(page, 'Your printer');
  await typeInto(page, 'bar-across', '98.8');
  await expect(page.getByText(/It prints at 98.80 % across and 100.00 % along/)).toBeVisible();
  const [tiles] = await Promise.all([
    page.waitForEvent('download', { timeout: 60_000 }),
    page.getByTestId('make-pdf').click(),
  ]);
  expect(pageBoxMm(await savedTo(tiles, info.outputPath('tiles.pdf'))).pages).toBe(2);
  await choose(page, 'paper', 'A3');
  await expect(answer(page)).toHaveText('Print one A3 page, landscape, mirrored, at 100 %.');

  await openStation(page, 'Surface');
  await typeInto(page, 'blank-width', '18 cm');
  await choose(page, 'shape', /^Slats/);
  await typeInto(page, 'slat-count', '4');
  await typeInto(page, 'slat-gap', '100 mm');
  await expect(answer(page)).toHaveText(/^The gaps leave no room/);
  await typeInto(page, 'slat-gap', '4 mm');
  await expect(page.getByText('of slats, without the gaps')).toBeVisible();
  await expect(page.getByText('235 cm²')).toBeVisible();

  await choose(page, 'shape', /^Tapered vessel/);
  await typeInto(page, 'vessel-bottom', '12 cm');
  await typeInto(page, 'share-of-round', '50');
  // π (9 + 6) cm × 14 cm, half of the way round.
  await expect(page.getByText('330 cm²')).toBeVisible();
});

test('lettering on an arc lands on the piece and in the print; traced lettering stays out of it', async ({
  page,
}, info) => {
  await pieceWith(page, 'Station sign', await drawing('third-white', THIRD_WHITE), /^Painted wood/, '24 cm', '16 cm');
  await openStation(page, 'Method');
  await page.getByRole('button', { name: 'Choose: Fluid gel or polymer medium, dry and rub' }).click();
  await openStation(page, 'Picture');
  await openPart(page, 'Lettering and more pictures');
  await page.getByTestId('add-lettering').click();
  await typeInto(page, 'lettering-words', 'UPPER WREN');
  await typeInto(page, 'lettering-size', '12 mm');
  await typeInto(page, 'lettering-y', '80 mm');
  await page.getByRole('radio', { name: 'Arch' }).click();
  await typeInto(page, 'lettering-radius', '9 cm');
  await settled(page);
  const boxOf = async () =>
    ((await storedPieces(page)) as { picture: { layers: { box: { heightMm: number; widthMm: number } }[] } }[])[0]
      .picture.layers[0].box;
  const arched = await boxOf();
  expect(arched.heightMm).toBeGreaterThan(14);
  const before = await page.getByTestId('lettering-x').inputValue();
  await page.getByTestId('lettering-handle').focus();
  await page.getByTestId('lettering-handle').press('Shift+ArrowLeft');
  await expect(page.getByTestId('lettering-x')).not.toHaveValue(before);
  await drawn(page, 'look');

  await openStation(page, 'Sheet');
  const make = async (name: string) => {
    const [download] = await Promise.all([page.waitForEvent('download'), page.getByTestId('make-pdf').click()]);
    return savedTo(download, info.outputPath(name));
  };
  const moved = await make('moved.pdf');
  await openStation(page, 'Picture');
  await openPart(page, 'Lettering and more pictures');
  await page.getByRole('radio', { name: 'Traced and painted' }).click();
  await settled(page);
  await openStation(page, 'Method');
  await openPart(page, 'In this order');
  await expect(page.getByText('Trace and paint “UPPER WREN”')).toBeVisible();
  await openStation(page, 'Mend');
  await expect(page.getByRole('checkbox', { name: /Trace and paint the lettering/ })).toBeVisible();
  await openStation(page, 'Sheet');
  const traced = await make('traced.pdf');
  const [inMoved, inTraced] = [await inkOf(moved), await inkOf(traced)];
  expect(inTraced).toBe(0);
  expect(inMoved).toBeGreaterThan(300);
});

/** Pixels of a page at 100 ppi in the colour of the lettering. */
async function inkOf(pdf: string): Promise<number> {
  const page = await drawPage(pdf, 100);
  let count = 0;
  // The strip of words below has the marks' own ink: only what lies above it counts.
  for (let y = 0; y < page.heightPx - page.px(25); y++)
    for (let x = 0; x < page.widthPx; x++) {
      const [r, g, b] = page.pixel(x, y);
      if (Math.hypot(r - 34, g - 48, b - 58) < 14) count++;
    }
  return count;
}

test('a piece saved by an earlier version opens as it was', async ({ page }) => {
  await pieceWith(page, 'Water crane', await drawing('third-white', THIRD_WHITE), /^Painted wood/, '20 cm', '14 cm');
  const figures = page.url();
  await page.goto('/');
  await page.evaluate(async () => {
    const open = indexedDB.open('fobbet');
    const db = await new Promise<IDBDatabase>((resolve) => {
      open.onsuccess = () => resolve(open.result);
    });
    const store = db.transaction('pieces', 'readwrite').objectStore('pieces');
    const all = await new Promise<Record<string, Record<string, unknown>>[]>((resolve) => {
      const get = store.getAll();
      get.onsuccess = () => resolve(get.result as never);
    });
    const [piece] = all;
    piece.cure.school = piece.cure.waitBy;
    for (const key of ['cover', 'oven', 'through', 'signs', 'waitBy']) Reflect.deleteProperty(piece.cure, key);
    Reflect.deleteProperty(piece, 'work');
    for (const key of ['form', 'copies', 'motif', 'proof', 'order']) Reflect.deleteProperty(piece.sheet, key);
    for (const key of ['turns', 'straightenDeg', 'tone', 'layers']) Reflect.deleteProperty(piece.picture, key);
    for (const key of ['shape', 'grain', 'bareColour']) Reflect.deleteProperty(piece.surface, key);
    for (const key of ['look', 'tryOn']) Reflect.deleteProperty(piece.method, key);
    await new Promise<void>((resolve) => {
      const put = store.put({ ...piece, version: 2 });
      put.onsuccess = () => resolve();
    });
    db.close();
  });
  await page.goto(figures);
  await expect(page.getByTestId('blank-width')).toHaveValue('20 cm');
  await typeInto(page, 'blank-width', '21 cm');
  await settled(page);
  expect((await storedPieces(page))[0]).toMatchObject({
    version: 13,
    work: { done: [], draws: [] },
    cure: { through: 'typed' },
    surface: { widthMm: 210, shape: { kind: 'rectangle' } },
    sheet: { copies: 1, form: { parts: 'skip', sides: 'picture' } },
  });
});

test('the demo’s shapes are drawn', async ({ page }) => {
  for (const [piece, caption] of [
    ['demo-viaduct', 'laid flat: front, sides and tuck'],
    ['demo-crest-bucket', 'the side laid flat'],
    ['demo-route-map', 'Soft wood'],
  ]) {
    await page.goto(`${DEMO_URL}/piece/${piece}/surface`);
    await expect(page.getByRole('figure')).toContainText(caption, { timeout: 30_000 });
    await page.getByTestId('with-picture').click();
    await drawn(page, 'look');
  }
});
