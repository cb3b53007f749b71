'use client';
import { Button } from '@mui/material';
import { saveRecord } from '@/features/sheets/save-file';
import { database, setAside, type UnreadableSingle } from '@/storage';
import { useClock, useUnits } from '@/ui';
import { sentenceFor } from '@/words';
import { useReport } from '@/features/shell/use-report';
import css from './unreadable-bar.module.css';
import { say } from '@/words/say';

/** A record that can't be read: kept as it is, offered as a file, and put aside only on request. */
export function UnreadableBar({ single: { kind, error, data } }: { single: UnreadableSingle }) {
  const units = useUnits();
  const clock = useClock();
  const report = useReport();
  return (
    <div role="alert" className={css.bar} data-testid={`unreadable-${kind}`}>
      <p>{sentenceFor(error, units)}</p>
      <Button
        size="small"
        variant="outlined"
        onClick={() => saveRecord(data, `fobbet ${kind}`)}
      >{say`Save it as a file`}</Button>
      <Button
        size="small"
        variant="outlined"
        onClick={() => void setAside(database(), kind, clock()).then(report)}
        data-testid={`aside-${kind}`}
      >{say`Put it aside, begin anew`}</Button>
    </div>
  );
}
