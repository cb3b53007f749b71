'use client';
import { createContext, useCallback, useContext, useEffect, useMemo, useRef, useState, type ReactNode } from 'react';
import { equalData } from '@/core/shared';
import { useNotice } from '@/features/shell/notices';
import { useReport } from '@/features/shell/use-report';
import { database, followSetClock } from '@/storage';
import { lasting, useClock } from '@/ui';
import { say } from '@/words/say';
import { isDoubtful, trueTime, type Gap, type TrueTime } from './true-time';

interface TimeAccess {
  /** Whether the time of day was held to what counts along: before, nothing that waits is over. */
  isHeld: boolean;
  /** Looks whether the clock was set just now. @returns how far ahead, ms; what waits is carried along by then */
  settle: () => Promise<number>;
  /** Whether a wait that ends by the time of day might not be over, as nobody counted through all of it. */
  isDoubtful: (wait: { fromAt: number; untilAt: number }) => boolean;
  /** The clock is right, or was set ahead by so much, ms. */
  answer: (setByMs: number) => Promise<void>;
}

const TimeContext = createContext<TimeAccess>({
  isHeld: true,
  settle: () => Promise.resolve(0),
  isDoubtful: () => false,
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
  const time = useRef<TrueTime | null>(null);
  // The gaps as they were at the last look: what asks again after an answer is told by them that it is there.
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
    const gaps = time.current?.gaps() ?? [];
    setKnown((last) => (last.isHeld && equalData(last.gaps, gaps) ? last : { isHeld: true, gaps }));
  }, []);
  const settle = useCallback(async () => {
    const watched = (time.current ??= trueTime());
    if (!watched.hasJumped()) return 0;
    const setBy = await watched.settle(follow);
    known();
    return setBy;
  }, [follow, known]);

  useEffect(() => {
    let looks = 0;
    const look = () => {
      if (looks++ % SEEN_EVERY === 0 && time.current?.hasJumped() === false) time.current.seen();
      void settle();
    };
    look();
    const watch = setInterval(look, WATCH_MS);
    document.addEventListener('visibilitychange', look);
    return () => {
      clearInterval(watch);
      document.removeEventListener('visibilitychange', look);
    };
  }, [settle]);

  const answer = useCallback(
    async (setByMs: number) => {
      await time.current?.say(setByMs, follow);
      known();
    },
    [follow, known],
  );
  const access = useMemo(() => {
    const doubted = (wait: { fromAt: number; untilAt: number }) =>
      isDoubtful(wait, time.current?.gaps() ?? gaps, clock());
    return { isHeld, settle, isDoubtful: doubted, answer };
  }, [isHeld, settle, gaps, answer, clock]);
  return <TimeContext.Provider value={access}>{children}</TimeContext.Provider>;
}
