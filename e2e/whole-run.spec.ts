import type { Page } from '@playwright/test';
import { CORNERS, turnedPhoto } from './support/pictures';
import {
  answer,
  beginPiece,
  choose,
  choosePicture,
  clockAhead,
  markDone,
  openStation,
  savedTo,
  settled,
  storedPieces,
  typeInto,
  openPart,
} from './support/page';
import { closestCorner, drawPage, findPrint, longestDarkLineMm, pageBoxMm } from './support/reading';
import { anotherPage, expect, test } from './support/test';

// One piece from an empty browser to sealed, from a 12-megapixel photo that lies on its side: three tests over one
// browser profile.
test.describe.configure({ mode: 'serial' });
let page: Page;
let photo: string;
test.beforeAll(async ({ browser }) => {
  photo = await turnedPhoto('twelve-megapixels', 4000, 3000);
  page = await anotherPage(browser);
});
test.afterAll(() => page.context().close());

test('from a photo that lies on its side to a printed sheet that is checked', async ({ browserName: _ }, info) => {
  await test.step('picture', async () => {
    await beginPiece(page, 'Signal box');
    await choosePicture(page, photo);
    await expect(page.getByText('4000 × 3000 pixels')).toBeVisible();
    await expect(answer(page)).toHaveText('Say whether there is lettering, or will be.');
    await page.getByRole('radio', { name: 'It has lettering, or will have' }).click();
    await choose(page, 'crop-ratio', 'As the object');
  });

  await test.step('surface, typed as people type it', async () => {
    await openStation(page, 'Surface');
    await page.getByTestId('pictured-soft-wood').click();
    await expect(page.getByTestId('surface-kind')).toHaveValue('soft-wood');
    await typeInto(page, 'blank-width', '8 1/2 in');
    await typeInto(page, 'blank-height', '17.5cm');
    await typeInto(page, 'blank-thickness', '18 mm');
    await expect(page.getByTestId('blank-width')).toHaveValue('21.59 cm');
    await typeInto(page, 'blank-width', 'quite wide');
    await expect(page.getByText('This does not read as a length.')).toBeVisible();
    await page.getByTestId('blank-width').press('Escape');
    await expect(page.getByTestId('blank-width')).toHaveValue('21.59 cm');
    for (const title of ['Sand along the grain', 'Dust off']) await page.getByRole('checkbox', { name: title }).check();
    await expect(answer(page)).toHaveText('The surface is ready for the print.');
  });

  await test.step('method: what can’t work is refused with its reason', async () => {
    await openStation(page, 'Method');
    await openPart(page, 'Refused, and why');
    await expect(page.getByTestId('refused')).toContainText('Water dissolves washable glue again');
    await choose(page, 'print-kind', /photo paper/);
    await expect(answer(page)).toHaveText('Nothing works with this print: change what it is made with.');
    await choose(page, 'print-kind', /^Inkjet on plain paper/);
    await expect(page.getByTestId('refused')).toContainText('it bleeds and fades');
    await choose(page, 'print-kind', /^Laser or toner copy on plain paper/);
    await page.getByRole('button', { name: 'Choose: Fluid gel or polymer medium, dry and rub' }).click();
    await expect(answer(page)).toContainText('Fluid gel');
  });

  await test.step('sheet: the PDF, read by another reader', async () => {
    await openStation(page, 'Sheet');
    await expect(answer(page)).toHaveText('Print one A4 page, landscape, mirrored, at 100 %.');
    await expect(page.getByTestId('specimen')).toHaveAttribute('data-side', 'printed');
    await page.keyboard.press('m');
    await expect(page.getByTestId('specimen')).toHaveAttribute('data-side', 'landing');
    await page.keyboard.press('m');
    await expect(page.getByTestId('picture-mirrored')).toBeVisible();
    const [download] = await Promise.all([page.waitForEvent('download'), page.getByTestId('make-pdf').click()]);
    expect(download.suggestedFilename()).toBe('signal-box-mirrored.pdf');
    const pdf = await savedTo(download, info.outputPath('sheet.pdf'));

    const box = pageBoxMm(pdf);
    expect(box.pages).toBe(1);
    expect(Math.abs(box.widthMm - 297)).toBeLessThan(0.1);
    expect(Math.abs(box.heightMm - 210)).toBeLessThan(0.1);
    const drawn = await drawPage(pdf);
    const print = findPrint(drawn);
    // The blank of 215.9 × 175 mm less 10 mm margins.
    expect(Math.abs(print.widthMm - 195.9)).toBeLessThanOrEqual(0.1);
    expect(Math.abs(print.heightMm - 155)).toBeLessThanOrEqual(0.1);
    expect(Math.abs(longestDarkLineMm(drawn, print) - 100)).toBeLessThanOrEqual(0.2);
    const inset = 12;
    const [left, right, top, bottom] = [
      print.xMm + inset,
      print.xMm + print.widthMm - inset,
      print.yMm + inset,
      print.yMm + print.heightMm - inset,
    ];
    expect(closestCorner(drawn.at(left, top), CORNERS)).toBe('topRight');
    expect(closestCorner(drawn.at(right, top), CORNERS)).toBe('topLeft');
    expect(closestCorner(drawn.at(left, bottom), CORNERS)).toBe('bottomRight');
    expect(closestCorner(drawn.at(right, bottom), CORNERS)).toBe('bottomLeft');

    await typeInto(page, 'bar-measured', '97');
    await expect(answer(page)).toHaveText('Print again: this page is not at 100 %.');
    await typeInto(page, 'bar-measured', '100 mm');
    await expect(answer(page)).toHaveText('The sheet is printed and checked.');
  });
});

test('laid, and the clock runs on through a reload and a closed tab', async () => {
  await test.step('lay', async () => {
    await openStation(page, 'Lay');
    await expect(answer(page)).toHaveText(/^Pour \d+ ml and lay within \d min\.$/);
    const before = await answer(page).textContent();
    await openPart(page, 'Change the coat');
    await typeInto(page, 'film', '400');
    await expect(answer(page)).not.toHaveText(before ?? '');
    await openPart(page, 'Because');
    await expect(page.getByText('wet film on each face (your figure)')).toBeVisible();
    await typeInto(page, 'film', '');
    await expect(answer(page)).toHaveText(before ?? '');
  });

  await test.step('cure: the clock runs on through a reload and a closed tab', async () => {
    await openStation(page, 'Cure');
    await typeInto(page, 'temperature', '18 °C');
    await typeInto(page, 'humidity', '60');
    await expect(answer(page)).toHaveText(/^Wait \d+ h/);
    await markDone(page, 'laid-now');
    await expect(answer(page)).toHaveText(/^Start rubbing .* after \d\d:\d\d, in \d+ h/);
    await settled(page);
    const times = await page.getByTestId('cure-times').textContent();
    await page.reload();
    await expect(page.getByTestId('cure-times')).toHaveText(times ?? '');
    const address = page.url();
    const second = await page.context().newPage();
    await page.close();
    await second.goto(address);
    await expect(second.getByTestId('cure-times')).toHaveText(times ?? '');
    await second.goto('/');
    await expect(second.getByText('Signal box').first()).toBeVisible();
    await clockAhead(second, 30);
    await expect(second.getByTestId('notice')).toContainText('Signal box: ready to rub since');
    await expect(answer(second)).toHaveText(/[Rr]ub, pass 1: Signal box\.$/);
    await second.getByTestId('notice').getByRole('button', { name: 'Open' }).click();
    page = second;
  });
});

test('rubbed, mended, sealed and kept', async () => {
  await test.step('rub, pass by pass', async () => {
    await expect(answer(page)).toHaveText(/^Rub the first of 3 passes/);
    for (const pass of [1, 2, 3]) {
      const button = page.getByRole('button', { name: `Pass ${pass} done` });
      await button.click();
      await settled(page);
      await expect(button).toHaveCount(0);
      if (pass === 3) break;
      // The next one waits for it to dry: nothing stands under the finger that a second tap would do.
      await expect(answer(page)).toBeFocused();
      await expect(page.getByTestId('pass-done-held')).toContainText('Ready');
      await clockAhead(page, 2);
    }
    await expect(answer(page)).toHaveText(/^Rubbed clear\. Let it dry until/);
    await settled(page);
  });

  await test.step('mend, seal, keep', async () => {
    await openStation(page, 'Mend');
    await expect(page.getByTestId('mended-held')).toContainText('Ready');
    await clockAhead(page, 12);
    await page.getByRole('checkbox', { name: 'Wet test for haze' }).check();
    await markDone(page, 'mended');
    await openStation(page, 'Seal');
    await expect(answer(page)).toHaveText(/^2 coats of water-based acrylic varnish, .* each, .* apart\.$/);
    await markDone(page, 'coat-on');
    await expect(answer(page)).toHaveText(/^Next coat/);
    await settled(page);
    await clockAhead(page, 4);
    await expect(answer(page)).toHaveText('Put coat 2 of 2 on now.');
    await markDone(page, 'coat-on');
    await expect(answer(page)).toHaveText(/^Sealed\. Light use .*, fully hard .*\.$/);
    await openStation(page, 'Keep');
    const fourStars = page.getByRole('radio', { name: '4 Stars' });
    await fourStars.dispatchEvent('click');
    await expect(fourStars).toBeChecked();
    await openPart(page, 'What it cost');
    await typeInto(page, 'price-print', '0.40');
    await typeInto(page, 'price-binder', '12');
    await typeInto(page, 'size-binder', '8 fl oz');
    await expect(page.getByTestId('cost')).toContainText('This piece');
    await expect(page.getByTestId('comparison')).toContainText('Wait before rubbing');
    await page.locator('input[type="file"]').setInputFiles(photo);
    await expect(page.getByTestId('result-photo')).toBeVisible({ timeout: 30_000 });
    await openPart(page, 'Care label');
    await expect(page.getByTestId('care-label')).toHaveValue(/sealed with water-based acrylic varnish/);
    await settled(page);
    for (const station of ['Picture', 'Surface', 'Method', 'Sheet', 'Lay', 'Cure', 'Rub', 'Mend', 'Seal', 'Keep']) {
      await expect(page.getByRole('link', { name: `${station}, done` })).toBeVisible();
    }
    const [stored] = await storedPieces(page);
    expect(stored).toMatchObject({ name: 'Signal box', version: 13, keep: { rating: 4 } });
  });
});
