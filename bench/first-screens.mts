/**
 * How much is to be read and how much can be pressed in the first screen of every station and place of the example, on
 * a desk and on a phone. Needs a build.
 */
import { STATIONS } from '../src/core/stations';
import { PLACES } from '../e2e/support/page';
import { ADDRESS, withApp } from './app.mjs';
import { countFirstScreen } from './first-screen';

const SIZES = { desk: { width: 1280, height: 800 }, phone: { width: 390, height: 844 } } as const;
/** One that is begun, one that dries, one that is all but finished. */
const PIECES = ['demo-viaduct', 'demo-departures-board', 'demo-fern-marker'] as const;
/** Until the specimen is drawn and what is folded is folded. */
const SETTLES_MS = 1500;

await withApp(
  async (page) => {
    const paths = [...PIECES.flatMap((piece) => STATIONS.map((station) => `/piece/${piece}/${station}`)), ...PLACES];
    for (const [name, size] of Object.entries(SIZES)) {
      await page.setViewportSize(size);
      console.log(`${name}: words, controls, controls of the frame`);
      for (const path of paths) {
        await page.goto(ADDRESS + path);
        await page.waitForTimeout(SETTLES_MS);
        const { words, controls, frameControls } = await countFirstScreen(page);
        const figures = [words, controls, frameControls].map((figure) => String(figure).padStart(5)).join('');
        console.log(`${figures}  ${path.replace('/piece/demo-', '')}`);
      }
    }
  },
  { demo: true },
);
