'use client';
import { Button } from '@mui/material';
import type { SignId } from '@/core/cure';
import { Note, Part, useClock, dated, TextButton } from '@/ui';
import { useOpenPiece } from '../piece-context';
import css from './cure.module.css';
import { say } from '@/words/say';

const SIGNS: readonly { id: SignId; name: string; dry: boolean }[] = [
  { id: 'translucent', name: say`Paper still translucent`, dry: false },
  { id: 'cool-edge', name: say`Edge still cool`, dry: false },
  { id: 'corner-lifts', name: say`Corner lifts`, dry: false },
  { id: 'even', name: say`Evenly opaque`, dry: true },
  { id: 'corner-holds', name: say`Corner holds`, dry: true },
];

/** What is seen and felt on the piece moves the estimate. */
export function SignsPart() {
  const { piece, plan, change } = useOpenPiece();
  const clock = useClock();
  const { signs } = piece.cure;
  const share = plan.cure.wait?.signShare ?? 1;
  return (
    <Part title={say`What you see and feel`}>
      <div className={css.signs}>
        {SIGNS.map(({ id, name, dry }) => (
          <Button
            key={id}
            size="small"
            variant="outlined"
            color={dry ? 'success' : 'primary'}
            onClick={() => change('cure', { signs: [...signs, { id, at: clock() }] }, name.toLowerCase())}
            data-testid={`sign-${id}`}
          >
            {name}
          </Button>
        ))}
      </div>
      {signs.map((sign, index) => (
        <Note key={sign.at}>
          {SIGNS.find(({ id }) => id === sign.id)?.name}, {dated(sign.at, 'EEE HH:mm')}.{' '}
          <TextButton
            onClick={() => change('cure', { signs: signs.filter((_, at) => at !== index) }, say`sign taken back`)}
          >{say`Take it back`}</TextButton>
        </Note>
      ))}
      {Math.abs(share - 1) > 0.005 && (
        <Note>
          {share > 1
            ? say`By these it needs ${Math.round((share - 1) * 100)} % longer than the record says.`
            : say`By these it needs ${Math.round((1 - share) * 100)} % less than the record says.`}
        </Note>
      )}
    </Part>
  );
}
