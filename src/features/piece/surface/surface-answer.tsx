'use client';
import { sum } from '@/core/shared';
import { Answer, useUnits } from '@/ui';
import { counted, lowerFirst, prepTitle, sentenceFor } from '@/words';
import { formatDuration } from '@/words/figures';
import { say } from '@/words/say';
import { useOpenPiece } from '../piece-context';

export function SurfaceAnswer() {
  const { piece, plan } = useOpenPiece();
  const units = useUnits();
  const { record, shapeFault, blank, preparation } = plan.surface;
  const says = (): string => {
    if (!record) return say`Say what the picture goes on.`;
    if (shapeFault) return sentenceFor(shapeFault, units);
    if (!blank) return say`Measure it: width and height.`;
    const left = preparation.filter(({ code }) => !piece.surface.prepared.includes(code));
    const [next] = left;
    if (!next) return say`The surface is ready for the print.`;
    if (left.length < preparation.length)
      return say`${left.length} of ${preparation.length} steps left: ${lowerFirst(prepTitle(next))}.`;
    const steps = counted(left.length, 'step', 'steps');
    const hours = sum(preparation.map((step) => step.hours));
    return hours > 0
      ? say`${steps} before this surface takes a print, ${formatDuration(hours)} of it drying.`
      : say`${steps} before this surface takes a print.`;
  };
  return <Answer stop={shapeFault !== null}>{says()}</Answer>;
}
