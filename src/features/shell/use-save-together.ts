'use client';
import { useCallback } from 'react';
import { database, savePieces, type Save } from '@/storage';
import { say } from '@/words/say';
import { useNotice } from './notices';
import { useReport } from './use-report';
import { useUndoSteps } from './use-undo-steps';

/** Saves several pieces, all or none, and says so; one press takes all of it back. Resolves to whether it was kept. */
export function useSaveTogether(): (saves: readonly Save[], text: string) => Promise<boolean> {
  const notice = useNotice();
  const report = useReport();
  const undo = useUndoSteps();
  return useCallback(
    async (saves, text) => {
      const saved = await savePieces(database(), saves);
      if (!report(saved) || !saved.ok) return false;
      const marks = saved.value.map(({ id, revision }) => ({ id, mark: revision }));
      notice({ text, tone: 'success', action: { label: say`Undo`, run: () => void undo(marks) } });
      return true;
    },
    [notice, report, undo],
  );
}
