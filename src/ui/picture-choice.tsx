'use client';
import { useId, type ReactNode } from 'react';
import type { Option } from './option';
import css from './picture-choice.module.css';

export interface Pictured<V extends string> extends Option<V> {
  picture: ReactNode;
}

/** One of several, each shown as a picture with its name, in families: radio buttons, so that arrows go through all. */
export function PictureChoice<V extends string>({
  label,
  value,
  families,
  onCommit,
  onPressed,
}: {
  label: string;
  value: V | null;
  families: readonly { name: string; options: readonly Pictured<V>[] }[];
  onCommit: (value: V) => void;
  /** One was taken by a press: arrows go on to the next, a press is meant. */
  onPressed?: () => void;
}) {
  const group = useId();
  return (
    <div role="radiogroup" aria-label={label} className={css.families}>
      {families.map(({ name, options }) => (
        <div key={name} className={css.family}>
          <span aria-hidden>{name}</span>
          <div className={css.pictures}>
            {options.map(({ id, name: text, picture }) => (
              <label key={id} className={css.pictured}>
                <input
                  type="radio"
                  name={group}
                  value={id}
                  checked={id === value}
                  onChange={() => onCommit(id)}
                  onClick={({ detail }) => detail > 0 && onPressed?.()}
                  data-testid={`pictured-${id}`}
                />
                {picture}
                <span>{text}</span>
              </label>
            ))}
          </div>
        </div>
      ))}
    </div>
  );
}
