'use client';
import { Button } from '@mui/material';
import { useService } from './service';
import css from './unreadable-bar.module.css';
import { sentences } from '@/words';
import { say } from '@/words/say';

const TEXTS = {
  ready: { says: say`A new version of Fobbet is ready.`, does: say`Use it now` },
  taken: { says: say`A new version of Fobbet was taken into use in another window.`, does: say`Reload this one` },
} as const;

/** Above every place, once there is a new version: it waits until it is asked for. */
export function NewVersion() {
  const { news, take } = useService();
  if (!news) return null;
  return (
    <div role="status" className={css.bar} data-testid="new-version">
      <p>{sentences(TEXTS[news].says, say`What you typed is kept first; the page loads anew.`)}</p>
      <Button size="small" variant="outlined" onClick={take}>
        {TEXTS[news].does}
      </Button>
    </div>
  );
}
