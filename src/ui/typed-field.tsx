'use client';
import { useRef, useState } from 'react';
import type { Result } from '@/core/shared';
import { sentenceFor, type FailureCode } from '@/words';
import { LineField } from './line-field';
import { useUnits } from './units-context';
import { say } from '@/words/say';

export interface TypedFieldProps<T> {
  label: string;
  value: T | null;
  /** Reads what was typed. A failure becomes a sentence under the field; nothing is changed then. */
  parse: (text: string) => Result<T, FailureCode>;
  format: (value: T) => string;
  /** A promise resolves to whether it was kept: what was not stays in the field. Else it is taken for kept. */
  onCommit: (value: T | null) => void | boolean | Promise<boolean>;
  /** What holds while nothing is typed: shown in place of a value. Makes the field clearable. */
  computed?: string;
  clearable?: boolean;
  hint?: string;
  testId?: string | undefined;
}

const changedMeanwhile = (shown: string): string =>
  shown === ''
    ? say`Emptied in another window meanwhile. Enter keeps what you typed, Escape takes that.`
    : say`Changed in another window meanwhile, to ${shown}. Enter keeps what you typed, Escape takes that.`;

/**
 * A field that takes what people type, commits on Enter or on leaving it, and keeps what it can't read for them to
 * mend. A value that another window changed meanwhile is not written over without a word.
 */
export function TypedField<T>({
  label,
  value,
  parse,
  format,
  onCommit,
  computed,
  clearable = computed !== undefined,
  hint,
  testId,
}: TypedFieldProps<T>) {
  const [draft, showDraft] = useState<string | null>(null);
  /**
   * The draft as events see it, before it is drawn: Enter commits it and moves the focus on in one go, so that leaving
   * the field still finds it in what was drawn last, and would commit it once more.
   */
  const typed = useRef<string | null>(null);
  const setDraft = (next: string | null) => {
    typed.current = next;
    showDraft(next);
  };
  /** What stood in the field when typing began; another window may change it meanwhile. */
  const [begun, setBegun] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const units = useUnits();
  const shown = value === null ? '' : format(value);

  /** @param knowing that the value was changed meanwhile, as the sentence under the field says */
  const commit = (knowing: boolean) => {
    const draft = typed.current;
    if (draft === null || draft === shown) return finish();
    if (begun !== shown && !knowing) return setProblem(changedMeanwhile(shown));
    if (draft.trim() === '' && clearable) return keep(null, draft);
    const read = parse(draft);
    if (!read.ok) return setProblem(sentenceFor(read.error, units));
    keep(read.value, draft);
  };
  const keep = (next: T | null, text: string) => {
    finish();
    const keeping = onCommit(next);
    if (!(keeping instanceof Promise)) return;
    void keeping.then((kept) => {
      if (!kept) setDraft(text);
    });
  };
  const finish = () => {
    setDraft(null);
    setProblem(null);
  };

  return (
    <LineField
      label={label}
      value={draft ?? shown}
      placeholder={computed}
      problem={problem}
      hint={hint}
      testId={testId}
      needed={value === null && !clearable}
      onChange={(event) => {
        if (typed.current === null) setBegun(shown);
        setDraft(event.target.value);
        setProblem(null);
      }}
      onBlur={() => commit(false)}
      onKeyDown={(event) => {
        if (event.key === 'Enter') commit(problem !== null && begun !== shown);
        if (event.key === 'Escape') finish();
      }}
    />
  );
}
