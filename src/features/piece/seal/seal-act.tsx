'use client';
import { isSealed } from '@/core/stations';
import { useClock } from '@/ui';
import { say } from '@/words/say';
import { useOpenPiece } from '../piece-context';
import { LeaveIt, StepDone } from '../step-done';

/** The next coat; or the piece is left as it is, where nothing seals it. */
export function SealAct() {
  const { piece, plan, change } = useOpenPiece();
  const clock = useClock();
  const { sealing } = plan.seal;
  if (!sealing || isSealed(piece, plan)) return null;
  if (sealing.sealer.bare)
    return (
      <LeaveIt
        onLeave={() => change('seal', { finishedAt: clock() }, say`left unsealed`)}
        testId="coat-on"
      >{say`Leave it unsealed`}</LeaveIt>
    );
  const number = piece.seal.coatsAt.length + 1;
  return (
    <StepDone
      key={number}
      step={{ kind: 'coat', number }}
      label={say`coat ${number}`}
      testId="coat-on"
    >{say`Coat ${number} of ${sealing.coats} is on`}</StepDone>
  );
}
