'use client';
import { IconButton } from '@mui/material';
import { EllipsisVertical } from 'lucide-react';
import dynamic from 'next/dynamic';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { useNotice, useReport } from '@/features/shell';
import { useBeginLike } from '@/features/shelf/use-begin-like';
import { usePutAway } from '@/features/agenda/use-put-away';
import { database, purgePiece, removePiece, restorePiece } from '@/storage';
import { useClock } from '@/ui';
import { calendarEntries } from './calendar-entries';
import { canHandOver, fileName, handOver, saveCalendar, saveFile } from '@/features/sheets/save-file';
import { useOpenPiece } from './piece-context';
import { usePieceOut } from './use-piece-out';
import { say } from '@/words/say';

const FilesMenu = dynamic(() => import('./files-menu').then((file) => file.FilesMenu), { ssr: false });

const SetDialog = dynamic(() => import('./set-dialog').then((file) => file.SetDialog), { ssr: false });
const PurgeDialog = dynamic(() => import('@/features/shell/purge-dialog').then((file) => file.PurgeDialog), {
  ssr: false,
});

/** Out with a piece: its bundle, its times as a calendar file, or the piece itself. */
export function PieceFiles() {
  const { piece, plan, now } = useOpenPiece();
  const { exportBundle, workCard, keepAsTemplate } = usePieceOut();
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const [purging, setPurging] = useState(false);
  const [making, setMaking] = useState(false);
  const notice = useNotice();
  const report = useReport();
  const clock = useClock();
  const router = useRouter();
  const { away, putAway } = usePutAway();
  const beginLike = useBeginLike();
  const isAway = away.has(piece.id);
  const entries = calendarEntries(piece, plan, now);
  const exportCalendar = () => saveCalendar(entries, piece.revision, clock(), fileName(piece.name, 'ics'));
  const remove = async () => {
    const removed = await removePiece(database(), piece.id, clock());
    if (!removed.ok && removed.error.code === 'storage-full') return setPurging(true);
    if (!report(removed)) return;
    router.push('/pieces');
    notice({
      text: say`${piece.name} was removed.`,
      action: { label: say`Bring back`, run: () => void restorePiece(database(), piece.id).then(report) },
    });
  };
  const purge = async () => {
    setPurging(false);
    if (!report(await purgePiece(database(), piece.id))) return;
    router.push('/pieces');
    notice({ text: say`${piece.name} was removed for good.` });
  };

  return (
    <>
      <IconButton
        size="small"
        aria-label={say`Files of this piece`}
        onClick={(event) => setAnchor(event.currentTarget)}
      >
        <EllipsisVertical size={18} />
      </IconButton>
      {anchor && (
        <FilesMenu
          anchor={anchor}
          onClose={() => setAnchor(null)}
          onBundle={() => void exportBundle(saveFile)}
          onHandOver={canHandOver() ? () => void exportBundle(handOver) : null}
          onCalendar={entries.length > 0 ? () => void exportCalendar() : null}
          onCard={() => void workCard()}
          onAnother={(withoutPicture) => void beginLike(piece, { withoutPicture })}
          onTemplate={piece.template ? null : () => void keepAsTemplate()}
          onSet={() => setMaking(true)}
          onAway={piece.template ? null : () => void putAway([piece], !isAway)}
          isAway={isAway}
          onRemove={() => void remove()}
        />
      )}
      {making && <SetDialog piece={piece} onClose={() => setMaking(false)} />}
      {purging && <PurgeDialog full name={piece.name} onPurge={() => void purge()} onClose={() => setPurging(false)} />}
    </>
  );
}
