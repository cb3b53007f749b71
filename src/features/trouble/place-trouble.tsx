'use client';
import { Button } from '@mui/material';
import Link from 'next/link';
import type { ReactNode } from 'react';
import { PLACES } from '@/features/shell/places';
import { Place, NextRow } from '@/ui';
import css from './trouble.module.css';
import { say } from '@/words/say';
import { sentences } from '@/words';

/** A place that stopped: what is kept is untouched, and the others work. */
export function PlaceTrouble({
  title = say`This place stopped`,
  message,
  onRetry,
  children,
}: {
  title?: string;
  /** What the browser says of it, for whoever mends the program. */
  message: string;
  onRetry: () => void;
  children?: ReactNode;
}) {
  return (
    <Place className={css.trouble} role="alert">
      <h1>{title}</h1>
      <p>
        {sentences(
          say`Something happened that Fobbet did not foresee.`,
          say`Everything that was kept is untouched, and the other places work.`,
        )}
      </p>
      <NextRow>
        <Button variant="contained" onClick={onRetry}>{say`Try again`}</Button>
        {children}
      </NextRow>
      <p className={css.places}>
        {PLACES.map(({ href, name }) => (
          <Link key={href} href={href}>
            {name}
          </Link>
        ))}
      </p>
      <p className={css.message}>{message}</p>
    </Place>
  );
}
