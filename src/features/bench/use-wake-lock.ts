'use client';
import { useEffect, useState } from 'react';

/**
 * Keeps the screen awake while shown, again after the page was hidden. Says whether it does: a page that is not secure
 * may not.
 */
export function useWakeLock(): boolean {
  const [held, setHeld] = useState(false);
  useEffect(() => {
    let lock: WakeLockSentinel | null = null;
    let ended = false;
    const take = async () => {
      if (document.visibilityState !== 'visible' || !('wakeLock' in navigator)) return;
      try {
        lock = await navigator.wakeLock.request('screen');
        if (ended) {
          void lock.release();
          return;
        }
        setHeld(true);
        lock.addEventListener('release', () => setHeld(false));
      } catch {
        setHeld(false);
      }
    };
    void take();
    const again = () => void take();
    document.addEventListener('visibilitychange', again);
    return () => {
      ended = true;
      document.removeEventListener('visibilitychange', again);
      void lock?.release();
    };
  }, []);
  return held;
}
