'use client';
import { useId, useState } from 'react';
import css from './surface.module.css';

/** A colour picked from the system's own picker, committed when it is left. */
export function ColourField({
  label,
  value,
  onCommit,
}: {
  label: string;
  value: string;
  onCommit: (value: string) => void;
}) {
  const id = useId();
  const [draft, setDraft] = useState<string | null>(null);
  const commit = () => {
    if (draft && draft !== value) onCommit(draft);
    setDraft(null);
  };
  return (
    <div className={css.colour}>
      <label htmlFor={id}>{label}</label>
      <input
        id={id}
        type="color"
        value={draft ?? value}
        onChange={(event) => setDraft(event.target.value)}
        onBlur={commit}
      />
    </div>
  );
}
