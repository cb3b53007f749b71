'use client';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { Failure, Result } from '@/core/shared';
import { fail, ok } from '@/core/shared';
import type { Piece, StoredPicture } from '@/records';
import { newId, useNotice } from '@/features/shell';
import { addPieces, database, openBundle, type BundledPicture } from '@/storage';
import { FileButton, sentenceFor, useUnits } from '@/ui';
import { inspectPicture } from '@/workers/picture/client';

/** Larger files are not even read. */
const MAX_FILE_BYTES = 256 * 1024 * 1024;

/** Takes a piece's bundle in: all of it, or nothing and the reason. */
export function ImportBundle() {
  const notice = useNotice();
  const units = useUnits();
  const router = useRouter();
  const [busy, setBusy] = useState(false);
  const take = async (file: File) => {
    setBusy(true);
    const result = await importBundle(file);
    setBusy(false);
    if (!result.ok) return notice({ text: sentenceFor(result.error, units), tone: 'error' });
    router.push(`/piece/${result.value.piece.id}/picture`);
    notice({ text: result.value.copied ? `${result.value.piece.name}: taken in as a copy, the piece was here already.` : `${result.value.piece.name} is here.`, tone: 'success' });
  };
  return (
    <FileButton accept=".zip,application/zip" onFile={(file) => void take(file)} variant="outlined" disabled={busy} testId="import-bundle">{busy ? 'Reading …' : 'Open a bundle'}</FileButton>
  );
}

async function importBundle(file: File): Promise<Result<{ piece: Piece; copied: boolean }>> {
  if (file.size > MAX_FILE_BYTES) return fail('bundle-too-large', `${file.size} bytes`);
  const opened = await openBundle(new Uint8Array(await file.arrayBuffer()));
  if (!opened.ok) return opened;
  const pictures: StoredPicture[] = [];
  for (const bundled of opened.value.pictures) {
    const stored = await restorePicture(bundled);
    if (!stored.ok) return stored;
    pictures.push(stored.value);
  }
  const taken = await database().pieces.get(opened.value.piece.id);
  const piece = taken ? { ...opened.value.piece, id: newId(), name: `${opened.value.piece.name} (copy)`.slice(0, 120) } : opened.value.piece;
  const added = await addPieces(database(), [piece], pictures);
  return added.ok ? ok({ piece, copied: Boolean(taken) }) : added;
}

/** A bundled picture passes the same door as a chosen one: limits, type by content, decoding. */
async function restorePicture({ record, bytes }: BundledPicture): Promise<Result<StoredPicture, string>> {
  const file = new Blob([bytes], { type: record.type });
  const inspected = await inspectPicture(file, (preview) => preview.close()).done;
  if (!inspected?.ok) {
    const error: Failure = inspected?.error ?? { code: 'picture-broken', message: 'stopped' };
    return { ok: false, error: error.code === 'picture-broken' ? { ...error, code: 'bundle-picture-damaged', values: { name: record.name } } : error };
  }
  const { type, widthPx, heightPx, paleShare, darkShare, sha256, preview } = inspected.value;
  return ok({ ...record, type, widthPx, heightPx, paleShare, darkShare, sha256, bytes: file.size, file, preview });
}
