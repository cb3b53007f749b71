'use client';
import { Button, Input } from '@mui/material';
import Link from 'next/link';
import { useEffect, useRef } from 'react';
import { FolderButton } from '@/features/intake';
import type { PlannedPiece } from '@/features/plans';
import { useNewPiece } from '@/features/shelf';
import { useShortcut } from '@/features/shell';
import { FIND_HASH } from '@/features/shell/places';
import { say } from '@/words/say';
import { BeginFrom } from './begin-from';
import { ImportBundle } from './import-bundle';
import css from './pieces.module.css';

/** How many there are, the field to find one, and the ways to begin. */
export function ShelfHead({
  count,
  text,
  onText,
  templates,
}: {
  count: number;
  text: string;
  onText: (text: string) => void;
  templates: readonly PlannedPiece[];
}) {
  const newPiece = useNewPiece();
  const search = useRef<HTMLInputElement>(null);
  useShortcut('find', () => search.current?.focus());
  useEffect(() => {
    if (window.location.hash === FIND_HASH) search.current?.focus();
  }, []);
  return (
    <div className={css.head}>
      <h1>{count === 1 ? say`One piece` : say`${count} pieces`}</h1>
      <Input
        inputRef={search}
        placeholder={say`Find a piece ( / )`}
        value={text}
        onChange={(event) => onText(event.target.value)}
        className={css.search}
        slotProps={{ input: { 'aria-label': say`Find a piece` } }}
      />
      <div className={css.actions}>
        <FolderButton />
        <ImportBundle />
        <Button
          component={Link}
          href="/pieces/print"
          variant="outlined"
          data-testid="print-together"
        >{say`Print together`}</Button>
        {templates.length > 0 && <BeginFrom templates={templates} />}
        <Button variant="contained" onClick={() => void newPiece()} data-testid="new-piece">{say`New piece`}</Button>
      </div>
    </div>
  );
}
