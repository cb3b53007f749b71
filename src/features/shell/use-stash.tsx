'use client';
import { useLiveQuery } from 'dexie-react-hooks';
import { createContext, useCallback, useContext, useMemo, type ReactNode } from 'react';
import { dayBetween, type AirRecord } from '@/core/cure';
import { NOTHING_SAID, type AtHand } from '@/core/method';
import { paceOf } from '@/core/plan';
import { EMPTY_ROOM, EMPTY_STASH, atHandOf, type RoomRecord, type Stash } from '@/records';
import { changeRoom, changeStash, database, readShelf, storedRoom, storedStash } from '@/storage';

interface StashAccess {
  stash: Stash;
  room: RoomRecord;
  /** Everything at hand as a plan wants it: the stash, the room through time, the person's pace. */
  atHand: AtHand;
  change: (patch: Partial<Omit<Stash, 'id' | 'version'>> | ((stash: Stash) => Partial<Stash>)) => void;
  changeRoom: (patch: Partial<Omit<RoomRecord, 'id' | 'version'>>) => void;
}

const StashContext = createContext<StashAccess>({ stash: EMPTY_STASH, room: EMPTY_ROOM, atHand: NOTHING_SAID, change: () => undefined, changeRoom: () => undefined });
/** What is at hand, live across windows. */
export const useStash = (): StashAccess => useContext(StashContext);

const airOf = ({ readings, day, hours }: RoomRecord): AirRecord | null => {
  const profile = hours ?? (day ? dayBetween(day.coldestC, day.warmestC, day.humidityPercent) : null);
  return readings.length === 0 && !profile ? null : { readings, profile };
};

export function StashProvider({ children }: { children: ReactNode }) {
  const stash = useLiveQuery(() => storedStash(database())) ?? EMPTY_STASH;
  const room = useLiveQuery(() => storedRoom(database())) ?? EMPTY_ROOM;
  const paceKey = useLiveQuery(async () => JSON.stringify(paceOf((await readShelf(database())).pieces))) ?? '{}';
  const change = useCallback<StashAccess['change']>((patch) => void changeStash(database(), (now) => (typeof patch === 'function' ? patch(now) : patch)), []);
  const alterRoom = useCallback<StashAccess['changeRoom']>((patch) => void changeRoom(database(), () => patch), []);
  const access = useMemo(
    () => ({ stash, room, atHand: { ...atHandOf(stash), air: airOf(room), pace: JSON.parse(paceKey) as Record<string, number> }, change, changeRoom: alterRoom }),
    [stash, room, paceKey, change, alterRoom],
  );
  return <StashContext.Provider value={access}>{children}</StashContext.Provider>;
}
