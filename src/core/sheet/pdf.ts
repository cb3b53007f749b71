/**
 * Writes the sheet as a PDF at exact size: the page box is the paper, one unit is 1/72 in, and viewers are asked not to scale.
 * The picture arrives as it is printed, mirrored or not, as JPEG; marks, bar and words are vectors. The same input gives the same bytes.
 */
import { PDFDocument, PrintScaling, StandardFonts, clip, concatTransformationMatrix, endPath, popGraphicsState, pushGraphicsState, rectangle, rgb, type PDFFont, type PDFPage } from 'pdf-lib';
import { formatSize, mmToPoints, type UnitSystem } from '@/core/measure';
import type { RectMm } from '@/core/shape';
import { BAR_MM, type Line, type SheetLayout } from './layout';
import { TRUE_PRINTER, printerScale, type PrinterTruth } from './printer';

export interface SheetOutline { path: string; folds: readonly Line[]; print: RectMm }

export interface SheetText {
  pieceName: string;
  unitSystem: UnitSystem;
  /** False where it is traced: then it is printed the right way round, and says so. */
  mirrored: boolean;
  /** Where to cut and to fold a blank that is no plain rectangle: path data in mm on its face, and the whole print's place there; null where the corner marks say it all. */
  outline: SheetOutline | null;
  /** Written into the file, so that it is the same whenever it is made. */
  createdAt: Date;
}

const INK = rgb(0.118, 0.129, 0.149);
const HAIRLINE_PT = 0.4;
const JOIN_PT = 1.1;
const CUT_PT = 0.5;
/** A cut line on the print's rim is drawn whole. */
const CUT_BLEED_MM = 0.3;
/** Seen on light and dark pictures alike. */
const CUT = rgb(0.83, 0.1, 0.42);
const BAR_PT = 0.9;
const BAR_TICK_MM = 1.6;
/** Reads backwards on the mirrored sheet, true from the back and on the piece. */
const MIRROR_WORDS = 'READS TRUE ON THE PIECE';
const UNMIRRORED_WORDS = 'NOT MIRRORED ON PURPOSE';

export interface SheetPage { layout: SheetLayout; /** The tile as it is printed. */ jpeg: Uint8Array }

/** @param truth what the printer does to sizes; every sheet is drawn against it and says so */
export async function writeSheetPdf(pages: readonly SheetPage[], text: SheetText, truth: PrinterTruth = TRUE_PRINTER): Promise<Uint8Array> {
  const document = await PDFDocument.create();
  document.setTitle(`${text.pieceName} – ${text.mirrored ? 'mirrored print' : 'print, not mirrored on purpose'}`, { showInWindowTitleBar: true });
  document.setCreator('Fobbet');
  document.setProducer('Fobbet');
  document.setCreationDate(text.createdAt);
  document.setModificationDate(text.createdAt);
  document.catalog.getOrCreateViewerPreferences().setPrintScaling(PrintScaling.None);
  const fonts = { plain: await document.embedFont(StandardFonts.Helvetica), bold: await document.embedFont(StandardFonts.HelveticaBold) };
  for (const { layout, jpeg } of pages) {
    const page = document.addPage([mmToPoints(layout.page.widthMm), mmToPoints(layout.page.heightMm)]);
    page.pushOperators(pushGraphicsState(), correction(layout, truth));
    const { xMm, yMm, widthMm, heightMm } = layout.print;
    page.drawImage(await document.embedJpg(jpeg), {
      x: mmToPoints(xMm), y: mmToPoints(layout.page.heightMm - yMm - heightMm), width: mmToPoints(widthMm), height: mmToPoints(heightMm),
    });
    for (const line of [...layout.trimCorners, ...layout.centreMarks]) drawLine(page, layout, line, HAIRLINE_PT);
    if (text.outline) drawOutline(page, layout, text.outline, text.mirrored);
    for (const line of layout.joinMarks) drawLine(page, layout, line, JOIN_PT);
    drawBar(page, layout);
    drawWords(page, layout, text, fonts, pages, truth);
    page.pushOperators(popGraphicsState());
  }
  return document.save({ useObjectStreams: false });
}

/** The cut line of the blank and its folds over the tile, as they are printed; what lies outside the tile is cut off. */
function drawOutline(page: PDFPage, { print, page: { heightMm }, tile }: SheetLayout, { path, folds, print: whole }: SheetOutline, mirrored: boolean): void {
  const box = { x: mmToPoints(print.xMm - CUT_BLEED_MM), y: mmToPoints(heightMm - print.yMm - print.heightMm - CUT_BLEED_MM), width: mmToPoints(print.widthMm + 2 * CUT_BLEED_MM), height: mmToPoints(print.heightMm + 2 * CUT_BLEED_MM) };
  // From the face's millimetres to the page: the print's window, turned over where it is mirrored.
  const left = print.xMm - tile.window.xMm + (mirrored ? whole.xMm + whole.widthMm : -whole.xMm);
  const top = heightMm - (print.yMm - tile.window.yMm - whole.yMm);
  page.pushOperators(pushGraphicsState(), rectangle(box.x, box.y, box.width, box.height), clip(), endPath(), concatTransformationMatrix(mirrored ? -1 : 1, 0, 0, 1, mmToPoints(left), mmToPoints(top)));
  page.drawSvgPath(path, { x: 0, y: 0, scale: mmToPoints(1), borderColor: CUT, borderWidth: CUT_PT / mmToPoints(1) });
  for (const { x1, y1, x2, y2 } of folds) page.drawLine({ start: { x: mmToPoints(x1), y: -mmToPoints(y1) }, end: { x: mmToPoints(x2), y: -mmToPoints(y2) }, thickness: CUT_PT, color: CUT, dashArray: [4, 4] });
  page.pushOperators(popGraphicsState());
}

/** Draws the page larger or smaller about its middle. A landscape page is fed upright, so its width runs along the feed. */
function correction({ page, orientation }: SheetLayout, truth: PrinterTruth): ReturnType<typeof concatTransformationMatrix> {
  const { across, along } = printerScale(truth);
  const [sx, sy] = orientation === 'landscape' ? [along, across] : [across, along];
  const [cx, cy] = [mmToPoints(page.widthMm) / 2, mmToPoints(page.heightMm) / 2];
  return concatTransformationMatrix(sx, 0, 0, sy, cx * (1 - sx), cy * (1 - sy));
}

function drawLine(page: PDFPage, layout: SheetLayout, { x1, y1, x2, y2 }: Line, thickness: number): void {
  const height = layout.page.heightMm;
  page.drawLine({ start: { x: mmToPoints(x1), y: mmToPoints(height - y1) }, end: { x: mmToPoints(x2), y: mmToPoints(height - y2) }, thickness, color: INK });
}

function drawBar(page: PDFPage, layout: SheetLayout): void {
  const { bar, strip } = layout;
  drawLine(page, layout, bar, BAR_PT);
  for (let mm = 0; mm <= BAR_MM; mm += 10) {
    const tick = mm % 50 === 0 ? BAR_TICK_MM : BAR_TICK_MM / 2;
    const mark = strip.vertical
      ? { x1: bar.x1 - tick, y1: bar.y1 + mm, x2: bar.x1, y2: bar.y1 + mm }
      : { x1: bar.x1 + mm, y1: bar.y1 - tick, x2: bar.x1 + mm, y2: bar.y1 };
    drawLine(page, layout, mark, HAIRLINE_PT);
  }
}

interface Fonts { plain: PDFFont; bold: PDFFont }

function drawWords(page: PDFPage, layout: SheetLayout, text: SheetText, { plain, bold }: Fonts, pages: readonly SheetPage[], truth: PrinterTruth): void {
  const { strip, paper, tile } = layout;
  const size = formatSize([Math.max(...pages.map(({ layout: one }) => one.tile.window.xMm + one.tile.window.widthMm)), Math.max(...pages.map(({ layout: one }) => one.tile.window.yMm + one.tile.window.heightMm))], text.unitSystem);
  const name = encodable(text.pieceName, bold);
  // Along the strip: origin at the start of its inner edge, x along, y towards the page's edge.
  const along = (xMm: number, yMm: number) =>
    strip.vertical
      ? { x: mmToPoints(strip.rect.xMm + yMm), y: mmToPoints(layout.page.heightMm - strip.rect.yMm - xMm), turn: true }
      : { x: mmToPoints(strip.rect.xMm + xMm), y: mmToPoints(layout.page.heightMm - strip.rect.yMm - yMm), turn: false };
  const write = (words: string, xMm: number, yMm: number, font: PDFFont, points: number, mirrored = false) => {
    const { x, y, turn } = along(xMm, yMm);
    const [cos, sin] = turn ? [0, -1] : [1, 0];
    const flip = mirrored ? -1 : 1;
    page.pushOperators(pushGraphicsState(), concatTransformationMatrix(cos * flip, sin * flip, -sin, cos, x, y));
    page.drawText(encodable(words, font), { x: 0, y: 0, size: points, font, color: INK });
    page.pushOperators(popGraphicsState());
  };
  write(`This bar measures ${BAR_MM} mm (3.94 in). If not: print again at 100 %, no scaling.`, 1, 6.4, plain, 6);
  const wordsStart = BAR_MM + 5;
  // On a narrow paper the words are smaller rather than cut off.
  const spareMm = (strip.vertical ? strip.rect.heightMm : strip.rect.widthMm) - wordsStart - 1;
  const points = Math.min(10, Math.max(3, (10 * spareMm * 72) / (25.4 * bold.widthOfTextAtSize(MIRROR_WORDS, 10))));
  const mirrorWidthMm = (bold.widthOfTextAtSize(MIRROR_WORDS, points) * 25.4) / 72;
  if (text.mirrored) {
    write(MIRROR_WORDS, wordsStart + mirrorWidthMm, 6.9, bold, points, true);
    write(shortened('Mirrored sheet: the words above read backwards here.', plain, 5.5, spareMm), wordsStart, 9.6, plain, 5.5);
  } else {
    write(UNMIRRORED_WORDS, wordsStart, 6.9, bold, points);
    write('Right way round: it is not laid face down.', wordsStart, 9.6, plain, 5.5);
  }
  const facts = [name, `print ${size}`, paper.name, ...(pages.length > 1 ? [`page ${tile.index + 1} of ${pages.length}`] : []), ...corrected(truth)];
  const roomMm = (strip.vertical ? strip.rect.heightMm : strip.rect.widthMm) - wordsStart - (pages.length > 1 ? MAP_MM + 2 : 0);
  write(shortened(facts.join(' · '), plain, 5.5, roomMm), wordsStart, 11.8, plain, 5.5);
  if (pages.length > 1) {
    write(shortened(tileWords(layout), plain, 6, BAR_MM), 1, 3.4, plain, 6);
    drawMap(page, layout, pages);
  }
}

const corrected = (truth: PrinterTruth): string[] => {
  const { across, along } = printerScale(truth);
  return across === 1 && along === 1 ? [] : [`printer corrected × ${across.toFixed(4)} across, × ${along.toFixed(4)} along`];
};

/** What to do with this tile: which sides are cut, which go under the next page. */
function tileWords({ tile }: SheetLayout): string {
  const cut = [...(tile.column > 0 ? ['left'] : []), ...(tile.row > 0 ? ['top'] : [])];
  const under = [...(tile.joinXMm !== null ? ['right'] : []), ...(tile.joinYMm !== null ? ['bottom'] : [])];
  return [cut.length ? `Trim the ${cut.join(' and ')} edge along the corner marks.` : '', under.length ? `The ${under.join(' and ')} edge goes under the next page, up to the thick marks.` : ''].filter(Boolean).join(' ');
}

const MAP_MM = 16;

/** A small map of the pages at the end of the strip, this one filled. */
function drawMap(page: PDFPage, layout: SheetLayout, pages: readonly SheetPage[]): void {
  const columns = Math.max(...pages.map(({ layout: one }) => one.tile.column)) + 1;
  const rows = Math.max(...pages.map(({ layout: one }) => one.tile.row)) + 1;
  const { rect } = layout.strip;
  const cell = Math.min(MAP_MM / columns, (rect.heightMm - 2) / rows);
  const [left, top] = [rect.xMm + rect.widthMm - columns * cell, rect.yMm + 1];
  for (let row = 0; row < rows; row++) for (let column = 0; column < columns; column++) {
    const here = row === layout.tile.row && column === layout.tile.column;
    page.drawRectangle({
      x: mmToPoints(left + column * cell), y: mmToPoints(layout.page.heightMm - top - (row + 1) * cell), width: mmToPoints(cell), height: mmToPoints(cell), borderColor: INK, borderWidth: HAIRLINE_PT, ...(here ? { color: INK } : {}),
    });
  }
}

/** The standard fonts know western letters only: others lose their accents, or become "?". */
function encodable(words: string, font: PDFFont): string {
  const known = new Set(font.getCharacterSet());
  const knows = (letter: string) => known.has(letter.codePointAt(0) ?? 0);
  return [...words].map((letter) => (knows(letter) ? letter : [...letter.normalize('NFKD')].find(knows) ?? '?')).join('');
}

function shortened(words: string, font: PDFFont, points: number, widthMm: number): string {
  let text = encodable(words, font);
  while (text.length > 1 && font.widthOfTextAtSize(text, points) > mmToPoints(widthMm)) text = text.slice(0, -1);
  return text;
}
