/**
 * Over the built program, in real windows: pieces left with a change that has no room, batches interrupted, and a copy
 * shop that is asked for more than it can do.
 */
import { spawn, type ChildProcess } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { chromium, type BrowserContext, type Page } from '@playwright/test';
import { PDFDocument } from '@cantoo/pdf-lib';
import { seededChance } from '@/core/shared';
import { CHROMIUM } from '../scripts/browser.mjs';

const ROOT = join(import.meta.dirname, '..');
const PORT = 3467;
export const ADDRESS = `http://localhost:${PORT}`;
const MOMENTS = Number(process.env.MOMENTS ?? 30);
const JOBS = Number(process.env.JOBS ?? 16);
const PIECE = 'demo-viaduct';
export type Soaked = { said: string; wrong: string[] };

async function served(): Promise<{ process: ChildProcess; stop: () => Promise<number> }> {
  const server = spawn(process.execPath, ['node_modules/next/dist/bin/next', 'start', '-p', String(PORT)], {
    cwd: ROOT,
    env: { ...process.env, FOBBET_DEMO: '1', NEXT_TELEMETRY_DISABLED: '1' },
    stdio: ['ignore', 'ignore', 'inherit'],
  });
  const ended = new Promise<void>((resolve) => server.once('exit', () => resolve()));
  const answers = async () => (await fetch(`${ADDRESS}/clock`).catch(() => null))?.ok === true;
  while (!(await answers())) await new Promise((resolve) => setTimeout(resolve, 200));
  const stop = async () => {
    const from = performance.now();
    server.kill('SIGTERM');
    await ended;
    return performance.now() - from;
  };
  return { process: server, stop };
}

/** Runs over the built program, each time with the example in a browser of its own. */
export async function inApp(soak: (opened: () => Promise<BrowserContext>) => Promise<Soaked>): Promise<Soaked> {
  const server = await served();
  const browser = await chromium.launch(CHROMIUM);
  const opened = async () => {
    const context = await browser.newContext({
      locale: 'en-GB',
      viewport: { width: 1280, height: 1000 },
      serviceWorkers: 'block',
    });
    const page = await context.newPage();
    await page.goto(`${ADDRESS}/`);
    await page.getByText('Fern platform marker').first().waitFor();
    await page.close();
    return context;
  };
  try {
    return await soak(opened);
  } finally {
    await browser.close();
    await server.stop();
  }
}

type Stored = Record<string, Record<string, unknown>>;
/** The piece as it lies on the disk. */
export const stored = (page: Page, id = PIECE): Promise<Stored> =>
  page.evaluate(async (key) => {
    const open = indexedDB.open('fobbet');
    const db = await new Promise<IDBDatabase>((resolve) => {
      open.onsuccess = () => resolve(open.result);
    });
    const get = db.transaction('pieces').objectStore('pieces').get(key);
    const piece = await new Promise<unknown>((resolve) => {
      get.onsuccess = () => resolve(get.result);
    });
    db.close();
    return piece as never;
  }, id);

/** A typed field: its station, where its value is kept, and what can be typed that reads as a whole number. */
interface Field {
  station: string;
  testId: string;
  of: (piece: Stored) => unknown;
  from: number;
  to: number;
  /** What is typed for a number, and what is kept of it. */
  typed?: (value: number) => string;
  kept?: (value: number) => number;
}
const section =
  (name: string, key: string) =>
  (piece: Stored): unknown =>
    piece[name]?.[key];
const cm = { typed: (value: number) => `${value} cm`, kept: (value: number) => value * 10 };
export const FIELDS: readonly Field[] = [
  { station: 'surface', testId: 'blank-width', of: section('surface', 'widthMm'), from: 30, to: 60, ...cm },
  { station: 'surface', testId: 'blank-height', of: section('surface', 'heightMm'), from: 30, to: 60, ...cm },
  {
    station: 'surface',
    testId: 'blank-thickness',
    of: section('surface', 'thicknessMm'),
    from: 10,
    to: 40,
    typed: (value) => `${value} mm`,
  },
  { station: 'picture', testId: 'straighten', of: section('picture', 'straightenDeg'), from: 1, to: 9 },
  { station: 'sheet', testId: 'copies', of: section('sheet', 'copies'), from: 1, to: 9 },
  {
    station: 'sheet',
    testId: 'bar-measured',
    of: section('sheet', 'barMeasuredMm'),
    from: 98,
    to: 102,
    typed: (value) => `${value} mm`,
  },
  { station: 'lay', testId: 'film', of: section('lay', 'filmUm'), from: 80, to: 400, typed: (value) => `${value} µm` },
  {
    station: 'cure',
    testId: 'temperature',
    of: section('cure', 'temperatureC'),
    from: 12,
    to: 30,
    typed: (value) => `${value} °C`,
  },
  { station: 'cure', testId: 'humidity', of: section('cure', 'humidityPercent'), from: 30, to: 80 },
  { station: 'cure', testId: 'label-hours', of: section('cure', 'labelHours'), from: 6, to: 40 },
  { station: 'rub', testId: 'passes', of: section('rub', 'passes'), from: 1, to: 8 },
  { station: 'seal', testId: 'coats', of: section('seal', 'coats'), from: 1, to: 6 },
  {
    station: 'keep',
    testId: 'price-blank',
    of: (piece) => (piece['keep']?.['prices'] as Record<string, unknown> | undefined)?.['blank'],
    from: 1,
    to: 60,
  },
];

export const stations = [...new Set(FIELDS.map(({ station }) => station))];
export const keptOf = ({ kept }: Field, value: number) => kept?.(value) ?? value;
export const questionIn = (page: Page) => page.getByRole('dialog').filter({ hasText: 'Changed in two windows' });
export const saved = (page: Page) => page.locator('main:not([data-saving="true"])').waitFor({ state: 'attached' });

export async function openAt(page: Page, station: string): Promise<void> {
  const path = `/piece/${PIECE}/${station}`;
  if (page.url().includes('/piece/'))
    await page.getByRole('navigation', { name: 'Stations' }).locator(`a[href$="${path}"]`).click();
  else await page.goto(`${ADDRESS}${path}`);
  await page.waitForURL(`**${path}`);
  await page.locator('main:not([aria-busy="true"])').waitFor();
  await page.evaluate(() => {
    for (const part of document.querySelectorAll('details')) part.open = true;
  });
}

/** As text: what is compiled gives functions names by a helper that a page does not have. */
const NO_ROOM = `{
  const real = IDBObjectStore.prototype.put;
  IDBObjectStore.prototype.put = () => { throw new DOMException('full', 'QuotaExceededError'); };
  window.roomAgain = () => { IDBObjectStore.prototype.put = real; };
}`;

/** Every station left, in every way, with a change that the disk had no room for. */
export const soakLeaving = (seed: number): Promise<Soaked> =>
  inApp(async (opened) => {
    const chance = seededChance(seed);
    const wrong: string[] = [];
    let left = 0;
    const ways: [string, (page: Page) => Promise<unknown>][] = [
      ...['/', '/pieces', '/ahead', '/bench', '/stash', '/faults', '/kept', '/help'].map(
        (path): [string, (page: Page) => Promise<unknown>] => [
          path,
          (page) => page.locator(`header a[href="${path}"]`).first().click(),
        ],
      ),
      // To the shelf, however many stations there were between.
      ['back', (page) => page.evaluate(() => history.go(Number(sessionStorage.shelf) - history.length))],
    ];
    for (const station of stations) {
      const context = await opened();
      const page = await context.newPage();
      for (const [way, leave] of ways) {
        await page.goto(`${ADDRESS}/pieces`);
        await page.getByText('Fern platform marker').first().waitFor();
        await page.evaluate(() => (sessionStorage.shelf = String(history.length)));
        await page.locator(`a[href*="/piece/${PIECE}"]`).first().click();
        await page.waitForURL(`**/piece/${PIECE}/**`);
        await openAt(page, station);
        const own = FIELDS.filter((field) => field.station === station);
        const field = own[Math.floor(chance() * own.length)]!;
        const input = page.getByTestId(field.testId).first();
        if ((await input.count()) === 0 || !(await input.isEditable())) continue;
        const was = field.of(await stored(page));
        const value = keptOf(field, field.from) === was ? field.from + 1 : field.from;
        await page.evaluate(NO_ROOM);
        await input.fill(field.typed?.(value) ?? String(value));
        await input.press('Enter');
        await page.getByRole('button', { name: 'Not now' }).click();
        left++;
        await leave(page);
        const question = page.getByTestId('unkept');
        const isAsked = await question.waitFor({ timeout: 10_000 }).then(
          () => true,
          () => false,
        );
        const named = `${station}, ${field.testId}, ${way}`;
        if (!isAsked) {
          wrong.push(`${named}: left without a question, at ${new URL(page.url()).pathname}`);
          continue;
        }
        await page.evaluate(() => (window as unknown as { roomAgain: () => void }).roomAgain());
        const isBack = chance() < 0.5;
        await page.getByTestId(isBack ? 'unkept-back' : 'unkept-give-up').click();
        if (isBack) {
          await page.getByRole('button', { name: 'Try again' }).click();
          await saved(page);
          await page.waitForTimeout(100);
        }
        const now = field.of(await stored(page));
        const wanted = isBack ? keptOf(field, value) : was;
        if (now !== wanted) wrong.push(`${named}: ${String(wanted)} is wanted, ${String(now)} is kept`);
      }
      await context.close();
    }
    return { said: `${left} pieces left with a change that had no room: ${wrong.length} lost unasked`, wrong };
  });

const MANY = 60;

/** Sixty sheets of a set marked as printed, the window closed at some moment: all of them are, or none. */
export const soakBatches = (seed: number): Promise<Soaked> =>
  inApp(async (opened) => {
    const chance = seededChance(seed);
    const wrong: string[] = [];
    let whole = 0;
    const context = await opened();
    const begin = await context.newPage();
    await begin.goto(`${ADDRESS}/pieces`);
    await begin.getByText('Fern platform marker').first().waitFor();
    for (let moment = 0; moment < MOMENTS; moment++) {
      await begin.evaluate(
        async ([source, many]) => {
          const open = indexedDB.open('fobbet');
          const db = await new Promise<IDBDatabase>((resolve) => {
            open.onsuccess = () => resolve(open.result);
          });
          const transaction = db.transaction(['pieces', 'history', 'cursors'], 'readwrite');
          const store = transaction.objectStore('pieces');
          const get = store.get(source);
          await new Promise((resolve) => (get.onsuccess = resolve));
          const piece = get.result as { sheet: object; lay: object; work: object };
          const keys = store.getAllKeys();
          await new Promise((resolve) => (keys.onsuccess = resolve));
          for (const key of keys.result) if (key !== source) store.delete(key);
          for (let at = 0; at < many; at++)
            store.put({
              ...piece,
              id: `many-${at}`,
              name: `Many ${at}`,
              set: { id: 'many', name: 'Many', at },
              sheet: { ...piece.sheet, printedAt: null, barMeasuredMm: null, order: null },
              lay: { ...piece.lay, laidAt: null },
              work: { ...piece.work, done: [], draws: [] },
            });
          await new Promise((resolve) => (transaction.oncomplete = resolve));
          db.close();
        },
        [PIECE, MANY] as const,
      );
      const page = await context.newPage();
      await page.goto(`${ADDRESS}/pieces/set?id=many`);
      const press = page.locator('[data-step="print"]').getByTestId('tick-all');
      await press.waitFor({ timeout: 60_000 });
      for (let tries = 0; !(await press.textContent())?.includes(String(MANY)) && tries < 200; tries++)
        await page.waitForTimeout(100);
      await press.click({ noWaitAfter: true });
      await page.waitForTimeout(chance() * 6000);
      await page.close();
      const printed = await begin.evaluate(async () => {
        const open = indexedDB.open('fobbet');
        const db = await new Promise<IDBDatabase>((resolve) => {
          open.onsuccess = () => resolve(open.result);
        });
        const all = db.transaction('pieces').objectStore('pieces').getAll();
        await new Promise((resolve) => (all.onsuccess = resolve));
        db.close();
        return (all.result as { id: string; sheet: { printedAt: number | null } }[]).filter(
          ({ id, sheet }) => id.startsWith('many-') && sheet.printedAt !== null,
        ).length;
      });
      if (printed === MANY) whole++;
      else if (printed !== 0) wrong.push(`moment ${moment}: ${printed} of ${MANY} are printed`);
    }
    await context.close();
    return { said: `${MOMENTS} batches of ${MANY} interrupted: ${whole} whole, ${wrong.length} torn`, wrong };
  });

/** Many heavy proofs at a time: few are let in, what is given up ends, and the shop answers again. */
export async function soakShop(_seed: number): Promise<Soaked> {
  const server = await served();
  const wrong: string[] = [];
  try {
    const document = await PDFDocument.create();
    for (let index = 0; index < 4; index++) {
      const page = document.addPage([595.28, 841.89]);
      for (let line = 0; line < 20_000; line++)
        page.drawLine({
          start: { x: (line * 37) % 595, y: 0 },
          end: { x: (line * 91) % 595, y: 841 },
          thickness: 0.4,
        });
    }
    const pdf = await document.save();
    const order = (path: string, signal?: AbortSignal) => {
      const form = new FormData();
      form.append('pdf', new Blob([new Uint8Array(pdf)], { type: 'application/pdf' }), 'heavy.pdf');
      for (const [key, value] of Object.entries({
        copies: '1',
        colour: 'true',
        paper: 'bond-80',
        fit: 'false',
        page: '0',
      }))
        form.append(key, value);
      return fetch(`${ADDRESS}/standins/copy-shop/${path}`, { method: 'POST', body: form, ...(signal && { signal }) });
    };
    let mostMb = 0;
    const watch = setInterval(() => {
      mostMb = Math.max(mostMb, memoryMb(server.process.pid ?? 0));
    }, 100);
    const answers = await Promise.all(
      Array.from({ length: JOBS }, (_, index) => {
        // Every third client goes away.
        const aborter = new AbortController();
        if (index % 3 === 2) setTimeout(() => aborter.abort(), 300);
        return order('proof', aborter.signal).then(
          (answer) =>
            answer.arrayBuffer().then(
              () => answer,
              () => null,
            ),
          () => null,
        );
      }),
    );
    clearInterval(watch);
    const count = (status: number) => answers.filter((answer) => answer?.status === status).length;
    const busy = answers.filter((answer) => answer?.status === 503);
    if (busy.some((answer) => !answer?.headers.get('retry-after')))
      wrong.push('a full shop does not say when to come back');
    if (busy.length === 0) wrong.push(`all ${JOBS} were let in`);
    if (answers.some((answer) => answer && ![200, 422, 499, 503].includes(answer.status)))
      wrong.push(`answered ${answers.map((answer) => answer?.status ?? 'gone').join(', ')}`);
    if (mostMb > 1500) wrong.push(`took ${mostMb.toFixed(0)} MB`);
    const from = performance.now();
    const again = await order('quote');
    if (again.status !== 200) wrong.push(`afterwards a quote is answered ${again.status}: ${await again.text()}`);
    const quoteMs = performance.now() - from;
    const endMs = await server.stop();
    if (endMs > 2000) wrong.push(`took ${endMs.toFixed(0)} ms to end`);
    return {
      said:
        `${JOBS} heavy proofs at a time: ${count(200)} made, ${count(503)} told to come back, ` +
        `most ${mostMb.toFixed(0)} MB, then a quote in ${quoteMs.toFixed(0)} ms, ended in ${endMs.toFixed(0)} ms`,
      wrong,
    };
  } finally {
    server.process.kill('SIGKILL');
  }
}

const memoryMb = (pid: number): number => {
  try {
    return Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1] ?? 0) / 1024;
  } catch {
    return 0;
  }
};
