'use client';
import { useEffect, useRef } from 'react';
import { addTaker } from './taker';

/** While this stands on the screen, a picture dropped or pasted anywhere is given to it. */
export function useTaker(what: string, take: ((file: File) => void) | null): void {
  const current = useRef(take);
  useEffect(() => {
    current.current = take;
  }, [take]);
  const on = take !== null;
  useEffect(() => (on ? addTaker({ what, take: (file) => current.current?.(file) }) : undefined), [on, what]);
}
