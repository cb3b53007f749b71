import { DEMO_URL, openDemo } from './support/page';
import { expect, test } from './support/test';

test('from a station to the likely cause: signs, the record, a check; what is pressed changes the plan and is noted', async ({
  page,
}) => {
  await openDemo(page, '/piece/demo-fern-marker/seal');
  await page.getByTestId('to-faults').click();
  await expect(page.getByTestId('answer')).toHaveText('What do you see on it?');
  await page.getByTestId('sign-veil').click();
  const first = page.getByTestId('fault-cause').first();
  await expect(first).toHaveAttribute('data-cause', 'paper-left');
  await expect(page.getByTestId('answer')).toContainText('Most likely: paper is left in it');

  // A check that speaks against it changes the order at once, and can be taken back.
  await page.getByTestId('fault-check').getByRole('button', { name: 'It stays' }).click();
  await expect(first).not.toHaveAttribute('data-cause', 'paper-left');
  await page.getByRole('button', { name: 'Take it back' }).click();
  await expect(first).toHaveAttribute('data-cause', 'paper-left');

  // Toner can't bleed: ruled out, with why.
  await page.getByTestId('sign-bled').click();
  await expect(page.getByText(/Inkjet ink ran: The print is toner/)).toBeVisible();
  await page.getByTestId('sign-bled').click();

  await first.getByRole('listitem').filter({ hasText: 'Seal it with gloss' }).getByRole('button').click();
  await expect(page.getByText(/In the plan of Fern platform marker: Seal it with gloss/)).toBeVisible();
  await page.goto(`${DEMO_URL}/piece/demo-fern-marker/keep`);
  await expect(page.getByTestId('fault-notes')).toContainText('Paper is left in it');
  await expect(page.getByTestId('fault-notes')).toContainText('Seal it with gloss');
  await page.goto(`${DEMO_URL}/piece/demo-fern-marker/seal`);
  await expect(page.getByText('Gloss', { exact: false }).first()).toBeVisible();

  // What was learned goes to a piece that is still to be laid.
  await page.goto(`${DEMO_URL}/faults?piece=demo-fern-marker`);
  await page.getByTestId('sign-pale').click();
  const next = page.getByTestId('fault-cause').getByRole('button', { name: /^On / }).first();
  const name = ((await next.textContent()) ?? '').replace(/^On /, '');
  await next.click();
  await expect(page.getByText(new RegExp(`In the plan of ${name}`))).toBeVisible();
});
