'use client';
import type { Finding } from '@/core/findings';
import { letteringOf } from '@/core/stations';
import { Answer } from '@/ui';
import { findingFigure, findingWords } from '@/words';
import { say } from '@/words/say';
import { useOpenPiece } from '../piece-context';

/** @param worst what was found in the picture that weighs most */
export function PictureAnswer({ worst }: { worst: Finding | undefined }) {
  const { piece, plan, picture } = useOpenPiece();
  const verdict = plan.surface.print?.verdict ?? null;
  const says = (): string => {
    if (piece.picture.pictureId === null) return say`Choose the picture you want to move.`;
    if (!picture) return say`Reading the picture.`;
    if (verdict === 'soft') return say`This picture is too small for this print: it will look soft.`;
    if (letteringOf(piece) === null) return say`Say whether there is lettering, or will be.`;
    if (verdict === null) return say`The picture is in. How sharp it prints follows from its size on the object.`;
    if (worst?.weight === 'act')
      return say`Look at this first: ${findingFigure(worst.figure)} ${findingWords(worst.fact).lead}.`;
    return verdict === 'acceptable'
      ? say`The picture will do: its pixels just carry this print.`
      : say`The picture carries this print.`;
  };
  return <Answer>{says()}</Answer>;
}
