'use client';
import { useCallback, useEffect, useRef, useState } from 'react';
import { useNotice, useStash } from '@/features/shell';
import { printTables } from '@/core/plan';
import { isPlainRectangle } from '@/core/shape';
import { sentenceFor, useUnits } from '@/ui';
import { makeSheet } from '@/workers/sheet/client';
import type { Running } from '@/workers/running';
import { useOpenPiece } from '../piece-context';
import { fileName, saveFile } from '../save-file';

/** Makes the sheet's PDF in a worker and hands it to the browser. Stopping leaves nothing behind. */
export function useMakeSheet(): { progress: number | null; make: () => void; cancel: () => void } {
  const { piece, plan, picture, moved } = useOpenPiece();
  const { atHand } = useStash();
  const units = useUnits();
  const notice = useNotice();
  const [progress, setProgress] = useState<number | null>(null);
  const running = useRef<Running<unknown> | null>(null);
  useEffect(() => () => running.current?.cancel(), []);

  const make = useCallback(() => {
    if (!plan.sheet?.ok || !plan.print || !picture) return;
    setProgress(0);
    const job = makeSheet({
      file: picture.file, crop: plan.print.crop, turning: { turns: piece.picture.turns, straightenDeg: piece.picture.straightenDeg }, pack: plan.sheet.value, truth: atHand.truth,
      tone: printTables(piece.picture.tone, plan, piece.seal.sheen), fade: piece.picture.tone,
      print: plan.print.rect, picture: plan.print.picture, layers: moved, mirrored: plan.mirrored,
      text: { pieceName: piece.name, unitSystem: units.system, mirrored: plan.mirrored,
        outline: plan.blank && !isPlainRectangle(plan.blank) ? { path: plan.blank.path, folds: plan.blank.folds, print: plan.print.rect } : null, createdAt: new Date(piece.createdAt) },
    }, setProgress);
    running.current = job;
    void job.done.then((result) => {
      setProgress(null);
      if (result === null) return;
      if (result.ok) saveFile(new Blob([result.value], { type: 'application/pdf' }), fileName(`${piece.name}${plan.mirrored ? ' mirrored' : ' not mirrored'}`, 'pdf'));
      else notice({ text: sentenceFor(result.error, units), tone: 'error' });
    });
  }, [piece, plan, picture, moved, units, notice, atHand]);

  return { progress, make, cancel: () => running.current?.cancel() };
}
