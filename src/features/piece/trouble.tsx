'use client';
import { Button, Dialog, DialogActions, DialogContent, DialogContentText, DialogTitle } from '@mui/material';
import { useUnits } from '@/ui';
import { sentenceFor } from '@/words';
import type { PieceAccess } from './use-piece';
import { say } from '@/words/say';
import { sayWith } from '@/ui/say-with';

/** A save that failed, and the choice where two windows changed the same thing. */
export function Trouble({
  trouble,
  settle,
}: {
  trouble: NonNullable<PieceAccess['trouble']>;
  settle: PieceAccess['settle'];
}) {
  const units = useUnits();
  const clash = trouble.error.code === 'piece-conflict';
  const giveUp = trouble.again ? say`Give it up` : say`Close`;
  const leave = clash ? say`Keep the other window’s` : giveUp;
  return (
    <Dialog open onClose={() => settle(trouble.again ? 'later' : 'theirs')}>
      <DialogTitle component="h2">{clash ? say`Changed in two windows` : say`Not saved`}</DialogTitle>
      <DialogContent>
        <DialogContentText>
          {sentenceFor(trouble.error, units)}{' '}
          {trouble.again && say`What you changed stays here until it is kept or given up.`}
          {clash && <>{sayWith`Your change here was: ${(<b>{trouble.change.label}</b>)}. Which shall hold?`}</>}
        </DialogContentText>
      </DialogContent>
      <DialogActions>
        {trouble.again && <Button onClick={() => settle('later')}>{say`Not now`}</Button>}
        <Button onClick={() => settle('theirs')} variant={clash || trouble.again ? 'text' : 'contained'}>
          {leave}
        </Button>
        {(clash || trouble.again) && (
          <Button onClick={() => settle('mine')} variant="contained">
            {clash ? say`Use mine` : say`Try again`}
          </Button>
        )}
      </DialogActions>
    </Dialog>
  );
}
