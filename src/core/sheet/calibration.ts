/**
 * The calibration page: one 100 mm bar across and one along the feed, and nested frames at known distances from the
 * edge. Printed at 100 % on the paper in use, the bars are measured and the outermost whole frame is named; later
 * sheets are drawn against what was found.
 */
import { StandardFonts, finishPdf, rgb, startPdf } from './pdf-kit';
import { mmToPoints } from '@/core/measure';
import { BAR_MM } from '@/core/at-hand';
import type { Paper } from './papers';
import type { SheetWords } from './sheet-words';

const INK = rgb(0.118, 0.129, 0.149);
/** Distances of the frames from the page's edge, mm. */
const MARGIN_FRAMES_MM: readonly number[] = [2, 3, 4, 5, 6, 7, 8, 10, 12];

export async function writeCalibrationPdf(
  paper: Paper,
  createdAt: Date,
  { title, lines }: SheetWords['calibration'],
): Promise<Uint8Array> {
  const document = await startPdf(title(paper.name), createdAt);
  const font = await document.embedFont(StandardFonts.Helvetica);
  const { widthMm, heightMm } = paper;
  const page = document.addPage([mmToPoints(widthMm), mmToPoints(heightMm)]);
  const at = (xMm: number, yMm: number) => ({ x: mmToPoints(xMm), y: mmToPoints(heightMm - yMm) });
  const line = (x1: number, y1: number, x2: number, y2: number, thickness: number) =>
    page.drawLine({ start: at(x1, y1), end: at(x2, y2), thickness, color: INK });
  for (const mm of MARGIN_FRAMES_MM) {
    const [right, bottom] = [widthMm - mm, heightMm - mm];
    for (const [x1, y1, x2, y2] of [
      [mm, mm, right, mm],
      [right, mm, right, bottom],
      [right, bottom, mm, bottom],
      [mm, bottom, mm, mm],
    ] as const)
      line(x1, y1, x2, y2, 0.4);
    page.drawText(String(mm), { ...at(widthMm / 2 + (mm - 7) * 4.5, mm + 2.1), size: 5, font, color: INK });
  }
  const [left, top] = [(widthMm - BAR_MM) / 2, (heightMm - BAR_MM) / 2];
  const bar = (x1: number, y1: number, x2: number, y2: number) => {
    line(x1, y1, x2, y2, 0.9);
    for (let mm = 0; mm <= BAR_MM; mm += 10) {
      const tick = mm % 50 === 0 ? 3 : 1.5;
      if (y1 === y2) line(x1 + mm, y1 - tick, x1 + mm, y1, 0.4);
      else line(x1 - tick, y1 + mm, x1, y1 + mm, 0.4);
    }
  };
  bar(left, top, left + BAR_MM, top);
  bar(left, top + 8, left, top + 8 + BAR_MM);
  lines.forEach((text, index) =>
    page.drawText(text, { ...at(left + 8, top + 18 + index * 7), size: 7.5, font, color: INK }),
  );
  return finishPdf(document);
}
