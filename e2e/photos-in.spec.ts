import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Page, TestInfo } from '@playwright/test';
import sharp from 'sharp';
import { boardPhoto } from '../src/testing/board-photo';
import {
  answer,
  beginPiece,
  choose,
  choosePicture,
  noLettering,
  openPart,
  openStation,
  savedTo,
  settled,
  storedPieces,
  storedRecord,
  typeInto,
} from './support/page';
import { drawPage } from './support/reading';
import { expect, test } from './support/test';

const FLAG =
  '<svg xmlns="http://www.w3.org/2000/svg" width="900" height="600"><rect width="450" height="600" fill="#c22"/>' +
  '<rect x="450" width="450" height="600" fill="#22c"/><rect width="900" height="90" fill="#dc2"/></svg>';
/** The same flag as phones keep pictures; encoded once by a HEVC encoder, of which no package has one. */
const HEIC = readFileSync(join(process.cwd(), 'e2e', 'support', 'flag.heic'));
const asPng = () => sharp(Buffer.from(FLAG)).png().toBuffer();
/** As a phone held upright keeps it: turned in the file, with a note to turn it back. */
const turned = () =>
  sharp(Buffer.from(FLAG)).rotate(90).withMetadata({ orientation: 8 }).jpeg({ quality: 92 }).toBuffer();

/** Lets a file come in as if it were dragged over the page and dropped, or pasted. */
const bring = (page: Page, how: 'drop' | 'paste', files: { name: string; type: string; bytes: Buffer }[]) =>
  page.evaluate(
    ([way, all]) => {
      const data = new DataTransfer();
      for (const { name, type, base64 } of all) {
        const bytes = Uint8Array.from(atob(base64), (sign) => sign.charCodeAt(0));
        data.items.add(new File([bytes], name, { type }));
      }
      const target = document.querySelector('main') ?? document.body;
      if (way === 'paste') {
        target.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }));
        return;
      }
      for (const kind of ['dragenter', 'dragover', 'drop'])
        target.dispatchEvent(new DragEvent(kind, { dataTransfer: data, bubbles: true, cancelable: true }));
    },
    [how, files.map(({ name, type, bytes }) => ({ name, type, base64: bytes.toString('base64') }))] as const,
  );

function colourOf([r, g, b]: readonly number[]): 'red' | 'blue' | 'yellow' | null {
  if (b > 150 && r < 110) return 'blue';
  if (r > 150 && g < 110 && b < 110) return 'red';
  return r > 170 && g > 150 && b < 110 ? 'yellow' : null;
}

/** From the picture to the PDF; the flag must be on it the right way up, mirrored. */
async function printsRight(page: Page, info: TestInfo, name: string): Promise<void> {
  await noLettering(page);
  await openStation(page, 'Surface');
  await choose(page, 'surface-kind', /^Soft wood/);
  await typeInto(page, 'blank-width', '20 cm');
  await typeInto(page, 'blank-height', '14 cm');
  await settled(page);
  await openStation(page, 'Method');
  await page.getByTestId('take-and-go-on').click();
  await expect(answer(page)).toHaveText(/^Print one A4 page/);
  const [download] = await Promise.all([
    page.waitForEvent('download', { timeout: 60_000 }),
    page.getByTestId('make-pdf').click(),
  ]);
  const drawn = await drawPage(await savedTo(download, info.outputPath(`${name}.pdf`)), 60);
  const middles = { red: [0, 0, 0], blue: [0, 0, 0], yellow: [0, 0, 0] };
  for (let y = 0; y < drawn.heightPx; y++)
    for (let x = 0; x < drawn.widthPx; x++) {
      const colour = colourOf(drawn.pixel(x, y));
      if (!colour) continue;
      middles[colour][0] += x;
      middles[colour][1] += y;
      middles[colour][2]++;
    }
  const at = (colour: keyof typeof middles, axis: 0 | 1) => middles[colour][axis] / middles[colour][2];
  expect(middles.red[2]).toBeGreaterThan(5000);
  // Mirrored: red, on the left of the picture, lies on the right of the page.
  expect(at('red', 0)).toBeGreaterThan(at('blue', 0));
  expect(at('yellow', 1)).toBeLessThan(at('blue', 1));
}

test('a picture dropped anywhere begins a piece, named after its file, and prints right', async ({ page }, info) => {
  await page.goto('/pieces');
  await expect(page.getByTestId('new-piece')).toBeVisible();
  await bring(page, 'drop', [{ name: 'signal_box.png', type: 'image/png', bytes: await asPng() }]);
  await expect(page.getByLabel('Name of the piece')).toHaveValue('signal box', { timeout: 30_000 });
  await printsRight(page, info, 'dropped');
});

test('a HEIC picture, pasted, is kept as JPEG and prints right', async ({ page }, info) => {
  await beginPiece(page, 'Pasted');
  await bring(page, 'paste', [{ name: 'IMG_2041.heic', type: 'image/heic', bytes: HEIC }]);
  await expect(page.getByTestId('picture-preview')).toBeVisible({ timeout: 60_000 });
  await expect(page.getByTestId('notice')).toContainText('kept here as JPEG');
  await expect(page.getByText('900 × 600 pixels')).toBeVisible();
  await printsRight(page, info, 'heic');
});

test('a photo that a phone kept turned comes in upright and prints right', async ({ page }, info) => {
  await beginPiece(page, 'Turned');
  const file = info.outputPath('turned.jpg');
  writeFileSync(file, await turned());
  await choosePicture(page, file);
  await printsRight(page, info, 'turned');
});

test('several at once begin several pieces; what is none is named, and all can be taken back', async ({ page }) => {
  await page.goto('/pieces');
  await expect(page.getByTestId('new-piece')).toBeVisible();
  await bring(page, 'drop', [
    { name: 'one.png', type: 'image/png', bytes: await asPng() },
    { name: 'notes.txt', type: 'text/plain', bytes: Buffer.from('not a picture') },
    { name: 'two.heic', type: 'image/heic', bytes: HEIC },
  ]);
  await expect(page.getByTestId('notice')).toContainText('2 pieces begun. Left out: notes.txt.', { timeout: 60_000 });
  expect((await storedPieces(page)).map(({ name }) => name).sort()).toEqual(['one', 'two']);
  await page.getByRole('button', { name: 'Take them back' }).click();
  await expect.poll(async () => (await storedPieces(page)).length).toBe(0);
});

test('what came in together is asked about lettering together', async ({ page }) => {
  await page.goto('/pieces');
  await expect(page.getByTestId('new-piece')).toBeVisible();
  await bring(page, 'drop', [
    { name: 'one.png', type: 'image/png', bytes: await asPng() },
    { name: 'two.png', type: 'image/png', bytes: await asPng() },
  ]);
  await page.getByRole('button', { name: 'None has' }).click();
  await expect(page.getByTestId('lettering-once')).toBeHidden();
  const pictures = (await storedPieces(page)).map(({ picture }) => picture as { lettering: string | null });
  expect(pictures.map(({ lettering }) => lettering)).toEqual(['no', 'no']);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByTestId('lettering-once')).toBeVisible();
});

test('a photographed board is traced by one size; its knots are kept off a marked face', async ({ page }, info) => {
  test.setTimeout(180_000);
  await beginPiece(page, 'Old shelf');
  const picture = info.outputPath('flag.png');
  writeFileSync(picture, await asPng());
  await choosePicture(page, picture);
  await noLettering(page);
  await openStation(page, 'Surface');
  await choose(page, 'surface-kind', /^Soft wood/);
  const shot = boardPhoto(3, 'board', 10);
  const photo = info.outputPath('board.jpg');
  await sharp(Buffer.from(shot.photo.data.buffer), {
    raw: { width: shot.photo.width, height: shot.photo.height, channels: 4 },
  })
    .jpeg({ quality: 90 })
    .toFile(photo);
  await openPart(page, 'From a photo of it');
  await typeInto(page, 'trace-length', `${shot.longMm.toFixed(1)} mm`);
  await page.getByTestId('trace-photo').setInputFiles(photo);
  await expect(page.getByTestId('traced')).toContainText('A board with four corners', { timeout: 90_000 });
  await expect(page.getByTestId('traced-edge')).toBeVisible();
  await page.getByTestId('take-traced').click();
  await expect(page.getByTestId('placements')).toBeVisible({ timeout: 30_000 });
  await settled(page);
  const stored = async () =>
    (
      (await storedPieces(page)) as {
        surface: { widthMm: number; heightMm: number; face: { knots: { x: number; y: number }[]; turns: number } };
        sheet: { margins: { leftMm: number; topMm: number } };
      }[]
    )[0];
  const { surface } = await stored();
  expect(surface.widthMm).toBeCloseTo(shot.longMm, 0);
  expect(Math.abs(surface.heightMm / shot.shortMm - 1)).toBeLessThan(0.005);
  expect(surface.face.knots).toHaveLength(shot.knots.length);

  // A face marked right over a knot: the first proposal lies it elsewhere.
  await page.getByTestId('mark-face').click();
  const knot = surface.face.knots[0];
  for (const [side, at] of [
    ['width', 10],
    ['height', 12],
    ['x', Math.round(knot.x * 100) - 5],
    ['y', Math.round(knot.y * 100) - 6],
  ] as const) {
    await typeInto(page, `clear-1-${side}`, String(Math.max(0, at)));
    await settled(page);
  }
  const first = page.getByTestId('placements').getByRole('listitem').first();
  await expect(first).toHaveAttribute('data-marked', '0');
  await first.getByRole('button', { name: 'Lay it so' }).click();
  await settled(page);
  await expect(page.getByTestId('placements').getByRole('listitem').first()).toContainText(/^As it lies/);
  await page.reload();
  await openPart(page, 'From a photo of it');
  await expect(page.getByTestId('placements')).toBeVisible({ timeout: 30_000 });

  // Knots under the marked corner either way round: nothing on the picture reads, so it may land mirrored.
  const [whole] = (await storedPieces(page)) as { id: string; picture: { pictureId: string } }[];
  await storedRecord(page, 'pieces', whole.id, {
    picture: { keepClear: [{ x: 0.05, y: 0.05, width: 0.4, height: 0.4 }] },
    surface: { face: { knots: [0.25, 0.75].map((at) => ({ x: at, y: at, radius: 0.03 })) } },
  });
  await page.reload();
  await openPart(page, 'From a photo of it');
  await expect(first).toHaveAttribute('data-mirrored', 'true', { timeout: 30_000 });
  await expect(first).toContainText('the picture mirrored');
  await first.getByRole('button', { name: 'Lay it so' }).click();
  const pictureId = async () => ((await storedPieces(page)) as (typeof whole)[])[0].picture.pictureId;
  await expect.poll(pictureId, { timeout: 30_000 }).not.toBe(whole.picture.pictureId);
  await expect(first).toHaveAttribute('data-mirrored', 'false');
  expect(await mirroredBy(page, whole.picture.pictureId, await pictureId())).toBeLessThan(6);
  await page.getByRole('button', { name: /^Undo: / }).click();
  await expect.poll(pictureId).toBe(whole.picture.pictureId);
});

/** How far the second picture is off the first one mirrored, levels of 255 on the mean. */
const mirroredBy = (page: Page, one: string, other: string): Promise<number> =>
  page.evaluate(
    async (ids) => {
      const open = indexedDB.open('fobbet');
      const db = await new Promise<IDBDatabase>((resolve) => {
        open.onsuccess = () => resolve(open.result);
      });
      const small = async (id: string, flip: boolean) => {
        const get = db.transaction('pictures').objectStore('pictures').get(id);
        const { file } = await new Promise<{ file: Blob }>((resolve) => {
          get.onsuccess = () => resolve(get.result as { file: Blob });
        });
        const bitmap = await createImageBitmap(file);
        const context = new OffscreenCanvas(32, 32).getContext('2d')!;
        if (flip) context.setTransform(-1, 0, 0, 1, 32, 0);
        context.drawImage(bitmap, 0, 0, 32, 32);
        return context.getImageData(0, 0, 32, 32).data;
      };
      const [a, b] = [await small(ids[0], true), await small(ids[1], false)];
      db.close();
      return a.reduce((sum, level, at) => sum + Math.abs(level - b[at]), 0) / a.length;
    },
    [one, other],
  );

test('a photo of nothing is refused with its reason, and the blank stays', async ({ page }, info) => {
  await beginPiece(page, 'No shelf');
  await openStation(page, 'Surface');
  await openPart(page, 'From a photo of it');
  await typeInto(page, 'trace-length', '300 mm');
  const grey = info.outputPath('grey.png');
  await sharp({ create: { width: 800, height: 600, channels: 3, background: '#888' } })
    .png()
    .toFile(grey);
  await page.getByTestId('trace-photo').setInputFiles(grey);
  await expect(page.getByTestId('notice')).toContainText('Nothing stands out from the table', { timeout: 60_000 });
  expect((await storedPieces(page))[0]).toMatchObject({ surface: { widthMm: null, face: null } });
});
