import { execFileSync, spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, readdirSync, rmSync } from 'node:fs';
import { createServer } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { AddressInfo } from 'node:net';
import { chromium, type BrowserContext, type Page } from '@playwright/test';
import { buildSync } from 'esbuild';
import { seededChance } from '@/core/shared';
import { CHROMIUM } from '../scripts/browser.mjs';

const ROOT = join(import.meta.dirname, '..');
const KILLS = Number(process.env.KILLS ?? 300);
const POINTS = Number(process.env.POINTS ?? 50);
const PAGE = '<!doctype html><meta charset="utf-8"><title>soak</title><script src="/soak.js"></script>';
/** Kinds of changes in bench/soak-page.ts, by the rest of their number. */
const KINDS = 6;

interface Looked {
  wrong: string[];
  edited: number;
  stash: number;
  agenda: number;
  ids: string[];
}
interface Soak {
  begin: () => Promise<void>;
  run: (from: number) => Promise<void>;
  look: () => Promise<Looked>;
  full: (point: number) => Promise<{ said: number; lied: string[] }>;
}
type Soaked = { said: string; wrong: string[] };

/** A page over the program's own storage, and what it tells of its changes. */
async function station() {
  const script = buildSync({
    entryPoints: [join(ROOT, 'bench', 'soak-page.ts')],
    bundle: true,
    write: false,
    format: 'iife',
    target: 'es2022',
    alias: { '@': join(ROOT, 'src') },
    define: { 'process.env.NODE_ENV': '"production"' },
    mainFields: ['browser', 'module', 'main'],
    logLevel: 'error',
  }).outputFiles[0]!.text;
  const told = { begun: -1, done: [] as number[], refused: [] as number[] };
  const server = createServer((request, response) => {
    const url = new URL(request.url ?? '/', 'http://localhost');
    const n = Number(url.searchParams.get('n'));
    if (url.pathname === '/begun') told.begun = n;
    if (url.pathname === '/done') (url.searchParams.get('ok') === 'true' ? told.done : told.refused).push(n);
    response.setHeader('content-type', url.pathname === '/soak.js' ? 'text/javascript' : 'text/html');
    response.end(url.pathname === '/soak.js' ? script : url.pathname === '/' ? PAGE : '');
  });
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  return { told, url: `http://127.0.0.1:${(server.address() as AddressInfo).port}/`, close: () => server.close() };
}

const opened = async (context: BrowserContext, url: string): Promise<Page> => {
  const page = context.pages()[0] ?? (await context.newPage());
  await page.goto(url);
  return page;
};
const ask = <K extends keyof Soak>(page: Page, name: K, ...given: Parameters<Soak[K]>) =>
  page.evaluate(
    ([method, args]) =>
      (window as unknown as { soak: Record<string, (...of: unknown[]) => unknown> }).soak[method]!(...args),
    [name, given] as const,
  ) as ReturnType<Soak[K]>;

/** Ends the browser of a profile, and all its helpers, with no chance to put anything in order. */
function kill(profile: string): void {
  for (const pid of readdirSync('/proc').filter((name) => /^\d+$/.test(name))) {
    try {
      if (readFileSync(join('/proc', pid, 'cmdline'), 'utf8').includes(profile)) execFileSync('kill', ['-9', pid]);
    } catch {
      // Gone already.
    }
  }
}

export async function soakKills(seed: number): Promise<Soaked> {
  const chance = seededChance(seed);
  const at = await station();
  const profile = mkdtempSync(join(tmpdir(), 'fobbet-soak-'));
  const wrong: string[] = [];
  let n = 1;
  let changes = 0;
  try {
    for (let turn = 0; turn <= KILLS; turn++) {
      const context = await chromium.launchPersistentContext(profile, CHROMIUM);
      const page = await opened(context, at.url);
      const looked = await ask(page, 'look');
      if (turn > 0) wrong.push(...faultsOf(looked, at.told).map((fault) => `kill ${turn}: ${fault}`));
      if (turn === KILLS) {
        await context.close();
        break;
      }
      await ask(page, 'begin');
      n = Math.max(n, at.told.begun + 1);
      at.told.done = [];
      void ask(page, 'run', n).catch(() => undefined);
      await new Promise((resolve) => setTimeout(resolve, 30 + chance() * 450));
      kill(profile);
      await context.close().catch(() => undefined);
      changes += at.told.done.length;
      spawnSync('rm', [
        '-f',
        join(profile, 'SingletonLock'),
        join(profile, 'SingletonSocket'),
        join(profile, 'SingletonCookie'),
      ]);
    }
  } finally {
    at.close();
    kill(profile);
    rmSync(profile, { recursive: true, force: true });
  }
  return { said: `${KILLS} kills over ${changes} changes: ${wrong.length} lost, torn or blank`, wrong };
}

/** What was said to be kept must be there; what was begun may be. */
function faultsOf(
  { wrong, edited, stash, agenda, ids }: Looked,
  { begun, done, refused }: { begun: number; done: number[]; refused: number[] },
): string[] {
  const faults = [...wrong];
  const last = (...kinds: number[]) => Math.max(0, ...done.filter((n) => kinds.includes(n % KINDS)));
  const between = (name: string, value: number, from: number) => {
    if (value < from || value > Math.max(begun, from)) faults.push(`${name}: ${value}, said ${from}, begun ${begun}`);
  };
  between('piece', edited, last(0, 1));
  between('stash', stash, last(2));
  between('agenda', agenda, last(3));
  // The latest ones: older ones are cleared away.
  for (const [kind, name] of [
    [4, 'imported'],
    [5, 'restored'],
  ] as const)
    if (last(kind) > 0 && !ids.includes(`${name}-${last(kind)}`)) faults.push(`${name}-${last(kind)} is lost`);
  if (refused.length > 0) faults.push(`refused: ${refused.splice(0).join(', ')}`);
  return faults;
}

export async function soakFull(_seed: number): Promise<Soaked> {
  const at = await station();
  const browser = await chromium.launch(CHROMIUM);
  const wrong: string[] = [];
  let said = 0;
  try {
    for (let point = 1; point <= POINTS; point++) {
      const context = await browser.newContext();
      const page = await opened(context, at.url);
      const found = await ask(page, 'full', point);
      said += found.said;
      wrong.push(...found.lied);
      await context.close();
    }
  } finally {
    await browser.close();
    at.close();
  }
  return { said: `${POINTS} points at which storage is full: ${said} writes said so, ${wrong.length} lied`, wrong };
}
