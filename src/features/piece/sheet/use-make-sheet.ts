'use client';
import { useCallback, useEffect, useRef, useState } from 'react';
import { useNotice } from '@/features/shell';
import { sentenceFor, useUnits } from '@/ui';
import { makeSheet } from '@/workers/sheet/client';
import type { Running } from '@/workers/running';
import { useOpenPiece } from '../piece-context';
import { fileName, saveFile } from '../save-file';

/** Makes the sheet's PDF in a worker and hands it to the browser. Stopping leaves nothing behind. */
export function useMakeSheet(): { progress: number | null; make: () => void; cancel: () => void } {
  const { piece, plan, picture } = useOpenPiece();
  const units = useUnits();
  const notice = useNotice();
  const [progress, setProgress] = useState<number | null>(null);
  const running = useRef<Running<unknown> | null>(null);
  useEffect(() => () => running.current?.cancel(), []);

  const make = useCallback(() => {
    if (!plan.sheet?.ok || !plan.print || !picture) return;
    setProgress(0);
    const job = makeSheet({
      file: picture.file, crop: plan.print.crop, layout: plan.sheet.value,
      text: { pieceName: piece.name, unitSystem: units.system, createdAt: new Date(piece.createdAt) },
    }, setProgress);
    running.current = job;
    void job.done.then((result) => {
      setProgress(null);
      if (result === null) return;
      if (result.ok) saveFile(new Blob([result.value], { type: 'application/pdf' }), fileName(`${piece.name} mirrored`, 'pdf'));
      else notice({ text: sentenceFor(result.error, units), tone: 'error' });
    });
  }, [piece, plan, picture, units, notice]);

  return { progress, make, cancel: () => running.current?.cancel() };
}
