'use client';
import { useLiveQuery } from 'dexie-react-hooks';
import { useState } from 'react';
import { useReport } from '@/features/shell';
import { PurgeDialog } from '@/features/shell/purge-dialog';
import { database, daysLeftInBin, nameOf, purgePiece, restorePiece } from '@/storage';
import { Note, Part, TextButton, dayName, useNow } from '@/ui';
import { counted } from '@/words';
import css from './kept.module.css';
import { say } from '@/words/say';

/** Pieces that were removed: for a month they can be had back. */
export function BinPart() {
  const now = useNow();
  const report = useReport();
  const removed = useLiveQuery(() => database().removed.toArray());
  const [purging, setPurging] = useState<{ id: string; name: string } | null>(null);
  const purge = (id: string) => {
    setPurging(null);
    void purgePiece(database(), id).then(report);
  };
  if (!removed) return null;
  return (
    <Part title={say`Bin`}>
      {removed.length === 0 && <Note>{say`A piece that is removed lies here for 30 days, with its pictures.`}</Note>}
      <ul className={css.rows} data-testid="bin">
        {[...removed]
          .sort((a, b) => b.removedAt - a.removedAt)
          .map(({ id, removedAt, piece }) => {
            const name = nameOf(piece) ?? say`One piece`;
            return (
              <li key={id}>
                <b>{name}</b>
                <span>{say`removed ${dayName(removedAt, now)}, ${counted(daysLeftInBin(removedAt, now), 'day', 'days')} left`}</span>
                <TextButton
                  onClick={() => void restorePiece(database(), id).then(report)}
                  testId={`back-${id}`}
                >{say`Bring back`}</TextButton>
                <TextButton onClick={() => setPurging({ id, name })}>{say`Remove for good`}</TextButton>
              </li>
            );
          })}
      </ul>
      {purging && (
        <PurgeDialog name={purging.name} onPurge={() => purge(purging.id)} onClose={() => setPurging(null)} />
      )}
    </Part>
  );
}
