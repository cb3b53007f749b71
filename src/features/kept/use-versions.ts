'use client';
import { useLiveQuery } from 'dexie-react-hooks';
import { useCallback } from 'react';
import type { RecordKind } from '@/records';
import { database, stepSettings, stepSingle, versionsOf } from '@/storage';

/** What can be taken back of a record of which there is one, and how; undefined while it is read. */
export function useVersions(kind: RecordKind) {
  const versions = useLiveQuery(() => versionsOf(database(), kind), [kind]);
  const step = useCallback(
    (direction: 'undo' | 'redo', mark: number) =>
      kind === 'settings' ? stepSettings(database(), direction, mark) : stepSingle(database(), kind, direction, mark),
    [kind],
  );
  return { versions, step };
}
