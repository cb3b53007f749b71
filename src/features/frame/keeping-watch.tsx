'use client';
import { useEffect } from 'react';
import { copiesOf, database } from '@/storage';
import { KeepingBar } from './keeping-bar';
import { NewVersion } from './new-version';

/** News of a new version, words about room and copies, and copies that are made by themselves. */
export function KeepingWatch() {
  useEffect(() => {
    void askToLast();
    void copyByItself();
  }, []);
  return (
    <>
      <NewVersion />
      <KeepingBar />
    </>
  );
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
