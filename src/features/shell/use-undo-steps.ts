'use client';
import { useCallback } from 'react';
import { database, undoTogether } from '@/storage';
import { useClock } from '@/ui';
import { useReport } from './use-report';

/** A step of a piece's undo, by the mark it was saved with. */
export interface UndoMark {
  id: string;
  mark: number;
}

/** Takes back one step of each of several pieces, all or none; what was not taken back is said. */
export function useUndoSteps(): (steps: readonly UndoMark[]) => Promise<void> {
  const clock = useClock();
  const report = useReport();
  return useCallback(
    async (steps) => {
      report(await undoTogether(database(), steps, clock()));
    },
    [clock, report],
  );
}
