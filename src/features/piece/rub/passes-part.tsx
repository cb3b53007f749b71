'use client';
import { Fold, NextRow, Note, Part, TextButton, TickRow, dated, useClock } from '@/ui';
import { SIGN_WHILE_RUBBING, WATER_WORDS, sentences } from '@/words';
import { formatDuration } from '@/words/figures';
import { say } from '@/words/say';
import { useOpenPiece } from '../piece-context';
import { StationTools } from '../station-cautions';
import { useStepDone } from '../use-step-done';
import css from './rub.module.css';
import type { Rub } from './use-rub';

/** The passes, done and to come, with what keeps rubbing right. */
export function PassesPart({ rub }: { rub: Rub }) {
  const { planned, total } = rub;
  if (!planned || total === 0) return null;
  return (
    <Part title={say`Passes`}>
      {planned.passes.map((pass, index) => (
        <PassRow key={pass.number} rub={rub} pass={pass} index={index} />
      ))}
      <EndOrGoOn rub={rub} />
      <Note>
        {sentences(WATER_WORDS[planned.water].rule, say`Brush the rolls aside; staying on one spot rubs a hole.`)}
      </Note>
      {planned.water !== 'none' && (
        <Fold summary={say`What the paper says`}>
          <ul className={css.signs}>
            {SIGN_WHILE_RUBBING.map((sign) => (
              <li key={sign}>{sign}</li>
            ))}
          </ul>
        </Fold>
      )}
      <StationTools station="rub" />
    </Part>
  );
}

/** One pass; the last that is done can be taken back. */
function PassRow({ rub: { done, total }, pass, index }: { rub: Rub; pass: NonNullable<Rub['next']>; index: number }) {
  const { piece } = useOpenPiece();
  const steps = useStepDone();
  const rubbed = piece.rub.done[index];
  const dry = formatDuration(pass.dryMinutes / 60);
  const after = pass.number === total ? say`then dry ${dry} before it is mended` : say`then dry ${dry}`;
  return (
    <TickRow
      checked={index < done}
      disabled={index !== done - 1}
      onToggle={() => steps.revoke({ kind: 'pass', number: done }, say`pass ${done} not done`)}
    >
      {pass.dampenMinutes > 0
        ? say`Pass ${pass.number}: damp ${pass.dampenMinutes} min, rub ${pass.minutes} min`
        : say`Pass ${pass.number}: ${pass.minutes} min, dry`}
      <small>{rubbed ? say`done ${dated(rubbed.at, 'EEE HH:mm')}, ${rubbed.minutes} min` : after}</small>
    </TickRow>
  );
}

/** Ends the rubbing before its passes are through, or takes the end back. */
function EndOrGoOn({ rub: { done, total, finished, verdict, isEndedByPhoto } }: { rub: Rub }) {
  const { change } = useOpenPiece();
  const clock = useClock();
  return (
    <>
      {done > 0 && !finished && (
        <NextRow>
          <TextButton
            onClick={() => change('rub', { finishedAt: clock() }, say`enough rubbing`)}
          >{say`The wet test clears it: enough`}</TextButton>
        </NextRow>
      )}
      {isEndedByPhoto && verdict && (
        <NextRow>
          <TextButton
            onClick={() => change('rub', { overruledAt: verdict.at, passes: done + 1 }, say`rub on`)}
            testId="rub-on"
          >{say`Rub one more pass all the same`}</TextButton>
        </NextRow>
      )}
      {finished && done < total && (
        <NextRow>
          <TextButton
            onClick={() => change('rub', { finishedAt: null }, say`rub on`)}
          >{say`Rub once more after all`}</TextButton>
        </NextRow>
      )}
    </>
  );
}
