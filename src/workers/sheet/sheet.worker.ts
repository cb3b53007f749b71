import { expose, transfer } from 'comlink';
import { MM_PER_INCH } from '@/core/measure';
import { loadResampler } from '@/core/raster';
import { placeMatrix, sheetMarks, type PlacedPrint, type SheetLayout } from '@/core/sheet';
import { writeSheetPdf } from '@/core/sheet/pdf';
import { SHEET_WORDS } from '@/words/sheet';
import { withDensity } from '@/core/sheet/png-density';
import { fail, ok, type Result } from '@/core/shared';
import { openPicture, type OpenPicture } from '../picture-source';
import { drawMarks } from './draw-marks';
import { paintPrint } from './paint';
import type { SheetCode, SheetOrder, SheetSpent, SheetWorker } from './protocol';

const JPEG_QUALITY = 0.9;

let order: SheetOrder | null = null;
let pictures: (OpenPicture | null)[] = [];
const passes = loadResampler();
let canvas: OffscreenCanvas | null = null;
const NOTHING_SPENT: SheetSpent = { decode: 0, resample: 0, encode: 0, write: 0 };
let spent = NOTHING_SPENT;

async function timed<T>(phase: keyof SheetSpent, work: () => Promise<T>): Promise<T> {
  const from = performance.now();
  const made = await work();
  spent = { ...spent, [phase]: spent[phase] + performance.now() - from };
  return made;
}

/** The one canvas of bands, white paper. */
function contextOf(widthPx: number, heightPx: number): OffscreenCanvasRenderingContext2D | null {
  canvas ??= new OffscreenCanvas(widthPx, heightPx);
  if (canvas.width !== widthPx) canvas.width = widthPx;
  if (canvas.height !== heightPx) canvas.height = heightPx;
  return canvas.getContext('2d', { alpha: false, willReadFrequently: true });
}

/** Rows of a placed print at a density, painted on the worker's canvas. */
async function paintRows(
  sheet: SheetOrder,
  placed: PlacedPrint,
  dotsPerMm: number,
  top: number,
  rows: number,
): Promise<Result<OffscreenCanvas, SheetCode>> {
  const print = sheet.prints[placed.print]!;
  const { window } = placed.tile;
  const widthPx = Math.max(1, Math.round(window.widthMm * dotsPerMm));
  const context = contextOf(widthPx, rows);
  if (!context || !canvas) return fail('sheet-failed', 'no canvas to print on');
  const { widthMm, heightMm } = sheet.pack.prints[placed.print]!;
  const painted = await paintPrint(context, {
    print,
    source: print.picture ? (pictures[print.picture.source]?.source(print.picture.turning) ?? null) : null,
    passes,
    mirrored: sheet.mirrored,
    dotsPerMm,
    whole: { widthPx: Math.round(widthMm * dotsPerMm), heightPx: Math.round(heightMm * dotsPerMm) },
    window: {
      x: Math.round(window.xMm * dotsPerMm),
      y: Math.round(window.yMm * dotsPerMm) + top,
      widthPx,
      heightPx: rows,
    },
  });
  return painted.ok ? ok(canvas) : painted;
}

/** A page with everything on it. */
async function paintPage(
  sheet: SheetOrder,
  layout: SheetLayout,
  pxPerMm: number,
): Promise<Result<OffscreenCanvas, SheetCode>> {
  const page = new OffscreenCanvas(
    Math.round(layout.page.widthMm * pxPerMm),
    Math.round(layout.page.heightMm * pxPerMm),
  );
  const context = page.getContext('2d', { alpha: false, willReadFrequently: true });
  if (!context) return fail('sheet-failed', 'no canvas to print on');
  context.fillStyle = '#fff';
  context.fillRect(0, 0, page.width, page.height);
  for (const placed of layout.places) {
    const { window } = placed.tile;
    const painted = await paintRows(sheet, placed, pxPerMm, 0, Math.max(1, Math.round(window.heightMm * pxPerMm)));
    if (!painted.ok) return painted;
    const [a, b, c, d, e, f] = placeMatrix(placed);
    context.setTransform(a, b, c, d, e * pxPerMm, f * pxPerMm);
    context.drawImage(
      painted.value,
      window.xMm * pxPerMm,
      window.yMm * pxPerMm,
      window.widthMm * pxPerMm,
      window.heightMm * pxPerMm,
    );
  }
  context.setTransform(pxPerMm, 0, 0, pxPerMm, 0, 0);
  drawMarks(
    context,
    sheetMarks(layout, { pack: sheet.pack, text: sheet.text, truth: sheet.truth, words: SHEET_WORDS }),
  );
  return ok(page);
}

const bytesOf = async (blob: Blob): Promise<Uint8Array<ArrayBuffer>> => new Uint8Array(await blob.arrayBuffer());

function opened(): SheetOrder {
  if (!order) throw new Error('no sheet is open');
  return order;
}

const worker: SheetWorker = {
  async open(sheet, frames) {
    order = sheet;
    const wanted = sheet.sources.map((_, source) =>
      sheet.prints.some(
        ({ picture }) =>
          picture?.source === source && (picture.turning.turns !== 0 || picture.turning.straightenDeg !== 0),
      ),
    );
    pictures = await timed('decode', () =>
      Promise.all(sheet.sources.map((file, source) => openPicture(file, frames?.[source] ?? null, wanted[source]!))),
    );
    if (pictures.some((picture) => picture === null)) return fail('picture-broken', 'the picture could not be decoded');
    const clones = frames ? [] : pictures.map((picture) => picture?.frame?.clone() ?? null);
    return transfer(
      ok(clones),
      clones.filter((frame) => frame !== null),
    );
  },
  async band({ page, place, top, rows }) {
    const sheet = opened();
    const layout = sheet.pack.pages[page]!;
    const painted = await timed('resample', () =>
      paintRows(sheet, layout.places[place]!, layout.rasterPpi / MM_PER_INCH, top, rows),
    );
    if (!painted.ok) return painted;
    const jpeg = await timed('encode', async () =>
      bytesOf(await painted.value.convertToBlob({ type: 'image/jpeg', quality: JPEG_QUALITY })),
    );
    return transfer(ok(jpeg), [jpeg.buffer]);
  },
  async write(images) {
    const { pack, text, truth } = opened();
    const pdf = await timed(
      'write',
      async () => new Uint8Array(await writeSheetPdf(pack, images, { text, truth, words: SHEET_WORDS })),
    );
    return transfer(pdf, [pdf.buffer]);
  },
  async pagePng(page, ppi) {
    const sheet = opened();
    const painted = await paintPage(sheet, sheet.pack.pages[page]!, ppi / MM_PER_INCH);
    if (!painted.ok) return painted;
    const png = withDensity(await bytesOf(await painted.value.convertToBlob({ type: 'image/png' })), ppi);
    return transfer(ok(png), [png.buffer]);
  },
  async pageRaster(page, pxPerMm) {
    const sheet = opened();
    const painted = await paintPage(sheet, sheet.pack.pages[page]!, pxPerMm);
    if (!painted.ok) return painted;
    const context = painted.value.getContext('2d');
    if (!context) return fail('sheet-failed', 'no canvas to read from');
    const { data, width, height } = context.getImageData(0, 0, painted.value.width, painted.value.height);
    return transfer(ok({ rgba: data, widthPx: width, heightPx: height }), [data.buffer]);
  },
  close() {
    for (const picture of pictures) picture?.close();
    const told = spent;
    [order, pictures, canvas, spent] = [null, [], null, NOTHING_SPENT];
    return told;
  },
};

expose(worker);
