'use client';
import {
  createContext,
  useCallback,
  useContext,
  useEffect,
  useMemo,
  useRef,
  useSyncExternalStore,
  type ReactNode,
} from 'react';
import { MS_PER_MINUTE } from '@/core/shared';
import type { AirReading } from '@/core/cure';
import { database, keepReading, storedRoom } from '@/storage';
import { listenToRoom, type SensorState } from '@/standins/room-sensor';
import { useSettings } from '@/features/shell/settings';
import { useClock } from '@/ui';

/** What the sensor says now: kept outside React, so that only what shows it is drawn anew every few seconds. */
export interface RoomNow {
  state: SensorState | 'off';
  reading: AirReading | null;
}
interface RoomStore {
  subscribe: (notify: () => void) => () => void;
  read: () => RoomNow;
}

const OFF: RoomNow = { state: 'off', reading: null };
const RoomContext = createContext<RoomStore>({ subscribe: () => () => undefined, read: () => OFF });

/** The room as the sensor reads it now. Use it in leaves only: it changes every few seconds. */
export function useRoomNow(): RoomNow {
  const store = useContext(RoomContext);
  return useSyncExternalStore(store.subscribe, store.read, () => OFF);
}

const STRETCH_MS = 10 * MS_PER_MINUTE;

export function RoomProvider({ children }: { children: ReactNode }) {
  const {
    settings: { sensor },
  } = useSettings();
  const clock = useClock();
  const now = useRef<RoomNow>(OFF);
  const listeners = useRef(new Set<() => void>());
  const store = useMemo<RoomStore>(
    () => ({
      subscribe: (notify) => {
        listeners.current.add(notify);
        return () => listeners.current.delete(notify);
      },
      read: () => now.current,
    }),
    [],
  );
  const set = useCallback((patch: Partial<RoomNow>) => {
    now.current = { ...now.current, ...patch };
    listeners.current.forEach((notify) => notify());
  }, []);

  useEffect(() => {
    if (!sensor) {
      set(OFF);
      return;
    }
    let stretch = -1;
    let close: () => void = () => undefined;
    let turn = 0;
    const onReadings = (readings: readonly AirReading[]) => {
      const last = readings.at(-1);
      if (!last) return;
      set({ reading: last });
      // Written once in ten minutes: each write makes the plans anew.
      if (Math.floor(last.at / STRETCH_MS) === stretch) return;
      stretch = Math.floor(last.at / STRETCH_MS);
      void keepReading(database(), readings);
    };
    // Only while the page is seen: a browser holds few connections at once, and what was missed is remembered.
    const follow = () => {
      const mine = ++turn;
      close();
      close = () => undefined;
      if (document.visibilityState === 'hidden') return;
      void storedRoom(database()).then((room) => {
        const readings = room.ok ? room.value.readings : [];
        if (mine === turn)
          close = listenToRoom({ onReadings, onState: (state) => set({ state }) }, clock, readings.at(-1)?.at ?? 0);
      });
    };
    follow();
    document.addEventListener('visibilitychange', follow);
    return () => {
      turn++;
      close();
      document.removeEventListener('visibilitychange', follow);
    };
  }, [sensor, clock, set]);

  return <RoomContext.Provider value={store}>{children}</RoomContext.Provider>;
}
