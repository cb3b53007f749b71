'use client';
import { createContext, useCallback, useContext, useEffect, useMemo, useRef, useState, type ReactNode } from 'react';
import { DEMO_AGENDA, DEMO_PICTURES, DEMO_ROOM, demoPieces, demoStash, type DemoPicture } from '@/demo/scenario';
import type { StoredPicture } from '@/records';
import { addPieces, changeAgenda, changeStash, database } from '@/storage';
import { useClock } from '@/ui';
import { inspectPicture } from '@/workers/picture/client';
import { useNotice } from './notices';
import { useSettings } from './settings';

interface DemoAccess { demo: boolean; loading: boolean; load: () => Promise<void> }
const DemoContext = createContext<DemoAccess>({ demo: false, loading: false, load: () => Promise.resolve() });
/** The example pieces: started with on a demo server, offered to a newcomer everywhere. */
export const useDemo = () => useContext(DemoContext);

async function readDemoPicture({ id, file, name }: DemoPicture): Promise<StoredPicture> {
  const response = await fetch(`/demo/${file}`);
  if (!response.ok) throw new Error(`demo picture ${file}: ${response.status}`);
  const blob = await response.blob();
  const inspected = await inspectPicture(blob, (preview) => preview.close()).done;
  if (!inspected?.ok) throw new Error(`demo picture ${file} can't be read`);
  const { type, widthPx, heightPx, paleShare, darkShare, sha256, preview } = inspected.value;
  return { id, name, type, bytes: blob.size, sha256, widthPx, heightPx, paleShare, darkShare, file: blob, preview };
}

export function DemoProvider({ demo, children }: { demo: boolean; children: ReactNode }) {
  const clock = useClock();
  const notice = useNotice();
  const { change } = useSettings();
  const started = useRef(false);
  const [loading, setLoading] = useState(false);

  const load = useCallback(async () => {
    setLoading(true);
    try {
      const pictures = await Promise.all(DEMO_PICTURES.map(readDemoPicture));
      // The example's shelf and hours, only where the person has none of their own.
      await changeStash(database(), (stash) => (stash.items.length === 0 ? demoStash(clock()) : {}));
      if ((await database().agenda.count()) === 0) await changeAgenda(database(), () => DEMO_AGENDA);
      const added = await addPieces(database(), demoPieces(clock()), pictures);
      if (added.ok) {
        change({ room: DEMO_ROOM, sensor: true });
      }
      if (!added.ok && added.error.code !== 'piece-exists') throw new Error(added.error.message);
    } catch {
      notice({ text: 'The example could not be loaded. Your own pieces are untouched.', tone: 'error' });
    } finally {
      setLoading(false);
    }
  }, [clock, notice, change]);

  useEffect(() => {
    if (!demo || started.current) return;
    started.current = true;
    void database().transaction('r', [database().pieces, database().removed], async () => (await database().pieces.count()) + (await database().removed.count()))
      .then((count) => (count === 0 ? load() : undefined));
  }, [demo, load]);

  const access = useMemo(() => ({ demo, loading, load }), [demo, loading, load]);
  return <DemoContext.Provider value={access}>{children}</DemoContext.Provider>;
}
