'use client';
import { Button } from '@mui/material';
import dynamic from 'next/dynamic';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useCallback, useMemo, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { STATIONS, type StationId } from '@/core/stations';
import { stationStates } from '@/core/plan';
import { useKeys, useShortcut } from '@/features/shell';
import { saveRecord } from '@/features/sheets/save-file';
import { Place, NextRow, UndoButtons, useUnits } from '@/ui';
import { sentenceFor } from '@/words';
import { PieceHead } from './piece-head';
import { PieceProvider, useOpenPiece, type OpenPiece } from './piece-context';
import { STATION_FEATURES } from './stations';
import { StationRun } from './station-run';
import { ToneProvider } from './tone-context';
import { bentLayers, movedLayers, useLayers } from '@/features/look';
import { bendFor, type Bend } from '@/core/shape';
import { useObjectUrl } from '@/features/shelf';
import { useLoadedPiece } from './loaded-piece';
import type { PieceAccess } from './use-piece';
import { usePlan, type Planned } from './use-plan';
import css from './piece-page.module.css';
import { say } from '@/words/say';

const Trouble = dynamic(() => import('./trouble').then((file) => file.Trouble), { ssr: false });

export function PiecePage({ id, station }: { id: string; station: StationId }) {
  const loaded = useLoadedPiece();
  const units = useUnits();
  if (loaded.state === 'loading') return <Opening />;
  if (loaded.state === 'gone')
    return <Stop title={say`This piece is not here`} text={say`It was removed, or never saved in this browser.`} />;
  if (loaded.state === 'unreadable')
    return (
      <Stop
        title={loaded.name === null ? say`This piece cannot be opened` : say`${loaded.name} cannot be opened`}
        text={sentenceFor(loaded.error, units)}
        data={loaded.data}
      />
    );
  return <Open key={id} access={loaded.access} station={station} />;
}

const Opening = () => <Place className={css.page} aria-busy="true" />;

const Stop = ({ title, text, data }: { title: string; text: string; data?: unknown }) => (
  <Place className={css.stop}>
    <h1>{title}</h1>
    <p>{text}</p>
    {data !== undefined && (
      <NextRow apart>
        <Button
          variant="outlined"
          onClick={() => saveRecord(data, title)}
          data-testid="save-unreadable"
        >{say`Save it as a file`}</Button>
      </NextRow>
    )}
    <Link href="/pieces">{say`To the pieces`}</Link>
  </Place>
);

function Open({ access, station }: { access: PieceAccess; station: StationId }) {
  const planned = usePlan(access.piece);
  return planned ? <Opened access={access} station={station} {...planned} /> : <Opening />;
}

function Opened({ access, station, plan, picture, now }: { access: PieceAccess; station: StationId } & Planned) {
  const { piece } = access;
  const previewUrl = useObjectUrl(picture?.preview ?? null);
  const [turned, setTurned] = useState<{ station: StationId; side: 'landing' | 'printed' } | null>(null);
  const natural = station === 'sheet' ? 'printed' : 'landing';
  const side = turned?.station === station ? turned.side : natural;
  const flat = useLayers(piece.picture.layers);
  const bendKey = JSON.stringify(bendFor(plan.surface.blank));
  const layers = useMemo(() => bentLayers(flat, JSON.parse(bendKey) as Bend | null), [flat, bendKey]);
  const moved = useMemo(() => movedLayers(layers), [layers]);
  const [page, setPage] = useState(0);
  const pages = plan.sheet.pack?.ok ? plan.sheet.pack.value.pages.length : 1;
  const states = useMemo(() => stationStates(piece, plan), [piece, plan]);
  const shownPage = Math.min(page, pages - 1);
  const turnOver = useCallback(
    () => setTurned({ station, side: side === 'landing' ? 'printed' : 'landing' }),
    [station, side],
  );
  const open = useMemo<OpenPiece>(
    () => ({
      ...access,
      plan,
      states,
      picture,
      previewUrl,
      layers,
      moved,
      page: shownPage,
      showPage: setPage,
      side,
      turnOver,
      now,
    }),
    [access, plan, states, picture, previewUrl, layers, moved, shownPage, side, turnOver, now],
  );
  const { Screen } = STATION_FEATURES[station];
  return (
    <PieceProvider value={open}>
      <PieceKeys />
      <Place className={css.page} data-saving={access.saving}>
        <PieceHead station={station}>
          {access.retry && (
            <Button
              size="small"
              color="error"
              variant="outlined"
              onClick={access.retry}
              data-testid="not-kept"
            >{say`Not kept: try again`}</Button>
          )}
          <UndoRedo />
        </PieceHead>
        <StationRun current={station} />
        <div className={css.station}>
          <ToneProvider kept={piece.picture.tone}>
            <Screen />
          </ToneProvider>
        </div>
      </Place>
      {access.trouble && <Trouble trouble={access.trouble} settle={access.settle} />}
    </PieceProvider>
  );
}

const DIGITS = [...'1234567890'];

function PieceKeys() {
  const { piece, undo, redo, turnOver } = useOpenPiece();
  const router = useRouter();
  useKeys(DIGITS, (key) => router.push(`/piece/${piece.id}/${STATIONS[(Number(key) + 9) % 10]}`));
  useShortcut('turn', turnOver);
  useHotkeys('mod+z', undo, { preventDefault: true }, [undo]);
  useHotkeys('mod+shift+z', redo, { preventDefault: true }, [redo]);
  return null;
}

function UndoRedo() {
  const { undo, redo, history } = useOpenPiece();
  return <UndoButtons undo={history.undo} redo={history.redo} onUndo={undo} onRedo={redo} />;
}
