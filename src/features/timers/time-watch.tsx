'use client';
import { createContext, useCallback, useContext, useEffect, useMemo, useState, type ReactNode } from 'react';
import { equalData } from '@/core/shared';
import { useNotice } from '@/features/shell/notices';
import { useReport } from '@/features/shell/use-report';
import { database, followSetClock } from '@/storage';
import { lasting, useClock } from '@/ui';
import { say } from '@/words/say';
import { trueTime, type Gap } from './true-time';

interface TimeAccess {
  /** Whether the time of day was held to what counts along: before, nothing that waits is over. */
  isHeld: boolean;
  /** Looks whether the clock was set just now: what waits is carried along by then. @returns the gaps as they are then */
  settle: () => Promise<readonly Gap[]>;
  /** Stretches that nobody counted through: see `isDoubtful`. */
  gaps: readonly Gap[];
  /** The clock is right, or was set ahead by so much, ms. */
  answer: (setByMs: number) => Promise<void>;
}

const TimeContext = createContext<TimeAccess>({
  isHeld: true,
  settle: () => Promise.resolve([]),
  gaps: [],
  answer: () => Promise.resolve(),
});
/** What is known of the time that really passed. */
export const useTrueTime = (): TimeAccess => useContext(TimeContext);

const WATCH_MS = 1000;
const SEEN_EVERY = 30;

/** Waits last as long as they last, also when somebody sets the machine's clock. */
export function TimeWatch({ children }: { children: ReactNode }) {
  const notice = useNotice();
  const report = useReport();
  const clock = useClock();
  const [time] = useState(trueTime);
  const [{ isHeld, gaps }, setKnown] = useState<{ isHeld: boolean; gaps: readonly Gap[] }>({ isHeld: false, gaps: [] });

  const follow = useCallback(
    async (byMs: number, untilMs: number) => {
      const now = clock();
      const untilAt = Math.min(untilMs + now - Date.now(), now + Math.abs(byMs));
      if (!report(await followSetClock(database(), { byMs, untilAt, now }))) return false;
      notice({
        text:
          byMs > 0
            ? say`The clock of this machine was set ahead by ${lasting(byMs)}. What waits runs on for the time it had left.`
            : say`The clock of this machine was set back by ${lasting(byMs)}. What waits runs on for the time it had left.`,
      });
      return true;
    },
    [clock, notice, report],
  );
  const known = useCallback(() => {
    const gaps = time.gaps();
    setKnown((last) => (last.isHeld && equalData(last.gaps, gaps) ? last : { isHeld: true, gaps }));
  }, [time]);
  const settle = useCallback(async () => {
    if (time.hasJumped()) {
      await time.settle(follow);
      known();
    }
    return time.gaps();
  }, [time, follow, known]);

  useEffect(() => {
    let looks = 0;
    const look = () => {
      if (looks++ % SEEN_EVERY === 0 && !time.hasJumped()) {
        time.seen();
        // Another window may have been answered.
        known();
      }
      void settle();
    };
    look();
    const watch = setInterval(look, WATCH_MS);
    document.addEventListener('visibilitychange', look);
    return () => {
      clearInterval(watch);
      document.removeEventListener('visibilitychange', look);
    };
  }, [time, settle, known]);

  const answer = useCallback(
    async (setByMs: number) => {
      await time.say(setByMs, follow);
      known();
    },
    [time, follow, known],
  );
  const access = useMemo(() => ({ isHeld, settle, gaps, answer }), [isHeld, settle, gaps, answer]);
  return <TimeContext.Provider value={access}>{children}</TimeContext.Provider>;
}
