/**
 * The calibration page: one bar across and one along the feed, and nested frames at known distances from the
 * edge. Printed at 100 % on the paper in use, the bars are measured and the outermost whole frame is named; later
 * sheets are drawn against what was found.
 */
import { StandardFonts, finishPdf, rgb, startPdf } from './pdf-kit';
import { MM_PER_INCH, mmToPoints, type UnitSystem } from '@/core/measure';
import { drawnBarMm } from '@/core/at-hand';
import type { Paper } from './papers';
import type { SheetWords } from './sheet-words';

const INK = rgb(0.118, 0.129, 0.149);
/** Distances of the frames from the page's edge: millimetres, or sixteenths of an inch. */
const FRAMES: Readonly<Record<UnitSystem, readonly number[]>> = {
  metric: [2, 3, 4, 5, 6, 7, 8, 10, 12],
  inch: [1, 2, 3, 4, 5, 6, 7, 8],
};
const FRAME_UNIT_MM: Readonly<Record<UnitSystem, number>> = { metric: 1, inch: MM_PER_INCH / 16 };

export async function writeCalibrationPdf(
  paper: Paper,
  createdAt: Date,
  { title, lines }: SheetWords['calibration'],
  system: UnitSystem = 'metric',
): Promise<Uint8Array> {
  const document = await startPdf(title(paper.name), createdAt);
  const font = await document.embedFont(StandardFonts.Helvetica);
  const { widthMm, heightMm } = paper;
  const page = document.addPage([mmToPoints(widthMm), mmToPoints(heightMm)]);
  const at = (xMm: number, yMm: number) => ({ x: mmToPoints(xMm), y: mmToPoints(heightMm - yMm) });
  const line = (x1: number, y1: number, x2: number, y2: number, thickness: number) =>
    page.drawLine({ start: at(x1, y1), end: at(x2, y2), thickness, color: INK });
  const barMm = drawnBarMm(system);
  for (const count of FRAMES[system]) {
    const mm = count * FRAME_UNIT_MM[system];
    const [right, bottom] = [widthMm - mm, heightMm - mm];
    for (const [x1, y1, x2, y2] of [
      [mm, mm, right, mm],
      [right, mm, right, bottom],
      [right, bottom, mm, bottom],
      [mm, bottom, mm, mm],
    ] as const)
      line(x1, y1, x2, y2, 0.4);
    page.drawText(String(count), { ...at(widthMm / 2 + (mm - 7) * 4.5, mm + 2.1), size: 5, font, color: INK });
  }
  const [left, top] = [(widthMm - barMm) / 2, (heightMm - barMm) / 2];
  const bar = (x1: number, y1: number, x2: number, y2: number) => {
    line(x1, y1, x2, y2, 0.9);
    const [step, longEach] = system === 'inch' ? [MM_PER_INCH / 2, 2] : [10, 5];
    for (let index = 0; index * step <= barMm + 1e-9; index++) {
      const mm = index * step;
      const tick = index % longEach === 0 ? 3 : 1.5;
      if (y1 === y2) line(x1 + mm, y1 - tick, x1 + mm, y1, 0.4);
      else line(x1 - tick, y1 + mm, x1, y1 + mm, 0.4);
    }
  };
  bar(left, top, left + barMm, top);
  bar(left, top + 8, left, top + 8 + barMm);
  lines(system).forEach((text, index) =>
    page.drawText(text, { ...at(left + 8, top + 18 + index * 7), size: 7.5, font, color: INK }),
  );
  return finishPdf(document);
}
