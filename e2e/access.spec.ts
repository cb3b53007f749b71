import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { execFileSync } from 'node:child_process';
import type { Locator, Page } from '@playwright/test';
import { STATIONS } from '../src/core/stations';
import {
  DEMO_URL,
  PLACES,
  answer,
  fits,
  openDemo,
  openPart,
  openStation,
  settled,
  stands,
  storedRecord,
} from './support/page';
import { tabTo } from './support/tab-to';
import { pageBoxMm } from './support/reading';
import { expect, test } from './support/test';

const AXE = readFileSync(join(process.cwd(), 'node_modules', 'axe-core', 'axe.min.js'), 'utf8');

const RULES = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'];
/** All that can differ where only the colours do. */
const RULES_OF_COLOUR = ['color-contrast', 'link-in-text-block'];

async function violations(page: Page, rules: readonly string[]): Promise<string[]> {
  // Through the debugger: the page's own policy lets no script in that its server did not name.
  if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(AXE);
  return page.evaluate(async (rules) => {
    const { axe } = window as unknown as {
      axe: {
        run: (
          options: object,
        ) => Promise<{ violations: { id: string; nodes: { target: string[]; failureSummary: string }[] }[] }>;
      };
    };
    const found = await axe.run({ runOnly: rules });
    return found.violations.flatMap(({ id, nodes }) =>
      nodes.map((node) => `${id}: ${node.target.join(' ')} ${node.failureSummary}`),
    );
  }, rules);
}

const PAGES = [
  ...PLACES,
  '/pieces/set?id=labels',
  '/piece/demo-crest-bucket/surface',
  '/piece/demo-route-map/picture',
  '/piece/demo-ticket-drawers/method',
  ...STATIONS.map((station) => `/piece/demo-departures-board/${station}`),
  '/piece/demo-fern-marker/seal',
  '/piece/demo-viaduct/sheet',
];

/** What stands over a page, each opened as a person opens it. */
const OVER: readonly { name: string; path: string; open: (page: Page) => Promise<void> }[] = [
  {
    name: 'keys and reading',
    path: '/',
    open: (page) => page.getByRole('button', { name: 'Keys and reading' }).click(),
  },
  { name: 'due date', path: '/piece/demo-viaduct/sheet', open: (page) => page.getByTestId('due-date').click() },
  {
    name: 'files of a piece',
    path: '/piece/demo-viaduct/sheet',
    open: (page) => page.getByRole('button', { name: 'Files of this piece' }).click(),
  },
  {
    name: 'a set',
    path: '/piece/demo-viaduct/sheet',
    open: async (page) => {
      await page.getByRole('button', { name: 'Files of this piece' }).click();
      await page.getByRole('menuitem', { name: /A set like this/ }).click();
      await page.getByRole('dialog').waitFor();
    },
  },
  { name: 'an item', path: '/stash', open: (page) => page.getByTestId('new-item').click() },
  {
    name: 'a table of items',
    path: '/stash',
    open: (page) =>
      page.getByTestId('csv-in').setInputFiles({
        name: 'stash.csv',
        mimeType: 'text/csv',
        buffer: Buffer.from('kind,name,size,unit\nbinder,Gel,237,ml\nbinder,Odd,many,ml'),
      }),
  },
  {
    name: 'a copy',
    path: '/kept',
    open: (page) =>
      page
        .getByTestId('copy-in')
        .setInputFiles({ name: 'letter.zip', mimeType: 'application/zip', buffer: Buffer.from('dear friend') }),
  },
];

const [DESK, PHONE, NARROWEST] = [
  { width: 1280, height: 800 },
  { width: 390, height: 844 },
  // What is wider there has to be pushed about to be read.
  { width: 320, height: 640 },
];

/** What each page is looked at by: colours depend on the scheme alone, the rest on the room there is. */
const LOOKS = [
  { size: PHONE, colorScheme: 'light', rules: RULES },
  { size: DESK, colorScheme: 'light', rules: RULES },
  { size: DESK, colorScheme: 'dark', rules: RULES_OF_COLOUR },
] as const;

test('no barrier at any place, station or dialog, every part open: light and dark, on a desk and a phone', async ({
  page,
}) => {
  test.setTimeout(900_000);
  await openDemo(page);
  await storedRecord(page, 'pieces', 'demo-tea-canisters', { set: { id: 'labels', name: 'Labels', at: 0 } });
  const found: string[] = [];
  const look = async (where: string) => {
    for (const { size, colorScheme, rules } of LOOKS) {
      await page.setViewportSize(size);
      await page.emulateMedia({ colorScheme, reducedMotion: 'reduce' });
      const those = await violations(page, rules);
      found.push(...those.map((one) => `${where}, ${size.width} px, ${colorScheme}: ${one}`));
    }
  };
  for (const path of PAGES) {
    await page.setViewportSize(NARROWEST);
    await page.goto(`${DEMO_URL}${path}`);
    await stands(page);
    await page.evaluate(() =>
      document.querySelectorAll<HTMLDetailsElement>('details[data-part]').forEach((part) => (part.open = true)),
    );
    if (!(await fits(page))) found.push(`${path}: wider than a screen of 320 px`);
    await look(path);
  }
  for (const { name, path, open } of OVER) {
    await page.goto(`${DEMO_URL}${path}`);
    await stands(page);
    await open(page);
    await page.locator('[role="dialog"], [role="menu"]').first().waitFor();
    await look(name);
  }
  expect(found).toEqual([]);
});

test('what is chosen differs in forced colours', async ({ page }) => {
  await page.setViewportSize({ width: 320, height: 640 });
  await openDemo(page);
  await page.emulateMedia({ forcedColors: 'active' });
  await page.goto(`${DEMO_URL}/piece/demo-viaduct/sheet`);
  const ways = page.getByRole('radiogroup', { name: 'Way round' }).getByRole('radio');
  await expect(ways.first()).toBeVisible();
  const grounds = await ways.evaluateAll((radios) =>
    radios.map((radio) => ({
      taken: (radio as HTMLInputElement).checked,
      ground: getComputedStyle(radio.parentElement ?? radio).backgroundColor,
    })),
  );
  const taken = grounds.find((one) => one.taken);
  expect(taken).toBeDefined();
  for (const one of grounds) if (!one.taken) expect(one.ground).not.toBe(taken?.ground);
});

test('the first piece by keyboard alone, from the picture to its PDF, in sixty steps of Tab', async ({ page }) => {
  await page.goto('/');
  let steps = 0;
  const reach = async (target: Locator) => {
    await target.waitFor();
    await expect
      .poll(() => page.evaluate(() => document.querySelector('main')?.contains(document.activeElement) ?? false), {
        timeout: 10_000,
      })
      .toBe(true)
      .catch(() => undefined);
    steps += await tabTo(page, target);
  };
  const chooser = page.waitForEvent('filechooser');
  await reach(page.getByRole('button', { name: 'Begin with a picture' }));
  await page.keyboard.press('Enter');
  await (await chooser).setFiles(join(process.cwd(), 'public', 'demo', 'viaduct-at-dusk.jpg'));
  await expect(page).toHaveURL(/\/picture$/, { timeout: 30_000 });
  const answers = page.getByRole('radiogroup', { name: /^Is there lettering/ }).getByRole('radio');
  await reach(answers.first());
  await expect(page.getByText('arrow keys choose').first()).toBeVisible();
  await reach(page.getByRole('radio', { name: 'None' }));
  await expect(page.getByRole('radio', { name: 'None' })).toBeChecked();
  await settled(page);
  await reach(page.getByTestId('next-station'));
  await page.keyboard.press('Enter');
  await expect(answer(page)).toHaveText('Say what the picture goes on.');
  await expect(answer(page)).toBeFocused();
  await expect(page).toHaveTitle(/^Surface – viaduct-at-dusk – Fobbet$/);
  await reach(page.getByTestId('surface-kind'));
  await page.keyboard.type('Soft');
  await expect(page.getByTestId('surface-kind')).toHaveValue('soft-wood');
  await reach(page.getByTestId('blank-width'));
  await page.keyboard.type('30 cm');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('blank-height')).toBeFocused();
  await page.keyboard.type('20 cm');
  await page.keyboard.press('Enter');
  await settled(page);
  await reach(page.getByTestId('next-station'));
  await page.keyboard.press('Enter');
  await reach(page.getByTestId('printer-laser'));
  await page.keyboard.press('Enter');
  await expect(answer(page)).toHaveText(/^Best here/);
  await reach(page.getByTestId('take-and-go-on'));
  await page.keyboard.press('Enter');
  const download = page.waitForEvent('download', { timeout: 60_000 });
  await reach(page.getByTestId('make-pdf'));
  await page.keyboard.press('Enter');
  expect((await download).suggestedFilename()).toMatch(/\.pdf$/);
  expect(steps).toBeLessThanOrEqual(60);
});

test('what is read aloud: one heading for each station, its answer live, the drawing in words', async ({ page }) => {
  await openDemo(page, '/piece/demo-viaduct/lay');
  const main = page.getByRole('main');
  await expect(main.getByRole('heading', { level: 1 })).toHaveText(['Viaduct at dusk: Lay']);
  await expect(main.getByRole('heading', { level: 2 }).first()).toHaveText(/^Pour .+ and lay within \d+ min\.$/);
  const words = page.getByTestId('in-words').getByRole('listitem');
  await expect(words.first()).toHaveText(/^The object, .+: .+ wide, .+ high\.$/);
  await expect(words.filter({ hasText: /^The print:/ })).toHaveCount(1);
  await expect(words.filter({ hasText: /strokes outwards: / })).not.toHaveCount(0);
  await expect(
    page.getByRole('navigation', { name: 'Stations' }).getByRole('link', { name: /^Lay, / }),
  ).toHaveAttribute('aria-current', 'step');
});

test('single keys leave what has the focus alone, can be changed, and switched off', async ({ page }) => {
  await openDemo(page, '/piece/demo-viaduct/surface');
  await page.getByTestId('surface-kind').focus();
  await page.keyboard.press('b');
  await page.getByTestId('next-station').focus();
  await page.keyboard.press('n');
  await expect(page).toHaveURL(/\/piece\/demo-viaduct\/surface$/);
  await page.keyboard.press('Control+z').catch(() => undefined);
  await page.getByRole('button', { name: 'Keys and reading' }).click();
  await page.getByTestId('key-bench').fill('w');
  await page.getByTestId('key-units').fill('w');
  await expect(page.getByRole('alert')).toContainText('“w” is taken');
  await page.keyboard.press('Escape');
  await page.goto(`${DEMO_URL}/pieces`);
  await stands(page);
  await page.keyboard.press('b');
  await expect(page).toHaveURL(/\/pieces$/);
  await page.keyboard.press('w');
  await expect(page).toHaveURL(/\/bench$/);
  await page.goto(`${DEMO_URL}/pieces`);
  await page.getByRole('button', { name: 'Keys and reading' }).click();
  await page.getByTestId('keys-on').click();
  await expect(page.getByTestId('keys-on')).not.toBeChecked();
  await page.keyboard.press('Escape');
  await page.goto(`${DEMO_URL}/stash`);
  await stands(page);
  await page.keyboard.press('w');
  await page.keyboard.press('?');
  await expect(page).toHaveURL(/\/stash$/);
  await expect(page.getByRole('dialog')).toHaveCount(0);
});

test('the help is searched over words, workings and cautions, and prints as a booklet', async ({ page }, info) => {
  await openDemo(page, '/piece/demo-departures-board/cure');
  await page.getByTestId('how').click();
  await expect(page.locator('#working-cure')).toBeInViewport();
  await page.getByTestId('help-search').fill('haze');
  await expect(page.getByTestId('topic').first()).toContainText('haze');
  await expect(answer(page)).toHaveText(/^\d+ places speak of “haze”\.$/);
  await page.getByTestId('help-search').fill('zeppelin');
  await expect(answer(page)).toHaveText('Nothing here speaks of “zeppelin”.');
  await page.getByTestId('help-search').fill('');
  const file = info.outputPath('booklet.pdf');
  await page.pdf({ path: file, preferCSSPageSize: true });
  const { pages, widthMm } = pageBoxMm(file);
  expect(pages).toBeGreaterThan(4);
  expect(widthMm).toBeCloseTo(148, 0);
  expect(execFileSync('pdftotext', [file, '-'], { encoding: 'utf8' })).toContain('Open time');
});

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
  await openPart(page, 'Because');
  const size = page.getByText(/^print: the object of/);
  await expect(size).toContainText('25.2 × 19.2 cm');
  await page.keyboard.press('u');
  await expect(size).toContainText('9 15/16 × 7 9/16 in');
  await page.keyboard.press('u');
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keys and reading' })).toBeVisible();
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
  await page.getByTestId('now-reading').click();
  await page.getByTestId('clock-hour').click();
  await expect(answer(page)).toContainText(/Start rubbing/);
});

test('a key finds pieces from every place', async ({ page }) => {
  await openDemo(page);
  await page.goto(`${DEMO_URL}/stash`);
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  await page.keyboard.press('/');
  await expect(page.getByLabel('Find a piece')).toBeFocused();
  await page.keyboard.type('fern');
  await expect(page.getByTestId('shelf-piece')).toHaveCount(1);
});

test('stations opened in any order say what is missing and where', async ({ page }) => {
  await page.goto('/');
  await page.getByTestId('new-piece').click();
  for (const [station, lacks] of [
    ['Rub', 'a picture – Picture'],
    ['Cure', 'the kind of surface – Surface'],
    ['Sheet', 'width and height of the object – Surface'],
  ]) {
    await openStation(page, station);
    await expect(page.getByTestId('missing')).toContainText(lacks);
  }
  await page.getByTestId('missing').getByRole('link', { name: 'Surface' }).click();
  await expect(answer(page)).toHaveText('Say what the picture goes on.');
});
