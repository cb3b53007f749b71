'use client';
import { Button } from '@mui/material';
import { useTimers } from '@/features/timers';
import { say } from '@/words/say';
import { useOpenPiece } from '../piece-context';
import { StepDone } from '../step-done';
import { useLay } from './use-lay';

/** Marks the print laid; before that, starts the minutes until what is poured skins. */
export function LayAct() {
  const { piece } = useOpenPiece();
  const { start } = useTimers();
  const { planned, dry } = useLay();
  if (!planned || piece.lay.laidAt !== null) return null;
  const startMinutes = () =>
    start({
      label: say`${piece.name}: lay it before its top dries`,
      minutes: Math.floor(planned.openMinutes),
      pieceId: piece.id,
    });
  return (
    <StepDone
      step={{ kind: 'lay' }}
      label={say`laid`}
      testId="laid-now"
      beside={
        !dry && (
          <Button variant="outlined" onClick={startMinutes} data-testid="first-stroke">{say`I begin to coat`}</Button>
        )
      }
    >{say`Laid now: start the clock`}</StepDone>
  );
}
