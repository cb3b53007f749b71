'use client';
import { useState } from 'react';
import { sayWith } from '@/ui/say-with';
import { OFF_WORDS, lowerFirst, stepTitle } from '@/words';
import { say } from '@/words/say';
import { StepDone } from '../step-done';
import css from './rub.module.css';
import type { Rub } from './use-rub';

/** The next pass, or what takes the sheet off. */
export function RubAct({ rub: { next, total, finished, open, school } }: { rub: Rub }) {
  if (next && !finished && total > 0) return <PassDone key={next.number} number={next.number} planned={next.minutes} />;
  if (!open || !school || school.removal === 'rub') return null;
  return (
    <StepDone
      step={open.step}
      label={lowerFirst(stepTitle(open.title))}
      testId={open.step.kind === 'stick' ? 'stuck-on' : 'paper-off'}
    >
      {open.step.kind === 'stick' ? say`It is stuck on` : OFF_WORDS[school.removal]}
    </StepDone>
  );
}

const MOST_MINUTES = 600;

/** A pass, with the minutes that somebody measured; those that are proposed teach nothing of the person's pace. */
function PassDone({ number, planned }: { number: number; planned: number }) {
  const [text, setText] = useState<string | null>(null);
  const typed = text === null ? NaN : Math.round(Number(text));
  const measured = typed >= 1 && typed <= MOST_MINUTES ? typed : null;
  return (
    <StepDone
      step={{ kind: 'pass', number }}
      label={say`pass ${number}`}
      minutes={measured}
      testId="pass-done"
      beside={
        <label className={css.took}>{sayWith`took ${(
          <input
            type="number"
            min={1}
            max={MOST_MINUTES}
            value={text ?? `${planned}`}
            onChange={({ target }) => setText(target.value)}
            onBlur={() => setText(measured === null ? null : `${measured}`)}
          />
        )} min`}</label>
      }
    >{say`Pass ${number} done`}</StepDone>
  );
}
