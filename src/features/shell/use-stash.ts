'use client';
import { useLiveQuery } from 'dexie-react-hooks';
import { useCallback, useMemo } from 'react';
import type { AtHand } from '@/core/method';
import { EMPTY_STASH, atHandOf, readStash, type Stash } from '@/records';
import { database } from '@/storage';

/** What is at hand, live across windows. */
export function useStash(): { stash: Stash; atHand: AtHand; change: (patch: Partial<Omit<Stash, 'id' | 'version'>>) => void } {
  const stored = useLiveQuery(async () => readStash(await database().stash.get('stash')));
  const stash = stored ?? EMPTY_STASH;
  const atHand = useMemo(() => atHandOf(stash), [stash]);
  const change = useCallback((patch: Partial<Omit<Stash, 'id' | 'version'>>) => {
    void database().transaction('rw', database().stash, async () => { await database().stash.put({ ...readStash(await database().stash.get('stash')), ...patch }); });
  }, []);
  return { stash, atHand, change };
}
