'use client';
import { Button } from '@mui/material';
import { useLiveQuery } from 'dexie-react-hooks';
import { saveRecord } from '@/features/sheets/save-file';
import { database } from '@/storage';
import { PlaceTrouble } from './place-trouble';
import { say } from '@/words/say';

/** A piece whose page stopped, by its name, with the piece as a file. */
export function PieceTrouble({ id, message, onRetry }: { id: string; message: string; onRetry: () => void }) {
  const stored = useLiveQuery(() => database().pieces.get(id), [id]);
  return (
    <PlaceTrouble
      title={stored ? say`${stored.name} cannot be shown` : say`This piece cannot be shown`}
      message={message}
      onRetry={onRetry}
    >
      {stored && (
        <Button variant="outlined" onClick={() => saveRecord(stored, stored.name)}>{say`Save it as a file`}</Button>
      )}
    </PlaceTrouble>
  );
}
