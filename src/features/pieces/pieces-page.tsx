'use client';
import { Button, TextField } from '@mui/material';
import Link from 'next/link';
import { useRef, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { dueAt } from '@/core/plan';
import { stepWords, useNewPiece, usePlannedPieces, useShelf, type PlannedPiece } from '@/features/shell';
import { clockTime, dayName, sentenceFor, useNow, useUnits } from '@/ui';
import { FirstPiece } from './first-piece';
import { ImportBundle } from './import-bundle';
import { PieceFigure, figureSize } from './piece-figure';
import css from './pieces.module.css';

const TALLEST_PX = 250;
const WIDEST_PX = 400;

/** The shelf: every piece drawn at one scale, standing on its board. */
export function PiecesPage() {
  const now = useNow();
  const shelf = useShelf();
  const planned = usePlannedPieces(shelf, now);
  const newPiece = useNewPiece();
  const units = useUnits();
  const [sought, setSought] = useState('');
  const search = useRef<HTMLInputElement>(null);
  useHotkeys('/', () => search.current?.focus(), { preventDefault: true, useKey: true });
  if (!shelf) return <main className={css.page} aria-busy="true" />;
  if (planned.length === 0 && shelf.unreadable.length === 0) return <FirstPiece />;

  const found = planned.filter(({ piece }) => piece.name.toLowerCase().includes(sought.trim().toLowerCase())).sort((a, b) => b.piece.updatedAt - a.piece.updatedAt);
  const tallest = Math.max(...planned.map((one) => figureSize(one).heightMm), 1);
  const widest = Math.max(...planned.map((one) => figureSize(one).widthMm), 1);
  const pxPerMm = Math.min(TALLEST_PX / tallest, WIDEST_PX / widest);

  return (
    <main className={css.page}>
      <div className={css.head}>
        <h1>{planned.length === 1 ? 'One piece' : `${planned.length} pieces`}</h1>
        <TextField inputRef={search} placeholder="Find a piece ( / )" value={sought} onChange={(event) => setSought(event.target.value)} sx={{ width: 220 }} slotProps={{ htmlInput: { 'aria-label': 'Find a piece' } }} />
        <div className={css.actions}><ImportBundle /><Button component={Link} href="/pieces/print" variant="outlined" data-testid="print-together">Print together</Button><Button variant="contained" onClick={() => void newPiece()} data-testid="new-piece">New piece</Button></div>
      </div>
      {found.length === 0 && sought !== '' && <p className={css.none}>No piece is called “{sought}”.</p>}
      <ul className={css.shelf}>
        {found.map((one) => <ShelfPiece key={one.piece.id} planned={one} pxPerMm={pxPerMm} now={now} />)}
      </ul>
      <p className={css.scale}><span style={{ width: 100 * pxPerMm }} /> {units.system === 'inch' ? '100 mm (3.94 in)' : '10 cm'}: all pieces at one scale</p>
      {shelf.unreadable.map(({ id, code }) => <p key={id} role="alert" className={css.none}>One piece cannot be shown. {sentenceFor({ code, message: '' }, units)}</p>)}
    </main>
  );
}

function ShelfPiece({ planned, pxPerMm, now }: { planned: PlannedPiece; pxPerMm: number; now: number }) {
  const { piece, next, plan } = planned;
  const units = useUnits();
  const due = dueAt(piece.dueOn);
  const later = next.at !== null && next.at > now;
  return (
    <li>
      <Link href={`/piece/${piece.id}/${next.station}`} className={css.piece}>
        <span className={css.stand}><PieceFigure planned={planned} pxPerMm={pxPerMm} /></span>
        <span className={css.board}>
          <b>{piece.name}</b>
          <span>{plan.blank ? `${units.size(plan.blank.front.widthMm, plan.blank.front.heightMm)}${plan.surface ? `, ${plan.surface.name.split(':')[0].toLowerCase()}` : ''}` : 'not measured yet'}</span>
          <span className={css.next}>{stepWords(next)}{later && next.at !== null ? ` ${clockTime(next.at, now)}` : ''}</span>
          {due !== null && <span data-late={due < now}>due {dayName(due, now)}</span>}
        </span>
      </Link>
    </li>
  );
}
