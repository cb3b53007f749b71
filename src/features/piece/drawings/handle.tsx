'use client';
import { useDrag } from '@use-gesture/react';
import { useRef, useState } from 'react';
import type { PointMm } from '@/core/shape';
import css from './drawings.module.css';

const STEP_MM = 1;
const ARROWS: Readonly<Record<string, PointMm>> = {
  ArrowLeft: { xMm: -STEP_MM, yMm: 0 },
  ArrowRight: { xMm: STEP_MM, yMm: 0 },
  ArrowUp: { xMm: 0, yMm: -STEP_MM },
  ArrowDown: { xMm: 0, yMm: STEP_MM },
};

/**
 * A grip on the specimen: dragged, or moved by the arrow keys a millimetre at a time. Tells where it is while it moves,
 * and once when it is let go.
 */
export function Handle({
  at,
  label,
  pxPerMm,
  onMove,
  onDrop,
  testId,
}: {
  at: PointMm;
  label: string;
  pxPerMm: number;
  onMove?: (to: PointMm) => void;
  onDrop: (to: PointMm) => void;
  testId?: string;
}) {
  const grip = useRef<SVGGElement>(null);
  const [dragged, setDragged] = useState<PointMm | null>(null);
  const toFace = (x: number, y: number): PointMm | null => {
    const matrix = (grip.current?.parentNode as SVGGraphicsElement | null)?.getScreenCTM();
    if (!matrix) return null;
    const point = new DOMPoint(x, y).matrixTransform(matrix.inverse());
    return { xMm: point.x, yMm: point.y };
  };
  const drag = useDrag(
    ({ xy, initial, last, event, memo }): PointMm | undefined => {
      const [begun, here] = [toFace(...initial), toFace(...xy)];
      if (!begun || !here) return undefined;
      // It is held where it was touched, not by its middle.
      const held = (memo as PointMm | undefined) ?? { xMm: at.xMm - begun.xMm, yMm: at.yMm - begun.yMm };
      const to = { xMm: here.xMm + held.xMm, yMm: here.yMm + held.yMm };
      setDragged(last ? null : to);
      if (!last) onMove?.(to);
      else if (event.type !== 'pointercancel') onDrop(to);
      return held;
    },
    { pointer: { keys: false } },
  );
  const shown = dragged ?? at;
  const size = 7 / pxPerMm;
  return (
    <g
      {...drag()}
      ref={grip}
      role="button"
      tabIndex={0}
      aria-label={label}
      data-testid={testId}
      className={css.grip ?? ''}
      transform={`translate(${shown.xMm} ${shown.yMm})`}
      onKeyDown={(event) => {
        const step = ARROWS[event.key];
        if (step) {
          event.preventDefault();
          const by = event.shiftKey ? 10 : 1;
          onDrop({ xMm: at.xMm + step.xMm * by, yMm: at.yMm + step.yMm * by });
        }
      }}
    >
      <rect x={-size * 2} y={-size * 2} width={size * 4} height={size * 4} fill="transparent" />
      <rect
        x={-size}
        y={-size}
        width={size * 2}
        height={size * 2}
        fill="#fff"
        stroke="#5B2D5E"
        strokeWidth={2}
        vectorEffect="non-scaling-stroke"
        transform="rotate(45)"
      />
    </g>
  );
}
