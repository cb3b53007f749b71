'use client';
import { Button, Dialog, DialogActions, DialogContent, DialogTitle } from '@mui/material';
import { useState } from 'react';
import { PICTURE_ACCEPT } from '@/core/picture';
import { ownLetteringOf, type Piece } from '@/records';
import { FigureField, FileButton, LineField, Note, TickRow } from '@/ui';
import { sayWith } from '@/ui/say-with';
import { counted } from '@/words';
import { say } from '@/words/say';
import css from './piece-head.module.css';
import { useSetMaking, type SetRead } from './use-set-making';

const MOST_ALIKE = 60;

/** Pieces like this one that are planned as one, each with the name, lettering and picture that a table gives it. */
export function SetDialog({ piece, onClose }: { piece: Piece; onClose: () => void }) {
  const [name, setName] = useState(piece.name);
  const [alike, setAlike] = useState(0);
  // What nothing was done to is the pattern of the set: it would be one too many.
  const [asTemplate, setAsTemplate] = useState(!piece.template && piece.set === null && piece.work.done.length === 0);
  const { read, busy, take, make } = useSetMaking(piece, onClose);
  const lettered = ownLetteringOf(piece) !== null;
  const count = read?.rows.length ?? alike;
  return (
    <Dialog open onClose={onClose} maxWidth="sm" fullWidth data-testid="set-dialog">
      <DialogTitle component="h2">
        {read ? say`${counted(count, 'piece', 'pieces')} like ${piece.name}` : say`A set like ${piece.name}`}
      </DialogTitle>
      <DialogContent>
        {read ? <ReadRows read={read} /> : <HowMany alike={alike} onAlike={setAlike} />}
        <LineField
          label={say`Name of the set`}
          value={name}
          mostCharacters={120}
          onChange={(event) => setName(event.target.value)}
          testId="set-name"
        />
        {!piece.template && (
          <TickRow checked={asTemplate} onToggle={() => setAsTemplate((before) => !before)}>
            {say`Keep ${piece.name} itself as a template`}
            <small>{say`It leaves the plan: else it is made as one more, by itself.`}</small>
          </TickRow>
        )}
        {!lettered && (
          <Note>{say`This piece has no lettering: add some at Picture first, and each of the set gets its own text there.`}</Note>
        )}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>{say`Make nothing`}</Button>
        <FileButton
          accept={`.csv,text/csv,${PICTURE_ACCEPT}`}
          onFiles={(files) => void take(files)}
          variant={count > 0 ? 'text' : 'contained'}
          disabled={busy}
          testId="set-files"
        >
          {busy ? say`Reading …` : read ? say`Other files` : say`Choose the table`}
        </FileButton>
        {(read !== null || alike > 0) && (
          <Button
            variant="contained"
            disabled={busy || count === 0}
            onClick={() => void make({ name, alike, asTemplate })}
            data-testid="make-set"
          >{say`Make ${count}`}</Button>
        )}
      </DialogActions>
    </Dialog>
  );
}

/** What the table says, before anything is made. */
const ReadRows = ({ read }: { read: SetRead }) => (
  <>
    <p>{say`${read.rows.map(({ name }) => name).join(', ')}${read.rows.length > 0 && '.'} Nothing is made yet.`}</p>
    {read.encoding === 'windows-1252' && (
      <p>{say`It is written in an older way (Windows-1252): look whether all letters are right.`}</p>
    )}
    {read.faults.length > 0 && (
      <ul className={css.faults}>
        {read.faults.map(({ line, reason }) => (
          <li key={line}>{sayWith`${(<b>{say`Line ${line}`}</b>)} stays out: ${reason}.`}</li>
        ))}
      </ul>
    )}
  </>
);

const HowMany = ({ alike, onAlike }: { alike: number; onAlike: (alike: number) => void }) => (
  <>
    <p>{say`One plan for all of them: what is chosen for one holds for each, and each is counted through on its own.`}</p>
    <FigureField
      label={say`So many, all alike`}
      value={alike}
      whole
      min={0}
      max={MOST_ALIKE}
      onCommit={(value) => onAlike(value ?? 0)}
      testId="set-alike"
    />
    <p>{sayWith`Or a table (CSV) with a column ${(<b>{say`name`}</b>)}, and where you want them
              ${(<b>{say`text`}</b>)} for each one’s own lettering and ${(<b>{say`picture`}</b>)} for the name of
              its picture’s file. Choose the table and the pictures together.`}</p>
  </>
);
