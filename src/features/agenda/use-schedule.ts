'use client';
import { startTransition, useCallback, useEffect, useMemo, useRef, useState } from 'react';
import type { AtHand } from '@/core/at-hand';
import { dueAt } from '@/core/stations';
import { foreseeing, plannedSteps, type Foreseen, type RunStep } from '@/core/plan';
import { MS_PER_MINUTE } from '@/core/shared';
import {
  OWN,
  buildInstance,
  footprintOf,
  shelfRoom,
  type BuildInput,
  type Built,
  type JobInPlan,
  type Placed,
} from '@/core/schedule';
import { isWaiting, usePlannedPieces, type PlannedPiece } from '@/features/plans';
import { useInSlices, useShelf } from '@/features/shelf';
import { useStash } from '@/features/at-hand';
import { buildInputOf, type Agenda, type Piece } from '@/records';
import { timeZoneHere } from '@/ui';
import { openScheduler, type Scheduler } from '@/workers/schedule/client';
import type { PlanAnswer } from '@/workers/schedule/protocol';
import { entriesOf, storedPlaced, type PlanEntry, type StoredPlaced } from './entries';
import { useAgenda, type AgendaAccess } from './use-agenda';

export interface PieceInPlan {
  planned: PlannedPiece;
  foreseen: Foreseen<Piece>;
  steps: RunStep[];
  finishAt: number | null;
  /** When it is finished if every wait takes its safest hours. */
  safestAt: number | null;
  lateMs: number;
  dueAt: number | null;
  /** What was done and still waits. */
  pending: { fromAt: number; untilAt: number } | null;
}

export interface Schedule {
  agenda: Agenda;
  change: AgendaAccess['change'];
  pieces: PieceInPlan[];
  /** Pieces that were left out. */
  aside: { id: string; name: string }[];
  /** How many wait for room in the plan. */
  beyond: number;
  entries: PlanEntry[];
  built: Built;
  answer: PlanAnswer | null;
  /** Whether all steps are being placed for the first time. */
  placing: boolean;
  /** The worker is at it. */
  busy: boolean;
  /** A better plan is still looked for; the one that stands can be worked by. */
  improving: boolean;
  planAfresh: () => void;
  scheduler: () => Scheduler;
  jobs: JobInPlan[];
  timeZone: string;
}

/** Large plans are looked at again for longer, while the first one is shown already. */
const IMPROVE_FROM_STEPS = 30;
const WORTH_SHARE = 0.995;
/** The time zone in which the steps were placed. */
const PLANNED_IN = 'fobbet.planned-in';

/** More at a time is more than one pair of hands plans by: the others wait until there is room. */
const MOST_IN_PLAN = 150;

interface ForeseenInput {
  planned: PlannedPiece;
  atHand: AtHand;
  now: number;
}
type InPlan = Pick<PieceInPlan, 'planned' | 'foreseen' | 'steps'>;

const isFresh = ({ of: then }: { of: ForeseenInput }, now: ForeseenInput): boolean =>
  then.planned === now.planned && then.atHand === now.atHand;

function* foreseenOf({ planned, atHand, now }: ForeseenInput): Generator<void, InPlan | null> {
  try {
    const foreseen = yield* foreseeing(planned.piece, planned.picture, now, atHand, planned.plan);
    yield;
    return { planned, foreseen, steps: plannedSteps(foreseen, atHand.pace) };
  } catch (error) {
    // One whose steps can't be worked out takes none of the others out of the plan.
    console.error(`no steps for ${planned.piece.id}`, error);
    return null;
  }
}

/** What waits or is due comes first, then what was worked on last. */
function soonestFirst({ planned: one }: InPlan, { planned: other }: InPlan): number {
  const due = ({ piece }: PlannedPiece) => dueAt(piece.dueOn) ?? Infinity;
  const waits = ({ plan }: PlannedPiece) => Number(isWaiting(plan));
  const [a, b] = [due(one), due(other)];
  if (waits(one) !== waits(other)) return waits(other) - waits(one);
  return a === b ? other.piece.updatedAt - one.piece.updatedAt : a - b;
}

/**
 * The plan of all pieces: built from their steps, kept by the agenda, brought up to date in a worker after every
 * change.
 */
export function useSchedule(): Schedule | undefined {
  const schedule = useWholeSchedule();
  // While some pieces are looked through again, the last plan stands: nothing typed or opened on a page is lost. One of
  // no pieces says nothing of those that have come since.
  const [last, setLast] = useState(schedule);
  if (schedule && schedule !== last) setLast(schedule);
  return schedule ?? (last && last.pieces.length > 0 ? last : undefined);
}

function useWholeSchedule(): Schedule | undefined {
  const shelf = useShelf();
  const { planned, whole: all, now } = usePlannedPieces();
  const { atHand } = useStash();
  const access = useAgenda();
  const agenda = access?.agenda;
  const timeZone = timeZoneHere();

  const inputs = useMemo(
    () =>
      planned
        .filter(({ next }) => next.code !== 'finished')
        .map((piece) => ({ id: piece.piece.id, of: { planned: piece, atHand, now } })),
    [planned, atHand, now],
  );
  const { results, whole } = useInSlices(inputs, isFresh, foreseenOf);
  const inPlan = useMemo(() => results.filter((result) => result !== null), [results]);

  const [shown, beyond] = useMemo(() => {
    const left = new Set([...(agenda?.aside ?? []), ...(agenda?.putAway ?? [])]);
    const wanted = inPlan.filter(({ planned: { piece } }) => !left.has(piece.id));
    if (wanted.length <= MOST_IN_PLAN) return [wanted, 0];
    const first = new Set([...wanted].sort(soonestFirst).slice(0, MOST_IN_PLAN));
    return [wanted.filter((one) => first.has(one)), wanted.length - MOST_IN_PLAN];
  }, [inPlan, agenda?.aside, agenda?.putAway]);
  const input = useMemo(
    () =>
      // Not before the pieces are read: a plan of none would do away with where the steps stand.
      agenda && shelf && all && whole && now > 0
        ? {
            pieces: shown.map(({ planned: { piece }, steps, foreseen }) => ({
              id: piece.id,
              name: piece.name,
              dueAt: dueAt(piece.dueOn),
              steps,
              set: piece.set?.id ?? null,
              room: shelfRoom(footprintOf(foreseen.plan.surface.blank), agenda.shelf),
            })),
            now,
            ...buildInputOf(agenda),
            timeZone,
            air: atHand.air,
            pins: agenda.running ? { ...agenda.pins, [agenda.running.step]: now } : agenda.pins,
          }
        : null,
    [agenda, shelf, all, whole, now, shown, timeZone, atHand.air],
  );
  const built = useMemo(() => input && buildInstance(input), [input]);

  const { answer, busy, improving, planAfresh, scheduler } = usePlanner(built, input, access);

  return useMemo(() => {
    if (!agenda || !access || !built || !shelf) return undefined;
    const at = (minute: number | null | undefined) => (minute == null ? null : built.originAt + minute * MS_PER_MINUTE);
    const pieceOf = new Map(shown.map((one) => [one.planned.piece.id, one.planned.piece]));
    const entries = entriesOf(built, agenda, pieceOf);
    // An answer to what was asked before says nothing of what is there now.
    const ofPieces = answer?.finishes.length === shown.length ? answer : null;
    const found = ofPieces?.placed.who.length === built.steps.length ? ofPieces : null;
    const pieces = shown.map((one, index): PieceInPlan => {
      const due = dueAt(one.planned.piece.dueOn);
      // Nothing is known of when one is finished that is only an idea yet.
      const finishAt = one.steps.length === 0 ? null : at(ofPieces?.finishes[index]);
      return {
        ...one,
        finishAt,
        safestAt: one.steps.length === 0 ? null : at(ofPieces?.safestFinishes[index]),
        dueAt: due,
        lateMs: finishAt !== null && due !== null && finishAt > due ? finishAt - due : 0,
        pending: pendingOf(one.steps, now),
      };
    });
    const jobs = shown.map(({ planned: { piece, picture } }) => ({
      id: piece.id,
      name: piece.set?.name ?? piece.name,
      dueAt: dueAt(piece.dueOn),
      set: piece.set?.id ?? null,
      job: piece,
      picture,
    }));
    const aside = inPlan
      .filter(({ planned: { piece } }) => agenda.aside.includes(piece.id) && !agenda.putAway.includes(piece.id))
      .map(({ planned: { piece } }) => ({ id: piece.id, name: piece.name }));
    return {
      agenda,
      change: access.change,
      pieces,
      aside,
      beyond,
      entries,
      built,
      answer: found,
      // Until what was found is kept, the steps stand nowhere.
      placing:
        entries.every(({ startAt }) => startAt === null) && (!found || found.placed.who.some((who) => who !== 0)),
      busy,
      improving,
      planAfresh,
      scheduler,
      jobs,
      timeZone,
    };
  }, [
    agenda,
    access,
    built,
    shelf,
    inPlan,
    shown,
    beyond,
    now,
    answer,
    busy,
    improving,
    planAfresh,
    scheduler,
    timeZone,
  ]);
}

/** The wait that is on its way: of the last step done that something still waits for. */
function pendingOf(steps: readonly RunStep[], now: number): PieceInPlan['pending'] {
  const waiting = steps.filter((step) => step.doneAt !== null && step.doneAt > 0 && (step.ripeAt ?? 0) > now);
  const last = waiting.at(-1);
  return last ? { fromAt: last.doneAt ?? now, untilAt: last.ripeAt ?? now } : null;
}

/** Keeps the stored starts in step with the problem: what still holds stays, the rest is placed round it. */
function usePlanner(built: Built | null, input: BuildInput | null, access: AgendaAccess | undefined) {
  const worker = useRef<Scheduler | null>(null);
  const [answer, setAnswer] = useState<PlanAnswer | null>(null);
  const [busy, setBusy] = useState(false);
  const turn = useRef(0);
  const [improving, setImproving] = useState(false);
  const isImproving = useRef(false);
  const [afresh, setAfresh] = useState(0);
  const planned = useRef(0);
  const scheduler = useCallback(() => (worker.current ??= openScheduler()), []);
  useEffect(
    () => () => {
      worker.current?.close();
      worker.current = null;
    },
    [],
  );

  const latest = useRef({ access, built, input });
  useEffect(() => {
    latest.current = { access, built, input };
  }, [access, built, input]);
  const { mode = 'earliest', reserveHours = 0 } = access?.agenda ?? {};
  // Everything that bears on the plan, the stored starts apart: those are its result.
  const problem = useMemo(
    () => built && JSON.stringify([built.originAt, built.instance, mode, reserveHours, afresh]),
    [built, mode, reserveHours, afresh],
  );

  useEffect(() => {
    const { access: now, built, input } = latest.current;
    if (!problem || !built || !input || !now) return;
    const mine = ++turn.current;
    // A longer look that is under way is given up for the change.
    if (isImproving.current) {
      worker.current?.close();
      worker.current = null;
      isImproving.current = false;
      setImproving(false);
    }
    const before = storedPlaced(built, now.agenda);
    const known = before.who.filter((who) => who !== 0).length;
    const { timeZone } = input;
    // Of evenings in another zone nothing holds, and the first evenings here would be passed over.
    const isElsewhere = (localStorage.getItem(PLANNED_IN) ?? timeZone) !== timeZone;
    const anew = planned.current !== afresh || isElsewhere || known < before.who.length / 2;
    setBusy(true);
    const order = {
      instance: built.instance,
      safest: input.safest ? null : buildInstance({ ...input, safest: true }).instance,
      mode,
      reserveMinutes: reserveHours * 60,
    };
    const adopt = async (found: PlanAnswer) => {
      startTransition(() => setAnswer(found));
      const placed = placedToStore(built, found.placed);
      // Held against what is stored by then: an answer overtaken meanwhile is dropped, and one that changes nothing.
      await now.change(({ starts, who, shared, revision }) =>
        mine !== turn.current || isSame(placed, { starts, who, shared }) ? {} : { ...placed, revision: revision + 1 },
      );
    };
    void scheduler()
      .plan({ ...order, before: anew ? null : before, thorough: false })
      .then(async (found) => {
        if (mine !== turn.current) return;
        startTransition(() => setBusy(false));
        if (!found) return;
        planned.current = afresh;
        localStorage.setItem(PLANNED_IN, timeZone);
        await adopt(found);
        if (!anew || mode === 'latest' || built.steps.length < IMPROVE_FROM_STEPS || mine !== turn.current) return;
        isImproving.current = true;
        setImproving(true);
        const better = await scheduler().plan({ ...order, before: null, thorough: true });
        if (mine !== turn.current) return;
        isImproving.current = false;
        setImproving(false);
        if (better && better.cost < found.cost * WORTH_SHARE) await adopt(better);
      });
  }, [problem, mode, reserveHours, afresh, scheduler]);

  const planAfresh = useCallback(() => setAfresh((count) => count + 1), []);
  return { answer, busy, improving, planAfresh, scheduler };
}

function placedToStore({ steps, originAt }: Built, { starts, who, shared }: Placed): StoredPlaced {
  const placed = steps.map(({ id }, index) => ({ id, index })).filter(({ index }) => who[index] !== 0);
  return {
    starts: Object.fromEntries(placed.map(({ id, index }) => [id, originAt + starts[index]! * MS_PER_MINUTE])),
    who: Object.fromEntries(placed.filter(({ index }) => who[index] !== OWN).map(({ id, index }) => [id, who[index]!])),
    shared: placed.filter(({ index }) => shared[index] === 1).map(({ id }) => id),
  };
}

const isSame = (one: StoredPlaced, other: StoredPlaced): boolean =>
  sameValues(one.starts, other.starts) &&
  sameValues(one.who, other.who) &&
  one.shared.length === other.shared.length &&
  one.shared.every((id, at) => other.shared[at] === id);

const sameValues = (one: Record<string, number>, other: Record<string, number>): boolean =>
  Object.keys(one).length === Object.keys(other).length && Object.entries(one).every(([key, at]) => other[key] === at);
