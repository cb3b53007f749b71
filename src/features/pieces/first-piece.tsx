'use client';
import { Button } from '@mui/material';
import { useDemo } from '@/features/shell';
import { BeginButton, FolderButton } from '@/features/intake';
import { useNewPiece } from '@/features/shelf';
import { ImportBundle } from './import-bundle';
import { Place } from '@/ui';
import css from './pieces.module.css';
import { say } from '@/words/say';
import { sentences } from '@/words';

const RUN: readonly [string, string][] = [
  [say`Picture`, say`crop it, and say whether it has lettering`],
  [say`Surface`, say`what the picture goes on, measured`],
  [say`Method`, say`which gel or glue works, ranked with reasons`],
  [say`Sheet`, say`the mirrored print at exact size`],
  [say`Lay`, say`how much to pour, how long it stays open`],
  [say`Cure`, say`when to start rubbing in your room`],
  [say`Rub`, say`passes and minutes, ticked off`],
  [say`Mend`, say`what to touch up`],
  [say`Seal`, say`which top coat, when it is hard`],
  [say`Keep`, say`what it took, what it cost`],
];

const STAGES = [
  { stage: 'mirrored', words: say`Printed the wrong way round, at its size` },
  { stage: 'laid', words: say`Laid face down in gel or glue, and left to dry` },
  { stage: 'rubbed', words: say`Wetted, and the paper rubbed away` },
  { stage: 'finished', words: say`The ink stays; what was white is wood` },
];

/** Where nothing is yet: what Fobbet does, and the way into the first piece. */
export function FirstPiece() {
  const newPiece = useNewPiece();
  const { loading, load } = useDemo();
  return (
    <Place className={css.first}>
      <div>
        <h1>{say`Move a printed picture onto wood, canvas, glass or stone.`}</h1>
        <p>
          {sentences(
            say`Fobbet works out the mirrored print, the medium, the waiting and the rubbing, and keeps the clock while it dries.`,
            say`You need a picture, and a thing to put it on.`,
            say`Everything stays in this browser.`,
          )}
        </p>
        <div className={css.actions}>
          <BeginButton label={say`Begin with a picture`} size="large" />
          <Button
            variant="outlined"
            size="large"
            onClick={() => void newPiece()}
            data-testid="new-piece"
          >{say`Begin without one`}</Button>
          <Button variant="outlined" size="large" onClick={() => void load()} disabled={loading}>
            {loading ? say`Loading …` : say`Look round an example`}
          </Button>
          <FolderButton />
          <ImportBundle />
        </div>
      </div>
      <ol className={css.stages} aria-label={say`A picture on its way onto a board`}>
        {STAGES.map(({ stage, words }) => (
          <li key={stage}>
            <img src={`/stages/${stage}.jpg`} alt="" width={384} height={272} />
            <span>{words}</span>
          </li>
        ))}
      </ol>
      <ol className={css.run} aria-label={say`The ten stations of a piece`}>
        {RUN.map(([name, words], index) => (
          <li key={name}>
            <span aria-hidden>{index + 1}</span>
            <b>{name}</b>
            <span>{words}</span>
          </li>
        ))}
      </ol>
    </Place>
  );
}
