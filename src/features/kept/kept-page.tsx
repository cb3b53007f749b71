'use client';
import { useLiveQuery } from 'dexie-react-hooks';
import { useShelf } from '@/features/shelf';
import { changesOf, database } from '@/storage';
import { Place, Answer, dayName, useNow } from '@/ui';
import { counted } from '@/words';
import { AsidePart } from './aside-part';
import { BinPart } from './bin-part';
import { CopyPart } from './copy-part';
import { OfflinePart } from './offline-part';
import { RoomPart } from './room-part';
import { VersionsPart } from './versions-part';
import { useCopies } from './use-copies';
import css from './kept.module.css';
import { say } from '@/words/say';

/** What is kept in this browser, copies of it, and what can be had back. */
export function KeptPage() {
  const shelf = useShelf();
  const now = useNow();
  const copying = useCopies();
  const since = useLiveQuery(async () => (await changesOf(database())).sinceCopy);
  const { copies } = copying;
  if (!shelf || !copies || since === undefined) return <Place className={css.page} aria-busy="true" />;
  const pieces = shelf.pieces.length + shelf.templates.length + shelf.unreadable.length;
  return (
    <Place title={say`Kept`} className={css.page}>
      <div className={css.copies}>
        <Answer>{answer(since)}</Answer>
        <CopyPart copying={copying} copies={copies} />
        <BinPart />
        <VersionsPart />
        <AsidePart />
      </div>
      <aside className={css.room}>
        <RoomPart />
        <OfflinePart />
      </aside>
    </Place>
  );

  function answer(since: number): string {
    if (pieces === 0) return say`Nothing is kept here yet.`;
    const all = counted(pieces, 'piece', 'pieces');
    if (copies?.madeAt == null) return say`${all}, kept in this browser alone: there is no copy yet.`;
    if (since === 0) return say`${all}, and a copy of everything as it stands.`;
    return say`${counted(since, 'change', 'changes')} since the last copy, made ${dayName(copies.madeAt, now)}.`;
  }
}
