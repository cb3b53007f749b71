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

/**
 * The page's own tasks from here on: by the clock, and how long its thread was at work in them. Where they differ, the
 * machine did something else.
 *
 * @returns ends it and gives them
 */
async function traced(page: Page): Promise<() => Promise<{ wallMs: number; workMs: number }[]>> {
  const session = await page.context().newCDPSession(page);
  type Event = { name: string; pid: number; tid: number; dur?: number; tdur?: number; args: { name?: string } };
  const events: Event[] = [];
  session.on('Tracing.dataCollected', ({ value }) => events.push(...(value as unknown as Event[])));
  await session.send('Tracing.start', {
    transferMode: 'ReportEvents',
    traceConfig: { includedCategories: ['toplevel'] },
  });
  return async () => {
    const complete = new Promise((resolve) => session.once('Tracing.tracingComplete', resolve));
    await session.send('Tracing.end');
    await complete;
    await session.detach();
    const thread = ({ pid, tid }: Event) => `${pid}.${tid}`;
    const own = new Set(
      events.filter(({ name, args }) => name === 'thread_name' && args.name === 'CrRendererMain').map(thread),
    );
    return events
      .filter((event) => event.name === 'ThreadControllerImpl::RunTask' && own.has(thread(event)))
      .map(({ dur = 0, tdur = 0 }) => ({ wallMs: dur / 1000, workMs: tdur / 1000 }));
  };
}

await withApp(async (page) => {
  // What the transpiler wraps functions in.
  await page.evaluate('globalThis.__name = (of) => of');
  await page.addInitScript('globalThis.__name = (of) => of');
  await seed(page, PIECES);
  for (const path of ['/', '/pieces', '/ahead', '/bench', '/stash', '/kept', '/piece/demo-viaduct/lay']) {
    await page.goto('about:blank');
    const stop = await traced(page);
    await page.goto(`${ADDRESS}${path}`, { waitUntil: 'commit' });
    await page.locator('main').first().waitFor();
    const shell = await page.evaluate(() => performance.now());
    await page.locator('main:not([aria-busy="true"]) :is(h1, h2)').first().waitFor({ timeout: 120_000 });
    const stands = await page.evaluate(() => performance.now());
    await page.waitForTimeout(9000);
    const tasks = await stop();
    const text = await page.locator('main :is(h1, h2)').first().textContent();
    const most = (of: 'wallMs' | 'workMs') =>
      Math.max(0, ...tasks.map((task) => task[of]))
        .toFixed(0)
        .padStart(5);
    console.log(
      `${path.padEnd(24)} frame ${shell.toFixed(0).padStart(5)} ms, stands ${stands.toFixed(0).padStart(6)} ms, ` +
        `longest task ${most('wallMs')} ms, ${most('workMs')} ms at work, ` +
        `${tasks.filter(({ wallMs }) => wallMs > 50).length} over 50 ms: ${text}`,
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
