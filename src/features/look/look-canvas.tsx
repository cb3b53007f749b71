'use client';
import { useEffect, useMemo, useRef } from 'react';
import { useStoredPicture } from '@/features/shelf';
import { drawLook } from '@/workers/look/client';
import type { LookOrder } from '@/workers/look/protocol';
import css from './look.module.css';

const FIRST_COARSER = 3;

interface CanvasProps {
  order: LookOrder | null;
  /** Without one it fills what it lies in. */
  className?: string;
  testId?: string | undefined;
}

/** A canvas that the drawing worker keeps current. A blank with a face of its own waits for its picture. */
export function LookCanvas(props: CanvasProps) {
  const faceId = props.order?.look?.face?.pictureId;
  return faceId ? <FacedCanvas {...props} faceId={faceId} /> : <DrawnCanvas {...props} />;
}

function FacedCanvas({ order, faceId, ...props }: CanvasProps & { faceId: string }) {
  const face = useStoredPicture(faceId);
  const faced = useMemo(
    () => (order && face !== undefined ? { ...order, facePhoto: face?.preview ?? null } : null),
    [order, face],
  );
  return <DrawnCanvas {...props} order={faced} />;
}

/** While one drawing is under way only the newest order waits. */
function DrawnCanvas({ order, className = css.filling ?? '', testId }: CanvasProps) {
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
  return <canvas ref={canvas} className={className} data-testid={testId} aria-hidden />;
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
    <LookCanvas order={order} testId={testId} />
  </foreignObject>
);
