'use client';
import { NextRow, Note, Part, TextButton, dated } from '@/ui';
import { say } from '@/words/say';
import { useOpenPiece } from '../piece-context';
import { useStepDone } from '../use-step-done';

/** The coats that are on, the last of which can be taken back. */
export function CoatsPart() {
  const { coatsAt, finishedAt } = useOpenPiece().piece.seal;
  const steps = useStepDone();
  if (coatsAt.length === 0 && finishedAt === null) return null;
  return (
    <Part title={say`Coats`} folded={say`${coatsAt.length} on`}>
      {coatsAt.map((at, index) => (
        <Note key={at}>{say`Coat ${index + 1}: ${dated(at, 'EEE d MMM HH:mm')}`}</Note>
      ))}
      <NextRow>
        <TextButton
          onClick={() => steps.revoke({ kind: 'coat', number: coatsAt.length }, say`coat not on`)}
        >{say`Take the last back`}</TextButton>
      </NextRow>
    </Part>
  );
}
