'use client';
import { useState, type ReactNode } from 'react';
import { dueAt } from '@/core/stations';
import { DateField, dayName, useNow } from '@/ui';
import { useOpenPiece } from './piece-context';
import { PieceFiles } from './piece-files';
import css from './piece-head.module.css';

/** The piece's name and due date, with undo and its files. */
export function PieceHead({ children }: { children: ReactNode }) {
  return (
    <div className={css.head}>
      <NameField />
      <DueField />
      <div className={css.tools}>
        {children}
        <PieceFiles />
      </div>
    </div>
  );
}

function NameField() {
  const { piece, rename } = useOpenPiece();
  const [draft, setDraft] = useState<string | null>(null);
  const commit = () => {
    const name = draft?.trim().slice(0, 120);
    if (name && name !== piece.name) rename({ name }, `name “${name}”`);
    setDraft(null);
  };
  return (
    <h1 className={css.title}>
      <input
        aria-label="Name of the piece"
        value={draft ?? piece.name}
        maxLength={120}
        onChange={(event) => setDraft(event.target.value)}
        onBlur={commit}
        onKeyDown={(event) => {
          if (event.key === 'Enter') event.currentTarget.blur();
          if (event.key === 'Escape') setDraft(null);
        }}
        size={Math.max(8, (draft ?? piece.name).length)}
      />
    </h1>
  );
}

function DueField() {
  const { piece, rename } = useOpenPiece();
  const now = useNow();
  const due = dueAt(piece.dueOn);
  return (
    <DateField
      label="Due date"
      value={piece.dueOn}
      shown={due === null ? 'Set a due date' : `Due ${dayName(due, now)}`}
      onCommit={(dueOn) => rename({ dueOn }, 'due date')}
      testId="due-date"
    />
  );
}
