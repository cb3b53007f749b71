import { Button, LinearProgress } from '@mui/material';
import { say } from '@/words/say';

/** How far a job is, beside what began it; with what stops it where it can be stopped. @param progress 0–1 */
export const JobProgress = ({ progress, label, onStop }: { progress: number; label: string; onStop?: () => void }) => (
  <>
    <LinearProgress variant="determinate" value={progress * 100} sx={{ flex: 1 }} aria-label={label} />
    {onStop && <Button onClick={onStop}>{say`Stop`}</Button>}
  </>
);
