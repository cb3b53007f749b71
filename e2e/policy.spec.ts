import { expect, test } from '@playwright/test';
import { DEMO_URL, answer, openDemo, stands, tourOf } from './support/page';

test('the pages keep to their policy, and ask nothing of another host', async ({ page, context }) => {
  const against: string[] = [];
  const elsewhere: string[] = [];
  page.on('console', (message) => {
    if (message.text().includes('Content Security Policy')) against.push(`${page.url()} ${message.text()}`);
  });
  context.on('request', (request) => {
    const { protocol, host } = new URL(request.url());
    if (protocol.startsWith('http') && host !== new URL(DEMO_URL).host) elsewhere.push(request.url());
  });

  await openDemo(page);
  for (const path of tourOf('demo-departures-board')) {
    const response = await page.goto(`${DEMO_URL}${path}`);
    expect(response?.headers()['content-security-policy']).toContain("'strict-dynamic'");
    await stands(page);
    await page.waitForTimeout(300);
  }
  // Kernels, workers and a file: where a policy is in the way first.
  await page.goto(`${DEMO_URL}/piece/demo-viaduct/sheet`);
  const made = page.waitForEvent('download');
  await page.getByTestId('make-pdf').click();
  await made;
  await page.goto(`${DEMO_URL}/piece/demo-crest-bucket/cure`);
  await expect(answer(page)).not.toBeEmpty();
  await stands(page);
  await page.waitForTimeout(1000);
  expect(against).toEqual([]);
  expect(elsewhere).toEqual([]);

  // A script that nobody named does not run.
  const ran = await page.evaluate(() => {
    const script = document.createElement('div');
    script.innerHTML = '<img src="x" onerror="window.ran = true">';
    document.body.append(script);
    return new Promise((resolve) => setTimeout(() => resolve('ran' in window), 500));
  });
  expect(ran).toBe(false);
});
