import { expect, test } from '@playwright/test';
import { drawing } from './support/pictures';
import { openDemo } from './support/page';

test('the example’s half-rubbed board is read by photo, dry and then wet; a wrong photo is refused with its reason', async ({
  page,
}) => {
  await openDemo(page, '/piece/demo-departures-board/rub');
  await page.getByRole('button', { name: 'The example’s photo', exact: true }).click();
  const reading = page.getByTestId('inspect-reading');
  await expect(reading).toHaveAttribute('data-decision', 'areas', { timeout: 120_000 });
  await expect(reading).toContainText('Rub these areas again, and leave the rest.');
  await expect(reading).toContainText(/\d+ cm²\s*with paper left in it/);
  await expect(reading.getByRole('img', { name: /Photo of the piece with \d+ areas marked/ })).toBeVisible();
  await expect(reading.getByText(/from the left and .* from the top/).first()).toBeVisible();

  // The second photo, of the wetted board: some of the haze goes under the sealer.
  await page.getByRole('button', { name: 'The example’s photo, wetted' }).click();
  await expect(reading).toContainText('of haze that was gone when it was wet', { timeout: 120_000 });

  // Something else, and a black one: said, and what was read stays.
  const refused = async (name: string, body: string, sentence: RegExp) => {
    await page.getByTestId('inspect-dry').setInputFiles(await drawing(name, body));
    await expect(page.getByText(sentence)).toBeVisible({ timeout: 60_000 });
    await expect(reading).toBeVisible();
  };
  await refused('black', '<rect width="900" height="600" fill="#000"/>', /This photo is all but black/);
  await refused(
    'hand',
    '<rect width="900" height="600" fill="#b98"/><circle cx="400" cy="300" r="120" fill="#a76"/><path d="M0 0L900 420" stroke="#543" stroke-width="9"/>',
    /This piece was not found in the photo|This is not this piece/,
  );
});
