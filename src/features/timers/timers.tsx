'use client';
import { useLiveQuery } from 'dexie-react-hooks';
import { MS_PER_MINUTE } from '@/core/shared';
import { createContext, useCallback, useContext, useEffect, useMemo, type ReactNode } from 'react';
import { readTimer, type BenchTimer } from '@/records';
import { database, putTimer, removeTimer } from '@/storage';
import { span, useClock } from '@/ui';
import { newId } from '@/features/shell/ids';
import { useNotice } from '@/features/shell/notices';
import { useReport } from '@/features/shell/use-report';
import { useSettings } from '@/features/shell/settings';
import { callAt } from './call-at';
import { askOnce, notify } from './notify';
import { ring, speak } from './sound';
import { useTrueTime } from './time-watch';
import { isDoubtful } from './true-time';
import { say } from '@/words/say';

interface TimerAccess {
  timers: readonly BenchTimer[];
  start: (timer: { label: string; minutes: number; pieceId?: string; step?: string }) => void;
  /** Stops a running one where it is, or lets it run on. */
  toggle: (timer: BenchTimer) => void;
  add: (timer: BenchTimer, minutes: number) => void;
  remove: (timer: BenchTimer) => void;
}

const TimerContext = createContext<TimerAccess>({
  timers: [],
  start: () => undefined,
  toggle: () => undefined,
  add: () => undefined,
  remove: () => undefined,
});
/** Timers at the bench: kept on the disk, so that they outlive a reload. */
export const useTimers = (): TimerAccess => useContext(TimerContext);

const LATE_MS = 20_000;

export function TimerProvider({ children }: { children: ReactNode }) {
  const clock = useClock();
  const stored = useLiveQuery(async () =>
    (await database().timers.toArray()).map(readTimer).filter((timer) => timer !== null),
  );
  const timers = useMemo(
    () => [...(stored ?? [])].sort((a, b) => a.endsAt - b.endsAt || a.startedAt - b.startedAt),
    [stored],
  );
  const report = useReport();
  const put = useCallback((timer: BenchTimer) => void putTimer(database(), timer).then(report), [report]);

  const access = useMemo<TimerAccess>(
    () => ({
      timers,
      start: ({ label, minutes, pieceId, step }) => {
        // While the finger is on it: later the browser would not show its question.
        askOnce();
        put({
          id: newId(),
          label,
          pieceId: pieceId ?? null,
          step: step ?? null,
          startedAt: clock(),
          endsAt: clock() + minutes * MS_PER_MINUTE,
          pausedLeftMs: null,
          rangAt: null,
        });
      },
      toggle: (timer) =>
        put(
          timer.pausedLeftMs === null
            ? { ...timer, pausedLeftMs: Math.max(0, timer.endsAt - clock()) }
            : { ...timer, endsAt: clock() + timer.pausedLeftMs, pausedLeftMs: null },
        ),
      add: (timer, minutes) =>
        put({
          ...timer,
          endsAt: Math.max(clock(), timer.endsAt) + minutes * MS_PER_MINUTE,
          pausedLeftMs: timer.pausedLeftMs === null ? null : timer.pausedLeftMs + minutes * MS_PER_MINUTE,
          rangAt: null,
        }),
      remove: (timer) => void removeTimer(database(), timer.id).then(report),
    }),
    [timers, put, report, clock],
  );

  useRing(timers);
  return <TimerContext.Provider value={access}>{children}</TimerContext.Provider>;
}

export const isRunning = (timer: BenchTimer): boolean => timer.rangAt === null && timer.pausedLeftMs === null;

/**
 * Rings each timer once at its time, in one window, and not before it is known that so much time has passed; one that
 * passed while the page was closed says so.
 */
function useRing(timers: readonly BenchTimer[]) {
  const clock = useClock();
  const { isHeld, settle, gaps } = useTrueTime();
  const notice = useNotice();
  const {
    settings: { sound, speech },
  } = useSettings();
  useEffect(() => {
    if (!isHeld) return;
    const calls = timers.filter(isRunning).map((timer) => callAt(timer.endsAt, clock, () => void tell(timer)));
    return () => calls.forEach((cancel) => cancel());

    async function tell(timer: BenchTimer) {
      const uncounted = await settle();
      const now = clock();
      if (now < timer.endsAt || isDoubtful({ fromAt: timer.startedAt, untilAt: timer.endsAt }, uncounted, now)) return;
      // Whoever marks it first rings it.
      const mine = await database()
        .timers.where('id')
        .equals(timer.id)
        .and(({ rangAt, endsAt }) => rangAt === null && endsAt <= now)
        .modify({ rangAt: now });
      if (mine === 0) return;
      const late = now - timer.endsAt > LATE_MS;
      const text = late
        ? say`${timer.label}: time was up ${span(timer.endsAt - now)}, while Fobbet was closed.`
        : say`${timer.label}: time is up.`;
      notice({ text, tone: 'success' });
      if (sound) ring();
      if (speech) speak(text);
      void notify(text, { tag: timer.id, path: '/bench' });
    }
  }, [timers, clock, isHeld, settle, gaps, notice, sound, speech]);
}
