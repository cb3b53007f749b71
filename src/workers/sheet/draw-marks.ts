import { MARK_MM, type Mark } from '@/core/sheet';
import { ringPath } from '@/core/shape';

type Context2d = OffscreenCanvasRenderingContext2D;

const INK = '#1e2126';
const CUT = '#d41a6b';
const FOLD_DASH_MM = 1.4;

/** Draws a page's marks on a canvas whose coordinates are page millimetres. */
export function drawMarks(context: Context2d, marks: readonly Mark[]): void {
  for (const mark of marks) {
    context.save();
    context.strokeStyle = mark.kind === 'outline' ? CUT : INK;
    context.fillStyle = INK;
    draw(context, mark);
    context.restore();
  }
}

function draw(context: Context2d, mark: Mark): void {
  const line = ({ x1, y1, x2, y2 }: { x1: number; y1: number; x2: number; y2: number }) => {
    context.beginPath();
    context.moveTo(x1, y1);
    context.lineTo(x2, y2);
    context.stroke();
  };
  switch (mark.kind) {
    case 'line':
      context.lineWidth = mark.widthMm;
      line(mark.line);
      return;
    case 'fill':
      context.fill(new Path2D(ringPath(mark.ring)));
      return;
    case 'box': {
      const { xMm, yMm, widthMm, heightMm } = mark.rect;
      context.lineWidth = MARK_MM.hairline;
      if (mark.filled) context.fillRect(xMm, yMm, widthMm, heightMm);
      context.strokeRect(xMm, yMm, widthMm, heightMm);
      return;
    }
    case 'outline': {
      const { xMm, yMm, widthMm, heightMm } = mark.clip;
      context.beginPath();
      context.rect(xMm, yMm, widthMm, heightMm);
      context.clip();
      context.lineWidth = MARK_MM.cut;
      if (mark.rings.length > 0) context.stroke(new Path2D(mark.rings.map(ringPath).join(' ')));
      context.setLineDash([FOLD_DASH_MM, FOLD_DASH_MM]);
      mark.folds.forEach(line);
      return;
    }
    case 'words': {
      const { words, at, sizeMm, bold, mirrored, turned, maxMm } = mark;
      // Canvas fonts are whole pixels at the least: drawn at ten times the size.
      context.font = `${bold ? 'bold ' : ''}${sizeMm * 10}px Helvetica, Arial, sans-serif`;
      const widthMm = Math.min(maxMm, context.measureText(words).width / 10);
      if (widthMm <= 0) return;
      context.translate(at.xMm, at.yMm);
      if (turned) context.rotate(Math.PI / 2);
      if (mirrored) {
        context.translate(widthMm, 0);
        context.scale(-1, 1);
      }
      context.scale(0.1, 0.1);
      context.fillText(words, 0, 0, maxMm * 10);
      return;
    }
  }
}
