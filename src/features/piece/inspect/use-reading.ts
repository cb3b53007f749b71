'use client';
import { useState } from 'react';
import type { Point } from '@/core/photo';
import { isPlaced, keepReading } from '@/core/inspect';
import { MOST_READINGS } from '@/records';
import { storedFrom } from '@/features/shell';
import { useSheetJob } from '@/features/sheets';
import { database, storedPicture } from '@/storage';
import { useClock } from '@/ui';
import { useInspector } from './use-inspector';
import type { Inspected } from '@/workers/inspect/protocol';
import { inspectPicture } from '@/workers/picture/client';
import { useOpenPiece } from '../piece-context';
import { say } from '@/words/say';

export interface ReadingJob {
  /** Share done, 0–1; null while none is read. */
  progress: number | null;
  /** The photo that is being read, with where the print seems to lie as soon as that is known. */
  underWay: { photo: ImageBitmap; outline: readonly Point[] | null } | null;
  cancel: () => void;
  /** A photo of the dry piece becomes a new reading. */
  readDry: (photo: Blob) => void;
  /** One of the wetted piece is read together with the last dry one. */
  readWet: (photo: Blob) => void;
  /** The last dry photo again, with the print's corners set by hand: shares of the photo's size. */
  readAgain: (corners: readonly Point[]) => void;
  /** A photo that the print was not found in: it can be shown by hand. */
  unfound: Blob | null;
  dismiss: () => void;
}

/** Reads photos of the piece, and keeps what they say with its rubbing: maps in the record, photos beside it. */
export function useReading(): ReadingJob {
  const { piece, change } = useOpenPiece();
  const inspectorFor = useInspector();
  const clock = useClock();
  const job = useSheetJob();
  const [unfound, setUnfound] = useState<Blob | null>(null);
  const [underWay, setUnderWay] = useState<ReadingJob['underWay']>(null);
  const last = piece.rub.readings.at(-1) ?? null;

  /** @param replaces the last reading: it is of the same dry photo */
  const start = (dry: Blob, wet: Blob | null, corners: readonly Point[] | null, replaces: boolean) => {
    const inspector = inspectorFor();
    if (!inspector) return;
    setUnfound(null);
    job.run(
      (onProgress) => {
        const running = inspector.inspect(
          { dry, wet, corners },
          (photo) => setUnderWay({ photo, outline: null }),
          (share, outline) => {
            onProgress(share);
            if (outline) setUnderWay((now) => now && { ...now, outline });
          },
        );
        void running.done.then((result) => {
          setUnderWay(null);
          if (result && !result.ok && NOT_FOUND.has(result.error.code)) setUnfound(dry);
        });
        return running;
      },
      (found) => void keep(found, replaces),
    );
  };

  const keep = async ({ reading, photo, files }: Inspected, replaces: boolean) => {
    const taken = await Promise.all(
      [files.dry, files.wet].map(async (file) => {
        if (!file) return null;
        const found = await inspectPicture(file, (bitmap) => bitmap.close()).done;
        return found?.ok ? storedFrom(found.value, { name: `${piece.name}.jpg`, bytes: file.size }) : null;
      }),
    );
    const [dry = null, wet = null] = taken;
    // One whose place nobody looked at gives way.
    const before = (replaces ? piece.rub.readings.slice(0, -1) : piece.rub.readings).filter(isPlaced);
    const kept = keepReading(reading, {
      at: clock(),
      pass: piece.rub.done.length,
      photo,
      photos: { dry: dry?.id ?? null, wet: wet?.id ?? null },
    });
    change(
      'rub',
      { readings: [...before, kept].slice(-MOST_READINGS) },
      say`what a photo said`,
      taken.filter((stored) => stored !== null),
    );
  };

  const lastDry = async (): Promise<Blob | null> =>
    (last?.dryPhotoId && (await storedPicture(database(), last.dryPhotoId))?.file) || null;

  return {
    progress: job.progress,
    underWay,
    cancel: job.cancel,
    readDry: (photo) => start(photo, null, null, false),
    // It lies where it was found, or shown by hand.
    readWet: (photo) => void lastDry().then((dry) => dry && start(dry, photo, last?.corners ?? null, true)),
    readAgain: (corners) =>
      void (async () => {
        const dry = unfound ?? (await lastDry());
        if (dry) start(dry, null, corners, unfound === null);
      })(),
    unfound,
    dismiss: () => setUnfound(null),
  };
}

const NOT_FOUND = new Set(['piece-not-found', 'piece-other']);
