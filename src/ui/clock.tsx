'use client';
import { createContext, useCallback, useContext, useSyncExternalStore, type ReactNode } from 'react';

const AheadContext = createContext(0);

/** Sets how far this program's clock runs ahead of the machine's, ms. */
export const ClockProvider = ({ aheadMs, children }: { aheadMs: number; children: ReactNode }) => (
  <AheadContext.Provider value={aheadMs}>{children}</AheadContext.Provider>
);

/** The clock for an event: call it when something happens. */
export function useClock(): () => number {
  const ahead = useContext(AheadContext);
  return useCallback(() => Date.now() + ahead, [ahead]);
}

/** The time now, renewed every `everyMs` and when the page is shown again. Use it as low in the tree as can be. */
export function useNow(everyMs = 30_000): number {
  const ahead = useContext(AheadContext);
  const subscribe = useCallback(
    (notify: () => void) => {
      const timer = setInterval(notify, everyMs);
      document.addEventListener('visibilitychange', notify);
      return () => {
        clearInterval(timer);
        document.removeEventListener('visibilitychange', notify);
      };
    },
    [everyMs],
  );
  const read = useCallback(() => Math.floor((Date.now() + ahead) / everyMs) * everyMs, [ahead, everyMs]);
  return useSyncExternalStore(subscribe, read, () => 0);
}
