/** What the shop's server does with a PDF: measures its pages, and draws what the machine would print. Server only. */
import { join } from 'node:path';
import { createCanvas } from '@napi-rs/canvas';
import { getDocument, type PDFDocumentProxy } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { MM_PER_INCH } from '@/core/measure';
import { withDensity } from '@/core/sheet/png-density';
import { fail, ok, type Result } from '@/core/shared';
import type { ShopCode } from '@/records';
import { MACHINE, MOST_PAGES, type ShopJob, type ShopOptions } from './machine';

const POINTS_PER_INCH = 72;
/** Of the proof picture. */
const PROOF_PPI = 130;
/** The machine's largest sheet is well within; a page may take so long. */
const LARGEST_PX = 4000;
const LONGEST_MS = 20_000;
/** The server runs in the project's folder. */
const FONTS = `${join(process.cwd(), 'node_modules', 'pdfjs-dist', 'standard_fonts')}/`;
const toMm = (points: number): number => (points / POINTS_PER_INCH) * MM_PER_INCH;

async function openPdf(bytes: Uint8Array): Promise<PDFDocumentProxy | null> {
  if (!new TextDecoder('latin1').decode(bytes.subarray(0, 1024)).includes('%PDF-')) return null;
  return getDocument({
    data: bytes.slice(),
    standardFontDataUrl: FONTS,
    disableFontFace: true,
    isEvalSupported: false,
    verbosity: 0,
  }).promise.catch(() => null);
}

const NOT_PDF = fail('shop-not-pdf', 'expected a PDF');

export async function measurePdf(bytes: Uint8Array): Promise<Result<ShopJob, ShopCode>> {
  const document = await openPdf(bytes);
  if (!document) return NOT_PDF;
  if (document.numPages > MOST_PAGES) {
    const { numPages } = document;
    await document.destroy();
    return fail('shop-too-many-pages', `${numPages} pages`, { values: { pages: numPages, most: MOST_PAGES } });
  }
  const pages = await Promise.all(
    Array.from({ length: document.numPages }, async (_, at) => {
      const { width, height } = (await document.getPage(at + 1)).getViewport({ scale: 1 });
      return { widthMm: toMm(width), heightMm: toMm(height) };
    }),
  );
  await document.destroy();
  return ok({ pages, bytes: bytes.length });
}

/**
 * One page as the machine prints it, PNG: a little stretched and shifted, white where its grippers hold, paler; shrunk
 * to fit where that was asked for.
 */
export async function printProof(
  bytes: Uint8Array,
  page: number,
  { colour, fit }: Pick<ShopOptions, 'colour' | 'fit'>,
): Promise<Result<Uint8Array, ShopCode>> {
  const document = await openPdf(bytes);
  if (!document) return NOT_PDF;
  const sheet = await document.getPage(Math.min(document.numPages, page + 1));
  const viewport = sheet.getViewport({ scale: PROOF_PPI / POINTS_PER_INCH });
  if (Math.max(viewport.width, viewport.height) > LARGEST_PX) {
    await document.destroy();
    const [widthMm, heightMm] = [viewport.width, viewport.height].map((px) => (px / PROOF_PPI) * MM_PER_INCH);
    return fail('shop-page-size', `${widthMm} × ${heightMm} mm`, {
      values: { widthMm: widthMm!, heightMm: heightMm! },
    });
  }
  const drawn = createCanvas(Math.max(1, Math.round(viewport.width)), Math.max(1, Math.round(viewport.height)));
  const drawing = sheet.render({ canvasContext: drawn.getContext('2d') as never, viewport, canvas: null });
  const limit = setTimeout(() => drawing.cancel(), LONGEST_MS);
  const isDrawn = await drawing.promise.then(
    () => true,
    () => false,
  );
  clearTimeout(limit);
  await document.destroy();
  if (!isDrawn) return fail('shop-too-slow', `expected to draw the page within ${LONGEST_MS} ms`);

  const out = createCanvas(drawn.width, drawn.height);
  const context = out.getContext('2d');
  const perMm = PROOF_PPI / MM_PER_INCH;
  const margin = MACHINE.marginMm * perMm;
  const [w, h] = [drawn.width, drawn.height];
  const landscape = w > h;
  const shrunk = fit ? Math.min((w - 2 * margin) / w, (h - 2 * margin) / h) : 1;
  const [sx, sy] = [
    shrunk * (landscape ? MACHINE.along : MACHINE.across),
    shrunk * (landscape ? MACHINE.across : MACHINE.along),
  ];
  context.fillStyle = '#fff';
  context.fillRect(0, 0, w, h);
  context.save();
  context.beginPath();
  context.rect(margin, margin, w - 2 * margin, h - 2 * margin);
  context.clip();
  context.translate(w / 2 + MACHINE.shiftMm[0] * perMm, h / 2 + MACHINE.shiftMm[1] * perMm);
  context.scale(sx, sy);
  if (!colour) context.filter = 'grayscale(1)';
  context.globalAlpha = MACHINE.kept;
  context.drawImage(drawn, -w / 2, -h / 2);
  context.restore();
  return ok(withDensity(new Uint8Array(out.toBuffer('image/png')), PROOF_PPI));
}
