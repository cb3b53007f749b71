/** A small card on a page, drawn elsewhere: with cut marks, at its exact size. Millimetres of the page from its top left. */
import { finishPdf, rgb, startPdf } from './pdf-kit';
import type { SizeMm } from '@/core/shape';

const POINTS_PER_MM = 72 / 25.4;
const MARGIN_MM = 15;
const MARK_MM = 5;
const GAP_MM = 1.5;

export interface CardOrder {
  title: string;
  /** The card as a JPEG, whatever script it is written in. */
  picture: Uint8Array;
  size: SizeMm;
  paper: SizeMm;
  at: Date;
}

export async function cardPdf({ title, picture, size, paper, at }: CardOrder): Promise<Uint8Array> {
  const document = await startPdf(title, at);
  const page = document.addPage([paper.widthMm * POINTS_PER_MM, paper.heightMm * POINTS_PER_MM]);
  const pt = (mm: number) => mm * POINTS_PER_MM;
  const y = (mm: number) => pt(paper.heightMm - mm);
  const image = await document.embedJpg(picture);
  page.drawImage(image, {
    x: pt(MARGIN_MM),
    y: y(MARGIN_MM + size.heightMm),
    width: pt(size.widthMm),
    height: pt(size.heightMm),
  });
  const [left, top] = [MARGIN_MM, MARGIN_MM];
  const [right, bottom] = [left + size.widthMm, top + size.heightMm];
  const line = (x1: number, y1: number, x2: number, y2: number) =>
    page.drawLine({
      start: { x: pt(x1), y: y(y1) },
      end: { x: pt(x2), y: y(y2) },
      thickness: 0.3,
      color: rgb(0, 0, 0),
    });
  for (const x of [left, right])
    for (const [from, way] of [
      [top, -1],
      [bottom, 1],
    ] as const)
      line(x, from + way * GAP_MM, x, from + way * (GAP_MM + MARK_MM));
  for (const edge of [top, bottom])
    for (const [from, way] of [
      [left, -1],
      [right, 1],
    ] as const)
      line(from + way * GAP_MM, edge, from + way * (GAP_MM + MARK_MM), edge);
  return finishPdf(document);
}
