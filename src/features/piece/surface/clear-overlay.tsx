'use client';
import { Handle } from '../drawings/handle';
import { useOpenPiece } from '../piece-context';
import { say } from '@/words/say';

const LEAST = 0.02;

/** Parts of the picture that are kept off knots, with grips at their middle and their lower right. */
export function ClearOverlay({ pxPerMm }: { pxPerMm: number }) {
  const { piece, plan, change } = useOpenPiece();
  const { print } = plan.surface;
  const { keepClear } = piece.picture;
  if (!print || piece.surface.face === null) return null;
  const { rect } = print;
  const set = (at: number, box: (typeof keepClear)[number]) =>
    change('picture', { keepClear: keepClear.map((one, other) => (other === at ? box : one)) }, say`face ${at + 1}`);
  const within = (value: number, most: number) => Math.min(most, Math.max(0, value));
  return (
    <g>
      {keepClear.map((box, at) => {
        const left = rect.xMm + box.x * rect.widthMm;
        const top = rect.yMm + box.y * rect.heightMm;
        const [width, height] = [box.width * rect.widthMm, box.height * rect.heightMm];
        return (
          <g key={at}>
            <rect
              x={left}
              y={top}
              width={width}
              height={height}
              fill="none"
              stroke="#5B2D5E"
              strokeWidth={2}
              strokeDasharray="5 3"
              vectorEffect="non-scaling-stroke"
            />
            <Handle
              at={{ xMm: left + width / 2, yMm: top + height / 2 }}
              label={say`Face ${at + 1}`}
              pxPerMm={pxPerMm}
              onDrop={({ xMm, yMm }) =>
                set(at, {
                  ...box,
                  x: within((xMm - rect.xMm) / rect.widthMm - box.width / 2, 1 - box.width),
                  y: within((yMm - rect.yMm) / rect.heightMm - box.height / 2, 1 - box.height),
                })
              }
            />
            <Handle
              at={{ xMm: left + width, yMm: top + height }}
              label={say`Size of face ${at + 1}`}
              pxPerMm={pxPerMm}
              onDrop={({ xMm, yMm }) =>
                set(at, {
                  ...box,
                  width: Math.min(1 - box.x, Math.max(LEAST, (xMm - left) / rect.widthMm)),
                  height: Math.min(1 - box.y, Math.max(LEAST, (yMm - top) / rect.heightMm)),
                })
              }
            />
          </g>
        );
      })}
    </g>
  );
}
