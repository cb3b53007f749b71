'use client';
import { IconButton } from '@mui/material';
import { EllipsisVertical } from 'lucide-react';
import dynamic from 'next/dynamic';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { useNotice, useReport } from '@/features/shell';
import { picturesOf } from '@/records';
import { database, purgePiece, removePiece, restorePiece, type BundledPicture, storedPictures } from '@/storage';
import { useClock } from '@/ui';
import { calendarEntries } from './calendar-entries';
import { canHandOver, fileName, handOver, saveCalendar, saveFile } from '@/features/sheets/save-file';
import { useOpenPiece } from './piece-context';

const FilesMenu = dynamic(() => import('./files-menu').then((file) => file.FilesMenu), { ssr: false });

const PurgeDialog = dynamic(() => import('@/features/shell/purge-dialog').then((file) => file.PurgeDialog), {
  ssr: false,
});

/** Out with a piece: its bundle, its times as a calendar file, or the piece itself. */
export function PieceFiles() {
  const { piece, plan, now } = useOpenPiece();
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const [purging, setPurging] = useState(false);
  const notice = useNotice();
  const report = useReport();
  const clock = useClock();
  const router = useRouter();
  const entries = calendarEntries(piece, plan, now);
  const exportBundle = async (give: (blob: Blob, name: string) => unknown) => {
    const stored = await storedPictures(database(), picturesOf(piece));
    const missing = picturesOf(piece).length - stored.length;
    const pictures = await Promise.all(
      stored.map(async ({ file, preview: _preview, ...record }): Promise<BundledPicture> => ({
        record,
        bytes: new Uint8Array(await file.arrayBuffer()),
      })),
    );
    const { writeBundle } = await import('@/storage/bundle');
    const bundle = writeBundle(piece, pictures);
    if (!bundle.ok) return void report(bundle);
    await give(new Blob([bundle.value], { type: 'application/zip' }), fileName(piece.name, 'fobbet.zip'));
    if (missing > 0)
      notice({
        text: `${missing === 1 ? 'One picture' : `${missing} pictures`} of ${piece.name} can’t be found in this browser: the bundle was saved without.`,
        tone: 'error',
      });
  };
  const exportCalendar = () => saveCalendar(entries, piece.revision, clock(), fileName(piece.name, 'ics'));
  const remove = async () => {
    const removed = await removePiece(database(), piece.id, clock());
    if (!removed.ok && removed.error.code === 'storage-full') return setPurging(true);
    if (!report(removed)) return;
    router.push('/pieces');
    notice({
      text: `${piece.name} was removed.`,
      action: { label: 'Bring back', run: () => void restorePiece(database(), piece.id).then(report) },
    });
  };
  const purge = async () => {
    setPurging(false);
    if (!report(await purgePiece(database(), piece.id))) return;
    router.push('/pieces');
    notice({ text: `${piece.name} was removed for good.` });
  };

  return (
    <>
      <IconButton size="small" aria-label="Files of this piece" onClick={(event) => setAnchor(event.currentTarget)}>
        <EllipsisVertical size={18} />
      </IconButton>
      {anchor && (
        <FilesMenu
          anchor={anchor}
          onClose={() => setAnchor(null)}
          onBundle={() => void exportBundle(saveFile)}
          onHandOver={canHandOver() ? () => void exportBundle(handOver) : null}
          onCalendar={entries.length > 0 ? () => void exportCalendar() : null}
          onRemove={() => void remove()}
        />
      )}
      {purging && <PurgeDialog full name={piece.name} onPurge={() => void purge()} onClose={() => setPurging(false)} />}
    </>
  );
}
