/**
 * Writes sheets as a PDF at exact size: the page box is the paper, one unit is 1/72 in, viewers are asked not to scale,
 * and every page has its bookmark. The pictures arrive as they are printed, mirrored or not, as JPEG in bands; marks,
 * bar and words are vectors. The same input gives the same bytes.
 */
import {
  LineCapStyle,
  PDFHexString,
  PDFName,
  StandardFonts,
  clip,
  concatTransformationMatrix,
  drawObject,
  endPath,
  popGraphicsState,
  pushGraphicsState,
  rectangle,
  rgb,
  startPdf,
  finishPdf,
  type PDFDocument,
  type PDFFont,
  type PDFPage,
  type PDFRef,
  encodable,
} from './pdf-kit';
import { mmToPoints } from '@/core/measure';
import { ringPath } from '@/core/shape';
import { placeMatrix, type PlacedPrint, type SheetLayout, type SheetPack } from './sheet-page';
import { MARK_MM, sheetMarks, type Mark, type MarkedSheet } from './marks';
import { printerScale, type PrinterTruth } from '@/core/at-hand';

const INK = rgb(0.118, 0.129, 0.149);
/** Seen on light and dark pictures alike. */
const CUT = rgb(0.83, 0.1, 0.42);
const FOLD_DASH_PT = 4;

/**
 * A band of a placed print, as it is printed: rows of its raster from `top`. Bands may overlap: later ones lie over
 * earlier ones.
 */
interface PrintBand {
  jpeg: Uint8Array;
  top: number;
  rows: number;
}
/** For each page, for each of its places, the bands from the top. */
export type SheetImages = readonly (readonly (readonly PrintBand[])[])[];

interface Fonts {
  plain: PDFFont;
  bold: PDFFont;
}

/** Every sheet is drawn against what the printer does to sizes (`sheet.truth`), and says so. */
export async function writeSheetPdf(
  pack: SheetPack,
  images: SheetImages,
  sheet: Omit<MarkedSheet, 'pack'>,
): Promise<Uint8Array> {
  const { text, truth, words } = sheet;
  const document = await startPdf(words.documentTitle(text.title, text.mirrored), text.createdAt);
  const fonts = {
    plain: await document.embedFont(StandardFonts.Helvetica),
    bold: await document.embedFont(StandardFonts.HelveticaBold),
  };
  const bookmarks: { title: string; page: PDFRef }[] = [];
  for (const [index, layout] of pack.pages.entries()) {
    const page = document.addPage([mmToPoints(layout.page.widthMm), mmToPoints(layout.page.heightMm)]);
    page.pushOperators(pushGraphicsState(), correction(layout, truth));
    for (const [at, placed] of layout.places.entries())
      for (const band of images[index]![at]!) await drawBand(document, page, layout, placed, band);
    for (const mark of sheetMarks(layout, { pack, ...sheet })) drawMark(page, layout, mark, fonts);
    page.pushOperators(popGraphicsState());
    bookmarks.push({ title: bookmarkOf(layout, pack, sheet, index), page: page.ref });
  }
  addBookmarks(document, bookmarks);
  return finishPdf(document);
}

function bookmarkOf(
  { places }: SheetLayout,
  pack: SheetPack,
  { text, words }: Omit<MarkedSheet, 'pack'>,
  index: number,
): string {
  const names = [...new Set(places.map((place) => text.prints[place.print]!.name))].join(', ');
  const { tile, print, copy } = places[0]!;
  const tiled =
    tile.window.widthMm < pack.prints[print]!.widthMm || tile.window.heightMm < pack.prints[print]!.heightMm;
  return words.bookmark({
    page: index + 1,
    names,
    tile: tiled ? { row: tile.row + 1, column: tile.column + 1 } : null,
    copy: pack.copies > 1 && places.length === 1 ? copy + 1 : null,
  });
}

/** The outline that a viewer shows beside the pages. */
function addBookmarks(document: PDFDocument, marks: readonly { title: string; page: PDFRef }[]): void {
  const { context } = document;
  const root = context.nextRef();
  const refs = marks.map(() => context.nextRef());
  marks.forEach(({ title, page }, index) =>
    context.assign(
      refs[index]!,
      context.obj({
        Title: PDFHexString.fromText(title),
        Parent: root,
        Dest: [page, PDFName.of('Fit')],
        ...(index > 0 ? { Prev: refs[index - 1] } : {}),
        ...(index < refs.length - 1 ? { Next: refs[index + 1] } : {}),
      }),
    ),
  );
  context.assign(
    root,
    context.obj({ Type: PDFName.of('Outlines'), First: refs[0], Last: refs[refs.length - 1], Count: refs.length }),
  );
  document.catalog.set(PDFName.of('Outlines'), root);
  document.catalog.set(PDFName.of('PageMode'), PDFName.of(marks.length > 1 ? 'UseOutlines' : 'UseNone'));
}

async function drawBand(
  document: PDFDocument,
  page: PDFPage,
  layout: SheetLayout,
  placed: PlacedPrint,
  { jpeg, top, rows }: PrintBand,
): Promise<void> {
  const image = await document.embedJpg(jpeg);
  const name = page.node.newXObject('Picture', image.ref);
  const [a, b, c, d, e, f] = placeMatrix(placed);
  const { window } = placed.tile;
  const mmPerDot = window.heightMm / placed.rasterPx.heightPx;
  const [y0, h] = [window.yMm + top * mmPerDot, rows * mmPerDot];
  const at = (u: number, v: number): readonly [x: number, y: number] => {
    const [x, y] = [window.xMm + u * window.widthMm, y0 + (1 - v) * h];
    return [mmToPoints(a * x + c * y + e), mmToPoints(layout.page.heightMm - (b * x + d * y + f))];
  };
  const [[ox, oy], [ux, uy], [vx, vy]] = [at(0, 0), at(1, 0), at(0, 1)] as const;
  page.pushOperators(
    pushGraphicsState(),
    concatTransformationMatrix(ux - ox, uy - oy, vx - ox, vy - oy, ox, oy),
    drawObject(name),
    popGraphicsState(),
  );
}

/**
 * Draws the page larger or smaller about its middle. A landscape page is fed upright, so its width runs along the feed.
 */
function correction(
  { page, orientation }: SheetLayout,
  truth: PrinterTruth,
): ReturnType<typeof concatTransformationMatrix> {
  const { across, along } = printerScale(truth);
  const [sx, sy] = orientation === 'landscape' ? [along, across] : [across, along];
  const [cx, cy] = [mmToPoints(page.widthMm) / 2, mmToPoints(page.heightMm) / 2];
  return concatTransformationMatrix(sx, 0, 0, sy, cx * (1 - sx), cy * (1 - sy));
}

function drawMark(page: PDFPage, { page: { heightMm } }: SheetLayout, mark: Mark, fonts: Fonts): void {
  const at = (xMm: number, yMm: number) => ({ x: mmToPoints(xMm), y: mmToPoints(heightMm - yMm) });
  switch (mark.kind) {
    case 'line':
      page.drawLine({
        start: at(mark.line.x1, mark.line.y1),
        end: at(mark.line.x2, mark.line.y2),
        thickness: mmToPoints(mark.widthMm),
        color: INK,
      });
      return;
    case 'fill':
      page.drawSvgPath(ringPath(mark.ring), { ...at(0, 0), scale: mmToPoints(1), color: INK });
      return;
    case 'box':
      page.drawRectangle({
        ...at(mark.rect.xMm, mark.rect.yMm + mark.rect.heightMm),
        width: mmToPoints(mark.rect.widthMm),
        height: mmToPoints(mark.rect.heightMm),
        borderColor: INK,
        borderWidth: mmToPoints(MARK_MM.hairline),
        ...(mark.filled ? { color: INK } : {}),
      });
      return;
    case 'outline': {
      const corner = at(mark.clip.xMm, mark.clip.yMm + mark.clip.heightMm);
      page.pushOperators(
        pushGraphicsState(),
        rectangle(corner.x, corner.y, mmToPoints(mark.clip.widthMm), mmToPoints(mark.clip.heightMm)),
        clip(),
        endPath(),
      );
      if (mark.rings.length > 0)
        page.drawSvgPath(mark.rings.map(ringPath).join(' '), {
          ...at(0, 0),
          scale: mmToPoints(1),
          borderColor: CUT,
          borderWidth: MARK_MM.cut,
          borderLineCap: LineCapStyle.Round,
        });
      for (const { x1, y1, x2, y2 } of mark.folds)
        page.drawLine({
          start: at(x1, y1),
          end: at(x2, y2),
          thickness: mmToPoints(MARK_MM.cut),
          color: CUT,
          dashArray: [FOLD_DASH_PT, FOLD_DASH_PT],
        });
      page.pushOperators(popGraphicsState());
      return;
    }
    case 'words':
      drawWords(page, mark, at(mark.at.xMm, mark.at.yMm), mark.bold ? fonts.bold : fonts.plain);
      return;
  }
}

function drawWords(
  page: PDFPage,
  { words, sizeMm, mirrored, turned, maxMm }: Extract<Mark, { kind: 'words' }>,
  { x, y }: { x: number; y: number },
  font: PDFFont,
): void {
  const size = mmToPoints(sizeMm);
  const text = shortened(words, font, size, maxMm);
  if (text === '') return;
  const width = mirrored ? font.widthOfTextAtSize(text, size) : 0;
  const [cos, sin] = turned ? [0, -1] : [1, 0];
  const flip = mirrored ? -1 : 1;
  page.pushOperators(
    pushGraphicsState(),
    concatTransformationMatrix(cos * flip, sin * flip, -sin, cos, x + cos * width, y + sin * width),
  );
  page.drawText(text, { x: 0, y: 0, size, font, color: INK });
  page.pushOperators(popGraphicsState());
}

function shortened(words: string, font: PDFFont, points: number, widthMm: number): string {
  let text = encodable(words, font);
  while (text.length > 0 && font.widthOfTextAtSize(text, points) > mmToPoints(widthMm)) text = text.slice(0, -1);
  return text;
}
