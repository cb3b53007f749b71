'use client';
import { useMediaQuery } from '@mui/material';
import type { Pending } from '@/core/plan';
import { MS_PER_HOUR, MS_PER_MINUTE } from '@/core/shared';
import { useDrag } from '@use-gesture/react';
import Link from 'next/link';
import { useRouter, useSearchParams } from 'next/navigation';
import { useEffect, useMemo, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import {
  useFinishSitting,
  isOffered,
  pendingOf,
  useFinishStep,
  useSchedule,
  WhenDone,
  isTooShort,
  type PieceInPlan,
  type PlanEntry,
  type Schedule,
} from '@/features/agenda';
import { PieceFigure, figureSize } from '@/features/pieces';
import { speak, useTimers } from '@/features/timers';
import { isKeyTaken, isTyping, useSettings } from '@/features/shell';
import { Place, Cautions, HoldButton, clockTime, span, useClock, useNow, useUnits } from '@/ui';
import type { BenchCard, CardTimer } from '@/features/piece/station-feature';
import { WAIT_WORDS, earlyWords, lowerFirst, sittingWords, stepTitle, toolList } from '@/words';
import { benchRun } from './cards';
import { BatchRun } from './batch-run';
import { Head, type Quick } from './head';
import { TimerStrip } from './timer-strip';
import { useWakeLock, type WakeLock } from './use-wake-lock';
import css from './bench.module.css';
import { say } from '@/words/say';

/** Waits up to this get a timer of their own; longer ones stand on the rack and in the plan. */
const TIMED_HOURS = 4;

const WAKE_WORDS: Readonly<Partial<Record<WakeLock, string>>> = {
  'can’t': say`The screen may go dark: this page can’t keep it awake. Timers ring all the same while it is open.`,
  refused: say`The screen may go dark: the machine refused to keep it awake, as it does with little battery left.`,
};

/** One step at a time, full screen: for wet hands and far eyes. */
export function BenchPage() {
  const schedule = useSchedule();
  const query = useSearchParams();
  const [wanted, finished, batch] = [query.get('step'), query.get('finished'), query.get('batch')];
  const awake = useWakeLock();
  const {
    settings: { benchContrast },
  } = useSettings();
  const [quick, setQuick] = useState(false);
  return (
    <Place className={css.bench} data-contrast={benchContrast} data-awake={awake}>
      {schedule && batch !== null && (
        <BatchRun key={batch} schedule={schedule} batch={batch} quick={quick} onQuick={() => setQuick(!quick)} />
      )}
      {schedule && batch === null && (
        <Bench schedule={schedule} wanted={wanted} finished={finished} quick={quick} onQuick={() => setQuick(!quick)} />
      )}
      {WAKE_WORDS[awake] && (
        <p className={css.wake} role="status" data-testid="wake">
          {WAKE_WORDS[awake]}
        </p>
      )}
    </Place>
  );
}

const byClock = (entries: readonly PlanEntry[]) =>
  entries.filter(({ startAt }) => startAt !== null).sort((a, b) => (a.startAt ?? 0) - (b.startAt ?? 0));

function Bench({
  schedule,
  wanted,
  finished,
  ...quick
}: { schedule: Schedule; wanted: string | null; finished: string | null } & Quick) {
  const now = useNow(20_000);
  const { entries, pieces, agenda } = schedule;
  const sorted = byClock(entries);
  const isReady = (one: PlanEntry) => isOffered(one, pieces, now);
  const ready = sorted.find(isReady);
  const key = wanted ?? agenda.running?.step;
  // A step in sittings is asked for by its own name, like its last: the first that is open is meant.
  const asked = entries.find((one) => one.stepKey === key || one.key === key);
  const entry = asked ?? ready ?? sorted[0];
  const inPlan = entry && pieces.find(({ planned }) => planned.piece.id === entry.piece.id);
  const ended = finished !== null ? pieces.find(({ planned }) => planned.piece.id === finished) : undefined;
  if (ended && !asked) return <Ended inPlan={ended} next={ready} {...quick} />;
  if (!entry || !inPlan) return <Idle {...quick} />;
  return (
    <Step
      key={entry.key}
      schedule={schedule}
      entry={entry}
      inPlan={inPlan}
      next={ready?.key === entry.key ? sorted.find((one) => one.key !== entry.key && isReady(one)) : ready}
      {...quick}
    />
  );
}

/** The bench’s end of a piece leads on: to what is kept of it, and to what waits for hands. */
function Ended({ inPlan, next, quick, onQuick }: { inPlan: PieceInPlan; next: PlanEntry | undefined } & Quick) {
  const { piece } = inPlan.planned;
  return (
    <>
      <Head title={say`Done at the bench`} name={piece.name} quick={quick} onQuick={onQuick} />
      <div className={css.card} data-testid="bench-ended">
        <p className={css.text}>{say`Nothing more for the hands on this piece. Keep how it went while it is fresh.`}</p>
        <p className={css.onward}>
          <Link href={`/piece/${piece.id}/keep`} data-testid="to-keep">{say`Record how it went`}</Link>
          {next ? (
            <Link href={`/bench?step=${encodeURIComponent(next.key)}`}>
              {stepTitle(next.step.title)}: {next.piece.name}
            </Link>
          ) : (
            <Link href="/">{say`Today`}</Link>
          )}
        </p>
      </div>
      <TimerStrip quick={quick} />
    </>
  );
}

function Idle({ quick, onQuick }: Quick) {
  return (
    <>
      <Head title={say`Bench`} name={say`Nothing for the hands right now`} quick={quick} onQuick={onQuick} />
      <div className={css.card}>
        <p
          className={css.text}
        >{say`No step is planned. Describe a piece, and its steps appear here in clock order.`}</p>
      </div>
      <TimerStrip quick={quick} />
    </>
  );
}

const SWIPE_PX = 40;

/** The card that was open, so that a reload opens it again. */
const OPEN_CARD = 'fobbet.bench-card';
const openCard = (key: string): number => {
  const [step, at] = (sessionStorage.getItem(OPEN_CARD) ?? '').split('#');
  return step === key ? Number(at) || 0 : 0;
};

function Step({
  schedule,
  entry,
  inPlan,
  next,
  quick,
  onQuick,
}: { schedule: Schedule; entry: PlanEntry; inPlan: PieceInPlan; next: PlanEntry | undefined } & Quick) {
  const units = useUnits();
  const clock = useClock();
  const router = useRouter();
  const { start, timers, toggle, remove } = useTimers();
  const {
    settings: { speech },
  } = useSettings();
  const finish = useFinishStep();
  const finishSitting = useFinishSitting();
  const { agenda, change } = schedule;
  const { piece, step, sitting } = entry;
  const { job, plan } = inPlan.foreseen;
  const run = useMemo(() => benchRun(step, job, plan, units, sitting), [step, job, plan, units, sitting]);
  const [at, setAt] = useState(() => openCard(entry.key));
  useEffect(() => sessionStorage.setItem(OPEN_CARD, `${entry.key}#${at}`), [entry.key, at]);
  const card = run.cards[Math.min(at, run.cards.length - 1)]!;
  const last = at >= run.cards.length - 1;
  const running = agenda.running?.step === entry.key ? agenda.running : null;
  const now = useNow(20_000);
  const pending = running ? null : pendingOf(entry, schedule.pieces, now);
  const [asking, setAsking] = useState(false);

  const startNow = () => void change({ running: { step: entry.key, startedAt: clock() } });
  const begin = () => {
    if (!running && !pending) startNow();
  };
  const move = (direction: number) => {
    begin();
    setAt((index) => Math.min(run.cards.length - 1, Math.max(0, index + direction)));
  };
  const own = schedule.entries.filter((one) => one.piece.id === piece.id);
  const nextOwn = own[own.findIndex(({ key }) => key === entry.key) + 1];
  const finishAt = async (at: number | undefined, minutes: number | null) => {
    setAsking(false);
    // The rest of it is another sitting's.
    if (entry.key !== entry.stepKey) {
      if (await finishSitting(entry)) router.replace(next ? `/bench?step=${encodeURIComponent(next.key)}` : '/');
      return;
    }
    if (!(await finish(piece, job, plan, step, { minutes, at, begunAt: running?.startedAt }))) return;
    // Its timers end with it; the wait after it has its own.
    for (const timer of timers) if (timer.step === entry.key) remove(timer);
    if (step.waitHours > 0 && step.waitHours <= TIMED_HOURS && step.wait.maxHours === null && at === undefined)
      start({
        label: say`${piece.name}: ready for the next step`,
        minutes: step.waitHours * 60,
        pieceId: piece.id,
        ...(nextOwn ? { step: nextOwn.key } : {}),
      });
    const onward = step.waitHours > 0 ? nextOwn : (next ?? nextOwn);
    router.replace(
      nextOwn && onward
        ? `/bench?step=${encodeURIComponent(onward.key)}`
        : `/bench?finished=${encodeURIComponent(piece.id)}`,
    );
  };
  const done = () => {
    const took = running ? clock() - running.startedAt : 0;
    if (isTooShort(took, step)) setAsking(true);
    else void finishAt(undefined, Math.max(1, Math.round(took / MS_PER_MINUTE)));
  };
  useHotkeys('right, pagedown', () => move(1), { ignoreEventWhen: isTyping }, [run.cards.length, running]);
  useHotkeys('left, pageup', () => move(-1), { ignoreEventWhen: isTyping }, [run.cards.length, running]);
  useHotkeys(
    'space',
    () => {
      const first = timers.find(({ rangAt }) => rangAt === null);
      if (first) toggle(first);
      else if (card.timer) start({ ...card.timer, pieceId: piece.id, step: entry.key });
    },
    { preventDefault: true, ignoreEventWhen: isKeyTaken },
    [timers, card],
  );
  useHotkeys('escape', () => router.push('/'), [router]);
  const swipe = useDrag(
    ({ last, movement: [across] }) => {
      // By its way, not its speed: a wet hand is slow.
      if (last && Math.abs(across) >= SWIPE_PX) move(-Math.sign(across));
    },
    { axis: 'x', filterTaps: true },
  );
  useEffect(() => {
    if (speech) speak(card.text);
  }, [speech, card.text]);

  return (
    <>
      <Head
        title={stepTitle(step.title)}
        name={sitting ? say`${piece.name}, ${sittingWords(sitting)}` : piece.name}
        quick={quick}
        onQuick={onQuick}
      />
      <div className={css.body} {...swipe()}>
        <Figure inPlan={inPlan} />
        {pending ? (
          <WaitCard pending={pending} entry={entry} now={now} next={next} onEarly={startNow} />
        ) : (
          <Card
            card={card}
            at={at}
            count={run.cards.length}
            onTimer={(timer) => {
              begin();
              start({
                label: `${piece.name}: ${lowerFirst(timer.label)}`,
                minutes: timer.minutes,
                pieceId: piece.id,
                step: entry.key,
              });
            }}
          />
        )}
        <div className={css.aside}>
          <h2 className="unseen">{say`To mind, and at hand`}</h2>
          <Cautions ids={run.cautions} />
          {run.tools.length > 0 && <p className={css.tools}>{say`At hand: ${toolList(run.tools)}.`}</p>}
          <Link
            href={`/faults?piece=${encodeURIComponent(piece.id)}`}
            className={css.wrong}
          >{say`Something is wrong with it?`}</Link>
        </div>
      </div>
      {asking && (
        <WhenDone
          onDone={(hours) => void finishAt(hours === 0 ? undefined : clock() - hours * MS_PER_HOUR, null)}
          onNot={() => setAsking(false)}
        />
      )}
      <TimerStrip quick={quick} />
      <footer className={css.foot}>
        <button
          type="button"
          className={css.back}
          disabled={at === 0}
          onClick={() => move(-1)}
          data-testid="bench-back"
        >{say`Back`}</button>
        <StepClock startedAt={running?.startedAt ?? null} planned={entry.minutes} entry={entry} />
        {pending ? null : last ? (
          <button type="button" className={css.go} onClick={done} data-testid="bench-done">{say`Done`}</button>
        ) : (
          <button type="button" className={css.go} onClick={() => move(1)} data-testid="bench-next">
            {running ? say`Next` : say`Begin`}
          </button>
        )}
      </footer>
    </>
  );
}

/** A step that waits: with its clock, when it can begin, and what happens sooner. */
function WaitCard({
  pending: { before, kind, earliestAt, readyAt },
  entry,
  now,
  next,
  onEarly,
}: {
  pending: Pending;
  entry: PlanEntry;
  now: number;
  next: PlanEntry | undefined;
  onEarly: () => void;
}) {
  const sooner = earlyWords(kind, entry.step.step);
  const bySigns = readyAt !== null && earliestAt !== null && earliestAt < readyAt;
  return (
    <div className={css.card} data-testid="bench-wait" aria-live="polite">
      <p className={css.count}>{readyAt === null ? say`Not yet` : WAIT_WORDS[kind]}</p>
      {readyAt !== null && <p className={css.figure}>{clockTime(readyAt, now)}</p>}
      <p className={css.text}>
        {readyAt === null
          ? say`First: ${lowerFirst(stepTitle(before.title))}.`
          : `${stepTitle(entry.step.title)}: ${span(readyAt - now)}.`}
      </p>
      {bySigns && (
        <p className={css.bySigns}>
          {earliestAt > now
            ? say`At the earliest ${clockTime(earliestAt, now)}, if it is dry by its signs.`
            : say`Sooner only if it is dry by its signs.`}{' '}
          <Link href={`/piece/${entry.piece.id}/cure`}>{say`Say what you see and feel`}</Link>
        </p>
      )}
      <p className={css.onward}>
        {readyAt === null ? (
          <Link href={`/bench?step=${encodeURIComponent(`${entry.piece.id}/${before.id}`)}`}>
            {stepTitle(before.title)}
          </Link>
        ) : next ? (
          <Link
            href={`/bench?step=${encodeURIComponent(next.key)}`}
            data-testid="meanwhile"
          >{say`Meanwhile: ${lowerFirst(stepTitle(next.step.title))}, ${next.piece.name}`}</Link>
        ) : (
          <Link href="/">{say`Today: what waits at the desk`}</Link>
        )}
      </p>
      <p id="sooner" className={css.sooner}>
        {sooner}
      </p>
      <HoldButton
        onHeld={onEarly}
        testId="begin-early"
        describedBy="sooner"
      >{say`Hold to begin all the same`}</HoldButton>
    </div>
  );
}

function Card({
  card,
  at,
  count,
  onTimer,
}: {
  card: BenchCard;
  at: number;
  count: number;
  onTimer: (timer: CardTimer) => void;
}) {
  return (
    <div className={css.card} data-testid="bench-card" data-card={card.id} aria-live="polite">
      <p className={css.count}>{say`${at + 1} of ${count}`}</p>
      {card.figure && <p className={css.figure}>{card.figure}</p>}
      <p className={css.text}>{card.text}</p>
      {card.timer && (
        <button
          type="button"
          className={css.timerStart}
          onClick={() => card.timer && onTimer(card.timer)}
          data-testid="card-timer"
        >
          {card.timer.stroke
            ? say`First stroke: ${minutesText(card.timer.minutes)} open`
            : say`Start ${minutesText(card.timer.minutes)}`}
        </button>
      )}
      {card.beside && (
        <button
          type="button"
          className={css.besideStart}
          onClick={() => card.beside && onTimer(card.beside)}
          data-testid="beside-timer"
        >
          {card.beside.label}: {minutesText(card.beside.minutes)}
        </button>
      )}
    </div>
  );
}

const minutesText = (minutes: number): string => say`${Number(minutes.toFixed(1))} min`;

const FIGURE_PX = 320;
const SMALL_FIGURE_PX = 190;

function Figure({ inPlan }: { inPlan: PieceInPlan }) {
  const size = figureSize(inPlan.planned);
  const most = useMediaQuery(say`(max-width: 700px)`) ? SMALL_FIGURE_PX : FIGURE_PX;
  return (
    <div className={css.picture}>
      <PieceFigure planned={inPlan.planned} pxPerMm={Math.min(most / size.widthMm, most / size.heightMm)} />
    </div>
  );
}

/** How long hands are at it, against the plan. */
function StepClock({ startedAt, planned, entry }: { startedAt: number | null; planned: number; entry: PlanEntry }) {
  const now = useNow(10_000);
  if (startedAt === null)
    return (
      <span className={css.clock}>
        {entry.startAt !== null && entry.startAt > now
          ? say`planned ${clockTime(entry.startAt, now)}, about ${planned} min`
          : say`now, about ${planned} min`}
      </span>
    );
  return (
    <span
      className={css.clock}
      data-testid="step-clock"
    >{say`${Math.max(0, Math.floor((now - startedAt) / MS_PER_MINUTE))} of about ${planned} min`}</span>
  );
}
