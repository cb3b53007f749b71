'use client';
import dynamic from 'next/dynamic';
import { useEffect, useState } from 'react';

const KeepingWatch = dynamic(() => import('./keeping-watch').then((file) => file.KeepingWatch), { ssr: false });
/** When the page stands and is used: none of it weighs on the first load. */
const FIRST_MS = 6000;

/** After a while: keeps the program in the browser, and looks after what is kept and its copies. */
export function Keeping() {
  const [begun, setBegun] = useState(false);
  useEffect(() => {
    const timer = setTimeout(() => setBegun(true), FIRST_MS);
    return () => clearTimeout(timer);
  }, []);
  return begun ? <KeepingWatch /> : null;
}
