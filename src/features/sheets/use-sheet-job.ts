'use client';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { Result } from '@/core/shared';
import { useReport } from '@/features/shell';
import type { FailureCode } from '@/words';
import type { Running } from '@/workers/running';

export interface SheetJob {
  /** Share done, 0–1; null while nothing runs. */
  progress: number | null;
  /** Starts a job and hands its result on; one that failed says why, one that was stopped leaves nothing behind. */
  run: <T>(
    start: (onProgress: (share: number) => void) => Running<Result<T, FailureCode>>,
    then: (value: T) => void,
  ) => void;
  cancel: () => void;
}

/** One job of the sheet workers at a time, with its progress; leaving the page ends it. */
export function useSheetJob(): SheetJob {
  const report = useReport();
  const [progress, setProgress] = useState<number | null>(null);
  const running = useRef<Running<unknown> | null>(null);
  useEffect(() => () => running.current?.cancel(), []);
  const run: SheetJob['run'] = useCallback(
    (start, then) => {
      setProgress(0);
      const job = start(setProgress);
      running.current = job;
      void job.done.then((result) => {
        if (running.current === job) setProgress(null);
        if (result === null) return;
        report(result);
        if (result.ok) then(result.value);
      });
    },
    [report],
  );
  return { progress, run, cancel: () => running.current?.cancel() };
}
