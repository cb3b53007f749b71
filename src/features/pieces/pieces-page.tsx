'use client';
import { useState, useSyncExternalStore } from 'react';
import { usePutAway } from '@/features/agenda/use-put-away';
import { usePlannedPieces, type PlannedPiece } from '@/features/plans';
import { useShelf } from '@/features/shelf';
import { Place, TextButton, useNow, useUnits } from '@/ui';
import { say } from '@/words/say';
import { Filters } from './filters';
import { FirstPiece, LetteringOnce } from './later';
import { NotShown } from './not-shown';
import { onShelf, type OnShelf } from './on-shelf';
import { figureSize } from './piece-figure';
import css from './pieces.module.css';
import { SeveralBar } from './several-bar';
import { ShelfHead } from './shelf-head';
import { ShelfPiece, type Choosing } from './shelf-piece';
import { ShelfRows } from './shelf-rows';
import { NOTHING_SOUGHT, isSought } from './sought';

const TALLEST_PX = 250;
const WIDEST_PX = 400;
/** Beside a piece on a narrow screen: the page’s edges, and what its board stands out. */
const BESIDE_PX = 78;
const screenWidth = () => window.innerWidth;
function onResize(changed: () => void): () => void {
  window.addEventListener('resize', changed);
  return () => window.removeEventListener('resize', changed);
}

/** The shelf: every piece drawn at one scale, standing on its board. */
export function PiecesPage() {
  const now = useNow();
  const shelf = useShelf();
  const { planned, templates, unplanned, whole } = usePlannedPieces();
  const [sought, setSought] = useState(NOTHING_SOUGHT);
  const { chosen: several, choosing, choose } = useChosen();
  const { away } = usePutAway();
  const pxPerMm = useScale(planned);
  if (!shelf) return <Place className={css.page} aria-busy="true" />;
  if (shelf.pieces.length + shelf.templates.length + shelf.unreadable.length === 0) return <FirstPiece />;

  const found = (sought.shelf === 'templates' ? templates : planned)
    .filter((one) => isSought(one, sought, away, now))
    .sort((a, b) => b.piece.updatedAt - a.piece.updatedAt);
  return (
    <Place className={css.page}>
      <ShelfHead
        count={shelf.pieces.length}
        text={sought.text}
        onText={(text) => setSought((before) => ({ ...before, text }))}
        templates={templates}
      />
      <LetteringOnce planned={planned.filter(({ piece }) => !away.has(piece.id))} />
      <div className={css.narrow}>
        <Filters
          planned={planned}
          templateCount={templates.length}
          awayCount={planned.filter(({ piece }) => away.has(piece.id)).length}
          sought={sought}
          onChange={(patch) => setSought((before) => ({ ...before, ...patch }))}
        />
        <TextButton onClick={() => choose(several ? null : [])} testId="choose-several">
          {several ? say`Choose none` : say`Choose several`}
        </TextButton>
      </div>
      {several && (
        <SeveralBar
          chosen={[...several].flatMap((id) => found.find(({ piece }) => piece.id === id) ?? [])}
          shelf={sought.shelf}
          onAll={() => choose(found.map(({ piece }) => piece.id))}
          onDone={() => choose(null)}
        />
      )}
      {found.length === 0 && whole && planned.length > 0 && (
        <p className={css.none}>
          {sought.text === '' ? say`No piece is like that.` : say`No piece speaks of “${sought.text}”.`}
        </p>
      )}
      <Shelf shown={onShelf(found, planned, sought.text)} {...{ pxPerMm, now, choosing }} />
      <NotShown unplanned={unplanned} unreadable={shelf.unreadable} />
    </Place>
  );
}

/** Those chosen to do something with several, in the order in which they were; null while none are chosen. */
function useChosen() {
  const [chosen, setChosen] = useState<ReadonlySet<string> | null>(null);
  const choosing = ({ parts }: OnShelf): Choosing => ({
    chosen: chosen && parts.every(({ piece: { id } }) => chosen.has(id)),
    onChoose: (isChosen) =>
      setChosen((before) => {
        const after = new Set(before);
        for (const { piece } of parts)
          if (isChosen) after.add(piece.id);
          else after.delete(piece.id);
        return after;
      }),
  });
  return { chosen, choosing, choose: (ids: readonly string[] | null) => setChosen(ids && new Set(ids)) };
}

/** Pixels for a millimetre: the tallest and the widest of all pieces fit. */
function useScale(planned: readonly PlannedPiece[]): number {
  const screenPx = useSyncExternalStore(onResize, screenWidth, () => WIDEST_PX + BESIDE_PX);
  const tallest = Math.max(...planned.map((one) => figureSize(one).heightMm), 1);
  const widest = Math.max(...planned.map((one) => figureSize(one).widthMm), 1);
  return Math.min(TALLEST_PX / tallest, Math.min(WIDEST_PX, screenPx - BESIDE_PX) / widest);
}

/** A longer shelf is drawn as far as it is seen. */
const MOST_AT_ONCE = 60;

function Shelf({
  shown,
  pxPerMm,
  now,
  choosing,
}: {
  shown: readonly OnShelf[];
  pxPerMm: number;
  now: number;
  choosing: (one: OnShelf) => Choosing;
}) {
  const { system } = useUnits();
  const draw = (one: OnShelf) => (
    <ShelfPiece key={one.piece.id} planned={one} pxPerMm={pxPerMm} now={now} {...choosing(one)} />
  );
  return (
    <>
      {shown.length > MOST_AT_ONCE ? (
        <ShelfRows pieces={shown} pxPerMm={pxPerMm}>
          {draw}
        </ShelfRows>
      ) : (
        <ul className={css.shelf}>{shown.map(draw)}</ul>
      )}
      <p className={css.scale}>
        <span style={{ width: (system === 'inch' ? 101.6 : 100) * pxPerMm }} />{' '}
        {system === 'inch' ? say`4 in: all pieces at one scale` : say`10 cm: all pieces at one scale`}
      </p>
    </>
  );
}
