import { expect, test } from '@playwright/test';
import { DEMO_URL, openDemo, tourOf } from './support/page';

// That nothing goes against the policy, and nothing asks another host, every other journey watches (support/test.ts).
test('every page comes with its policy, and a script that nobody named does not run', async ({ page }) => {
  for (const path of tourOf('demo-departures-board')) {
    const answer = await page.request.get(`${DEMO_URL}${path}`);
    expect(answer.ok()).toBe(true);
    expect(answer.headers()['content-security-policy']).toContain("'strict-dynamic'");
  }
  await openDemo(page);
  const refused = page.waitForEvent('console', (message) => message.text().includes('Content Security Policy'));
  const ran = await page.evaluate(() => {
    const script = document.createElement('div');
    script.innerHTML = '<img src="x" onerror="window.ran = true">';
    document.body.append(script);
    return new Promise((resolve) => setTimeout(() => resolve('ran' in window), 500));
  });
  expect(ran).toBe(false);
  await refused;
});
