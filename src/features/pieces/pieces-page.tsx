'use client';
import { Button, Input } from '@mui/material';
import Link from 'next/link';
import { useRef, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import type { Blank } from '@/core/shape';
import { dueAt } from '@/core/stations';
import { useNewPiece, usePlannedPieces, useShelf, type PlannedPiece } from '@/features/shelf';
import { TextButton, clockTime, dayName, useNow, useUnits } from '@/ui';
import { saveRecord } from '@/features/sheets/save-file';
import { sentenceFor } from '@/words';
import type { Wording } from '@/words';
import { FirstPiece } from './later';
import { ImportBundle } from './import-bundle';
import { PieceFigure, figureSize } from './piece-figure';
import { ShelfRows } from './shelf-rows';
import css from './pieces.module.css';
import { NEXT_WORDS, SURFACE_WORDS } from '@/words';

const TALLEST_PX = 250;
const WIDEST_PX = 400;
/** A longer shelf is drawn as far as it is seen. */
const MOST_AT_ONCE = 60;

/** The shelf: every piece drawn at one scale, standing on its board. */
export function PiecesPage() {
  const now = useNow();
  const shelf = useShelf();
  const { planned, unplanned, whole } = usePlannedPieces();
  const newPiece = useNewPiece();
  const units = useUnits();
  const [sought, setSought] = useState('');
  const search = useRef<HTMLInputElement>(null);
  useHotkeys('/', () => search.current?.focus(), { preventDefault: true, useKey: true });
  if (!shelf) return <main className={css.page} aria-busy="true" />;
  if (shelf.pieces.length + shelf.unreadable.length === 0) return <FirstPiece />;

  const found = planned
    .filter(({ piece }) => piece.name.toLowerCase().includes(sought.trim().toLowerCase()))
    .sort((a, b) => b.piece.updatedAt - a.piece.updatedAt);
  const tallest = Math.max(...planned.map((one) => figureSize(one).heightMm), 1);
  const widest = Math.max(...planned.map((one) => figureSize(one).widthMm), 1);
  const pxPerMm = Math.min(TALLEST_PX / tallest, WIDEST_PX / widest);

  return (
    <main className={css.page}>
      <div className={css.head}>
        <h1>{shelf.pieces.length === 1 ? 'One piece' : `${shelf.pieces.length} pieces`}</h1>
        <Input
          inputRef={search}
          placeholder="Find a piece ( / )"
          value={sought}
          onChange={(event) => setSought(event.target.value)}
          className={css.search}
          slotProps={{ input: { 'aria-label': 'Find a piece' } }}
        />
        <div className={css.actions}>
          <ImportBundle />
          <Button component={Link} href="/pieces/print" variant="outlined" data-testid="print-together">
            Print together
          </Button>
          <Button variant="contained" onClick={() => void newPiece()} data-testid="new-piece">
            New piece
          </Button>
        </div>
      </div>
      {found.length === 0 && sought !== '' && whole && <p className={css.none}>No piece is called “{sought}”.</p>}
      {found.length > MOST_AT_ONCE ? (
        <ShelfRows pieces={found} pxPerMm={pxPerMm}>
          {(one) => <ShelfPiece key={one.piece.id} planned={one} pxPerMm={pxPerMm} now={now} />}
        </ShelfRows>
      ) : (
        <ul className={css.shelf}>
          {found.map((one) => (
            <ShelfPiece key={one.piece.id} planned={one} pxPerMm={pxPerMm} now={now} />
          ))}
        </ul>
      )}
      <p className={css.scale}>
        <span style={{ width: (units.system === 'inch' ? 101.6 : 100) * pxPerMm }} />{' '}
        {units.system === 'inch' ? '4 in' : '10 cm'}: all pieces at one scale
      </p>
      {unplanned.map((piece) => (
        <p key={piece.id} role="alert" className={css.none}>
          “{piece.name}” cannot be planned: it holds something that Fobbet did not foresee. It is kept as it is.{' '}
          <TextButton onClick={() => saveRecord(piece, piece.name)}>Save it as a file</TextButton>
        </p>
      ))}
      {shelf.unreadable.map(({ id, name, error, data }) => (
        <p key={id} role="alert" className={css.none}>
          {name === null ? 'One piece' : `“${name}”`} cannot be shown. {sentenceFor(error, units)}{' '}
          <TextButton onClick={() => saveRecord(data, name ?? id)} testId="save-unreadable">
            Save it as a file
          </TextButton>
        </p>
      ))}
    </main>
  );
}

/** A vessel by its mouth and its side, all else by its front. */
const sizeOf = ({ front, standing }: Blank, units: Wording): string =>
  standing ? units.size(standing.topMm, standing.sideMm) : units.size(front.widthMm, front.heightMm);

function ShelfPiece({ planned, pxPerMm, now }: { planned: PlannedPiece; pxPerMm: number; now: number }) {
  const { piece, next, plan } = planned;
  const units = useUnits();
  const due = dueAt(piece.dueOn);
  const later = next.at !== null && next.at > now;
  return (
    <li>
      <Link href={`/piece/${piece.id}/${next.station}`} className={css.piece}>
        <span className={css.stand}>
          <PieceFigure planned={planned} pxPerMm={pxPerMm} />
        </span>
        <span className={css.board}>
          <b>{piece.name}</b>
          <span>
            {plan.surface.blank
              ? `${sizeOf(plan.surface.blank, units)}${plan.surface.record ? `, ${SURFACE_WORDS[plan.surface.record.id].shortInText}` : ''}`
              : 'not measured yet'}
          </span>
          <span className={css.next}>
            {NEXT_WORDS[next.code]}
            {later && next.at !== null ? ` ${clockTime(next.at, now)}` : ''}
          </span>
          {due !== null && <span data-late={due < now}>due {dayName(due, now)}</span>}
        </span>
      </Link>
    </li>
  );
}
