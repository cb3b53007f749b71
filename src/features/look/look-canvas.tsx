'use client';
import { useEffect, useRef, type CSSProperties } from 'react';
import { drawLook } from '@/workers/look/client';
import type { LookOrder } from '@/workers/look/protocol';

const FIRST_COARSER = 3;

/** A canvas that the drawing worker keeps current: while one drawing is under way only the newest order waits. */
export function LookCanvas({
  order,
  style,
  className,
  testId,
}: {
  order: LookOrder | null;
  style?: CSSProperties;
  className?: string;
  testId?: string | undefined;
}) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const waiting = useRef<LookOrder | null>(null);
  const busy = useRef(false);
  useEffect(() => {
    waiting.current = order;
    if (busy.current) return;
    busy.current = true;
    void (async () => {
      while (waiting.current) {
        const next = waiting.current;
        waiting.current = null;
        const first = canvas.current?.dataset.drawn === undefined;
        const bitmap = await drawLook(first ? { ...next, pxPerMm: next.pxPerMm / FIRST_COARSER } : next);
        const shown = canvas.current;
        // Something soon, then the same at its full size.
        if (first) waiting.current ??= next;
        if (!bitmap) continue;
        if (!shown) {
          bitmap.close();
          continue;
        }
        shown.width = bitmap.width;
        shown.height = bitmap.height;
        shown.getContext('bitmaprenderer')?.transferFromImageBitmap(bitmap);
        shown.dataset.drawn = String(Number(shown.dataset.drawn ?? 0) + 1);
      }
      busy.current = false;
    })();
  }, [order]);
  return <canvas ref={canvas} style={style} className={className} data-testid={testId} aria-hidden />;
}

/** The canvas as part of an SVG drawing in mm. */
export const LookInSvg = ({
  order,
  xMm,
  yMm,
  widthMm,
  heightMm,
  testId,
}: {
  order: LookOrder | null;
  xMm: number;
  yMm: number;
  widthMm: number;
  heightMm: number;
  testId?: string | undefined;
}) => (
  <foreignObject x={xMm} y={yMm} width={widthMm} height={heightMm}>
    <LookCanvas order={order} testId={testId} style={{ display: 'block', width: widthMm, height: heightMm }} />
  </foreignObject>
);
