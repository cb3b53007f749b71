import { writeFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import sharp from 'sharp';
import { answer, beginPiece, choosePicture, settled, storedPieces } from './support/page';
import { turnedPhoto } from './support/pictures';
import { expect, test } from './support/test';

/** Which of two things is shown first, watched from within the page: the first can be gone before a test looks. */
const seenInOrder = (page: Page, testIds: string[]): Promise<string[]> =>
  page.evaluate(
    (ids) =>
      new Promise<string[]>((resolve) => {
        const seen: string[] = [];
        new MutationObserver((_, observer) => {
          for (const id of ids)
            if (!seen.includes(id) && document.querySelector(`[data-testid="${id}"]`)) seen.push(id);
          if (seen.includes(ids[ids.length - 1])) {
            observer.disconnect();
            resolve(seen);
          }
        }).observe(document.body, { childList: true, subtree: true });
      }),
    testIds,
  );

test('a 24-megapixel photo: a first preview comes before the rest, and the page can be used meanwhile', async ({
  page,
}) => {
  const photo = await turnedPhoto('twenty-four-megapixels', 4000, 6000);
  await beginPiece(page, 'Goods shed');
  const seen = seenInOrder(page, ['first-preview', 'picture-preview']);
  await page.locator('input[type="file"]').first().setInputFiles(photo);
  const title = page.getByLabel('Name of the piece');
  await title.fill('Goods shed, east');
  await title.press('Enter');
  expect(await seen).toEqual(['first-preview', 'picture-preview']);
  await settled(page);
  await expect(page.getByText('4000 × 6000 pixels')).toBeVisible();
  expect((await storedPieces(page)).map(({ name }) => name)).toEqual(['Goods shed, east']);
});

/** A PNG whose header claims a size: that alone must be enough to refuse it. */
async function claimingSize(width: number, height: number): Promise<Buffer> {
  const small = await sharp({ create: { width: 4, height: 4, channels: 3, background: '#fff' } })
    .png()
    .toBuffer();
  small.writeUInt32BE(width, 16);
  small.writeUInt32BE(height, 20);
  return small;
}

test('what is no picture is refused with a sentence, and the picture stays', async ({ page }, info) => {
  const file = (name: string, content: Buffer) => {
    const path = info.outputPath(name);
    writeFileSync(path, content);
    return path;
  };
  const whole = await sharp({ create: { width: 900, height: 600, channels: 3, background: '#7a5' } })
    .jpeg()
    .toBuffer();
  await beginPiece(page, 'Water tower');
  await choosePicture(page, file('good.jpg', whole));
  const before = await storedPieces(page);
  const cases: [string, RegExp][] = [
    [
      file('drawing.gif', Buffer.from('R0lGODlhAQABAIAAAP///wAAACH5BAEAAAAALAAAAAABAAEAAAICRAEAOw==', 'base64')),
      /not a JPEG, PNG, WebP, HEIC or AVIF picture/,
    ],
    [file('renamed.png', Buffer.from('%PDF-1.7 not a picture at all')), /not a JPEG, PNG, WebP, HEIC or AVIF picture/],
    [file('cut.jpg', whole.subarray(0, Math.floor(whole.length / 2))), /damaged or cut short/],
    [file('empty.jpg', Buffer.alloc(0)), /file is empty/],
    [
      file('heavy.jpg', Buffer.concat([whole, Buffer.alloc(65 * 1024 * 1024)])),
      /This file has 65 MB; up to 64 MB can be taken/,
    ],
    [file('wide.png', await claimingSize(12_001, 10_000)), /has 120 megapixels; up to 120/],
  ];
  for (const [path, sentence] of cases) {
    await page.locator('input[type="file"]').first().setInputFiles(path);
    await expect(page.getByTestId('notice')).toHaveText(sentence, { timeout: 30_000 });
    await page.getByTestId('notice').getByRole('button', { name: 'Close' }).click();
    await expect(page.getByTestId('notice')).toHaveCount(0);
  }
  expect(await storedPieces(page)).toEqual(before);
  await expect(answer(page)).toHaveText('Say whether there is lettering, or will be.');
});
