'use client';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { type Failure, type Result, fail, ok } from '@/core/shared';
import type { Piece, StoredPicture } from '@/records';
import { newId, useNotice, useReport, storedFrom } from '@/features/shell';
import { addPieces, apart, database, type BundledPicture } from '@/storage';
import { FileButton } from '@/ui';
import type { FailureCode } from '@/words';
import { inspectPicture } from '@/workers/picture/client';
import { say } from '@/words/say';

/** Takes a piece's bundle in: all of it, or nothing and the reason. */
export function ImportBundle() {
  const notice = useNotice();
  const router = useRouter();
  const [busy, setBusy] = useState(false);
  const report = useReport();
  const take = async (file: File) => {
    setBusy(true);
    const result = await importBundle(file);
    setBusy(false);
    report(result);
    if (!result.ok) return;
    router.push(`/piece/${result.value.piece.id}/picture`);
    notice({
      text: result.value.copied
        ? say`${result.value.piece.name}: taken in as a copy, the piece was here already.`
        : say`${result.value.piece.name} is here.`,
      tone: 'success',
    });
  };
  return (
    <FileButton
      accept=".zip,application/zip"
      onFile={(file) => void take(file)}
      variant="outlined"
      disabled={busy}
      testId="import-bundle"
    >
      {busy ? say`Reading …` : say`Open a bundle`}
    </FileButton>
  );
}

async function importBundle(file: File): Promise<Result<{ piece: Piece; copied: boolean }, FailureCode>> {
  const { MAX_BUNDLE_BYTES, openBundle } = await import('@/storage/bundle');
  if (file.size > MAX_BUNDLE_BYTES) return fail('bundle-too-large', `${file.size} bytes`);
  const opened = await openBundle(new Uint8Array(await file.arrayBuffer()));
  if (!opened.ok) return opened;
  const pictures: StoredPicture[] = [];
  for (const bundled of opened.value.pictures) {
    const stored = await restorePicture(bundled);
    if (!stored.ok) return stored;
    pictures.push(stored.value);
  }
  const taken = await database().pieces.get(opened.value.piece.id);
  // It comes by itself: the set it was in stays where it was.
  const alone = { ...opened.value.piece, set: null };
  const piece = taken ? { ...alone, id: newId(), name: say`${alone.name} (copy)`.slice(0, 120) } : alone;
  const mine = await apart(database(), piece, pictures, newId);
  const added = await addPieces(database(), [mine.piece], mine.pictures);
  return added.ok ? ok({ piece: mine.piece, copied: Boolean(taken) }) : added;
}

/** A bundled picture passes the same door as a chosen one: limits, type by content, decoding. */
async function restorePicture({ record, bytes }: BundledPicture): Promise<Result<StoredPicture, FailureCode>> {
  const file = new Blob([bytes], { type: record.type });
  const inspected = await inspectPicture(file, (preview) => preview.close()).done;
  if (!inspected?.ok) {
    const error: Failure<FailureCode> = inspected?.error ?? { code: 'picture-broken', message: 'stopped' };
    return {
      ok: false,
      error:
        error.code === 'picture-broken'
          ? { ...error, code: 'bundle-picture-damaged', values: { name: record.name } }
          : error,
    };
  }
  return ok(storedFrom(inspected.value, { id: record.id, name: record.name, bytes: file.size }));
}
