'use client';
import { IconButton } from '@mui/material';
import { EllipsisVertical } from 'lucide-react';
import dynamic from 'next/dynamic';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { useNotice, useReport } from '@/features/shell';
import { foresee } from '@/core/plan';
import { useStash } from '@/features/at-hand';
import { EMPTY_AGENDA, picturesOf, pieceLike } from '@/records';
import { newId } from '@/features/shell/ids';
import { useBeginLike } from '@/features/shelf/use-begin-like';
import { usePutAway } from '@/features/agenda/use-put-away';
import {
  addPieces,
  database,
  purgePiece,
  removePiece,
  restorePiece,
  type BundledPicture,
  storedAgenda,
  storedPictures,
} from '@/storage';
import { useClock, useUnits } from '@/ui';
import { calendarEntries } from './calendar-entries';
import { canHandOver, fileName, handOver, saveCalendar, saveFile } from '@/features/sheets/save-file';
import { useOpenPiece } from './piece-context';
import { say } from '@/words/say';

const FilesMenu = dynamic(() => import('./files-menu').then((file) => file.FilesMenu), { ssr: false });

const SetDialog = dynamic(() => import('./set-dialog').then((file) => file.SetDialog), { ssr: false });
const PurgeDialog = dynamic(() => import('@/features/shell/purge-dialog').then((file) => file.PurgeDialog), {
  ssr: false,
});

/** Out with a piece: its bundle, its times as a calendar file, or the piece itself. */
export function PieceFiles() {
  const { piece, plan, picture, now } = useOpenPiece();
  const { atHand } = useStash();
  const units = useUnits();
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
    const bundle = await writeBundle(piece, pictures);
    if (!bundle.ok) return void report(bundle);
    await give(new Blob([bundle.value], { type: 'application/zip' }), fileName(piece.name, 'fobbet.zip'));
    if (missing > 0)
      notice({
        text:
          missing === 1
            ? say`One picture of ${piece.name} can’t be found in this browser: the bundle was saved without.`
            : say`${missing} pictures of ${piece.name} can’t be found in this browser: the bundle was saved without.`,
        tone: 'error',
      });
  };
  const workCard = async () => {
    const stored = await storedAgenda(database());
    const { saveWorkCard } = await import('@/features/work-card/save-work-card');
    const agenda = stored.ok ? stored.value : EMPTY_AGENDA;
    const foreseen = foresee(piece, picture, clock(), atHand, plan);
    await saveWorkCard(piece, foreseen, { agenda, pace: atHand.pace, now: clock(), units });
  };
  const keepAsTemplate = async () => {
    const like = pieceLike(piece, { id: newId(), name: piece.name, now: clock(), withoutPicture: false });
    if (!report(await addPieces(database(), [{ ...like, dueOn: null, template: true }]))) return;
    notice({
      text: say`${piece.name} is a template too: new pieces begin from it at Pieces.`,
      tone: 'success',
      action: { label: say`Undo`, run: () => void purgePiece(database(), like.id).then(report) },
    });
  };
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
