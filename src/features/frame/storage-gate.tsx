'use client';
import dynamic from 'next/dynamic';
import { useEffect, useState, type ReactNode } from 'react';
import { openInMemory, openStorage, type NoStorage } from '@/storage';

const StorageStop = dynamic(() => import('./storage-stop').then((file) => file.StorageStop), { ssr: false });
const NotKeptBar = dynamic(() => import('./storage-stop').then((file) => file.NotKeptBar), { ssr: false });

type Gate = { state: 'opening' | 'open' | 'in-memory' } | { state: 'stopped'; why: NoStorage };

/** Lets all below in once the browser's store is open; else says what stands in the way, and works in memory if wanted. */
export function StorageGate({ children }: { children: ReactNode }) {
  const [gate, setGate] = useState<Gate>({ state: 'opening' });
  useEffect(() => {
    void openStorage().then((why) => setGate(why === null ? { state: 'open' } : { state: 'stopped', why }));
  }, []);
  if (gate.state === 'opening') return null;
  if (gate.state === 'stopped')
    return (
      <StorageStop why={gate.why} onGoOn={() => void openInMemory().then(() => setGate({ state: 'in-memory' }))} />
    );
  return (
    <>
      {gate.state === 'in-memory' && <NotKeptBar />}
      {children}
    </>
  );
}
