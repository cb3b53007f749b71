'use client';
import { createContext, useCallback, useContext, useEffect, useMemo, useRef, useState, type ReactNode } from 'react';
import { database } from '@/storage';
import { useClock } from '@/ui';
import { useNotice } from './notices';
import { useSettings } from './settings';
import { say } from '@/words/say';

interface DemoAccess {
  demo: boolean;
  loading: boolean;
  load: () => Promise<void>;
}
const DemoContext = createContext<DemoAccess>({ demo: false, loading: false, load: () => Promise.resolve() });
/** The example pieces: started with on a demo server, offered to a newcomer everywhere. */
export const useDemo = () => useContext(DemoContext);

export function DemoProvider({ demo, children }: { demo: boolean; children: ReactNode }) {
  const clock = useClock();
  const notice = useNotice();
  const { change } = useSettings();
  const started = useRef(false);
  const [loading, setLoading] = useState(false);

  const load = useCallback(async () => {
    setLoading(true);
    try {
      const { loadExample } = await import('./load-example');
      const added = await loadExample(clock);
      if (added.ok) change({ room: added.value, sensor: true });
      else if (added.error.code !== 'piece-exists') throw new Error(added.error.message);
    } catch {
      notice({ text: say`The example could not be loaded. Your own pieces are untouched.`, tone: 'error' });
    } finally {
      setLoading(false);
    }
  }, [clock, notice, change]);

  useEffect(() => {
    if (!demo || started.current) return;
    started.current = true;
    void database()
      .transaction(
        'r',
        [database().pieces, database().removed],
        async () => (await database().pieces.count()) + (await database().removed.count()),
      )
      .then((count) => (count === 0 ? load() : undefined));
  }, [demo, load]);

  const access = useMemo(() => ({ demo, loading, load }), [demo, loading, load]);
  return <DemoContext.Provider value={access}>{children}</DemoContext.Provider>;
}
