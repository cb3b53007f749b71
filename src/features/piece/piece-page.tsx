'use client';
import { Button, Dialog, DialogActions, DialogContent, DialogContentText, DialogTitle, IconButton, Tooltip } from '@mui/material';
import { Redo2, Undo2 } from 'lucide-react';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useMemo, useState, type ComponentType } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { STATIONS, planPiece, stationStates, type StationId } from '@/core/plan';
import { sentenceFor, useNow, useUnits } from '@/ui';
import { CureStation } from './cure/cure-station';
import { KeepStation } from './keep/keep-station';
import { LayStation } from './lay/lay-station';
import { MendStation } from './mend/mend-station';
import { MethodStation } from './method/method-station';
import { PictureStation } from './picture/picture-station';
import { RubStation } from './rub/rub-station';
import { SealStation } from './seal/seal-station';
import { SheetStation } from './sheet/sheet-station';
import { SurfaceStation } from './surface/surface-station';
import { PieceHead } from './piece-head';
import { PieceProvider, useOpenPiece, type OpenPiece } from './piece-context';
import { StationRun } from './station-run';
import type { Tone } from '@/core/raster';
import { bentLayers, movedLayers, useLayers } from '@/features/look';
import type { Bend } from '@/core/shape';
import { useObjectUrl, useStash, useStoredPicture } from '@/features/shell';
import { usePiece, type PieceAccess } from './use-piece';
import css from './piece-page.module.css';

const SCREENS: Readonly<Record<StationId, ComponentType>> = {
  picture: PictureStation, surface: SurfaceStation, method: MethodStation, sheet: SheetStation, lay: LayStation,
  cure: CureStation, rub: RubStation, mend: MendStation, seal: SealStation, keep: KeepStation,
};

export function PiecePage({ id, station }: { id: string; station: StationId }) {
  const loaded = usePiece(id);
  const units = useUnits();
  if (loaded.state === 'loading') return <main className={css.page} aria-busy="true" />;
  if (loaded.state === 'gone') return <Stop title="This piece is not here" text="It was removed, or never saved in this browser." />;
  if (loaded.state === 'unreadable') return <Stop title="This piece cannot be opened" text={sentenceFor(loaded.error, units)} />;
  return <Open key={id} access={loaded.access} station={station} />;
}

const Stop = ({ title, text }: { title: string; text: string }) => (
  <main className={css.stop}><h1>{title}</h1><p>{text}</p><Link href="/pieces">To the pieces</Link></main>
);

/** The page looks at the clock every half minute; only what counts down looks more often. */
function Open({ access, station }: { access: PieceAccess; station: StationId }) {
  const { piece } = access;
  const now = useNow();
  const picture = useStoredPicture(piece.picture.pictureId);
  const previewUrl = useObjectUrl(picture?.preview ?? null);
  const [turned, setTurned] = useState<{ station: StationId; side: 'landing' | 'printed' } | null>(null);
  const natural = station === 'sheet' ? 'printed' : 'landing';
  const side = turned?.station === station ? turned.side : natural;
  const { atHand } = useStash();
  const plan = useMemo(() => planPiece(piece, picture ?? null, now, atHand), [piece, picture, now, atHand]);
  const flat = useLayers(piece.picture.layers);
  const bendKey = JSON.stringify(plan.blank?.bend ?? null);
  const layers = useMemo(() => bentLayers(flat, JSON.parse(bendKey) as Bend | null), [flat, bendKey]);
  const moved = useMemo(() => movedLayers(layers), [layers]);
  const [tried, setTried] = useState<Tone | null>(null);
  const [page, setPage] = useState(0);
  const pages = plan.sheet?.ok ? plan.sheet.value.pages.length : 1;
  const open: OpenPiece = {
    ...access, plan, side, page: Math.min(page, pages - 1), showPage: setPage, layers, moved, tone: tried ?? piece.picture.tone, tryTone: setTried, picture: picture ?? null, previewUrl, now, states: stationStates(piece, plan),
    turnOver: () => setTurned({ station, side: side === 'landing' ? 'printed' : 'landing' }),
  };
  const Screen = SCREENS[station];
  return (
    <PieceProvider value={open}>
      <PieceKeys />
      <main className={css.page} data-saving={access.saving}>
        <PieceHead>
          <UndoButtons />
        </PieceHead>
        <StationRun current={station} />
        <div className={css.station}><Screen /></div>
      </main>
      <Trouble />
    </PieceProvider>
  );
}

function PieceKeys() {
  const { piece, undo, redo, turnOver } = useOpenPiece();
  const router = useRouter();
  useHotkeys('1,2,3,4,5,6,7,8,9,0', (event) => router.push(`/piece/${piece.id}/${STATIONS[(Number(event.key) + 9) % 10]}`), { useKey: true }, [piece.id]);
  useHotkeys('m', turnOver, [turnOver]);
  useHotkeys('mod+z', undo, { preventDefault: true }, [undo]);
  useHotkeys('mod+shift+z', redo, { preventDefault: true }, [redo]);
  return null;
}

function UndoButtons() {
  const { undo, redo, history } = useOpenPiece();
  return (
    <>
      <Tooltip title={history.undo ? `Undo: ${history.undo}` : 'Nothing to undo'}><span>
        <IconButton size="small" onClick={undo} disabled={!history.undo} aria-label={history.undo ? `Undo: ${history.undo}` : 'Undo'}><Undo2 size={18} /></IconButton>
      </span></Tooltip>
      <Tooltip title={history.redo ? `Do again: ${history.redo}` : 'Nothing to do again'}><span>
        <IconButton size="small" onClick={redo} disabled={!history.redo} aria-label={history.redo ? `Do again: ${history.redo}` : 'Redo'}><Redo2 size={18} /></IconButton>
      </span></Tooltip>
    </>
  );
}

/** A save that failed, and the choice where two windows changed the same thing. */
function Trouble() {
  const { trouble, settle } = useOpenPiece();
  const units = useUnits();
  if (!trouble) return null;
  const clash = trouble.error.code === 'piece-conflict';
  return (
    <Dialog open onClose={() => settle('theirs')}>
      <DialogTitle component="h2">{clash ? 'Changed in two windows' : 'Not saved'}</DialogTitle>
      <DialogContent>
        <DialogContentText>
          {sentenceFor(trouble.error, units)} {clash && <>Your change here was: <b>{trouble.label}</b>. Which shall hold?</>}
        </DialogContentText>
      </DialogContent>
      <DialogActions>
        <Button onClick={() => settle('theirs')} variant={clash ? 'text' : 'contained'}>{clash ? 'Keep the other window’s' : 'Close'}</Button>
        {clash && <Button onClick={() => settle('mine')} variant="contained">Use mine</Button>}
      </DialogActions>
    </Dialog>
  );
}
