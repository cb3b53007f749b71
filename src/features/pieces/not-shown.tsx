'use client';
import type { Shelf } from '@/storage';
import { saveRecord } from '@/features/sheets/save-file';
import type { Piece } from '@/records';
import { TextButton, useUnits } from '@/ui';
import { sayWith } from '@/ui/say-with';
import { sentenceFor, sentences } from '@/words';
import { say } from '@/words/say';
import css from './pieces.module.css';

/** Pieces that are kept but can't be planned, or not even read: named, and to be saved as files. */
export function NotShown({ unplanned, unreadable }: { unplanned: readonly Piece[]; unreadable: Shelf['unreadable'] }) {
  const units = useUnits();
  return (
    <>
      {unplanned.map((piece) => (
        <p
          key={piece.id}
          role="alert"
          className={css.none}
        >{sayWith`“${piece.name}” cannot be planned: it holds something that Fobbet did not foresee. It is kept as
          it is. ${(<TextButton onClick={() => saveRecord(piece, piece.name)}>{say`Save it as a file`}</TextButton>)}`}</p>
      ))}
      {unreadable.map(({ id, name, error, data }) => (
        <p key={id} role="alert" className={css.none}>
          {sentences(
            name === null ? say`One piece cannot be shown.` : say`“${name}” cannot be shown.`,
            sentenceFor(error, units),
          )}{' '}
          <TextButton
            onClick={() => saveRecord(data, name ?? id)}
            testId="save-unreadable"
          >{say`Save it as a file`}</TextButton>
        </p>
      ))}
    </>
  );
}
