'use client';
import { useLiveQuery } from 'dexie-react-hooks';
import { saveRecord } from '@/features/sheets/save-file';
import { database } from '@/storage';
import { Note, Part, TextButton, clockTime, useNow } from '@/ui';
import { RECORD_WORDS, lowerFirst } from '@/words';
import type { RecordKind } from '@/records';
import css from './kept.module.css';
import { say } from '@/words/say';

/** What could not be read and was put aside, as it lies on the disk; nothing where there is none. */
export function AsidePart() {
  const now = useNow();
  const aside = useLiveQuery(() => database().aside.toArray());
  if (!aside || aside.length === 0) return null;
  return (
    <Part title={say`Put aside`}>
      <Note>{say`Written by a newer Fobbet, or damaged. Kept as it is; a newer one may read it.`}</Note>
      <ul className={css.rows} data-testid="aside">
        {aside.map(({ number, kind, at, data }) => (
          <li key={number}>
            <b>{RECORD_WORDS[kind as RecordKind] ?? say`A piece`}</b>
            <span>{at > 0 ? clockTime(at, now) : say`from a copy`}</span>
            <TextButton
              onClick={() => saveRecord(data, `fobbet ${lowerFirst(kind)}`)}
            >{say`Save it as a file`}</TextButton>
          </li>
        ))}
      </ul>
    </Part>
  );
}
