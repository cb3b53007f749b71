'use client';
import { Button, Dialog, DialogActions, DialogContent, DialogContentText, DialogTitle } from '@mui/material';

/** Asked where the disk has no room even for the bin. */
export function PurgeDialog({ name, onPurge, onClose }: { name: string; onPurge: () => void; onClose: () => void }) {
  return (
    <Dialog open onClose={onClose}>
      <DialogTitle component="h2">Remove it for good?</DialogTitle>
      <DialogContent>
        <DialogContentText>
          The browser’s storage is full, so {name} can’t be kept in the bin for 30 days. Removed for good, it makes
          room: its steps of undo and the pictures that no other piece uses go with it.
        </DialogContentText>
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Keep it</Button>
        <Button color="error" variant="contained" onClick={onPurge} data-testid="purge">
          Remove for good
        </Button>
      </DialogActions>
    </Dialog>
  );
}
