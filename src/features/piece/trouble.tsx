'use client';
import { Button, Dialog, DialogActions, DialogContent, DialogContentText, DialogTitle } from '@mui/material';
import { useUnits } from '@/ui';
import { sentenceFor } from '@/words';
import type { PieceAccess } from './use-piece';

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
  const giveUp = trouble.again ? 'Give it up' : 'Close';
  const leave = clash ? 'Keep the other window’s' : giveUp;
  return (
    <Dialog open onClose={() => settle(trouble.again ? 'later' : 'theirs')}>
      <DialogTitle component="h2">{clash ? 'Changed in two windows' : 'Not saved'}</DialogTitle>
      <DialogContent>
        <DialogContentText>
          {sentenceFor(trouble.error, units)}{' '}
          {trouble.again && 'What you changed stays here until it is kept or given up.'}
          {clash && (
            <>
              Your change here was: <b>{trouble.change.label}</b>. Which shall hold?
            </>
          )}
        </DialogContentText>
      </DialogContent>
      <DialogActions>
        {trouble.again && <Button onClick={() => settle('later')}>Not now</Button>}
        <Button onClick={() => settle('theirs')} variant={clash || trouble.again ? 'text' : 'contained'}>
          {leave}
        </Button>
        {(clash || trouble.again) && (
          <Button onClick={() => settle('mine')} variant="contained">
            {clash ? 'Use mine' : 'Try again'}
          </Button>
        )}
      </DialogActions>
    </Dialog>
  );
}
