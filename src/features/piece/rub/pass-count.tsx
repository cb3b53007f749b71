'use client';
import { Fields, FigureField, Part } from '@/ui';
import { counted } from '@/words';
import { say } from '@/words/say';
import { useOpenPiece } from '../piece-context';
import type { Rub } from './use-rub';

/** How many passes, where the person knows better. */
export function PassCount({ rub: { planned, total } }: { rub: Rub }) {
  const { piece, change } = useOpenPiece();
  if (!planned || total === 0) return null;
  const { passes } = piece.rub;
  const usual = planned.usual.max;
  return (
    <Part title={say`Change`} folded={counted(total, 'pass', 'passes')}>
      <Fields>
        <FigureField
          label={say`Passes`}
          value={passes}
          whole
          min={1}
          max={20}
          computed={`${usual}`}
          onCommit={(count) => change('rub', { passes: count }, say`number of passes`)}
          hint={passes !== null ? say`Fobbet says ${usual}; clear to go back` : say`as many as the haze asks for`}
          testId="passes"
        />
      </Fields>
    </Part>
  );
}
