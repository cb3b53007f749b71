'use client';
import { IconButton, Menu, MenuItem } from '@mui/material';
import { EllipsisVertical } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { useNotice } from '@/features/shell';
import { picturesOf } from '@/records';
import { database, removePiece, restorePiece, writeBundle, writeCalendar, type BundledPicture } from '@/storage';
import { useClock } from '@/ui';
import { calendarEntries } from './calendar-entries';
import { fileName, saveFile } from '@/features/sheets/save-file';
import { useOpenPiece } from './piece-context';

/** Out with a piece: its bundle, its times as a calendar file, or the piece itself. */
export function PieceFiles() {
  const { piece, plan } = useOpenPiece();
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const notice = useNotice();
  const clock = useClock();
  const router = useRouter();
  const entries = calendarEntries(piece, plan);
  const pick = (run: () => void) => () => { setAnchor(null); run(); };

  const exportBundle = async () => {
    const stored = (await database().pictures.bulkGet(picturesOf(piece))).filter((picture) => picture !== undefined);
    const pictures = await Promise.all(stored.map(async ({ file, preview: _, ...record }): Promise<BundledPicture> => ({ record, bytes: new Uint8Array(await file.arrayBuffer()) })));
    saveFile(new Blob([writeBundle(piece, pictures)], { type: 'application/zip' }), fileName(piece.name, 'fobbet.zip'));
  };
  const exportCalendar = () => saveFile(new Blob([writeCalendar(entries, piece.revision)], { type: 'text/calendar' }), fileName(piece.name, 'ics'));
  const remove = async () => {
    await removePiece(database(), piece.id, clock());
    router.push('/pieces');
    notice({ text: `${piece.name} was removed.`, action: { label: 'Bring back', run: () => void restorePiece(database(), piece.id) } });
  };

  return (
    <>
      <IconButton size="small" aria-label="Files of this piece" onClick={(event) => setAnchor(event.currentTarget)}><EllipsisVertical size={18} /></IconButton>
      <Menu anchorEl={anchor} open={anchor !== null} onClose={() => setAnchor(null)}>
        <MenuItem onClick={pick(() => void exportBundle())}>Save as a bundle (.fobbet.zip)</MenuItem>
        <MenuItem onClick={pick(exportCalendar)} disabled={entries.length === 0}>{entries.length === 0 ? 'Times for the calendar: none until it is laid' : 'Times for the calendar (.ics)'}</MenuItem>
        <MenuItem onClick={pick(() => void remove())}>Remove this piece</MenuItem>
      </Menu>
    </>
  );
}
