/**
 * The one door to the PDF library: a document begun the way all of Fobbet's are, and the drawing operators they use.
 * Only files under `core/sheet` that write a PDF import it, and those are loaded when a file is made.
 */
import { PDFDocument, PrintScaling, type PDFFont } from '@cantoo/pdf-lib';

export {
  LineCapStyle,
  PDFDocument,
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
  type PDFFont,
  type PDFPage,
  type PDFRef,
} from '@cantoo/pdf-lib';

/**
 * A document with its title shown and viewers asked not to scale. The same input gives the same bytes: its dates are
 * those passed in.
 */
export async function startPdf(title: string, createdAt: Date): Promise<PDFDocument> {
  const document = await PDFDocument.create();
  document.setTitle(title, { showInWindowTitleBar: true });
  document.setCreator('Fobbet');
  document.setProducer('Fobbet');
  document.setCreationDate(createdAt);
  document.setModificationDate(createdAt);
  document.catalog.getOrCreateViewerPreferences().setPrintScaling(PrintScaling.None);
  return document;
}

export const finishPdf = (document: PDFDocument): Promise<Uint8Array> => document.save({ useObjectStreams: false });

/** The standard fonts know western letters only: others lose their accents, or become "?". */
export function encodable(words: string, font: PDFFont): string {
  const known = new Set(font.getCharacterSet());
  const knows = (letter: string) => known.has(letter.codePointAt(0) ?? 0);
  return [...words]
    .map((letter) => (knows(letter) ? letter : ([...letter.normalize('NFKD')].find(knows) ?? '?')))
    .join('');
}
