/**
 * What the first piece costs, from an empty browser to the first right PDF: presses, figures typed, decisions, and by
 * keyboard alone the steps of Tab; and from there to its last coat. Needs a build.
 */
import { join } from 'node:path';
import type { Locator, Page } from '@playwright/test';
import { clockAhead } from '../e2e/support/page';
import { tabTo } from '../e2e/support/tab-to';
import { CHECKOUT, withApp } from './app.mjs';

interface Act {
  what: string;
  /** What the person makes up their mind about; none where an act only carries it out. */
  decides?: string;
  at: (page: Page) => Locator;
  /** Pressed, or filled with what is typed; `next` is reached by Enter in the field before. */
  how: { press: true; file?: string } | { pick: string } | { type: string; next?: true };
}

const PICTURE = join(CHECKOUT, 'public', 'demo', 'viaduct-at-dusk.jpg');
const ACTS: readonly Act[] = [
  {
    what: 'Begin with a picture',
    decides: 'the picture',
    at: (page) => page.getByRole('button', { name: 'Begin with a picture' }),
    how: { press: true, file: PICTURE },
  },
  {
    what: 'No lettering',
    decides: 'whether it reads',
    at: (page) => page.getByRole('radiogroup', { name: /^Is there lettering/ }).getByRole('radio', { name: 'None' }),
    how: { press: true },
  },
  { what: 'On to Surface', at: (page) => page.getByTestId('next-station'), how: { press: true } },
  {
    what: 'Soft wood',
    decides: 'what it is made of',
    at: (page) => page.getByTestId('surface-kind'),
    how: { pick: 'soft-wood' },
  },
  {
    what: 'Width',
    decides: 'its size',
    at: (page) => page.getByTestId('blank-width'),
    how: { type: '30 cm' },
  },
  { what: 'Height', at: (page) => page.getByTestId('blank-height'), how: { type: '20 cm', next: true } },
  { what: 'On to Method', at: (page) => page.getByTestId('next-station'), how: { press: true } },
  {
    what: 'Laser printer',
    decides: 'what prints',
    at: (page) => page.getByTestId('printer-laser'),
    how: { press: true },
  },
  {
    what: 'Take the best and go on',
    decides: 'the method',
    at: (page) => page.getByTestId('take-and-go-on'),
    how: { press: true },
  },
  { what: 'Make the PDF', at: (page) => page.getByTestId('make-pdf'), how: { press: true } },
];

/** Until a place stands and the focus has moved there. */
const SETTLES_MS = 900;

for (const byKeys of [false, true]) await withApp(async (page) => firstPiece(page, byKeys), { demo: false });

async function firstPiece(page: Page, byKeys: boolean): Promise<void> {
  let presses = 0;
  let tabs = 0;
  let saved = false;
  page.on('download', () => (saved = true));
  console.log(byKeys ? 'By keyboard alone: Tab, act' : 'By pointer: presses so far, act');
  for (const { what, at, how } of ACTS) {
    const target = at(page);
    await target.waitFor();
    if (byKeys) await page.waitForTimeout(SETTLES_MS);
    const steps = byKeys ? await tabTo(page, target) : 0;
    tabs += steps;
    const chooser = 'file' in how ? page.waitForEvent('filechooser') : null;
    if ('pick' in how) await target.selectOption(how.pick);
    else if ('type' in how) {
      if (!byKeys && !how.next) await target.click();
      await page.keyboard.type(how.type);
      await page.keyboard.press('Enter');
    } else if (byKeys) await page.keyboard.press('Enter');
    else await target.click();
    if (chooser && 'file' in how && how.file) await (await chooser).setFiles(how.file);
    if (!('next' in how)) presses++;
    await page.locator('main[data-saving="true"]').waitFor({ state: 'detached' });
    console.log(`${String(byKeys ? steps : presses).padStart(5)}  ${what}`);
  }
  for (let left = 200; !saved && left > 0; left--) await page.waitForTimeout(100);
  if (!saved) throw new Error('no PDF was made');
  const decisions = ACTS.filter(({ decides }) => decides !== undefined).length;
  console.log(byKeys ? `${tabs} steps of Tab` : `${presses} presses, ${decisions} decisions`);
  if (!byKeys) await toSealed(page);
}

/** From the PDF to the last coat: what is ticked and pressed at the stations; the waits are passed over by the clock. */
async function toSealed(page: Page): Promise<void> {
  let presses = 0;
  const press = async (what: string, target: Locator) => {
    await target.click();
    presses++;
    await page.waitForTimeout(SETTLES_MS);
    console.log(`${String(presses).padStart(5)}  ${what}`);
    // What comes right after what it waits for is asked about.
    const asked = page.getByTestId('when-done').getByTestId('done-now');
    if (await asked.isVisible()) await press('It was now', asked);
  };
  const station = (name: string) => press(name, page.getByRole('link', { name: new RegExp(`^${name}, `) }));
  const later = async (hours: number) => {
    await clockAhead(page, hours);
    await page.getByTestId('answer').waitFor();
    await page.waitForTimeout(SETTLES_MS);
  };
  const whileOffered = async (what: string, testId: string, hoursBetween: number) => {
    const offered = page.getByTestId(testId);
    await offered.waitFor();
    while (await offered.isVisible()) {
      await press(what, offered);
      await later(hoursBetween);
    }
  };
  await press('The bar measured', page.getByTestId('bar-measured'));
  await page.keyboard.type('100 mm');
  await page.keyboard.press('Enter');
  await station('Surface');
  for (const left = page.getByRole('checkbox', { checked: false }); (await left.count()) > 0;)
    await press('Prepared', left.first());
  await station('Lay');
  await press('Laid now', page.getByTestId('laid-now'));
  await later(40);
  await station('Rub');
  await whileOffered('Pass done', 'pass-done', 3);
  await later(14);
  await station('Mend');
  await press('Mended', page.getByTestId('mended'));
  await later(24);
  await station('Seal');
  await whileOffered('Coat on', 'coat-on', 6);
  console.log(`${presses} presses from the PDF to sealed: ${await page.getByTestId('answer').innerText()}`);
}
