'use client';
import Link from 'next/link';
import type { ReactNode } from 'react';
import { dueAt, type StationId } from '@/core/stations';
import { partsOf, usePlannedPieces } from '@/features/plans';
import { setPath } from '@/features/shell/places';
import { DateField, NameInput, dayName, useNow } from '@/ui';
import { useOpenPiece } from './piece-context';
import { PieceFiles } from './piece-files';
import { STATION_NAMES } from '@/words';
import css from './piece-head.module.css';
import { say } from '@/words/say';
import { sayWith } from '@/ui/say-with';

/** The piece's name and due date, with undo and its files. */
export function PieceHead({ station, children }: { station: StationId; children: ReactNode }) {
  const { piece } = useOpenPiece();
  return (
    <div className={css.head} data-testid="piece-head">
      <h1 className="unseen">
        {piece.name}: {STATION_NAMES[station]}
      </h1>
      <NameField />
      {piece.template ? <span className={css.belongs}>{say`A template: it stands in no plan`}</span> : <DueField />}
      <InItsSet />
      <div className={css.tools}>
        {children}
        <PieceFiles />
      </div>
    </div>
  );
}

/** The set it belongs to: what is chosen here holds for all of it. */
function InItsSet() {
  const { piece } = useOpenPiece();
  const { planned } = usePlannedPieces();
  if (!piece.set) return null;
  const parts = partsOf(planned, piece.set.id);
  const at = parts.findIndex((one) => one.piece.id === piece.id);
  return (
    <span
      className={css.belongs}
      data-testid="in-set"
    >{sayWith`${at + 1} of ${parts.length} in ${(<Link href={setPath(piece.set.id)}>{piece.set.name}</Link>)}: planned as one`}</span>
  );
}

function NameField() {
  const { piece, rename } = useOpenPiece();
  return (
    <div className={css.title}>
      <NameInput
        label={say`Name of the piece`}
        name={piece.name}
        onCommit={(name) => rename({ name }, say`name “${name}”`)}
      />
    </div>
  );
}

function DueField() {
  const { piece, rename } = useOpenPiece();
  const now = useNow();
  const due = dueAt(piece.dueOn);
  return (
    <DateField
      label={say`Due date`}
      value={piece.dueOn}
      shown={due === null ? say`Set a due date` : say`Due ${dayName(due, now)}`}
      onCommit={(dueOn) => rename({ dueOn }, say`due date`)}
      testId="due-date"
    />
  );
}
