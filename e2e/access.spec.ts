import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, test, type Page } from '@playwright/test';
import { STATIONS } from '../src/core/stations';
import { DEMO_URL, answer, openDemo, openStation } from './support/page';

const AXE = readFileSync(join(process.cwd(), 'node_modules', 'axe-core', 'axe.min.js'), 'utf8');

async function violations(page: Page): Promise<string[]> {
  // Through the debugger: the page's own policy lets no script in that its server did not name.
  await page.evaluate(AXE);
  return page.evaluate(async () => {
    const { axe } = window as unknown as {
      axe: {
        run: (
          options: object,
        ) => Promise<{ violations: { id: string; nodes: { target: string[]; failureSummary: string }[] }[] }>;
      };
    };
    const found = await axe.run({ runOnly: ['wcag2a', 'wcag2aa', 'wcag21aa'] });
    return found.violations.flatMap(({ id, nodes }) =>
      nodes.map((node) => `${id}: ${node.target.join(' ')} ${node.failureSummary}`),
    );
  });
}

for (const scheme of ['light', 'dark'] as const) {
  test(`no barrier at any place or station, ${scheme}`, async ({ page }) => {
    test.setTimeout(240_000);
    await page.emulateMedia({ colorScheme: scheme, reducedMotion: 'reduce' });
    await openDemo(page);
    const paths = [
      '/',
      '/pieces',
      '/ahead',
      '/bench',
      '/stash',
      '/faults?piece=demo-fern-marker',
      '/kept',
      '/piece/demo-crest-bucket/surface',
      '/piece/demo-route-map/picture',
      '/piece/demo-ticket-drawers/method',
      ...STATIONS.map((station) => `/piece/demo-departures-board/${station}`),
      '/piece/demo-fern-marker/seal',
      '/piece/demo-viaduct/sheet',
    ];
    const found: string[] = [];
    for (const path of paths) {
      await page.goto(`${DEMO_URL}${path}`);
      await page.getByRole('main').and(page.locator(':not([aria-busy])')).waitFor();
      found.push(...(await violations(page)).map((one) => `${path} ${one}`));
    }
    expect(found).toEqual([]);
  });
}

test('a piece is gone through by keyboard alone, with the focus seen', async ({ page }) => {
  await openDemo(page);
  await page.keyboard.press('Tab');
  const outline = await page.evaluate(() => getComputedStyle(document.activeElement as Element).outlineStyle);
  expect(outline).not.toBe('none');
  await page.goto(`${DEMO_URL}/piece/demo-viaduct/picture`);
  await expect(answer(page)).toBeVisible();
  for (const [key, station] of [
    ['3', 'method'],
    ['0', 'keep'],
    ['4', 'sheet'],
  ]) {
    await page.keyboard.press(key);
    await expect(page.getByRole('navigation', { name: 'Stations' }).locator('[aria-current]')).toHaveAttribute(
      'href',
      new RegExp(`/${station}$`),
    );
  }
  await expect(page.getByTestId('specimen')).toHaveAttribute('data-side', 'printed');
  await page.keyboard.press('m');
  await expect(page.getByTestId('specimen')).toHaveAttribute('data-side', 'landing');
  await page.keyboard.press('m');
  await expect(answer(page)).toContainText('Print one A4 page');
  const size = page.getByText(/^print: the blank of/);
  await expect(size).toContainText('25.2 × 19.2 cm');
  await page.keyboard.press('u');
  await expect(size).toContainText('9 15/16 × 7 9/16 in');
  await page.keyboard.press('u');
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible();
  await page.keyboard.press('Escape');
  await page.keyboard.press('n');
  await expect(answer(page)).toHaveText('Choose the picture you want to move.');
});

test('the demo shows eight pieces in different stages and shapes, true to each other’s size', async ({ page }) => {
  await openDemo(page);
  await expect(answer(page)).toHaveText(/^(Hands free until .+\. Then .+|.+: .+)\.$/, { timeout: 20_000 });
  await expect(page.getByTestId('hands-step').first()).toBeVisible();
  await expect(page.getByRole('complementary')).toContainText('Departures board');
  await page.goto(`${DEMO_URL}/pieces`);
  const width = async (name: string) =>
    (await page.getByRole('img', { name: `${name} at its size` }).boundingBox())?.width ?? 0;
  expect((await width('Departures board')) / (await width('Fern platform marker'))).toBeCloseTo(360 / 150, 1);
  await page.getByLabel('Find a piece').fill('fern');
  await expect(page.getByRole('list').getByRole('link')).toHaveCount(1);
  await page.goto(`${DEMO_URL}/piece/demo-departures-board/cure`);
  await page.getByTestId('clock-hour').click();
  await expect(answer(page)).toContainText(/Start rubbing/);
});

test('stations opened in any order say what is missing and where', async ({ page }) => {
  await page.goto('/');
  await page.getByTestId('new-piece').click();
  for (const [station, lacks] of [
    ['Rub', 'a picture – Picture'],
    ['Cure', 'the kind of surface – Surface'],
    ['Sheet', 'the blank’s width and height – Surface'],
  ]) {
    await openStation(page, station);
    await expect(page.getByTestId('missing')).toContainText(lacks);
  }
  await page.getByTestId('missing').getByRole('link', { name: 'Surface' }).click();
  await expect(answer(page)).toHaveText('Say what the picture goes on.');
});
