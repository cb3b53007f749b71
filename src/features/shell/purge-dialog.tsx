'use client';
import { Button, Dialog, DialogActions, DialogContent, DialogContentText, DialogTitle } from '@mui/material';
import { say } from '@/words/say';

/** Asked before a piece goes for good: out of the bin, or where the disk has no room even for that. */
export function PurgeDialog({
  name,
  full = false,
  onPurge,
  onClose,
}: {
  name: string;
  full?: boolean;
  onPurge: () => void;
  onClose: () => void;
}) {
  return (
    <Dialog open onClose={onClose}>
      <DialogTitle component="h2">{say`Remove it for good?`}</DialogTitle>
      <DialogContent>
        <DialogContentText>
          {full
            ? say`The browser’s storage is full, so ${name} can’t be kept in the bin for 30 days. Removed for
              good, it makes room: its steps of undo and the pictures that no other piece uses go with it.`
            : say`${name} can’t be had back then. Its steps of undo and the pictures that no other piece uses go with it.`}
        </DialogContentText>
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>{say`Keep it`}</Button>
        <Button color="error" variant="contained" onClick={onPurge} data-testid="purge">{say`Remove for good`}</Button>
      </DialogActions>
    </Dialog>
  );
}
