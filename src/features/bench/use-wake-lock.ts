'use client';
import { useEffect, useState } from 'react';

/** `asked` until the browser answers; it `can't` on a page that is not secure, and may `refuse` with little battery left. */
export type WakeLock = 'asked' | 'held' | 'refused' | 'can’t';

/** Keeps the screen awake while shown, again after the page was hidden. Says whether it does. */
export function useWakeLock(): WakeLock {
  const [held, setHeld] = useState<WakeLock>('asked');
  useEffect(() => {
    let lock: WakeLockSentinel | null = null;
    let ended = false;
    const take = async () => {
      if (!('wakeLock' in navigator)) return setHeld('can’t');
      if (document.visibilityState !== 'visible') return;
      try {
        lock = await navigator.wakeLock.request('screen');
        if (ended) {
          void lock.release();
          return;
        }
        setHeld('held');
        lock.addEventListener('release', () => setHeld('asked'));
      } catch {
        setHeld('refused');
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
