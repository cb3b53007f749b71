'use client';
import { Button } from '@mui/material';
import { useDemo } from '@/features/shell';
import { useNewPiece } from '@/features/shelf';
import { ImportBundle } from './import-bundle';
import css from './pieces.module.css';

const RUN: readonly [string, string][] = [
  ['Picture', 'crop it, and say whether it has lettering'],
  ['Surface', 'what the picture goes on, measured'],
  ['Method', 'which binder works, ranked with reasons'],
  ['Sheet', 'the mirrored print at exact size'],
  ['Lay', 'how much to pour, how long it stays open'],
  ['Cure', 'when to start rubbing in your room'],
  ['Rub', 'passes and minutes, ticked off'],
  ['Mend', 'what to touch up'],
  ['Seal', 'which top coat, when it is hard'],
  ['Keep', 'what it took, what it cost'],
];

/** Where nothing is yet: what Fobbet does, and the way into the first piece. */
export function FirstPiece() {
  const newPiece = useNewPiece();
  const { loading, load } = useDemo();
  return (
    <main className={css.first}>
      <div>
        <h1>Move a printed picture onto wood, canvas, glass or stone.</h1>
        <p>
          Fobbet works out the mirrored print, the medium, the waiting and the rubbing, and keeps the clock while it
          dries. You need a picture, and a thing to put it on. Everything stays in this browser.
        </p>
        <div className={css.actions}>
          <Button variant="contained" size="large" onClick={() => void newPiece()} data-testid="new-piece">
            Begin your first piece
          </Button>
          <Button variant="outlined" size="large" onClick={() => void load()} disabled={loading}>
            {loading ? 'Loading …' : 'Look round an example'}
          </Button>
          <ImportBundle />
        </div>
      </div>
      <ol aria-label="The ten stations of a piece">
        {RUN.map(([name, words], index) => (
          <li key={name}>
            <span aria-hidden>{index + 1}</span>
            <b>{name}</b>
            <span>{words}</span>
          </li>
        ))}
      </ol>
    </main>
  );
}
