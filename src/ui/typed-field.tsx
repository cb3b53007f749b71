'use client';
import { TextField } from '@mui/material';
import { useId, useState } from 'react';
import type { Result } from '@/core/shared';
import { sentenceFor } from './sentences';
import { useUnits } from './units-context';

export interface TypedFieldProps<T> {
  label: string;
  value: T | null;
  /** Reads what was typed. A failure becomes a sentence under the field; nothing is changed then. */
  parse: (text: string) => Result<T>;
  format: (value: T) => string;
  onCommit: (value: T | null) => void;
  /** What holds while nothing is typed: shown in place of a value. Makes the field clearable. */
  computed?: string;
  clearable?: boolean;
  hint?: string;
  testId?: string;
}

/** A field that takes what people type, commits on Enter or on leaving it, and keeps what it can't read for them to mend. */
export function TypedField<T>({ label, value, parse, format, onCommit, computed, clearable = computed !== undefined, hint, testId }: TypedFieldProps<T>) {
  const [draft, setDraft] = useState<string | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const units = useUnits();
  const id = useId();
  const shown = value === null ? '' : format(value);

  const commit = () => {
    if (draft === null || draft === shown) return finish();
    if (draft.trim() === '' && clearable) { onCommit(null); return finish(); }
    const read = parse(draft);
    if (!read.ok) return setProblem(sentenceFor(read.error, units));
    onCommit(read.value);
    finish();
  };
  const finish = () => { setDraft(null); setProblem(null); };

  return (
    <TextField
      id={id} label={label} value={draft ?? shown} placeholder={computed} error={problem !== null} helperText={problem ?? hint}
      onChange={(event) => { setDraft(event.target.value); setProblem(null); }}
      onBlur={commit}
      onKeyDown={(event) => {
        if (event.key === 'Enter') commit();
        if (event.key === 'Escape') finish();
      }}
      slotProps={{ inputLabel: { shrink: true }, htmlInput: { 'data-testid': testId, autoComplete: 'off', spellCheck: false } }}
    />
  );
}
