'use client';
import { runSteps } from '@/core/plan';
import { NextRow, Note, TextButton } from '@/ui';
import { say } from '@/words/say';
import { useOpenPiece } from '../piece-context';
import { StepDone } from '../step-done';
import { useStepDone } from '../use-step-done';

/** Ends the mending, or opens it again. */
export function MendAct() {
  const { piece, plan } = useOpenPiece();
  const steps = useStepDone();
  if (plan.mend.repairs.length === 0) return null;
  const end = { kind: 'mend', part: 'finish' } as const;
  if (piece.mend.finishedAt !== null)
    return (
      <NextRow>
        <Note>{say`Mended.`}</Note>
        <TextButton onClick={() => steps.revoke(end, say`mend on`)}>{say`Mend more`}</TextButton>
      </NextRow>
    );
  const firstOpen = runSteps(piece, plan).find(({ station, doneAt }) => station === 'mend' && doneAt === null);
  return (
    <StepDone
      step={end}
      from={firstOpen?.step ?? end}
      label={say`mended`}
      testId="mended"
    >{say`Mended: nothing more to do`}</StepDone>
  );
}
