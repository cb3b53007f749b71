'use client';
import { useState } from 'react';
import { plainName } from '@/core/shared';
import css from './fields.module.css';

const MOST_NAME = 120;
const LEAST_SIZE = 8;

/** A name that is changed where it stands, as a heading. Enter and leaving it keep it, Escape takes it back. */
export function NameInput({
  label,
  name,
  onCommit,
  testId,
}: {
  label: string;
  name: string;
  onCommit: (name: string) => void;
  testId?: string;
}) {
  const [draft, setDraft] = useState<string | null>(null);
  const commit = () => {
    const next = draft === null ? '' : plainName(draft, MOST_NAME);
    if (next && next !== name) onCommit(next);
    setDraft(null);
  };
  return (
    <input
      className={css.nameInput}
      aria-label={label}
      value={draft ?? name}
      onChange={(event) => setDraft(event.target.value)}
      onBlur={commit}
      onKeyDown={(event) => {
        if (event.key === 'Enter') event.currentTarget.blur();
        if (event.key === 'Escape') setDraft(null);
      }}
      size={Math.max(LEAST_SIZE, (draft ?? name).length)}
      data-testid={testId}
    />
  );
}
