/**
 * How many components draw anew while the contrast slider moves by twenty ticks: counted through the hook that React
 * offers to tools. Needs a build. `npx tsx bench/renders.mts [DIRECTORY OF A BUILT CHECKOUT]`
 */
import { ADDRESS, withApp } from './app.mjs';

const TICKS = 20;
const SETTLED_MS = 4000;

interface Fiber {
  tag: number;
  flags: number;
  child: Fiber | null;
  sibling: Fiber | null;
  alternate: Fiber | null;
}
interface Counter {
  rendered: number;
  __REACT_DEVTOOLS_GLOBAL_HOOK__: unknown;
}

await withApp(async (page, context) => {
  // The transpiler names functions by a helper that the page lacks.
  await context.addInitScript({ content: 'globalThis.__name = (named) => named' });
  await context.addInitScript(countRenders);
  await page.goto(`${ADDRESS}/piece/demo-departures-board/picture`);
  const slider = page.getByTestId('tone-contrast').locator('input');
  // The findings arrive above the slider and move it.
  await page.waitForLoadState('networkidle');
  await page.waitForTimeout(SETTLED_MS);
  await slider.focus();
  await page.evaluate(() => ((window as unknown as Counter).rendered = 0));
  const box = await slider.locator('xpath=ancestor::*[contains(@class, "MuiSlider-root")]').boundingBox();
  if (!box) throw new Error('no slider');
  const y = box.y + box.height / 2;
  await page.mouse.move(box.x + box.width / 2, y);
  await page.mouse.down();
  for (let tick = 1; tick <= TICKS; tick++) {
    await page.mouse.move(box.x + box.width / 2 + tick * 3, y);
    await page.waitForTimeout(60);
  }
  const rendered = await page.evaluate(() => (window as unknown as Counter).rendered);
  console.log(
    `components drawn anew in ${TICKS} ticks of a slider: ${rendered}, ${(rendered / TICKS).toFixed(0)} a tick`,
  );
  if (Number(await slider.inputValue()) === 0) throw new Error('the slider did not move');
  await page.mouse.up();
});

/** Runs in the page, before React. */
function countRenders() {
  const counter = window as unknown as Counter;
  counter.rendered = 0;
  const components = [0, 1, 11, 14, 15];
  const count = (fiber: Fiber, before: Fiber | null) => {
    if (components.includes(fiber.tag) && fiber.flags & 1) counter.rendered++;
    if (before && fiber.child === before.child) return;
    for (let child = fiber.child; child; child = child.sibling) count(child, child.alternate);
  };
  counter.__REACT_DEVTOOLS_GLOBAL_HOOK__ = {
    supportsFiber: true,
    inject: () => 1,
    onCommitFiberRoot: (_id: number, root: { current: Fiber }) => count(root.current, root.current.alternate),
    onCommitFiberUnmount: () => undefined,
    onPostCommitFiberRoot: () => undefined,
  };
}
