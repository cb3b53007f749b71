'use client';
import { Checkbox } from '@mui/material';
import Link from 'next/link';
import type { Blank } from '@/core/shape';
import { STATIONS, dueAt } from '@/core/stations';
import type { PlannedPiece } from '@/features/plans';
import { setPath } from '@/features/shell/places';
import { clockTime, dayName, useUnits } from '@/ui';
import { NEXT_WORDS, SURFACE_WORDS, type Wording } from '@/words';
import { say } from '@/words/say';
import type { OnShelf } from './on-shelf';
import { PieceFigure } from './piece-figure';
import css from './pieces.module.css';

/** A vessel by its mouth and its side, all else by its front. */
const sizeOf = ({ front, standing }: Blank, units: Wording): string =>
  standing ? units.size(standing.topMm, standing.sideMm) : units.size(front.widthMm, front.heightMm);

/** What comes next of the one that is least far. */
const soonest = ({ next }: PlannedPiece, parts: readonly PlannedPiece[]): PlannedPiece['next'] =>
  parts.reduce((least, one) => (isBefore(one.next, least) ? one.next : least), next);
const isBefore = (one: PlannedPiece['next'], other: PlannedPiece['next']): boolean =>
  other.code === 'finished' ? one.code !== 'finished' : STATIONS.indexOf(one.station) < STATIONS.indexOf(other.station);

export interface Choosing {
  /** Null while none are chosen. */
  chosen: boolean | null;
  onChoose: (choose: boolean) => void;
}

/** One piece, or a set as one, on its board: its name, its size, what comes next. */
export function ShelfPiece({
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
