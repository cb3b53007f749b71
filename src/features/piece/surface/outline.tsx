'use client';
import { Button } from '@mui/material';
import { MAX_PRINT_MM } from '@/core/sheet';
import { useReport } from '@/features/shell';
import { FileButton, NextRow, Note } from '@/ui';
import { say } from '@/words/say';
import { useOpenPiece } from '../piece-context';
import { useShape, type Of } from './use-shape';

const MOST_CORNERS = 60;
const FEWEST_CORNERS = 3;

/**
 * The outline of a cut shape: corners dragged on the specimen, added and taken away here, or read from an SVG drawing.
 */
export function Outline({ shape }: { shape: Of<'polygon'> }) {
  const { changeAll } = useOpenPiece();
  const report = useReport();
  const { points } = shape;
  const set = useShape(shape);
  const read = async (file: File) => {
    const { outlineOf } = await import('@/workers/reading/client');
    const outline = await outlineOf(await file.text());
    report(outline);
    if (!outline.ok) return;
    const { widthMm, heightMm } = outline.value;
    changeAll(
      {
        surface: {
          shape: { kind: 'polygon', points: outline.value.points },
          ...(widthMm && heightMm && widthMm <= MAX_PRINT_MM && heightMm <= MAX_PRINT_MM ? { widthMm, heightMm } : {}),
        },
      },
      say`outline from a drawing`,
    );
  };
  const split = () => {
    // The longest side gets a corner in its middle.
    const side = points
      .map((point, i) => {
        const next = points[(i + 1) % points.length]!;
        return { i, length: Math.hypot(next.x - point.x, next.y - point.y) };
      })
      .sort((a, b) => b.length - a.length)[0]!.i;
    const [a, b] = [points[side]!, points[(side + 1) % points.length]!];
    const middle = { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 };
    set({ points: points.toSpliced(side + 1, 0, middle) }, say`corner added`);
  };
  return (
    <div>
      <NextRow>
        <Button
          size="small"
          variant="outlined"
          onClick={split}
          disabled={points.length >= MOST_CORNERS}
        >{say`Add a corner`}</Button>
        <Button
          size="small"
          variant="outlined"
          onClick={() => set({ points: points.slice(0, -1) }, say`corner taken away`)}
          disabled={points.length <= FEWEST_CORNERS}
        >{say`Take one away`}</Button>
        <FileButton
          size="small"
          variant="outlined"
          accept=".svg,image/svg+xml"
          onFile={(file) => void read(file)}
          testId="outline-file"
        >{say`Outline from an SVG`}</FileButton>
      </NextRow>
      <Note>{say`${points.length} corners. Drag them on the specimen, or move one with the arrow keys.`}</Note>
    </div>
  );
}
