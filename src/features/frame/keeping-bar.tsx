'use client';
import { Button } from '@mui/material';
import Link from 'next/link';
import { useEffect, useState } from 'react';
import { MS_PER_DAY, MS_PER_MINUTE } from '@/core/shared';
import { changesOf, copiesOf, database } from '@/storage';
import { counted, sizeWords } from '@/words';
import { NEARLY_FULL, storageRoom } from '@/features/shell/storage-room';
import css from './unreadable-bar.module.css';
import { say } from '@/words/say';

const LOOK_EVERY_MS = 10 * MS_PER_MINUTE;
/** So many changes without a copy are worth a word, but not on the day of the last one. */
const CHANGES_TO_SAY = 60;
const QUIET_MS = 3 * MS_PER_DAY;
const LATER_KEY = 'fobbet.copy-later';

type Word = { says: string; kind: 'full' | 'copy' };

/** Above every place, when something should be done so that nothing is lost: room running out, or no copy for long. */
export function KeepingBar() {
  const [word, setWord] = useState<Word | null>(null);
  useEffect(() => {
    let ended = false;
    const look = async () => {
      const found = await worthSaying();
      if (!ended) setWord(found);
    };
    void look();
    const again = setInterval(() => void look(), LOOK_EVERY_MS);
    return () => {
      ended = true;
      clearInterval(again);
    };
  }, []);
  if (!word) return null;
  const later = () => {
    localStorage.setItem(LATER_KEY, String(Date.now()));
    setWord(null);
  };
  return (
    <div role="status" className={css.bar} data-testid={`keeping-${word.kind}`}>
      <p>{word.says}</p>
      <Button size="small" variant="outlined" component={Link} href="/kept">
        {word.kind === 'full' ? say`See what is kept` : say`Save a copy`}
      </Button>
      <Button size="small" onClick={later}>{say`Later`}</Button>
    </div>
  );
}

async function worthSaying(): Promise<Word | null> {
  const now = Date.now();
  if (now - Number(localStorage.getItem(LATER_KEY) ?? 0) < QUIET_MS) return null;
  const { used, quota } = await storageRoom();
  if (quota > 0 && used / quota >= NEARLY_FULL)
    return {
      kind: 'full',
      says: say`The browser’s room is nearly full: ${sizeWords(used)} of ${sizeWords(quota)}. Save a copy, then
        remove what you no longer need.`,
    };
  const { madeAt, folder } = await copiesOf(database());
  const { sinceCopy: since } = await changesOf(database());
  if (folder || since < CHANGES_TO_SAY || (madeAt !== null && now - madeAt < QUIET_MS)) return null;
  return {
    kind: 'copy',
    says:
      madeAt === null
        ? say`${counted(since, 'change', 'changes')} and no copy yet: what is kept here is kept in this browser alone.`
        : say`${counted(since, 'change', 'changes')} since the last copy: what is kept here is kept in this browser alone.`,
  };
}
