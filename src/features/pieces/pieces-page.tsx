'use client';
import { Button, Checkbox, Input } from '@mui/material';
import Link from 'next/link';
import { useEffect, useRef, useState, useSyncExternalStore } from 'react';
import type { Blank } from '@/core/shape';
import { STATIONS, dueAt } from '@/core/stations';
import { FolderButton } from '@/features/intake';
import { useShortcut } from '@/features/shell';
import { FIND_HASH, setPath } from '@/features/shell/places';
import { usePlannedPieces, type PlannedPiece } from '@/features/plans';
import { useNewPiece, useShelf } from '@/features/shelf';
import { Place, TextButton, clockTime, dayName, useNow, useUnits } from '@/ui';
import { saveRecord } from '@/features/sheets/save-file';
import { sentenceFor, sentences } from '@/words';
import type { Wording } from '@/words';
import { printPath } from '@/features/agenda';
import { usePutAway } from '@/features/agenda/use-put-away';
import { BeginFrom } from './begin-from';
import { Filters } from './filters';
import { FirstPiece, LetteringOnce } from './later';
import { ImportBundle } from './import-bundle';
import { PieceFigure, figureSize } from './piece-figure';
import { onShelf, type OnShelf } from './on-shelf';
import { ShelfRows } from './shelf-rows';
import { NOTHING_SOUGHT, isSought } from './sought';
import { useMakeSet } from './use-make-set';
import { useRemoveSeveral } from './use-remove-several';
import css from './pieces.module.css';
import { NEXT_WORDS, SURFACE_WORDS, counted } from '@/words';
import { say } from '@/words/say';
import { sayWith } from '@/ui/say-with';

const TALLEST_PX = 250;
const WIDEST_PX = 400;
/** Beside a piece on a narrow screen: the page’s edges, and what its board stands out. */
const BESIDE_PX = 78;
const screenWidth = () => window.innerWidth;
function onResize(changed: () => void): () => void {
  window.addEventListener('resize', changed);
  return () => window.removeEventListener('resize', changed);
}
/** A longer shelf is drawn as far as it is seen. */
const MOST_AT_ONCE = 60;

/** The shelf: every piece drawn at one scale, standing on its board. */
export function PiecesPage() {
  const now = useNow();
  const shelf = useShelf();
  const { planned, templates, unplanned, whole } = usePlannedPieces();
  const newPiece = useNewPiece();
  const units = useUnits();
  const [sought, setSought] = useState(NOTHING_SOUGHT);
  const [several, setSeveral] = useState<ReadonlySet<string> | null>(null);
  const { away, putAway } = usePutAway();
  const screenPx = useSyncExternalStore(onResize, screenWidth, () => WIDEST_PX + BESIDE_PX);
  const removeSeveral = useRemoveSeveral();
  const makeSet = useMakeSet();
  const search = useRef<HTMLInputElement>(null);
  useShortcut('find', () => search.current?.focus());
  const stands = shelf !== undefined;
  useEffect(() => {
    if (stands && window.location.hash === FIND_HASH) search.current?.focus();
  }, [stands]);
  if (!shelf) return <Place className={css.page} aria-busy="true" />;
  if (shelf.pieces.length + shelf.templates.length + shelf.unreadable.length === 0) return <FirstPiece />;

  const found = (sought.shelf === 'templates' ? templates : planned)
    .filter((one) => isSought(one, sought, away, now))
    .sort((a, b) => b.piece.updatedAt - a.piece.updatedAt);
  const shown = onShelf(found, planned, sought.text);
  // In the order in which they were chosen: a set is planned as its first.
  const chosen = [...(several ?? [])].flatMap((id) => found.find(({ piece }) => piece.id === id) ?? []);
  const canBeSet = chosen.length > 1 && chosen.every(({ piece }) => piece.set === null) && sought.shelf === 'here';
  const tallest = Math.max(...planned.map((one) => figureSize(one).heightMm), 1);
  const widest = Math.max(...planned.map((one) => figureSize(one).widthMm), 1);
  const pxPerMm = Math.min(TALLEST_PX / tallest, Math.min(WIDEST_PX, screenPx - BESIDE_PX) / widest);

  const choosing = ({ parts }: OnShelf): Choosing => ({
    chosen: several && parts.every(({ piece: { id } }) => several.has(id)),
    onChoose: (choose) =>
      setSeveral((before) => {
        const after = new Set(before);
        for (const { piece } of parts)
          if (choose) after.add(piece.id);
          else after.delete(piece.id);
        return after;
      }),
  });

  return (
    <Place className={css.page}>
      <div className={css.head}>
        <h1>{shelf.pieces.length === 1 ? say`One piece` : say`${shelf.pieces.length} pieces`}</h1>
        <Input
          inputRef={search}
          placeholder={say`Find a piece ( / )`}
          value={sought.text}
          onChange={(event) => setSought((before) => ({ ...before, text: event.target.value }))}
          className={css.search}
          slotProps={{ input: { 'aria-label': say`Find a piece` } }}
        />
        <div className={css.actions}>
          <FolderButton />
          <ImportBundle />
          <Button
            component={Link}
            href="/pieces/print"
            variant="outlined"
            data-testid="print-together"
          >{say`Print together`}</Button>
          {templates.length > 0 && <BeginFrom templates={templates} />}
          <Button variant="contained" onClick={() => void newPiece()} data-testid="new-piece">{say`New piece`}</Button>
        </div>
      </div>
      <LetteringOnce planned={planned} />
      <div className={css.narrow}>
        <Filters
          planned={planned}
          templateCount={templates.length}
          awayCount={planned.filter(({ piece }) => away.has(piece.id)).length}
          sought={sought}
          onChange={(patch) => setSought((before) => ({ ...before, ...patch }))}
        />
        <TextButton onClick={() => setSeveral((before) => (before ? null : new Set()))} testId="choose-several">
          {several ? say`Choose none` : say`Choose several`}
        </TextButton>
      </div>
      {several && (
        <div className={css.several} role="group" aria-label={say`With those chosen`} data-testid="several">
          <span>{say`${counted(chosen.length, 'piece', 'pieces')} chosen`}</span>
          <TextButton
            onClick={() => setSeveral(new Set(found.map(({ piece }) => piece.id)))}
          >{say`Choose all shown`}</TextButton>
          {chosen.length > 0 && sought.shelf !== 'templates' && (
            <>
              <Link href={printPath(chosen.map(({ piece }) => piece))}>{say`Print together`}</Link>
              <TextButton
                testId="put-away"
                onClick={() => {
                  void putAway(
                    chosen.map(({ piece }) => piece),
                    sought.shelf !== 'away',
                  );
                  setSeveral(null);
                }}
              >
                {sought.shelf === 'away' ? say`Take out again` : say`Put away`}
              </TextButton>
            </>
          )}
          {canBeSet && (
            <TextButton
              testId="make-several-a-set"
              onClick={() => {
                void makeSet(chosen.map(({ piece }) => piece));
                setSeveral(null);
              }}
            >{say`Make them a set, planned as ${chosen[0]?.piece.name}`}</TextButton>
          )}
          {chosen.length > 0 && (
            <TextButton
              testId="remove-several"
              onClick={() => {
                void removeSeveral(chosen.map(({ piece }) => piece));
                setSeveral(null);
              }}
            >{say`Remove`}</TextButton>
          )}
        </div>
      )}
      {found.length === 0 && whole && planned.length > 0 && (
        <p className={css.none}>
          {sought.text === '' ? say`No piece is like that.` : say`No piece speaks of “${sought.text}”.`}
        </p>
      )}
      {shown.length > MOST_AT_ONCE ? (
        <ShelfRows pieces={shown} pxPerMm={pxPerMm}>
          {(one) => <ShelfPiece key={one.piece.id} planned={one} pxPerMm={pxPerMm} now={now} {...choosing(one)} />}
        </ShelfRows>
      ) : (
        <ul className={css.shelf}>
          {shown.map((one) => (
            <ShelfPiece key={one.piece.id} planned={one} pxPerMm={pxPerMm} now={now} {...choosing(one)} />
          ))}
        </ul>
      )}
      <p className={css.scale}>
        <span style={{ width: (units.system === 'inch' ? 101.6 : 100) * pxPerMm }} />{' '}
        {units.system === 'inch' ? say`4 in: all pieces at one scale` : say`10 cm: all pieces at one scale`}
      </p>
      {unplanned.map((piece) => (
        <p
          key={piece.id}
          role="alert"
          className={css.none}
        >{sayWith`“${piece.name}” cannot be planned: it holds something that Fobbet did not foresee. It is kept as
          it is. ${(<TextButton onClick={() => saveRecord(piece, piece.name)}>{say`Save it as a file`}</TextButton>)}`}</p>
      ))}
      {shelf.unreadable.map(({ id, name, error, data }) => (
        <p key={id} role="alert" className={css.none}>
          {sentences(
            name === null ? say`One piece cannot be shown.` : say`“${name}” cannot be shown.`,
            sentenceFor(error, units),
          )}{' '}
          <TextButton
            onClick={() => saveRecord(data, name ?? id)}
            testId="save-unreadable"
          >{say`Save it as a file`}</TextButton>
        </p>
      ))}
    </Place>
  );
}

/** A vessel by its mouth and its side, all else by its front. */
const sizeOf = ({ front, standing }: Blank, units: Wording): string =>
  standing ? units.size(standing.topMm, standing.sideMm) : units.size(front.widthMm, front.heightMm);

/** What comes next of the one that is least far. */
const soonest = ({ next }: PlannedPiece, parts: readonly PlannedPiece[]): PlannedPiece['next'] =>
  parts.reduce((least, one) => (isBefore(one.next, least) ? one.next : least), next);
const isBefore = (one: PlannedPiece['next'], other: PlannedPiece['next']): boolean =>
  other.code === 'finished' ? one.code !== 'finished' : STATIONS.indexOf(one.station) < STATIONS.indexOf(other.station);

interface Choosing {
  /** Null while none are chosen. */
  chosen: boolean | null;
  onChoose: (choose: boolean) => void;
}

function ShelfPiece({
  planned,
  pxPerMm,
  now,
  chosen,
  onChoose,
}: { planned: OnShelf; pxPerMm: number; now: number } & Choosing) {
  const { piece, plan, parts, set } = planned;
  const next = soonest(planned, parts);
  const name = set?.name ?? piece.name;
  const units = useUnits();
  const due = dueAt(piece.dueOn);
  const later = next.at !== null && next.at > now;
  return (
    <li data-testid="shelf-piece">
      {chosen !== null && (
        <span className={css.choose}>
          <Checkbox
            checked={chosen}
            onChange={(event) => onChoose(event.target.checked)}
            slotProps={{ input: { 'aria-label': say`Choose ${name}` } }}
          />
        </span>
      )}
      <Link href={set ? setPath(set.id) : `/piece/${piece.id}/${next.station}`} className={css.piece}>
        <span className={css.stand} data-set={set !== null}>
          <PieceFigure planned={planned} pxPerMm={pxPerMm} />
        </span>
        <span className={css.board}>
          <b>{name}</b>
          <span>
            {set && `${parts.length} × `}
            {plan.surface.blank
              ? `${sizeOf(plan.surface.blank, units)}${plan.surface.record ? `, ${SURFACE_WORDS[plan.surface.record.id].shortInText}` : ''}`
              : say`not measured yet`}
          </span>
          <span className={css.next}>
            {NEXT_WORDS[next.code]}
            {set &&
              next.code !== 'finished' &&
              `: ${say`${parts.filter((one) => one.next.code === next.code).length} of ${parts.length}`}`}
            {later && next.at !== null ? ` ${clockTime(next.at, now)}` : ''}
          </span>
          {due !== null && <span data-late={due < now}>{say`due ${dayName(due, now)}`}</span>}
        </span>
      </Link>
    </li>
  );
}
