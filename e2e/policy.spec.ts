import { request } from 'node:http';
import { expect, test } from '@playwright/test';
import { DEMO_URL, openDemo, tourOf } from './support/page';
import { ownServer } from './support/server';

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

test('what is asked by another method than a page’s is refused, and served by nobody', async () => {
  const asked = (method: string, path: string): Promise<number | undefined> =>
    new Promise((resolve, reject) => {
      const sent = request(`${DEMO_URL}${path}`, { method }, (response) => {
        response.resume();
        response.on('end', () => resolve(response.statusCode));
      });
      sent.on('error', reject);
      sent.end();
    });
  for (const path of ['/', '/clock', '/sw.js', '/piece/x/rub'])
    for (const method of ['TRACE', 'PUT', 'POST', 'OPTIONS'])
      expect([method, path, await asked(method, path)]).toEqual([method, path, 405]);
  expect(await asked('TRACE', '/standins/copy-shop/quote')).toBe(405);
  expect(await asked('POST', '/standins/copy-shop/quote')).toBe(422);
  expect(await asked('GET', '/clock')).toBe(200);
});

test('told to end, the server ends though a stream is open', async () => {
  const server = await ownServer(3421);
  const stream = await fetch(`${server.url}/standins/room-sensor`);
  expect(stream.ok).toBe(true);
  const from = Date.now();
  await server.stop('SIGTERM');
  await stream.body?.cancel().catch(() => undefined);
  // Two seconds on a quiet machine.
  expect(Date.now() - from).toBeLessThan(10_000);
});
