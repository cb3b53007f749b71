'use client';
import { useRef, useState } from 'react';
import type { PointMm } from '@/core/shape';

const STEP_MM = 1;
const ARROWS: Readonly<Record<string, PointMm>> = { ArrowLeft: { xMm: -STEP_MM, yMm: 0 }, ArrowRight: { xMm: STEP_MM, yMm: 0 }, ArrowUp: { xMm: 0, yMm: -STEP_MM }, ArrowDown: { xMm: 0, yMm: STEP_MM } };

/** A grip on the specimen: dragged, or moved by the arrow keys a millimetre at a time. Tells where it is while it moves, and once when it is let go. */
export function Handle({ at, label, pxPerMm, onMove, onDrop, testId }: { at: PointMm; label: string; pxPerMm: number; onMove?: (to: PointMm) => void; onDrop: (to: PointMm) => void; testId?: string }) {
  const grip = useRef<SVGGElement>(null);
  const [dragged, setDragged] = useState<PointMm | null>(null);
  const from = useRef<PointMm>({ xMm: 0, yMm: 0 });
  const place = (event: React.PointerEvent): PointMm => {
    const matrix = grip.current?.ownerSVGElement && (grip.current.parentNode as SVGGraphicsElement).getScreenCTM();
    if (!matrix) return at;
    const point = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse());
    return { xMm: point.x + from.current.xMm, yMm: point.y + from.current.yMm };
  };
  const shown = dragged ?? at;
  const size = 7 / pxPerMm;
  return (
    <g
      ref={grip} role="button" tabIndex={0} aria-label={label} data-testid={testId} style={{ cursor: 'grab', touchAction: 'none' }} transform={`translate(${shown.xMm} ${shown.yMm})`}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        from.current = { xMm: 0, yMm: 0 };
        const here = place(event);
        from.current = { xMm: at.xMm - here.xMm, yMm: at.yMm - here.yMm };
        setDragged(at);
      }}
      onPointerMove={(event) => { if (dragged) { const to = place(event); setDragged(to); onMove?.(to); } }}
      onPointerUp={(event) => { if (dragged) { onDrop(place(event)); setDragged(null); } }}
      onPointerCancel={() => setDragged(null)}
      onKeyDown={(event) => { const step = ARROWS[event.key]; if (step) { event.preventDefault(); const by = event.shiftKey ? 10 : 1; onDrop({ xMm: at.xMm + step.xMm * by, yMm: at.yMm + step.yMm * by }); } }}
    >
      <rect x={-size * 2} y={-size * 2} width={size * 4} height={size * 4} fill="transparent" />
      <rect x={-size} y={-size} width={size * 2} height={size * 2} fill="#fff" stroke="#5B2D5E" strokeWidth={2} vectorEffect="non-scaling-stroke" transform="rotate(45)" />
    </g>
  );
}
