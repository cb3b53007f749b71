'use client';
import { useCallback } from 'react';
import type { FaultCauseId, FaultRemedyId, FaultSignId } from '@/core/craft';
import { type JobPatch } from '@/core/stations';
import { MOST_FAULT_NOTES, changedBy, type Piece } from '@/records';
import { database, savePiece } from '@/storage';
import { useNotice, useReport } from '@/features/shell';
import type { PlannedPiece } from '@/features/plans';
import { useClock } from '@/ui';
import { CAUSE_WORDS, FAULT_REMEDY_WORDS } from '@/words';
import { say } from '@/words/say';

interface FaultPress {
  /** Changes the piece that has the fault, and notes it there. */
  change: (of: PlannedPiece, patch: JobPatch, remedy: FaultRemedyId) => Promise<void>;
  /** Changes another piece, and notes it with the one that taught it. */
  changeOther: (other: PlannedPiece, patch: JobPatch, of: PlannedPiece | null, remedy: FaultRemedyId) => Promise<void>;
  note: (of: PlannedPiece, remedy: FaultRemedyId | null) => Promise<void>;
}

/** What is pressed about a cause becomes one change of a piece, with its note, and can be undone there. */
export function useFaultPress(cause: FaultCauseId, seen: readonly FaultSignId[]): FaultPress {
  const clock = useClock();
  const report = useReport();
  const notice = useNotice();
  const save = useCallback(
    async (piece: Piece, mine: Piece, label: string): Promise<boolean> => {
      const saved = await savePiece(database(), { base: piece, mine, label, now: clock() });
      report(saved);
      return saved.ok;
    },
    [clock, report],
  );
  const noted = useCallback(
    (piece: Piece, remedy: FaultRemedyId | null): Piece => ({
      ...piece,
      faults: {
        notes: [...piece.faults.notes, { at: clock(), signs: [...seen], cause, remedy }].slice(-MOST_FAULT_NOTES),
      },
    }),
    [clock, seen, cause],
  );
  const told = (text: string, done: boolean) => {
    if (done) notice({ text });
  };
  return {
    change: async ({ piece }, patch, remedy) => {
      const label = FAULT_REMEDY_WORDS[remedy];
      told(
        say`In the plan of ${piece.name}: ${label}`,
        await save(piece, noted(changedBy(piece, patch), remedy), label),
      );
    },
    changeOther: async (other, patch, of, remedy) => {
      const label = FAULT_REMEDY_WORDS[remedy];
      const done = await save(other.piece, changedBy(other.piece, patch), label);
      if (done && of) await save(of.piece, noted(of.piece, remedy), label);
      told(say`In the plan of ${other.piece.name}: ${label}`, done);
    },
    note: async ({ piece }, remedy) => {
      const label = CAUSE_WORDS[cause].title;
      told(say`Noted with ${piece.name}.`, await save(piece, noted(piece, remedy), label));
    },
  };
}
