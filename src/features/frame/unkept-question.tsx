'use client';
import { Button, Dialog, DialogActions, DialogContent, DialogContentText, DialogTitle } from '@mui/material';
import { usePathname, useRouter } from 'next/navigation';
import { setUnkept, useUnkept } from '@/features/shell/not-kept';
import { say } from '@/words/say';

/** Asks whoever left a piece, by link, key or history, with a change that could not be kept: back to it, or give it up. */
export function UnkeptQuestion() {
  const path = usePathname();
  const router = useRouter();
  const unkept = useUnkept();
  const left = [...unkept].find(([id]) => !path.startsWith(`/piece/${id}/`));
  if (!left) return null;
  const [id, { mine, label }] = left;
  const back = () => router.push(`/piece/${id}/picture`);
  return (
    <Dialog open onClose={back} data-testid="unkept">
      <DialogTitle component="h2">{say`Not kept yet`}</DialogTitle>
      <DialogContent>
        <DialogContentText>{say`${mine.name}: there was no room for “${label}”. Go back and try again, or give it up?`}</DialogContentText>
      </DialogContent>
      <DialogActions>
        <Button onClick={() => setUnkept(id, null)} data-testid="unkept-give-up">{say`Give it up`}</Button>
        <Button onClick={back} variant="contained" data-testid="unkept-back">{say`Back to it`}</Button>
      </DialogActions>
    </Dialog>
  );
}
