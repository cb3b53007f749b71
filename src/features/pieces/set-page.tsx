'use client';
import { Button } from '@mui/material';
import { Check } from 'lucide-react';
import Link from 'next/link';
import { useSearchParams } from 'next/navigation';
import { useMemo, useState } from 'react';
import { foresee } from '@/core/plan';
import { nameLike, ownLetteringOf, pieceLike, withOwnLettering, type Piece } from '@/records';
import { printPath, useFinishSteps } from '@/features/agenda';
import { useStash } from '@/features/at-hand';
import { newId, useReport } from '@/features/shell';
import { partsOf, usePlannedPieces } from '@/features/plans';
import { addPieces, database, savePiece } from '@/storage';
import { Answer, LineField, NameInput, NextRow, Note, Place, TextButton, clockTime, useClock, useNow } from '@/ui';
import { formatDuration } from '@/words/figures';
import { NEXT_WORDS, counted, lowerFirst, stepTitle } from '@/words';
import { PieceFigure } from './piece-figure';
import { minutesLeft, partOf, stepsOfSet, type Cell, type PartOfSet, type StepOfSet } from './set-of';
import css from './set.module.css';
import { say } from '@/words/say';
import { sayWith } from '@/ui/say-with';

const FIGURE_PX = 54;

/** A set as one piece: its one plan, step by step, counted through over all that belong to it. */
export function SetPage() {
  const id = useSearchParams().get('id') ?? '';
  const now = useNow();
  const { planned, whole, now: looked } = usePlannedPieces();
  const { atHand } = useStash();
  const parts = useMemo(
    () =>
      partsOf(planned, id).map((one, at) =>
        partOf(at + 1, one, foresee(one.piece, one.picture, looked, atHand, one.plan), atHand.pace),
      ),
    [planned, id, looked, atHand],
  );
  const [first] = parts;
  const leader = leastFar(parts);
  if (!first || !leader) return whole ? <NoSuchSet /> : <Place className={css.page} aria-busy="true" />;
  const steps = stepsOfSet(parts, now);
  const next = steps.find(({ done, of }) => done < of) ?? null;
  const minutes = minutesLeft(steps);
  const unprinted = parts.filter(({ steps: run }) =>
    run.some(({ step, doneAt }) => step.kind === 'print' && doneAt === null),
  );
  return (
    <Place className={css.page}>
      <SetName first={first.planned.piece} />
      <Answer>
        {next
          ? say`${stepTitle(next.step.title)}: ${next.done} of ${next.of} done.`
          : say`All ${parts.length} are finished.`}{' '}
        {minutes > 0 && say`About ${formatDuration(minutes / 60)} of hands left.`}
      </Answer>
      <NextRow>
        {unprinted.length > 0 && (
          <Button
            component={Link}
            href={printPath(unprinted.map(({ planned: { piece } }) => piece))}
            variant="contained"
            data-testid="set-print"
          >
            {unprinted.length === 1 ? say`Print the sheet` : say`Print ${unprinted.length} sheets together`}
          </Button>
        )}
        <Button
          component={Link}
          href={`/piece/${leader.planned.piece.id}/${leader.planned.next.station}`}
          variant="outlined"
          data-testid="set-plan"
        >{say`The plan of all`}</Button>
        <Note>{say`One plan for ${counted(parts.length, 'piece', 'pieces')}: what is chosen for one holds for all
          that are not so far yet. Lettering, picture and what was done are each one’s own.`}</Note>
      </NextRow>
      <section aria-label={say`Counted through`}>
        <h2>{say`Counted through`}</h2>
        <ul className={css.steps}>
          {steps.map((step) => (
            <StepRow key={step.id} step={step} now={now} />
          ))}
        </ul>
        <p
          className={css.quiet}
        >{say`A number stands for the piece with it below. Outlined: ready to be done; press it when it is. Filled: done.`}</p>
      </section>
      <PartList parts={parts} now={now} />
    </Place>
  );
}

/** The one whose plan is still open furthest. */
const leastFar = (parts: readonly PartOfSet[]): PartOfSet | undefined => {
  const done = ({ steps }: PartOfSet) => steps.filter(({ doneAt }) => doneAt !== null).length;
  return parts.reduce<PartOfSet | undefined>(
    (least, one) => (!least || done(one) < done(least) ? one : least),
    undefined,
  );
};

function NoSuchSet() {
  return (
    <Place title={say`No such set`} className={css.page}>
      <p>{sayWith`Its pieces were removed, or taken out of it. ${(<Link href="/pieces">{say`To the pieces`}</Link>)}`}</p>
    </Place>
  );
}

/** The name of all, changed where it stands. */
function SetName({ first }: { first: Piece }) {
  const clock = useClock();
  const report = useReport();
  const rename = (name: string) => {
    if (!first.set) return;
    const mine = { ...first, set: { ...first.set, name } };
    void savePiece(database(), { base: first, mine, label: say`set “${name}”`, now: clock() }).then(report);
  };
  return (
    <h1>
      <NameInput label={say`Name of the set`} name={first.set?.name ?? ''} onCommit={rename} testId="set-name" />
    </h1>
  );
}

/** A step of the plan with a box for each piece. */
function StepRow({ step: { id, step, cells, done, of }, now }: { step: StepOfSet; now: number }) {
  const finish = useFinishSteps();
  const [busy, setBusy] = useState(false);
  const ready = cells.filter(({ state }) => state === 'ready');
  const title = stepTitle(step.title);
  const tick = async (those: readonly Cell[]) => {
    setBusy(true);
    await finish(
      those.flatMap(({ part: { planned, foreseen }, step: own }) =>
        own ? [{ piece: planned.piece, job: foreseen.job, plan: foreseen.plan, step: own }] : [],
      ),
      { minutes: null },
    );
    setBusy(false);
  };
  return (
    <li className={css.step} data-testid="set-step" data-step={id}>
      <span className={css.what}>
        <b>{title}</b>
        <span>{say`${done} of ${of}`}</span>
      </span>
      <span className={css.cells}>
        {cells.map((cell) => (
          <button
            key={cell.part.planned.piece.id}
            type="button"
            className={css.cell}
            data-state={cell.state}
            aria-pressed={cell.state === 'done'}
            disabled={cell.state !== 'ready' || busy}
            title={`${cell.part.planned.piece.name}: ${stateWords(cell, now)}`}
            aria-label={`${cell.part.number} ${cell.part.planned.piece.name}, ${lowerFirst(title)}: ${stateWords(cell, now)}`}
            onClick={() => void tick([cell])}
          >
            {cell.state === 'done' ? <Check size={14} aria-hidden /> : cell.part.number}
          </button>
        ))}
      </span>
      <span className={css.all}>
        {ready.length > 1 && (
          <TextButton onClick={() => void tick(ready)} disabled={busy} testId="tick-all">
            {ready.length === of ? say`All ${of} done` : say`The ${ready.length} left done`}
          </TextButton>
        )}
      </span>
    </li>
  );
}

function stateWords({ state, readyAt }: Cell, now: number): string {
  if (state === 'none') return say`needs no such step`;
  if (state === 'done' || state === 'ready') return state === 'done' ? say`done` : say`ready to be done`;
  return readyAt === null ? say`after the steps before it` : say`ready ${clockTime(readyAt, now)}`;
}

/** Whatever belongs to the set, each with its own lettering; more of it, and out of it. */
function PartList({ parts, now }: { parts: readonly PartOfSet[]; now: number }) {
  const clock = useClock();
  const report = useReport();
  const { planned } = usePlannedPieces();
  const save = (piece: Piece, mine: Piece, label: string) =>
    void savePiece(database(), { base: piece, mine, label, now: clock() }).then(report);
  const another = async () => {
    const like = leastFar(parts)?.planned.piece;
    if (!like?.set) return;
    const name = nameLike(
      like.name,
      planned.map(({ piece }) => piece.name),
    );
    const at = 1 + Math.max(...parts.map(({ planned: { piece } }) => piece.set?.at ?? 0));
    const more = pieceLike(like, { id: newId(), name, now: clock(), withoutPicture: false });
    report(await addPieces(database(), [{ ...more, set: { ...like.set, at } }]));
  };
  return (
    <section aria-label={say`The pieces`}>
      <h2>{counted(parts.length, 'piece', 'pieces')}</h2>
      <ol className={css.parts}>
        {parts.map((part) => {
          const { planned: own } = part;
          const { piece, next, plan } = own;
          const front = plan.surface.blank?.front;
          return (
            <li key={piece.id} data-testid="set-part">
              <span className={css.number}>{part.number}</span>
              <span className={css.figure}>
                <PieceFigure
                  planned={own}
                  pxPerMm={FIGURE_PX / Math.max(front?.widthMm ?? 240, front?.heightMm ?? 170)}
                />
              </span>
              <span className={css.part}>
                <Link href={`/piece/${piece.id}/${next.station}`}>{piece.name}</Link>
                <span>
                  {NEXT_WORDS[next.code]}
                  {next.at !== null && next.at > now && ` ${clockTime(next.at, now)}`}
                </span>
              </span>
              <OwnLettering
                piece={piece}
                onCommit={(text) => save(piece, withOwnLettering(piece, text), say`lettering “${text}”`)}
              />
              <TextButton
                onClick={() => save(piece, { ...piece, set: null }, say`taken out of its set`)}
              >{say`Plan it by itself`}</TextButton>
            </li>
          );
        })}
      </ol>
      <Button variant="outlined" onClick={() => void another()} data-testid="set-more">{say`One more`}</Button>
    </section>
  );
}

const MOST_TEXT = 200;

function OwnLettering({ piece, onCommit }: { piece: Piece; onCommit: (text: string) => void }) {
  const [draft, setDraft] = useState<string | null>(null);
  const text = ownLetteringOf(piece);
  if (text === null) return <span />;
  const commit = () => {
    const next = draft?.trim();
    if (next && next !== text) onCommit(next);
    setDraft(null);
  };
  return (
    <LineField
      label={say`Lettering of ${piece.name}`}
      value={draft ?? text}
      mostCharacters={MOST_TEXT}
      onChange={(event) => setDraft(event.target.value)}
      onBlur={commit}
      onKeyDown={(event) => {
        if (event.key === 'Enter') (event.target as HTMLElement).blur();
        if (event.key === 'Escape') setDraft(null);
      }}
      testId="set-lettering"
    />
  );
}
