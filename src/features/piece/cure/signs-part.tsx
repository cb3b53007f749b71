'use client';
import { Button } from '@mui/material';
import { signsAgainst, type SeenSign, type SignId } from '@/core/cure';
import { useState } from 'react';
import { NextRow, Note, Part, useClock, dated, TextButton } from '@/ui';
import { listOf } from '@/words';
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

const nameOf = ({ id }: Pick<SeenSign, 'id'>): string => SIGNS.find((sign) => sign.id === id)?.name ?? '';

/** What is seen and felt on the piece moves the estimate. */
export function SignsPart() {
  const { piece, plan, change } = useOpenPiece();
  const clock = useClock();
  const { signs } = piece.cure;
  const share = plan.cure.wait?.signShare ?? 1;
  /** A sign that says the opposite of what was just said: one of them is a slip. */
  const [asked, setAsked] = useState<{ sign: SeenSign; against: readonly SeenSign[] } | null>(null);
  const keep = (sign: SeenSign, rest: readonly SeenSign[]) => {
    setAsked(null);
    change('cure', { signs: [...rest, sign] }, nameOf(sign).toLowerCase());
  };
  const press = (id: SignId) => {
    const sign = { id, at: clock() };
    const against = signsAgainst(signs, sign);
    if (against.length > 0) setAsked({ sign, against });
    else keep(sign, signs);
  };
  return (
    <Part title={say`What you see and feel`}>
      <div className={css.signs}>
        {SIGNS.map(({ id, name, dry }) => (
          <Button
            key={id}
            size="small"
            variant="outlined"
            color={dry ? 'success' : 'primary'}
            onClick={() => press(id)}
            data-testid={`sign-${id}`}
          >
            {name}
          </Button>
        ))}
      </div>
      {asked && (
        <div role="group" aria-label={say`Which of them holds?`} data-testid="signs-against">
          <Note>{say`A minute ago you said the opposite. Which of them holds?`}</Note>
          <NextRow>
            <Button
              size="small"
              variant="outlined"
              onClick={() =>
                keep(
                  asked.sign,
                  signs.filter((sign) => !asked.against.includes(sign)),
                )
              }
              data-testid="sign-new"
            >
              {nameOf(asked.sign)}
            </Button>
            <Button size="small" variant="outlined" onClick={() => setAsked(null)} data-testid="sign-old">
              {listOf(asked.against.map(nameOf))}
            </Button>
          </NextRow>
        </div>
      )}
      {signs.map((sign, index) => (
        <Note key={`${sign.id} ${sign.at}`}>
          {nameOf(sign)}, {dated(sign.at, 'EEE HH:mm')}.{' '}
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
