'use client';
import { useMemo } from 'react';
import { hazeLeft, wornShare } from '@/core/advice';
import { lastPlaced, readKept } from '@/core/inspect';
import { Note, Part, dated } from '@/ui';
import { CAUSE_WORDS, FAULT_REMEDY_WORDS, remarks } from '@/words';
import { say } from '@/words/say';
import { useOpenPiece } from '../piece-context';
import css from './keep.module.css';

/** What the last photo of the rubbing said, for the record. */
export function LastPhotoNote() {
  const { piece } = useOpenPiece();
  const last = lastPlaced(piece.rub.readings);
  const left = useMemo(() => hazeLeft(piece), [piece]);
  const worn = useMemo(() => last && wornShare(readKept(last)), [last]);
  if (!last || !left || !worn) return null;
  return (
    <Note>{say`By the last photo, after pass ${last.pass}: ${remarks(
      say`${Math.round(left.mean * 100)} % haze on the mean`,
      left.clears !== null && say`${Math.round(left.clears * 100)} % of it gone when wet`,
      say`${(worn.share * 100).toFixed(1)} % of the toner gone`,
    )}.`}</Note>
  );
}

/** Faults that were looked into on this piece: what they were put down to, and what was done. */
export function FaultNotes() {
  const { piece } = useOpenPiece();
  const { notes } = piece.faults;
  if (notes.length === 0) return null;
  return (
    <Part title={say`Faults that were looked into`}>
      <ul className={css.notes} data-testid="fault-notes">
        {notes.map(({ at, cause, remedy }) => (
          <li key={at}>
            <b>{CAUSE_WORDS[cause].title}</b>
            <small>{dated(at, 'd MMM')}</small>
            {remedy && <p>{FAULT_REMEDY_WORDS[remedy]}</p>}
          </li>
        ))}
      </ul>
    </Part>
  );
}
