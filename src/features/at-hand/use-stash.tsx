'use client';
import { useLiveQuery } from 'dexie-react-hooks';
import { createContext, useCallback, useContext, useMemo, type ReactNode } from 'react';
import { dayBetween, type AirRecord } from '@/core/cure';
import { NOTHING_SAID, type AtHand } from '@/core/at-hand';
import { paceOf } from '@/core/plan';
import { EMPTY_ROOM, EMPTY_STASH, atHandOf, type RoomRecord, type Stash } from '@/records';
import { changeRoom, changeStash, database, storedRoom, storedStash } from '@/storage';
import { useShelf } from '@/features/shelf/shelf';
import { useReport } from '@/features/shell/use-report';

type Patch<R> = Partial<Omit<R, 'id' | 'version'>> | ((stored: R) => Partial<R>);

interface StashAccess {
  stash: Stash;
  room: RoomRecord;
  /** Everything at hand as a plan wants it: the stash, the room through time, the person's pace. */
  atHand: AtHand;
  /** Whether stash and room were read; until then they count as empty. */
  known: boolean;
  /**
   * Resolves to whether it was kept; what was not is said. What goes into a part of the record is given as a function of
   * what is stored by then: two figures typed one after the other are both kept.
   */
  change: (patch: Patch<Stash>) => Promise<boolean>;
  changeRoom: (patch: Patch<RoomRecord>) => Promise<boolean>;
}

const StashContext = createContext<StashAccess>({
  stash: EMPTY_STASH,
  room: EMPTY_ROOM,
  atHand: NOTHING_SAID,
  known: false,
  change: () => Promise.resolve(false),
  changeRoom: () => Promise.resolve(false),
});
/** What is at hand, live across windows. */
export const useStash = (): StashAccess => useContext(StashContext);

const airOf = ({ readings, day, hours }: RoomRecord): AirRecord | null => {
  const profile = hours ?? (day ? dayBetween(day.coldestC, day.warmestC, day.humidityPercent) : null);
  return readings.length === 0 && !profile ? null : { readings, profile };
};

export function StashProvider({ children }: { children: ReactNode }) {
  // One that can't be read counts as empty: it is said above the page, and nothing is written over it.
  const storedItems = useLiveQuery(() => storedStash(database()));
  const storedAir = useLiveQuery(() => storedRoom(database()));
  const stash = storedItems?.ok ? storedItems.value : EMPTY_STASH;
  const room = storedAir?.ok ? storedAir.value : EMPTY_ROOM;
  const known = storedItems !== undefined && storedAir !== undefined;
  const report = useReport();
  const shelf = useShelf();
  const paceKey = useMemo(() => JSON.stringify(paceOf(shelf?.pieces ?? [])), [shelf]);
  const change = useCallback<StashAccess['change']>(
    async (patch) => report(await changeStash(database(), (now) => (typeof patch === 'function' ? patch(now) : patch))),
    [report],
  );
  const alterRoom = useCallback<StashAccess['changeRoom']>(
    async (patch) => report(await changeRoom(database(), (now) => (typeof patch === 'function' ? patch(now) : patch))),
    [report],
  );
  const access = useMemo(
    () => ({
      stash,
      room,
      atHand: { ...atHandOf(stash), air: airOf(room), pace: JSON.parse(paceKey) as Record<string, number> },
      known,
      change,
      changeRoom: alterRoom,
    }),
    [stash, room, paceKey, known, change, alterRoom],
  );
  return <StashContext.Provider value={access}>{children}</StashContext.Provider>;
}
