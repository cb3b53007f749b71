/**
 * The print job of the design: a 24-megapixel JPEG to a 24 × 16 in print at 300 ppi, mirrored, toned, edge-faded, cut
 * into Letter pages with 10 mm overlap, one PDF; and a one-page job of 10 × 8 in. Pixel work in Node beside sharp on
 * one thread, the whole job in Chromium beside sharp and pdf-lib in Node on all cores and on one, peak memory of the
 * workers, and quality.
 */
import { readFileSync, readdirSync } from 'node:fs';
import { createServer } from 'node:http';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { build } from 'esbuild';
import { PDFDocument } from '@cantoo/pdf-lib';
import sharp, { type Sharp } from 'sharp';
import { PLAIN_TONE, fadeRows, loadResampler, resample, toneTables } from '../src/core/raster';
import { layoutPack, paperOf } from '../src/core/sheet';
import type { SheetSpent } from '../src/workers/sheet/protocol';
import { medianMs } from './support.mts';
import { CHROMIUM } from '../scripts/browser.mjs';

const root = join(import.meta.dirname, '..');
const RUNS = 7;
const [W, H] = [6000, 4000];
const noise = await sharp({
  create: {
    width: 1500,
    height: 1000,
    channels: 3,
    background: '#888',
    noise: { type: 'gaussian', mean: 128, sigma: 34 },
  },
})
  .png()
  .toBuffer();
const jpeg = await sharp(await sharp(noise).resize(W, H, { kernel: 'cubic' }).raw().toBuffer(), {
  raw: { width: W, height: H, channels: 3 },
})
  .composite([
    {
      input: Buffer.from(
        `<svg width="${W}" height="${H}"><circle cx="3000" cy="2000" r="1500" fill="#a33" opacity=".8"/><rect ` +
          `x="500" y="600" width="1400" height="900" fill="#37a" opacity=".7"/></svg>`,
      ),
    },
  ])
  .jpeg({ quality: 92 })
  .toBuffer();
const rgba = new Uint8ClampedArray(await sharp(jpeg).ensureAlpha().raw().toBuffer());
const rgb = await sharp(jpeg).raw().toBuffer();
const tone = toneTables({ ...PLAIN_TONE, gamma: 1.2 });
const FADE_MM = 12;

interface JobSize {
  name: string;
  widthMm: number;
  heightMm: number;
}
const LARGE: JobSize = { name: '24 × 16 in', widthMm: 609.6, heightMm: 406.4 };
const SMALL: JobSize = { name: '10 × 8 in', widthMm: 254, heightMm: 203.2 };
const packOf = ({ widthMm, heightMm }: JobSize) => {
  const made = layoutPack([{ widthMm, heightMm }], {
    paper: paperOf('letter', { widthMm: 1, heightMm: 1 }),
    orientation: 'auto',
    overlapMm: 10,
    marginMm: 5,
  });
  if (!made.ok) throw new Error(made.error.code);
  return made.value;
};

const source = {
  widthPx: W,
  heightPx: H,
  readRows(from: number, count: number, left: number, width: number) {
    if (left === 0 && width === W) return rgba.subarray(from * W * 4, (from + count) * W * 4);
    const rows = new Uint8ClampedArray(count * width * 4);
    for (let row = 0; row < count; row++)
      rows.set(rgba.subarray(((from + row) * W + left) * 4, ((from + row) * W + left + width) * 4), row * width * 4);
    return rows;
  },
};
const passes = loadResampler();

/** The core's pixel work, tile by tile into buffers. */
async function ours(job: JobSize): Promise<void> {
  const pack = packOf(job);
  const dots = 300 / 25.4;
  for (const {
    places: [{ tile, rasterPx }],
  } of pack.pages) {
    const out = new Uint8ClampedArray(rasterPx.widthPx * rasterPx.heightPx * 4);
    const [x, y] = [Math.round(tile.window.xMm * dots), Math.round(tile.window.yMm * dots)];
    const [whole] = pack.prints;
    const window = {
      xPx: W * (1 - (x + rasterPx.widthPx) / whole.widthPx),
      yPx: (H * y) / whole.heightPx,
      widthPx: (W * rasterPx.widthPx) / whole.widthPx,
      heightPx: (H * rasterPx.heightPx) / whole.heightPx,
    };
    await resample(
      source,
      window,
      rasterPx,
      true,
      (first, _rows, rows) => {
        fadeRows(rows, 'rectangle', FADE_MM, {
          widthPx: rasterPx.widthPx,
          firstRow: y + first,
          firstColumn: x,
          mmPerPx: 1 / dots,
          print: job,
          mirrored: true,
        });
        out.set(rows, first * rasterPx.widthPx * 4);
      },
      passes,
      tone,
    );
  }
}

/** A fade mask as sharp lays it over: white, opaque at the rim. */
async function fadeMask(width: number, height: number): Promise<Buffer> {
  const white = new Uint8ClampedArray(width * height * 4).fill(255);
  const black = new Uint8ClampedArray(width * 4);
  const dots = 300 / 25.4;
  for (let y = 0; y < height; y++) {
    black.fill(0);
    for (let x = 3; x < black.length; x += 4) black[x] = 255;
    fadeRows(black, 'rectangle', FADE_MM, {
      widthPx: width,
      firstRow: y,
      firstColumn: 0,
      mmPerPx: 1 / dots,
      print: { widthMm: width / dots, heightMm: height / dots },
      mirrored: false,
    });
    for (let x = 0; x < width; x++) white[(y * width + x) * 4 + 3] = black[x * 4];
  }
  return sharp(white, { raw: { width, height, channels: 4 } })
    .png({ compressionLevel: 1 })
    .toBuffer();
}

/**
 * The same steps by sharp: mirror, resize, tone (gamma is as near as it has), fade, cut. @param input decoded pixels,
 * or the file
 */
async function theirs(job: JobSize, mask: Buffer, input: () => Sharp, encode: boolean): Promise<Buffer[]> {
  const pack = packOf(job);
  const [{ widthPx, heightPx }] = pack.prints;
  const { data, info } = await input()
    .flop()
    .resize(widthPx, heightPx, { kernel: 'lanczos3', fit: 'fill', fastShrinkOnLoad: false })
    .gamma(1.2, 1)
    .composite([{ input: mask }])
    .removeAlpha()
    .raw()
    .toBuffer({ resolveWithObject: true });
  const dots = 300 / 25.4;
  return Promise.all(
    pack.pages.map(({ places: [{ tile, rasterPx }] }) => {
      const [left, top] = [Math.round(tile.window.xMm * dots), Math.round(tile.window.yMm * dots)];
      const cut = sharp(data, { raw: { width: info.width, height: info.height, channels: 3 } }).extract({
        left,
        top,
        width: Math.min(rasterPx.widthPx, info.width - left),
        height: Math.min(rasterPx.heightPx, info.height - top),
      });
      return (encode ? cut.jpeg({ quality: 90 }) : cut.raw()).toBuffer();
    }),
  );
}

async function theirPdf(job: JobSize, mask: Buffer): Promise<void> {
  const document = await PDFDocument.create();
  for (const page of await theirs(job, mask, () => sharp(jpeg), true))
    document.addPage([612, 792]).drawImage(await document.embedJpg(page), { x: 0, y: 0, width: 500, height: 700 });
  await document.save();
}

const masks = new Map<JobSize, Buffer>();
for (const job of [LARGE, SMALL]) {
  const [{ widthPx, heightPx }] = packOf(job).prints;
  masks.set(job, await fadeMask(widthPx, heightPx));
}
const cores = sharp.concurrency();

for (const job of [LARGE, SMALL]) {
  sharp.concurrency(1);
  const raw = () => sharp(rgb, { raw: { width: W, height: H, channels: 3 } });
  const mine = await medianMs(RUNS, () => ours(job));
  const other = await medianMs(RUNS, () => theirs(job, masks.get(job) as Buffer, raw, false));
  console.log(
    `${job.name}, pixel work in Node: ${mine.toFixed(0)} ms, sharp on one thread ${other.toFixed(0)} ms, ratio ` +
      `${(mine / other).toFixed(2)}`,
  );
}

// Quality. Reduced, against sharp's Lanczos-3; enlarged as the job does it, against floating point worked out in full
// (sharp enlarges by another filter).
{
  const out = { widthPx: 2000, heightPx: 1333 };
  const mine = new Uint8ClampedArray(out.widthPx * out.heightPx * 4);
  await resample(
    source,
    { xPx: 0, yPx: 0, widthPx: W, heightPx: H },
    out,
    false,
    (first, _rows, rows) => mine.set(rows, first * out.widthPx * 4),
    passes,
  );
  const other = await sharp(rgb, { raw: { width: W, height: H, channels: 3 } })
    .resize(out.widthPx, out.heightPx, { kernel: 'lanczos3', fit: 'fill', fastShrinkOnLoad: false })
    .raw()
    .toBuffer();
  let [total, worst] = [0, 0];
  for (let i = 0; i < out.widthPx * out.heightPx; i++)
    for (let c = 0; c < 3; c++) {
      const off = Math.abs(mine[i * 4 + c] - other[i * 3 + c]);
      total += off;
      worst = Math.max(worst, off);
    }
  console.log(
    `reduced, against sharp's Lanczos-3: mean ${(total / (out.widthPx * out.heightPx * 3)).toFixed(3)} levels, worst ${worst}`,
  );

  const large = { widthPx: 7200, heightPx: 240 };
  const enlarged = new Uint8ClampedArray(large.widthPx * large.heightPx * 4);
  await resample(
    source,
    { xPx: 0, yPx: 1000, widthPx: W, heightPx: 200 },
    large,
    false,
    (first, _rows, rows) => enlarged.set(rows, first * large.widthPx * 4),
    passes,
  );
  const lanczos = (x: number) =>
    x === 0 ? 1 : Math.abs(x) >= 3 ? 0 : (3 * Math.sin(Math.PI * x) * Math.sin((Math.PI * x) / 3)) / (Math.PI * x) ** 2;
  const taps = (centre: number) => {
    const first = Math.ceil(centre - 3.5);
    const weights = Array.from({ length: 7 }, (_, i) => lanczos(first + i + 0.5 - centre));
    const sum = weights.reduce((a, b) => a + b, 0);
    return { first, weights: weights.map((weight) => weight / sum) };
  };
  let off = 0;
  for (let y = 10; y < 230; y += 7)
    for (let x = 30; x < 7170; x += 13) {
      const [across, down] = [taps(((x + 0.5) * W) / 7200), taps(1000 + ((y + 0.5) * 200) / 240)];
      for (let c = 0; c < 3; c++) {
        let value = 0;
        for (let j = 0; j < 7; j++)
          for (let i = 0; i < 7; i++)
            value += across.weights[i] * down.weights[j] * rgba[((down.first + j) * W + across.first + i) * 4 + c];
        off = Math.max(off, Math.abs(enlarged[(y * 7200 + x) * 4 + c] - Math.min(255, Math.max(0, value))));
      }
    }
  console.log(`enlarged as the job does, against floating point: worst ${off.toFixed(2)} levels`);
}

// The whole job in Chromium.
const bundle = async (entry: string) =>
  (
    await build({
      entryPoints: [join(root, entry)],
      bundle: true,
      format: 'esm',
      write: false,
      target: 'es2022',
      minify: true,
      tsconfig: join(root, 'tsconfig.json'),
    })
  ).outputFiles[0].contents;
const files: Record<string, { type: string; body: Uint8Array | string }> = {
  '/': { type: 'text/html', body: '<!doctype html><script type="module" src="/page.js"></script>' },
  '/page.js': { type: 'text/javascript', body: await bundle('bench/sheet-page.ts') },
  '/sheet.worker.ts': { type: 'text/javascript', body: await bundle('src/workers/sheet/sheet.worker.ts') },
  '/picture.jpg': { type: 'image/jpeg', body: jpeg },
};
const server = createServer((request, response) => {
  const file = files[request.url ?? ''];
  if (!file) {
    response.writeHead(404).end();
    return;
  }
  response.writeHead(200, { 'content-type': file.type }).end(file.body);
});
await new Promise<void>((resolve) => server.listen(0, resolve));
const address = server.address() as { port: number };
const browser = await chromium.launch(CHROMIUM);
try {
  const page = await browser.newPage();
  await page.goto(`http://localhost:${address.port}/`);
  await page.waitForFunction(() => 'printJob' in globalThis);
  const inBrowser = (job: JobSize) =>
    page.evaluate(
      ([w, h]) =>
        (
          globalThis as unknown as {
            printJob: (
              url: string,
              w: number,
              h: number,
              paper: string,
            ) => Promise<{ ms: number; bytes: number; pages: number; ok: boolean; spent: SheetSpent[] }>;
          }
        ).printJob('/picture.jpg', w, h, 'letter'),
      [job.widthMm, job.heightMm] as const,
    );
  for (const job of [LARGE, SMALL]) {
    await inBrowser(job);
    const taken: number[] = [];
    let last = { bytes: 0, pages: 0, ok: false, spent: [] as SheetSpent[] };
    const spending: SheetSpent[] = [];
    for (let run = 0; run < RUNS; run++) {
      const done = await inBrowser(job);
      taken.push(done.ms);
      spending.push(phasesOf(done.ms, done.spent));
      last = done;
    }
    const mine = taken.sort((a, b) => a - b)[Math.floor(RUNS / 2)];
    sharp.concurrency(cores);
    const all = await medianMs(RUNS, () => theirPdf(job, masks.get(job) as Buffer));
    sharp.concurrency(1);
    const one = await medianMs(RUNS, () => theirPdf(job, masks.get(job) as Buffer));
    console.log(
      `${job.name}, file to PDF of ${last.pages} pages (${(last.bytes / 1e6).toFixed(1)} MB, ` +
        `${last.ok ? 'made' : 'FAILED'}): Chromium ${mine.toFixed(0)} ms, sharp and pdf-lib on all cores ` +
        `${all.toFixed(0)} ms, ratio ${(mine / all).toFixed(2)}; on one thread ${one.toFixed(0)} ms, ratio ` +
        `${(mine / one).toFixed(2)}`,
    );
    console.log(`  against the better of them ${(mine / Math.min(all, one)).toFixed(2)}; ${phasesInWords(spending)}`);
  }
  console.log(await peakMemory(() => inBrowser(LARGE)));
} finally {
  await browser.close();
  server.close();
}

/** The phases of one run as they follow each other: what workers share is divided among them; the rest is starting. */
function phasesOf(ms: number, spent: readonly SheetSpent[]): SheetSpent & { start: number } {
  const total = (phase: keyof SheetSpent) => spent.reduce((sum, one) => sum + one[phase], 0);
  const shared = { resample: total('resample') / spent.length, encode: total('encode') / spent.length };
  const decode = Math.max(...spent.map((one) => one.decode));
  const write = total('write');
  return { ...shared, decode, write, start: ms - decode - write - shared.resample - shared.encode };
}

function phasesInWords(runs: readonly SheetSpent[]): string {
  const middle = (phase: string) =>
    runs
      .map((run) => run[phase as keyof SheetSpent])
      .sort((a, b) => a - b)
      [Math.floor(runs.length / 2)].toFixed(0);
  return ['start', 'decode', 'resample', 'encode', 'write'].map((phase) => `${phase} ${middle(phase)} ms`).join(', ');
}

/**
 * Resident memory of the page's process while a job runs, less what it was before and the decoded picture, for each
 * worker.
 */
async function peakMemory(job: () => Promise<unknown>): Promise<string> {
  const renderers = () =>
    readdirSync('/proc')
      .filter((pid) => /^\d+$/.test(pid))
      .filter((pid) => {
        try {
          return readFileSync(`/proc/${pid}/cmdline`, 'utf8').includes('--type=renderer');
        } catch {
          return false;
        }
      });
  const resident = () =>
    Math.max(
      ...renderers().map((pid) => {
        try {
          return Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1] ?? 0);
        } catch {
          return 0;
        }
      }),
    ) / 1024;
  const before = resident();
  let peak = before;
  const timer = setInterval(() => {
    peak = Math.max(peak, resident());
  }, 15);
  await job();
  clearInterval(timer);
  const decoded = (W * H * 1.5) / 1048576;
  const workers = Math.min(4, (await import('node:os')).cpus().length);
  return (
    `memory: the page's process grew by ${(peak - before).toFixed(0)} MB at the most; less the decoded ` +
    `picture (${decoded.toFixed(0)} MB) ${((peak - before - decoded) / workers).toFixed(0)} MB for each of ` +
    `${workers} workers`
  );
}
