import { execFileSync } from 'node:child_process';
import { mkdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Page } from '@playwright/test';
import sharp from 'sharp';
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
import { pageBoxMm } from './support/reading';
import { expect, test } from './support/test';

/** Red left, blue right, a yellow bar on top: which way round it lies is plain to see. */
async function flag(name: string, width = 1200, height = 800): Promise<string> {
  const folder = join(process.cwd(), '.cache', 'pictures');
  mkdirSync(folder, { recursive: true });
  const file = join(folder, `${name}.png`);
  await sharp(
    Buffer.from(
      `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}"><rect width="${width}" ` +
        `height="${height}" fill="#c22"/><rect x="${width / 2}" width="${width / 2}" height="${height}" ` +
        `fill="#22c"/><rect width="${width}" height="${height / 8}" fill="#dc2"/><circle cx="${width * 0.3}" ` +
        `cy="${height * 0.6}" r="${height / 7}" fill="#fff"/></svg>`,
    ),
  )
    .png()
    .toFile(file);
  return file;
}

const piece = async (page: Page, name: string, surface: RegExp, width: string, height: string, picture?: string) =>
  pieceWith(page, name, picture ?? (await flag('flag')), surface, width, height);

/** Takes the one method that is offered first. */
async function method(page: Page): Promise<void> {
  await openStation(page, 'Method');
  await expect(answer(page)).toBeVisible();
  await openStation(page, 'Sheet');
  await openPart(page, 'Because');
}

async function noMargins(page: Page): Promise<void> {
  for (const side of ['topMm', 'bottomMm', 'leftMm', 'rightMm']) await typeInto(page, `margin-${side}`, '0');
  await settled(page);
}

async function pdf(page: Page, path: string, button = 'make-pdf'): Promise<string> {
  const download = page.waitForEvent('download', { timeout: 90_000 });
  await page.getByTestId(button).click();
  return savedTo(await download, path);
}

/** A page drawn by poppler; colours at places in mm. */
async function drawn(file: string, number: number, ppi = 127) {
  execFileSync('pdftoppm', [
    '-r',
    String(ppi),
    '-f',
    String(number),
    '-l',
    String(number),
    '-png',
    '-singlefile',
    file,
    `${file}-${number}`,
  ]);
  const { data, info } = await sharp(`${file}-${number}.png`).removeAlpha().raw().toBuffer({ resolveWithObject: true });
  const mm = ppi / 25.4;
  return {
    png: `${file}-${number}.png`,
    widthMm: info.width / mm,
    heightMm: info.height / mm,
    at: (x: number, y: number) => [
      ...data.subarray(
        (Math.floor(y * mm) * info.width + Math.floor(x * mm)) * 3,
        (Math.floor(y * mm) * info.width + Math.floor(x * mm)) * 3 + 3,
      ),
    ],
  };
}
const isRed = ([r, g, b]: number[]) => r > 120 && g < 100 && b < 100;
const isBlue = ([r, g, b]: number[]) => b > 120 && r < 100 && g < 100;

test('a poster over several pages: tiles, map, bookmarks, and each page looked at', async ({ page }, info) => {
  await piece(page, 'Station poster', /^Soft wood/, '52 cm', '34 cm');
  await method(page);
  await expect(answer(page)).toHaveText(/^Print 4 A4 pages, .*mirrored/);
  await page.getByTestId('next-page').click();
  await expect(page.getByText('Page 2 of 4, as printed')).toBeVisible();
  const file = await pdf(page, info.outputPath('poster.pdf'));
  expect(pageBoxMm(file).pages).toBe(4);
  expect(readFileSync(file, 'latin1')).toContain('/Outlines');
  const words = execFileSync('pdftotext', ['-layout', file, '-'], { encoding: 'utf8' });
  expect(words).toContain('page 3 of 4');
  // Mirrored: the picture's blue right half comes first.
  const first = await drawn(file, 1);
  const last = await drawn(file, 2);
  expect(isBlue(first.at(60, 90))).toBe(true);
  expect(isRed(last.at(last.widthMm - 60, 90))).toBe(true);
  const png = page.waitForEvent('download', { timeout: 60_000 });
  await openPart(page, 'Other files');
  await page.getByTestId('make-png').click();
  const meta = await sharp(await savedTo(await png, info.outputPath('page.png'))).metadata();
  expect(meta.density).toBe(300);
  expect(meta.width).toBeGreaterThan(2400);
});

test('a wrapped canvas with its edge mirrored on the sides, corners folded', async ({ page }, info) => {
  await piece(page, 'Signal cabin', /^Canvas/, '16 cm', '11 cm');
  await choose(page, 'shape', /^Wrapped canvas/);
  await typeInto(page, 'wrap-depth', '15 mm');
  await typeInto(page, 'wrap-tuck', '10 mm');
  await method(page);
  await page.getByRole('radiogroup', { name: 'Sides' }).getByRole('radio', { name: 'Edge mirrored' }).click();
  await page.getByRole('radiogroup', { name: 'Corners' }).getByRole('radio', { name: 'Folded' }).click();
  await settled(page);
  const file = await pdf(page, info.outputPath('canvas.pdf'));
  const sheet = await drawn(file, 1);
  // The print is 210 × 160 mm; its rows and columns are alike on both sides of the front's edge, 25 mm in.
  const left = (sheet.widthMm - 210) / 2;
  const column =
    Array.from({ length: 1600 }, (_, i) => i / 10).findIndex(
      (y) => !sheet.at(left + 60, y).every((level) => level > 240),
    ) / 10;
  for (const off of [4, 9, 16, 22]) {
    const [outside, inside] = [sheet.at(left + 70, column + 25 - off), sheet.at(left + 70, column + 25 + off)];
    expect(Math.max(...outside.map((level, at) => Math.abs(level - inside[at])))).toBeLessThan(30);
  }
  await settled(page);
  expect((await storedPieces(page))[0]).toMatchObject({ sheet: { form: { sides: 'mirror', corners: 'fold' } } });
});

test('slats: the gap skipped, the picture spread, the whole on each', async ({ page }, info) => {
  await piece(page, 'Route map', /^Soft wood/, '26 cm', '12 cm');
  await choose(page, 'shape', /^Slats/);
  await typeInto(page, 'slat-count', '3');
  await typeInto(page, 'slat-gap', '10 mm');
  await method(page);
  await noMargins(page);
  await expect(page.getByText('26 × 12 cm').first()).toBeVisible();
  await page.getByRole('radio', { name: 'Spread over them' }).click();
  await expect(page.getByText(/printed as 2835 × 1417 dots/)).toBeVisible();
  await page.getByRole('radio', { name: 'The whole on each' }).click();
  await expect(page.getByText('3 prints', { exact: true })).toBeVisible();
  const file = await pdf(page, info.outputPath('slats.pdf'));
  expect(pageBoxMm(file).pages).toBe(1);
  expect(execFileSync('pdftotext', ['-layout', file, '-'], { encoding: 'utf8' })).toContain('3 prints');
});

test('a tapered vessel: the print is bent to its fan and cut along it', async ({ page }, info) => {
  await piece(page, 'Coal scuttle', /^Metal/, '18 cm', '14 cm');
  await choose(page, 'shape', /^Tapered vessel/);
  await typeInto(page, 'vessel-bottom', '12 cm');
  await typeInto(page, 'share-of-round', '40');
  await method(page);
  await noMargins(page);
  await expect(page.getByText(/Bent to the vessel’s side/)).toBeVisible();
  const file = await pdf(page, info.outputPath('fan.pdf'));
  const sheet = await drawn(file, 1, 254);
  const reddish = (y: number) =>
    Array.from({ length: 2900 }, (_, i) => i / 10).filter(
      (x) => x < sheet.widthMm && (isRed(sheet.at(x, y)) || isBlue(sheet.at(x, y))),
    );
  // Wider above than below, as the vessel is.
  const rows = Array.from({ length: 180 }, (_, y) => y).filter(
    (y) => y < sheet.heightMm - 20 && reddish(y).length > 400,
  );
  const [high, low] = [reddish(rows[Math.floor(rows.length * 0.25)]), reddish(rows[Math.floor(rows.length * 0.75)])];
  const span = (xs: number[]) => xs[xs.length - 1] - xs[0];
  expect(span(high) - span(low)).toBeGreaterThan(8);
  const svg = page.waitForEvent('download');
  await openPart(page, 'Other files');
  await page.getByTestId('cut-lines').click();
  expect(readFileSync(await savedTo(await svg, info.outputPath('cut.svg')), 'utf8')).toContain('mm" viewBox');
});

test('a motif is cut close, an edge torn, a layer traced on its own sheet', async ({ page }) => {
  const folder = join(process.cwd(), '.cache', 'pictures');
  mkdirSync(folder, { recursive: true });
  const leaf = join(folder, 'leaf.png');
  await sharp(
    Buffer.from(
      '<svg xmlns="http://www.w3.org/2000/svg" width="900" height="600"><rect width="900" height="600" ' +
        'fill="#fff"/><ellipse cx="450" cy="300" rx="300" ry="180" fill="#262"/></svg>',
    ),
  )
    .png()
    .toFile(leaf);
  await piece(page, 'Leaf', /^Soft wood/, '20 cm', '14 cm', leaf);
  await method(page);
  await openPart(page, 'How it lies');
  await page.getByRole('radio', { name: 'Close round the motif' }).click();
  await page.getByTestId('find-motif').click();
  await expect(page.getByText('One outline found.')).toBeVisible({ timeout: 20_000 });
  await expect(page.getByText('what lands, once it is trimmed')).toBeVisible();
  await settled(page);
  const [
    {
      sheet: { motif },
    },
  ] = (await storedPieces(page)) as { sheet: { motif: { rings: unknown[][] } } }[];
  expect(motif.rings).toHaveLength(1);
  await page.getByRole('radiogroup', { name: 'Edge' }).getByRole('radio', { name: 'Torn' }).click();
  await expect(page.getByText(/where to tear/)).toBeVisible();
});

test('two pieces on one page', async ({ page }, info) => {
  await piece(page, 'First sign', /^Soft wood/, '12 cm', '9 cm');
  await method(page);
  await piece(page, 'Second sign', /^Soft wood/, '11 cm', '9 cm');
  await method(page);
  await page.goto('/pieces');
  await page.getByTestId('print-together').click();
  await expect(answer(page)).toHaveText('1 A4 page: 1 fewer than one by one.');
  await expect(page.getByTestId('together-page')).toHaveCount(1);
  const file = await pdf(page, info.outputPath('together.pdf'), 'together-pdf');
  expect(pageBoxMm(file).pages).toBe(1);
  const words = execFileSync('pdftotext', ['-layout', file, '-'], { encoding: 'utf8' });
  expect(words).toContain('First sign, Second sign');
  await page.getByTestId('one-size').click();
  await expect(page.getByTestId('one-size')).toHaveCount(0);
  await expect(page.getByText('90 × 70 mm', { exact: true })).toHaveCount(2);
  await typeInto(page, 'spares', '3');
  await expect(answer(page)).toHaveText(/6 fewer|7 fewer/);
});

test('a calibrated printer is corrected in both directions, and the sheet says so', async ({ page }, info) => {
  await piece(page, 'Clock face', /^Soft wood/, '18 cm', '18 cm');
  await method(page);
  const download = page.waitForEvent('download');
  await openPart(page, 'Your printer');
  await page.getByTestId('calibration-pdf').click();
  expect(
    readFileSync(await savedTo(await download, info.outputPath('calibration.pdf')))
      .subarray(0, 5)
      .toString(),
  ).toBe('%PDF-');
  await typeInto(page, 'bar-across', '98.8 mm');
  await typeInto(page, 'bar-along', '100.4 mm');
  await expect(page.getByText(/98.80 % across and 100.40 % along/)).toBeVisible();
  const file = await pdf(page, info.outputPath('corrected.pdf'));
  expect(execFileSync('pdftotext', ['-layout', file, '-'], { encoding: 'utf8' })).toContain(
    'printer corrected × 1.0121 across, × 0.9960 along',
  );
  const sheet = await drawn(file, 1, 254);
  const coloured = Array.from({ length: 2090 }, (_, i) => i / 10).filter(
    (x) => isRed(sheet.at(x, 130)) || isBlue(sheet.at(x, 130)),
  );
  // 160 mm, drawn larger so that the printer makes 160 of it.
  expect(Math.abs((coloured[coloured.length - 1] - coloured[0] + 0.1) * 0.988 - 160)).toBeLessThan(0.3);
});

test('the copy shop: price and time into the piece, what it refuses, and its proof read back', async ({ page }) => {
  await page.goto(DEMO_URL);
  await piece(page, 'Ticket rack', /^Soft wood/, '18 cm', '12 cm');
  await method(page);
  await openPart(page, 'At the copy shop');
  await choose(page, 'shop-paper', 'Release liner');
  await page.getByTestId('shop-quote').click();
  await expect(page.getByRole('alert').filter({ hasText: 'refuses release liner' })).toBeVisible({ timeout: 30_000 });
  await choose(page, 'shop-paper', 'Bond, 80 g');
  await page.getByTestId('shop-quote').click();
  await expect(page.getByTestId('shop-offer')).toHaveText(/1\.05 for 1 page, ready/, { timeout: 30_000 });
  await page.getByTestId('shop-proof').click();
  await expect(page.getByTestId('shop-proof-picture')).toBeVisible({ timeout: 30_000 });
  await page.getByTestId('read-shop-proof').click();
  await expect(page.getByTestId('proof-verdict')).toContainText('Go.', { timeout: 60_000 });
  await page.getByTestId('shop-order').click();
  await settled(page);
  expect((await storedPieces(page)).find((one) => one.name === 'Ticket rack')).toMatchObject({
    sheet: { order: { price: 1.05 }, proof: { go: true, mirroredRight: true } },
    keep: { prices: { print: 1.05 } },
  });
});

test('a photo of a page that came out turned over says so; a picture that is no page is said to be none', async ({
  page,
}, info) => {
  await piece(page, 'Lamp room', /^Soft wood/, '18 cm', '12 cm');
  await method(page);
  const file = await pdf(page, info.outputPath('lamp.pdf'));
  const { png } = await drawn(file, 1, 127);
  const photo = async (name: string, flop: boolean) => {
    const path = info.outputPath(name);
    const sheet = flop ? await sharp(png).flop().png().toBuffer() : await sharp(png).png().toBuffer();
    await sharp(
      await sharp(sheet)
        .rotate(6, { background: '#4a3828' })
        .extend({ top: 60, bottom: 60, left: 60, right: 60, background: '#4a3828' })
        .png()
        .toBuffer(),
    )
      .blur(1)
      .jpeg({ quality: 88 })
      .toFile(path);
    return path;
  };
  await openPart(page, 'Read a photo of it');
  await page.getByTestId('proof-photo').setInputFiles(await photo('turned.jpg', true));
  await expect(page.getByTestId('proof-verdict')).toContainText('turned over', { timeout: 60_000 });
  await expect(answer(page)).toHaveText('Print again: the proof says why.');
  await page.getByTestId('proof-photo').setInputFiles(await photo('right.jpg', false));
  await expect(page.getByTestId('proof-verdict')).toContainText('Go.', { timeout: 60_000 });
  await page.getByTestId('proof-photo').setInputFiles(await flag('no-page'));
  await expect(page.getByText(/its marks were not found|No sheet of paper was found/)).toBeVisible({ timeout: 60_000 });
});

test('a pack that is stopped ends and leaves nothing; what is too large is said', async ({ page }) => {
  await piece(page, 'Platform sign', /^Soft wood/, '150 cm', '100 cm');
  await method(page);
  let downloads = 0;
  page.on('download', () => {
    downloads++;
  });
  await page.getByTestId('make-pdf').click();
  await expect(page.getByRole('progressbar', { name: 'Making the print' })).toBeVisible();
  await page.getByRole('button', { name: 'Stop' }).click();
  await expect(page.getByRole('progressbar', { name: 'Making the print' })).toHaveCount(0);
  await page.waitForTimeout(800);
  expect(downloads).toBe(0);
  await openStation(page, 'Surface');
  await choose(page, 'shape', /^Wrapped canvas/);
  await typeInto(page, 'blank-width', '299 cm');
  await typeInto(page, 'wrap-depth', '40 mm');
  await openStation(page, 'Sheet');
  await expect(answer(page)).toHaveText(/larger than 3 m|larger than 300 cm/);
});
