'use client';
import { useId } from 'react';
import { say } from '@/words/say';
import type { Option } from './option';
import css from './fields.module.css';

/**
 * A few choices side by side, one taken. They are radio buttons: Tab comes to the group, arrows go through it, and who
 * comes by keyboard is told so.
 */
export function Segments<V extends string>({
  value,
  options,
  onCommit,
  ...named
}: {
  value: V | null;
  options: readonly Option<V>[];
  onCommit: (value: V) => void;
} & ({ 'aria-label': string } | { 'aria-labelledby': string })) {
  const name = useId();
  return (
    <div className={css.segments} role="radiogroup" {...named}>
      {options.map(({ id, name: text, disabled, testId }) => (
        <label key={id} className={css.segment}>
          <input
            type="radio"
            name={name}
            value={id}
            checked={id === value}
            disabled={disabled}
            data-testid={testId}
            onChange={() => onCommit(id)}
          />
          {text}
        </label>
      ))}
      <span className={css.arrows} aria-hidden>{say`arrow keys choose`}</span>
    </div>
  );
}
