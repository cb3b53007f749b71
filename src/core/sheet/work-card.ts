/** Work cards: one page for a piece, or for a day, to be taken to the bench on paper. Lengths mm from the top left. */
import { StandardFonts, encodable, finishPdf, rgb, startPdf, type PDFFont, type PDFPage } from './pdf-kit';
import { wrapped } from './wrap-words';
import type { SizeMm } from '@/core/shape';

interface CardStep {
  /** When it is planned; empty where it is not. */
  when: string;
  text: string;
  /** Minutes of hands and the wait after them. */
  time: string;
  done: boolean;
}

export interface WorkCard {
  title: string;
  /** Under the title: when it is due, whose hands. */
  under: string;
  /** JPEG; null without. */
  picture: Uint8Array | null;
  /** Sizes and amounts, each with what it is of. */
  facts: readonly { name: string; value: string }[];
  steps: readonly CardStep[];
  cautions: readonly string[];
}

export interface WorkCardOrder {
  title: string;
  cards: readonly WorkCard[];
  paper: SizeMm;
  at: Date;
}

const POINTS_PER_MM = 72 / 25.4;
const MARGIN_MM = 15;
const PICTURE_MM = 52;
const BOX_MM = 3.6;
const WHEN_MM = 34;
const TIME_MM = 40;
const LARGEST_MM = 4;
const LEAST_MM = 1.8;
const LINE = 1.42;
const INK = rgb(0.12, 0.13, 0.15);
const RED = rgb(0.6, 0.1, 0.08);

/** As many pages as cards: letters become as small as all of a card needs, down to what can still be read. */
export async function workCardsPdf({ title, cards, paper, at }: WorkCardOrder): Promise<Uint8Array> {
  const document = await startPdf(title, at);
  const fonts = {
    plain: await document.embedFont(StandardFonts.Helvetica),
    bold: await document.embedFont(StandardFonts.HelveticaBold),
  };
  for (const card of cards) {
    const page = document.addPage([paper.widthMm * POINTS_PER_MM, paper.heightMm * POINTS_PER_MM]);
    const picture = card.picture ? await document.embedJpg(card.picture) : null;
    const size = fitting(card, paper);
    const pen = new Pen(page, fonts, paper, size);
    let top = MARGIN_MM;
    if (picture) {
      const scale = Math.min(PICTURE_MM / picture.width, PICTURE_MM / picture.height);
      page.drawImage(picture, {
        x: (paper.widthMm - MARGIN_MM - picture.width * scale) * POINTS_PER_MM,
        y: (paper.heightMm - MARGIN_MM - picture.height * scale) * POINTS_PER_MM,
        width: picture.width * scale * POINTS_PER_MM,
        height: picture.height * scale * POINTS_PER_MM,
      });
    }
    const beside = paper.widthMm - 2 * MARGIN_MM - (picture ? PICTURE_MM + 6 : 0);
    top = pen.write(card.title, MARGIN_MM, top, beside, { bold: true, scale: TITLE_SCALE });
    if (card.under) top = pen.write(card.under, MARGIN_MM, top, beside);
    top += size;
    for (const { name, value } of card.facts) {
      pen.write(name, MARGIN_MM, top, WHEN_MM, { bold: true });
      top = pen.write(value, MARGIN_MM + WHEN_MM, top, beside - WHEN_MM);
    }
    if (picture) top = Math.max(top, MARGIN_MM + PICTURE_MM);
    top += size * 0.8;
    for (const step of card.steps) {
      pen.rule(top - size * 0.25);
      pen.box(MARGIN_MM, top, step.done);
      pen.write(step.when, MARGIN_MM + BOX_MM + 3, top, WHEN_MM - 3);
      pen.write(step.time, paper.widthMm - MARGIN_MM - TIME_MM, top, TIME_MM);
      top = pen.write(step.text, MARGIN_MM + BOX_MM + WHEN_MM, top, stepMm(paper), { bold: true });
      top += size * STEP_GAP;
    }
    if (card.cautions.length > 0) top += size;
    for (const caution of card.cautions)
      top = pen.write(`! ${caution}`, MARGIN_MM, top, paper.widthMm - 2 * MARGIN_MM, { color: RED });
  }
  return finishPdf(document);
}

const TITLE_SCALE = 1.7;
const STEP_GAP = 0.6;
const stepMm = ({ widthMm }: SizeMm): number => widthMm - 2 * MARGIN_MM - BOX_MM - WHEN_MM - TIME_MM;

/** Letters as large as all of it goes onto one page. */
function fitting(card: WorkCard, paper: SizeMm): number {
  const room = paper.heightMm - 2 * MARGIN_MM;
  for (let size = LARGEST_MM; size > LEAST_MM; size -= 0.1) if (heightOf(card, paper, size) <= room) return size;
  return LEAST_MM;
}

function heightOf({ title, under, picture, facts, steps, cautions }: WorkCard, paper: SizeMm, size: number): number {
  const whole = paper.widthMm - 2 * MARGIN_MM;
  const beside = whole - (picture ? PICTURE_MM + 6 : 0);
  const lines = (text: string, widthMm: number, scale = 1) =>
    wrapped(text, size * scale, widthMm).length * size * scale * LINE;
  const head =
    lines(title, beside, TITLE_SCALE) +
    (under ? lines(under, beside) : 0) +
    size +
    facts.reduce((sum, { value }) => sum + lines(value, beside - WHEN_MM), 0);
  return (
    Math.max(head, picture ? PICTURE_MM : 0) +
    size * 0.8 +
    steps.reduce((sum, { text }) => sum + lines(text, stepMm(paper)) + size * STEP_GAP, 0) +
    (cautions.length > 0 ? size : 0) +
    cautions.reduce((sum, text) => sum + lines(`! ${text}`, whole), 0)
  );
}

class Pen {
  constructor(
    private readonly page: PDFPage,
    private readonly fonts: { plain: PDFFont; bold: PDFFont },
    private readonly paper: SizeMm,
    private readonly size: number,
  ) {}

  /** Writes words in lines, and says where the next begins. */
  write(
    words: string,
    x: number,
    top: number,
    maxMm: number,
    { bold = false, scale = 1, color = INK }: { bold?: boolean; scale?: number; color?: typeof INK } = {},
  ): number {
    const font = bold ? this.fonts.bold : this.fonts.plain;
    const sizeMm = this.size * scale;
    let y = top;
    for (const line of wrapped(words, sizeMm, maxMm)) {
      this.page.drawText(encodable(line, font), {
        x: x * POINTS_PER_MM,
        y: (this.paper.heightMm - y - sizeMm) * POINTS_PER_MM,
        size: sizeMm * POINTS_PER_MM,
        font,
        color,
      });
      y += sizeMm * LINE;
    }
    return y;
  }

  rule(top: number): void {
    const y = (this.paper.heightMm - top) * POINTS_PER_MM;
    this.page.drawLine({
      start: { x: MARGIN_MM * POINTS_PER_MM, y },
      end: { x: (this.paper.widthMm - MARGIN_MM) * POINTS_PER_MM, y },
      thickness: 0.4,
      color: rgb(0.75, 0.77, 0.8),
    });
  }

  /** A box to tick; crossed where it is done already. */
  box(x: number, top: number, done: boolean): void {
    const [left, bottom] = [x * POINTS_PER_MM, (this.paper.heightMm - top - BOX_MM) * POINTS_PER_MM];
    const side = BOX_MM * POINTS_PER_MM;
    this.page.drawRectangle({ x: left, y: bottom, width: side, height: side, borderColor: INK, borderWidth: 0.8 });
    if (!done) return;
    const line = (fromY: number, toY: number) =>
      this.page.drawLine({
        start: { x: left, y: fromY },
        end: { x: left + side, y: toY },
        thickness: 0.8,
        color: INK,
      });
    line(bottom, bottom + side);
    line(bottom + side, bottom);
  }
}
