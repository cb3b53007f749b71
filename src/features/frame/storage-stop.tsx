'use client';
import { Button } from '@mui/material';
import type { NoStorage } from '@/storage';
import { NO_STORAGE_WORDS } from '@/words';
import css from './unreadable-bar.module.css';
import { say } from '@/words/say';
import { sayWith } from '@/ui/say-with';

/** Where nothing can be kept: why, what to do, and the way on without. */
export function StorageStop({ why, onGoOn }: { why: NoStorage; onGoOn: () => void }) {
  const { what, todo } = NO_STORAGE_WORDS[why];
  return (
    <main className="nowhere" data-testid="no-storage">
      <h1>{what}</h1>
      <p>{todo}</p>
      <div className={css.ways}>
        <Button variant="contained" onClick={() => location.reload()}>{say`Reload`}</Button>
        <Button
          variant="outlined"
          onClick={onGoOn}
          data-testid="in-memory"
        >{say`Work on without keeping anything`}</Button>
      </div>
    </main>
  );
}

export const NotKeptBar = () => (
  <div role="alert" className={css.bar} data-testid="not-kept-bar">
    <p>{sayWith`${(<b>{say`Not kept.`}</b>)} Everything here is gone when this page is closed. Save pieces as bundles to keep them.`}</p>
  </div>
);
