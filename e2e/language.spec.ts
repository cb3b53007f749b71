import { execFileSync } from 'node:child_process';
import type { Page } from '@playwright/test';
import { STATIONS } from '../src/core/stations';
import { PLACES, fits, stands } from './support/page';
import { ownServer } from './support/server';
import { expect, test } from './support/test';

// A language that nobody speaks: every letter of every message is another one, and each is a third longer. Where a
// plain letter is seen, it stands outside the catalogue; where a mark is missing, something is cut off.

const PIECES = ['departures-board', 'viaduct', 'fern-marker', 'ticket-drawers'];
const PAGES = [
  ...PLACES,
  ...STATIONS.map((station, index) => `/piece/demo-${PIECES[index % PIECES.length]}/${station}`),
  '/piece/demo-departures-board/sheet',
  '/piece/demo-fern-marker/seal',
  '/piece/demo-viaduct/method',
];

/** What is no message: what the example's people typed, signs of units, names of papers and of files. */
const NAMES = [
  ...['Bench cushions', 'Crest bucket', 'Departures board', 'Fern platform marker', 'Route map', 'Tea canister labels'],
  ...['Ticket-desk drawers', 'Viaduct at dusk', 'Wrenfold Halt', 'Quillet Lane copies', 'Fobbet', 'Signal box'],
  ...['Fluid gel, gloss', 'Heavy gel, matte', 'Opaque medium', 'Acrylic varnish, satin', 'Chalk-type paint, bone'],
  ...['Plain copy paper, 80 g/m²', 'Cedar slats, 424 × 43 mm', 'Old kitchen oven, parish hall', 'Foam brush, 50 mm'],
  ...['departures-board.jpg', 'cushion.jpg', 'DEPARTURES', 'ASSAM', 'WREN', 'TICKETS', 'HALT'],
];
const SHORT = [
  'mm|cm|ml|min|in|ft|oz|fl|sq|mil|ppi|dpi|MP|kB|MB|GB|kPa|RGB|PDF|PNG|SVG|CSV|ZIP|ICS|UV|USB|csv|zip|ics|fobbet',
  'svg|pdf|jpg|png|jpeg|heic|Letter|Legal|Tabloid|AM|PM|Esc|Ctrl|Shift|Alt|Tab|Space|Enter|pH',
];
const SIGNS = new RegExp(`\\b(${SHORT.join('|')})\\b|µm|m²|cm²|°[CF]|L\\*|C\\*`, 'g');

const WIDE = { width: 1280, height: 800 };
const NARROW = { width: 390, height: 844 };

interface Found {
  plain: string[];
  cut: string[];
}

/** Opens every part, then reads the page: its texts and names, and whatever does not fit its box. */
async function readPage(page: Page): Promise<Found> {
  await stands(page);
  await page.evaluate(() =>
    document.querySelectorAll('details').forEach((part) => {
      part.open = true;
    }),
  );
  await page.waitForTimeout(250);
  await fits(page);
  return page.evaluate(() => {
    const texts: string[] = [];
    const walk = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    while (walk.nextNode()) {
      const { parentElement: holder, textContent } = walk.currentNode;
      // What the person typed, and data that only stands beside it.
      if (
        !holder ||
        !textContent ||
        holder.closest('script, style, noscript, textarea, [data-typed], [translate="no"]')
      )
        continue;
      texts.push(textContent);
    }
    for (const name of ['aria-label', 'title', 'placeholder', 'alt'])
      for (const held of document.querySelectorAll(`[${name}]`)) texts.push(held.getAttribute(name) ?? '');
    const cut: string[] = [];
    for (const box of document.querySelectorAll<HTMLElement>('main *, header *')) {
      const { overflowX, textOverflow } = getComputedStyle(box);
      const isShort = box.scrollWidth > box.clientWidth + 1 && box.clientWidth > 0;
      if (!isShort || box.children.length > 0 || !box.textContent?.trim()) continue;
      if (overflowX === 'hidden' && textOverflow !== 'ellipsis' && box.clientWidth > 1)
        cut.push(box.textContent.slice(0, 80));
    }
    const screen = document.documentElement;
    if (screen.scrollWidth > innerWidth) cut.push(`the page itself: ${screen.scrollWidth} of ${innerWidth} px`);
    return { plain: texts, cut };
  });
}

function plainWords(text: string, own: readonly string[]): boolean {
  const bare = [...NAMES, ...own]
    .reduce((rest, name) => rest.replaceAll(name, ''), text)
    // A name that is too long for the edge of a sheet.
    .replace(/[A-Za-z][A-Za-z ]*…/g, '')
    .replace(SIGNS, '');
  return /[A-Za-z]{2}/.test(bare);
}

/** Days and months as the language writes them. */
const datesOf = (tag: string): string[] =>
  Array.from({ length: 366 }, (_, day) => new Date(2026, 0, 1 + day)).flatMap((date) =>
    (['long', 'short', 'narrow'] as const).flatMap((width) => [
      date.toLocaleDateString(tag, { weekday: width }),
      date.toLocaleDateString(tag, { month: width }),
    ]),
  );

test('no message is a piece of a sentence, and none is empty', () => {
  const printed = execFileSync(process.execPath, ['scripts/words.mjs'], { encoding: 'utf8', maxBuffer: 1e8 });
  const messages = (JSON.parse(printed) as { message: string }[]).map(({ message }) => message);
  expect(messages.length).toBeGreaterThan(2000);
  expect(messages.filter((message) => /^[\s,;.:)]|[\s,]$/.test(message))).toEqual([]);
});

for (const { tag, narrowToo } of [
  { tag: 'de-x-long', narrowToo: true },
  { tag: 'he-x-long', narrowToo: false },
]) {
  test(`in a made-up language nothing stands outside the catalogue and nothing is cut off: ${tag}`, async ({
    page,
  }) => {
    test.setTimeout(400_000);
    const joins = (['conjunction', 'disjunction'] as const).map((type) =>
      new Intl.ListFormat(tag, { type }).format(['', '']).trim(),
    );
    const dates = [...new Set([...datesOf(tag), ...joins])]
      .filter((name) => /[A-Za-z]{2}/.test(name))
      .sort((a, b) => b.length - a.length);
    const server = await ownServer(3421, tag);
    try {
      const sizes = [WIDE, ...(narrowToo ? [NARROW] : [])];
      await page.setViewportSize(WIDE);
      await page.emulateMedia({ reducedMotion: 'reduce' });
      await page.goto(server.url);
      await expect(page.getByText('Departures board').first()).toBeVisible({ timeout: 60_000 });
      await expect(page.locator('html')).toHaveAttribute('dir', tag.startsWith('he') ? 'rtl' : 'ltr');
      const outside: string[] = [];
      const cut: string[] = [];
      const told = async (what: string) => {
        for (const size of sizes) {
          await page.setViewportSize(size);
          const found = await readPage(page);
          const where = `${what}, ${size.width} px`;
          outside.push(...found.plain.filter((text) => plainWords(text, dates)).map((text) => `${where}: ${text}`));
          cut.push(...found.cut.map((text) => `${where}: ${text}`));
        }
        await page.setViewportSize(WIDE);
      };
      for (const path of PAGES) {
        await page.goto(`${server.url}${path}`);
        await told(path);
      }
      // Dialogs: a day, a bottle.
      await page.getByTestId('due-date').click();
      await told('due date');
      await page.keyboard.press('Escape');
      await page.goto(`${server.url}/stash`);
      await stands(page);
      await page.getByTestId('new-item').click();
      await told('new item');
      expect([...new Set(outside)]).toEqual([]);
      expect([...new Set(cut)]).toEqual([]);
    } finally {
      await server.stop();
    }
  });
}
