'use client';
import dynamic from 'next/dynamic';
import { useEffect, useState } from 'react';
import { copiesOf, database } from '@/storage';

const KeepingBar = dynamic(() => import('./keeping-bar').then((file) => file.KeepingBar), { ssr: false });
const FIRST_MS = 4000;

/** Once the page stands: asks the browser not to clear what is kept, and looks after copies. */
export function Keeping() {
  const [begun, setBegun] = useState(false);
  useEffect(() => {
    const timer = setTimeout(() => {
      setBegun(true);
      void askToLast();
      void copyByItself();
    }, FIRST_MS);
    return () => clearTimeout(timer);
  }, []);
  return begun ? <KeepingBar /> : null;
}

/** Without a question where the browser decides by itself; asked about under Kept where it would put one. */
async function askToLast(): Promise<void> {
  try {
    const { storage } = navigator as { storage?: StorageManager };
    if (!storage?.persist || (await storage.persisted()) || (await database().pieces.count()) === 0) return;
    const asks = await navigator.permissions.query({ name: 'persistent-storage' });
    if (asks.state !== 'prompt' || 'userAgentData' in navigator) await storage.persist();
  } catch {
    // It promises nothing: Kept says so.
  }
}

async function copyByItself(): Promise<void> {
  try {
    if (!(await copiesOf(database())).folder) return;
    const { copyIntoFolder } = await import('@/features/kept/by-itself');
    await copyIntoFolder();
  } catch (error) {
    // Kept says how old the last copy is.
    console.error('no copy into the folder', error);
  }
}
