'use client';
import { clamp } from '@/core/shared';
import { Handle } from '../drawings/handle';
import { useOpenPiece } from '../piece-context';
import { shapeKind } from '@/core/shape';
import { say } from '@/words/say';

const LEAST_MM = 10;

/** Grips of the blank on the specimen: its size, corners and openings, each the same as the typed field. */
export function ShapeHandles({ pxPerMm }: { pxPerMm: number }) {
  const { piece, plan, change } = useOpenPiece();
  const { shape, widthMm, heightMm } = piece.surface;
  const {
    surface: { blank },
  } = plan;
  if (!blank || widthMm === null || heightMm === null) return null;
  const { front } = blank;
  const { gripped } = shapeKind(shape.kind);
  const atCorner = blank.isFullRectangle
    ? { xMm: blank.widthMm, yMm: blank.heightMm }
    : { xMm: front.xMm + front.widthMm, yMm: front.yMm + front.heightMm };
  const resize = (corner: { xMm: number; yMm: number }) => {
    if (!gripped) return;
    const size = gripped(shape, corner, blank);
    const rounded = (mm: number) => Math.max(LEAST_MM, Math.round(mm));
    change('surface', { widthMm: rounded(size.widthMm), heightMm: rounded(size.heightMm) }, say`size`);
  };
  return (
    <g>
      {gripped && (
        <Handle at={atCorner} label={say`Size of the object`} pxPerMm={pxPerMm} onDrop={resize} testId="size-handle" />
      )}
      {shape.kind === 'wrapped-canvas' && (
        <Handle
          at={{ xMm: front.xMm + front.widthMm / 2, yMm: front.yMm - shape.depthMm }}
          label={say`Depth of the sides`}
          pxPerMm={pxPerMm}
          onDrop={({ yMm }) =>
            change(
              'surface',
              { shape: { ...shape, depthMm: Math.round(clamp(front.yMm - yMm, 0, 200)) } },
              say`depth of the sides`,
            )
          }
          testId="depth-handle"
        />
      )}
      {shape.kind === 'panel' &&
        shape.openings.map((opening, index) => (
          <Handle
            key={index}
            at={opening}
            label={say`Move ${opening.kind} ${index + 1}`}
            pxPerMm={pxPerMm}
            testId={`opening-handle-${index}`}
            onDrop={({ xMm, yMm }) => {
              const radius = opening.diameterMm / 2;
              const moved = {
                ...opening,
                xMm: Math.round(clamp(xMm, radius, widthMm - radius)),
                yMm: Math.round(clamp(yMm, radius, heightMm - radius)),
              };
              change(
                'surface',
                { shape: { ...shape, openings: shape.openings.map((one, i) => (i === index ? moved : one)) } },
                say`place of the opening`,
              );
            }}
          />
        ))}
      {shape.kind === 'polygon' &&
        shape.points.length <= 60 &&
        shape.points.map((point, index) => (
          <Handle
            key={index}
            at={{ xMm: point.x * widthMm, yMm: point.y * heightMm }}
            label={say`Corner ${index + 1}`}
            pxPerMm={pxPerMm}
            onDrop={({ xMm, yMm }) => {
              const moved = { x: clamp(xMm / widthMm, 0, 1), y: clamp(yMm / heightMm, 0, 1) };
              change(
                'surface',
                { shape: { ...shape, points: shape.points.map((one, i) => (i === index ? moved : one)) } },
                say`corner`,
              );
            }}
          />
        ))}
    </g>
  );
}
