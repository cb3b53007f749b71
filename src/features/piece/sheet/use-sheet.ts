'use client';
import { useCallback, useMemo, useState } from 'react';
import type { SheetPack } from '@/core/sheet';
import { sheetOrder, sheetText, useSheetJob, type SheetItem, type SheetJob } from '@/features/sheets';
import { fileName, saveFile } from '@/features/sheets/save-file';
import { useStash } from '@/features/at-hand';
import { useUnits } from '@/ui';
import { makePagePng, makeSheet } from '@/workers/sheet/client';
import type { SheetOrder } from '@/workers/sheet/protocol';
import { useOpenPiece } from '../piece-context';
import { say } from '@/words/say';

/** A PDF that was saved and still shows what the plan says. */
export interface MadePdf {
  name: string;
  pdf: Blob;
}

export interface SheetMaking extends Pick<SheetJob, 'progress' | 'cancel'> {
  makePdf: () => void;
  made: MadePdf | null;
  makePng: (page: number) => void;
  /** The PDF for something else than saving. */
  withPdf: (then: (pdf: Uint8Array<ArrayBuffer>) => void) => void;
  /** The sheet from the picture's preview: for looking at pages, not for printing. */
  previewOrder: () => SheetOrder | null;
}

/** Makes the open piece's sheet in workers. Stopping leaves nothing behind. */
export function useSheet(pack: SheetPack | null): SheetMaking {
  const { piece, plan, picture, moved } = useOpenPiece();
  const { atHand } = useStash();
  const units = useUnits();
  const { run, progress, cancel } = useSheetJob();
  const [made, setMade] = useState<(MadePdf & { of: string }) | null>(null);
  // What a page shows: when it changes, the file that was saved is of yesterday.
  const of = useMemo(
    () => JSON.stringify([piece.name, { ...piece.picture, lettering: null }, piece.method, pack]),
    [piece.name, piece.picture, piece.method, pack],
  );

  const order = useCallback(
    (file: Blob | null): SheetOrder | null => {
      if (!pack || !plan.surface.print || !picture || !file) return null;
      const items: SheetItem[] = [{ job: piece, plan, picture: { id: picture.id, file }, layers: moved }];
      return sheetOrder(items, pack, atHand.truth, sheetText(items, piece.name, units.system, piece.createdAt));
    },
    [pack, plan, picture, piece, moved, atHand, units.system],
  );

  const withPdf = useCallback(
    (then: (pdf: Uint8Array<ArrayBuffer>) => void) => {
      const full = order(picture?.file ?? null);
      if (full) run((onProgress) => makeSheet(full, onProgress), then);
    },
    [order, picture, run],
  );
  const makePdf = useCallback(
    () =>
      withPdf((bytes) => {
        const pdf = new Blob([bytes], { type: 'application/pdf' });
        const name = fileName(`${piece.name} ${plan.method.mirrored ? say`mirrored` : say`not mirrored`}`, 'pdf');
        saveFile(pdf, name);
        setMade({ pdf, name, of });
      }),
    [withPdf, piece.name, plan.method.mirrored, of],
  );
  const makePng = useCallback(
    (page: number) => {
      const full = order(picture?.file ?? null);
      if (full)
        run(
          () => makePagePng(full, page),
          (png) =>
            saveFile(new Blob([png], { type: 'image/png' }), fileName(say`${piece.name} page ${page + 1}`, 'png')),
        );
    },
    [order, picture, run, piece.name],
  );
  const isCurrent = made !== null && made.of === of;
  return {
    progress,
    cancel,
    withPdf,
    makePdf,
    made: isCurrent ? made : null,
    makePng,
    previewOrder: () => order(picture?.preview ?? null),
  };
}
