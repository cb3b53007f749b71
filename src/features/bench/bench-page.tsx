'use client';
import Link from 'next/link';
import { useSearchParams } from 'next/navigation';
import { useState } from 'react';
import { isOffered, useSchedule, type PieceInPlan, type PlanEntry, type Schedule } from '@/features/agenda';
import { useSettings } from '@/features/shell';
import { Place, useNow } from '@/ui';
import { stepTitle } from '@/words';
import { say } from '@/words/say';
import { BatchRun } from './batch-run';
import css from './bench.module.css';
import { Head, type Quick } from './head';
import { idleWords } from './idle-words';
import { Step } from './step';
import { TimerStrip } from './timer-strip';
import { useWakeLock, type WakeLock } from './use-wake-lock';

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
  if (!entry || !inPlan) return <Idle says={idleWords(schedule)} {...quick} />;
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
      <div className={css.alone} data-testid="bench-ended">
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

function Idle({ says, quick, onQuick }: { says: string } & Quick) {
  return (
    <>
      <Head title={say`Bench`} name={say`Nothing for the hands right now`} quick={quick} onQuick={onQuick} />
      <div className={css.alone}>
        <p className={css.text}>{says}</p>
      </div>
      <TimerStrip quick={quick} />
    </>
  );
}
