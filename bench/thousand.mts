/**
 * A thousand pieces with pictures: how soon every place stands, the longest task on the way, and what memory does while
 * the shelf is scrolled. `PIECES` sets how many.
 */
import { withApp, ADDRESS } from './app.mts';
import type { Page } from '@playwright/test';

const PIECES = Number(process.env.PIECES ?? 1000);

/** Copies of the example's pieces with pictures of their own, straight into the store. */
async function seed(page: Page, count: number): Promise<void> {
  await page.evaluate(async (count) => {
    const open = indexedDB.open('fobbet');
    const db = await new Promise<IDBDatabase>((resolve) => {
      open.onsuccess = () => resolve(open.result);
    });
    const all = <T,>(name: string) =>
      new Promise<T[]>((resolve) => {
        const get = db.transaction(name).objectStore(name).getAll();
        get.onsuccess = () => resolve(get.result as T[]);
      });
    type Stored = { id: string; name: string; picture: { pictureId: string | null } };
    const pieces = await all<Stored>('pieces');
    const pictures = await all<{ id: string }>('pictures');
    const facts = await all<{ id: string }>('pictureFacts');
    const write = db.transaction(['pieces', 'pictures', 'pictureFacts'], 'readwrite');
    for (let n = pieces.length; n < count; n++) {
      const base = pieces[n % pieces.length]!;
      const pictureId = base.picture.pictureId && `${base.picture.pictureId}-${n}`;
      write
        .objectStore('pieces')
        .put({ ...base, id: `${base.id}-${n}`, name: `${base.name} ${n}`, picture: { ...base.picture, pictureId } });
      for (const [store, records] of [
        ['pictures', pictures],
        ['pictureFacts', facts],
      ] as const) {
        const record = records.find(({ id }) => id === base.picture.pictureId);
        if (record) write.objectStore(store).put({ ...record, id: pictureId });
      }
    }
    await new Promise((resolve) => {
      write.oncomplete = resolve;
    });
    db.close();
  }, count);
}

await withApp(async (page) => {
  // What the transpiler wraps functions in.
  await page.evaluate('globalThis.__name = (of) => of');
  await page.addInitScript('globalThis.__name = (of) => of');
  await seed(page, PIECES);
  await page.addInitScript(() => {
    Object.assign(window, { tasks: [] as number[] });
    new PerformanceObserver((list) => {
      for (const entry of list.getEntries()) (window as unknown as { tasks: number[] }).tasks.push(entry.duration);
    }).observe({ type: 'longtask', buffered: true });
  });
  for (const path of ['/', '/pieces', '/ahead', '/bench', '/stash', '/kept', '/piece/demo-viaduct/lay']) {
    await page.goto(`${ADDRESS}${path}`, { waitUntil: 'commit' });
    await page.locator('main').first().waitFor();
    const shell = await page.evaluate(() => performance.now());
    await page.locator('main:not([aria-busy="true"]) :is(h1, h2)').first().waitFor({ timeout: 120_000 });
    const stands = await page.evaluate(() => performance.now());
    await page.waitForTimeout(9000);
    const tasks = await page.evaluate(() => (window as unknown as { tasks: number[] }).tasks);
    const text = await page.locator('main :is(h1, h2)').first().textContent();
    console.log(
      `${path.padEnd(24)} frame ${shell.toFixed(0).padStart(6)} ms, stands ${stands.toFixed(0).padStart(6)} ms, longest task ${Math.max(
        0,
        ...tasks,
      )
        .toFixed(0)
        .padStart(6)} ms of ${tasks.length}, all ${tasks.reduce((a, b) => a + b, 0).toFixed(0)} ms: ${text}`,
    );
  }
  await page.goto(`${ADDRESS}/pieces`);
  await page.locator('main li').first().waitFor({ timeout: 120_000 });
  const session = await page.context().newCDPSession(page);
  const heap = async () => {
    await session.send('HeapProfiler.collectGarbage');
    const { usedSize } = (await session.send('Runtime.getHeapUsage')) as { usedSize: number };
    return usedSize / 2 ** 20;
  };
  const sizes = [await heap()];
  for (let turn = 0; turn < 4; turn++) {
    for (let step = 0; step < 30; step++) {
      await page.mouse.wheel(0, turn % 2 === 0 ? 1500 : -1500);
      await page.waitForTimeout(60);
    }
    sizes.push(await heap());
  }
  console.log(`heap while scrolling: ${sizes.map((size) => size.toFixed(0)).join(', ')} MB`);
});
