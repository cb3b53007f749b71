/// <reference lib="webworker" />
/**
 * Keeps the program itself, so that every place and station opens without the server: pages, scripts, styles, fonts,
 * workers and kernels of one build, put by whole or not at all. Online the server's own page comes first. A new build
 * waits until a window asks for it, so that no window loses the scripts it was opened with.
 */
import { Serwist, type PrecacheEntry } from 'serwist';
import { ANY_PIECE, NOWHERE, isOurs, keptPageFor } from './pages';

declare const self: ServiceWorkerGlobalScope;
/** Filled in by the build. */
declare const KEPT_FILES: PrecacheEntry[];

/** A server that takes longer for a page counts as away. */
const PATIENCE_MS = 4000;

const serwist = new Serwist({
  precacheEntries: KEPT_FILES,
  precacheOptions: {
    cleanupOutdatedCaches: true,
    concurrency: 6,
    directoryIndex: null,
    cleanURLs: false,
    ignoreURLParametersMatching: [/^icon\./],
  },
  skipWaiting: false,
  clientsClaim: true,
  disableDevLogs: true,
});

self.addEventListener('fetch', (event) => {
  if (event.request.mode === 'navigate') event.respondWith(page(event.request));
  else if (event.request.destination === 'worker') event.respondWith(script(event.request));
});
// After ours: it answers with kept files.
serwist.addEventListeners();

/**
 * A worker reads its orders from the fragment of its own address. A kept answer brings the address it was kept under,
 * without one: so it is given as an answer of no address.
 */
async function script(request: Request): Promise<Response> {
  const kept = await serwist.matchPrecache(new URL(request.url).pathname);
  return kept ? new Response(kept.body, { headers: kept.headers }) : fetch(request);
}

async function page(request: Request): Promise<Response> {
  try {
    const answered = await Promise.race([fetch(request), late()]);
    if (isOurs(answered)) return answered;
    // A way on: of our own server's where no page is kept for it, else of a network that wants something first.
    if (answered.type === 'opaqueredirect' && !(await keptPage(new URL(request.url).pathname))) return answered;
  } catch {
    // The server is away.
  }
  const { pathname } = new URL(request.url);
  return (await keptPage(pathname)) ?? (await keptPage(NOWHERE)) ?? Response.error();
}

const late = () =>
  new Promise<never>((_, reject) => {
    setTimeout(() => reject(new Error('late')), PATIENCE_MS);
  });

async function keptPage(pathname: string): Promise<Response | null> {
  const { page: path, id } = keptPageFor(pathname);
  const kept = await serwist.matchPrecache(path);
  if (!kept) return null;
  const headers = new Headers(kept.headers);
  for (const name of ['content-encoding', 'content-length']) headers.delete(name);
  const text = await kept.text();
  return new Response(id === null ? text : text.replaceAll(ANY_PIECE, id), { headers });
}

self.addEventListener('message', ({ data }) => {
  if (data === 'take-over') void self.skipWaiting();
});

/** A notification leads to the window that is open, or opens one. */
self.addEventListener('notificationclick', (event) => {
  event.notification.close();
  const { path = '/' } = (event.notification.data ?? {}) as { path?: string };
  const open = async () => {
    const windows = await self.clients.matchAll({ type: 'window', includeUncontrolled: true });
    const shown = windows.find((client) => new URL(client.url).pathname === path) ?? windows[0];
    if (!shown) return void (await self.clients.openWindow(path));
    await shown.focus();
    if (new URL(shown.url).pathname !== path) shown.postMessage({ go: path });
  };
  event.waitUntil(open());
});
