'use client';
import { useEffect, useState, type RefObject } from 'react';
import { ROWS_AT_ONCE, rowsInSight } from './timeline-scale';

/** Fewer are drawn whole. */
const MANY = 40;

/** The rows that are near what is seen of a long drawing, first and one past the last; all of them on paper. */
export function useRowsInSight(holder: RefObject<HTMLElement | null>, count: number): readonly [number, number] {
  const [sight, setSight] = useState<readonly [number, number]>([0, 2 * ROWS_AT_ONCE]);
  const isLong = count > MANY;
  useEffect(() => {
    if (!isLong) return;
    const look = () => {
      if (!holder.current) return;
      const [first, end] = rowsInSight(-holder.current.getBoundingClientRect().top, window.innerHeight);
      setSight((last) => (last[0] === first && last[1] === end ? last : [first, end]));
    };
    const all = () => setSight([0, Infinity]);
    // Not before the page is laid out, which would then be done twice.
    const frame = requestAnimationFrame(look);
    window.addEventListener('scroll', look, { passive: true });
    window.addEventListener('resize', look);
    window.addEventListener('beforeprint', all);
    window.addEventListener('afterprint', look);
    return () => {
      cancelAnimationFrame(frame);
      window.removeEventListener('scroll', look);
      window.removeEventListener('resize', look);
      window.removeEventListener('beforeprint', all);
      window.removeEventListener('afterprint', look);
    };
  }, [holder, isLong]);
  return isLong ? sight : [0, count];
}
