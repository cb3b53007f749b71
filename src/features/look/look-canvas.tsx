'use client';
import { useEffect, useMemo, useRef, type RefObject } from 'react';
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

/** A drawing that failed is tried once more; then its order is given up, and the next one is drawn. */
const MOST_TRIES = 2;

/** While one drawing is under way only the newest order waits. */
function DrawnCanvas({ order, className = css.filling ?? '', testId }: CanvasProps) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const waiting = useRef<LookOrder | null>(null);
  const busy = useRef(false);
  useEffect(() => {
    waiting.current = order;
    if (busy.current) return;
    busy.current = true;
    void drawAll(canvas, waiting).finally(() => {
      busy.current = false;
    });
  }, [order]);
  // Nothing waits for a canvas that is gone.
  useEffect(
    () => () => {
      waiting.current = null;
    },
    [],
  );
  return <canvas ref={canvas} className={className} data-testid={testId} aria-hidden />;
}

/** Draws what waits, and what comes to wait meanwhile: of a canvas that shows nothing yet something soon, then all of it. */
async function drawAll(
  canvas: RefObject<HTMLCanvasElement | null>,
  waiting: RefObject<LookOrder | null>,
): Promise<void> {
  let tries = 0;
  for (let next = waiting.current; next; next = waiting.current) {
    waiting.current = null;
    const isFirst = canvas.current?.dataset.drawn === undefined;
    const bitmap = await drawLook(isFirst ? { ...next, pxPerMm: next.pxPerMm / FIRST_COARSER } : next);
    const shown = canvas.current;
    if (!shown) {
      bitmap?.close();
      return;
    }
    if (!bitmap) {
      tries++;
      if (tries < MOST_TRIES) waiting.current ??= next;
      continue;
    }
    tries = 0;
    if (isFirst) waiting.current ??= next;
    shown.width = bitmap.width;
    shown.height = bitmap.height;
    shown.getContext('bitmaprenderer')?.transferFromImageBitmap(bitmap);
    shown.dataset.drawn = String(Number(shown.dataset.drawn ?? 0) + 1);
  }
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
