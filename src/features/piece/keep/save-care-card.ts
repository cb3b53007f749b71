import { pageSize, paperOf } from '@/core/sheet';
import type { SizeMm } from '@/core/shape';
import type { Piece } from '@/records';
import { fileName, saveFile } from '@/features/sheets/save-file';
import { say } from '@/words/say';

/** As large as a visiting card's bigger brother: it goes behind a frame or onto a string. */
const CARD: SizeMm = { widthMm: 105, heightMm: 74 };
const DOTS_PER_MM = 12;
const MARGIN_MM = 6;
const LARGEST_MM = 4.2;
const LEAST_MM = 2;
const LINE = 1.35;

/** The care label as a small card on a page, ready to be cut out. */
export async function saveCareCard(piece: Piece, text: string, at: Date): Promise<void> {
  const picture = await drawCard(piece.name, text);
  const { cardPdf } = await import('@/core/sheet/card-pdf');
  const { paper, custom } = piece.sheet;
  const bytes = await cardPdf({
    title: say`${piece.name}: care`,
    picture,
    size: CARD,
    paper: pageSize(paperOf(paper, custom), 'portrait'),
    at,
  });
  saveFile(new Blob([new Uint8Array(bytes)], { type: 'application/pdf' }), fileName(say`${piece.name} care`, 'pdf'));
}

async function drawCard(name: string, text: string): Promise<Uint8Array> {
  const canvas = new OffscreenCanvas(CARD.widthMm * DOTS_PER_MM, CARD.heightMm * DOTS_PER_MM);
  const context = canvas.getContext('2d');
  if (!context) throw new Error('no canvas to draw the card on');
  const family = getComputedStyle(document.body).fontFamily;
  context.fillStyle = '#fff';
  context.fillRect(0, 0, canvas.width, canvas.height);
  context.fillStyle = '#1E2126';
  const width = (CARD.widthMm - 2 * MARGIN_MM) * DOTS_PER_MM;
  const height = (CARD.heightMm - 2 * MARGIN_MM) * DOTS_PER_MM;
  const body = text.startsWith(`${name}.`) ? text.slice(name.length + 1).trim() : text;
  // As large as all of it goes on.
  let mm = LARGEST_MM;
  let lines: string[] = [];
  for (; mm >= LEAST_MM; mm -= 0.1) {
    context.font = `${mm * DOTS_PER_MM}px ${family}`;
    lines = wrapped(context, body, width);
    if ((lines.length + TITLE_LINES) * mm * LINE * DOTS_PER_MM <= height) break;
  }
  const step = mm * LINE * DOTS_PER_MM;
  context.textBaseline = 'top';
  context.font = `700 ${mm * 1.3 * DOTS_PER_MM}px ${family}`;
  context.fillText(name, MARGIN_MM * DOTS_PER_MM, MARGIN_MM * DOTS_PER_MM, width);
  context.font = `${mm * DOTS_PER_MM}px ${family}`;
  lines.forEach((line, at) =>
    context.fillText(line, MARGIN_MM * DOTS_PER_MM, MARGIN_MM * DOTS_PER_MM + (at + TITLE_LINES) * step, width),
  );
  const blob = await canvas.convertToBlob({ type: 'image/jpeg', quality: 0.92 });
  return new Uint8Array(await blob.arrayBuffer());
}

const TITLE_LINES = 1.6;

function wrapped(context: OffscreenCanvasRenderingContext2D, text: string, width: number): string[] {
  return text.split('\n').flatMap((paragraph) => {
    const lines: string[] = [];
    let line = '';
    for (const word of paragraph.split(/\s+/)) {
      const longer = line ? `${line} ${word}` : word;
      if (line && context.measureText(longer).width > width) {
        lines.push(line);
        line = word;
      } else line = longer;
    }
    return [...lines, line];
  });
}
