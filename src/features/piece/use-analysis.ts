'use client';
import { useEffect, useMemo, useRef, useState } from 'react';
import type { Analysis } from '@/core/picture';
import { findingsFor, type Finding } from '@/core/findings';
import { printTables } from '@/core/stations';
import { isPlain } from '@/core/raster';
import type { Failure } from '@/core/shared';
import type { FailureCode } from '@/words';
import { openAnalyser, type Analyser } from '@/workers/analysis/client';
import { useOpenPiece } from './piece-context';

export interface PictureFindings {
  analysis: Analysis | null;
  findings: readonly Finding[];
  /** What is shown is not yet of the picture as it is now. */
  busy: boolean;
  /** Share read, 0–1. */
  progress: number;
  failure: Failure<FailureCode> | null;
}

/** What the full picture's pixels say of this piece, worked out anew whenever picture, crop, turning or tone change. */
export function useFindings(): PictureFindings {
  const { piece, plan, picture } = useOpenPiece();
  const analyser = useRef<Analyser | null>(null);
  const [found, setFound] = useState<{ key: string; analysis: Analysis } | null>(null);
  const [failed, setFailed] = useState<{ key: string; error: Failure<FailureCode> } | null>(null);
  const [progress, setProgress] = useState(0);
  useEffect(
    () => () => {
      analyser.current?.close();
      analyser.current = null;
    },
    [],
  );

  const { turns, straightenDeg, tone } = piece.picture;
  const crop = plan.surface.print?.crop ?? piece.picture.crop;
  const tables = useMemo(() => printTables(tone, plan, plan.method.sheen), [tone, plan]);
  const key = picture
    ? JSON.stringify([
        picture.id,
        turns,
        straightenDeg,
        crop,
        [...tables.red],
        [...tables.green],
        [...tables.blue],
        tables.mono,
      ])
    : null;
  useEffect(() => {
    if (!key || !picture) return;
    let current = true;
    analyser.current ??= openAnalyser();
    const order = {
      pictureId: picture.id,
      file: picture.file,
      turning: { turns, straightenDeg },
      crop,
      tone: isPlain(tables) ? null : tables,
    };
    void analyser.current
      .analyse(order, (share) => {
        if (current) setProgress(share);
      })
      .then((result) => {
        if (!current || !result) return;
        setProgress(0);
        if (result.ok) setFound({ key, analysis: result.value });
        else setFailed({ key, error: result.error });
      });
    return () => {
      current = false;
    };
    // The key holds all that the order is made of.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [key]);

  const analysis = found && picture ? found.analysis : null;
  const findings = useMemo(
    () => (analysis ? findingsFor({ job: piece, plan, analysis }) : []),
    [analysis, piece, plan],
  );
  const failure = failed !== null && failed.key === key ? failed.error : null;
  return { analysis, findings, failure, busy: key !== null && found?.key !== key && failure === null, progress };
}
