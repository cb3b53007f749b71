'use client';
import { Button } from '@mui/material';
import Link from 'next/link';
import { dueAt } from '@/core/plan';
import { FirstPiece } from '@/features/pieces';
import { stepWords, useNewPiece, usePlannedPieces, useSettings, useShelf, type PlannedPiece } from '@/features/shell';
import { Answer, WETNESS_WORDS, WetnessMark, clockTime, span, useNow, useUnits } from '@/ui';
import css from './today.module.css';

/** What hands should do now and next across all pieces, and the rack of what is drying. */
export function TodayPage() {
  const now = useNow();
  const shelf = useShelf();
  const planned = usePlannedPieces(shelf, now);
  const newPiece = useNewPiece();
  if (!shelf) return <main className={css.page} aria-busy="true" />;
  if (planned.length === 0) return <FirstPiece />;

  const open = planned.filter(({ next }) => next.code !== 'finished').sort(byTime(now));
  const hands = open.filter(({ next }) => next.at === null || next.at <= now);
  const later = open.filter(({ next }) => next.at !== null && next.at > now);
  const rack = planned.filter(({ plan, piece }) => (plan.cureClock && piece.rub.done.length === 0) || (plan.sealClock?.touchAt != null && plan.sealClock.touchAt > now));

  return (
    <main className={css.page}>
      <div className={css.hands}>
        <Answer>{answer(hands, later, now)}</Answer>
        <StepList title="Now" steps={hands} now={now} empty="Nothing for the hands right now." prominent />
        <StepList title="Later" steps={later} now={now} empty="Nothing is waiting for its time." />
        <Button variant="outlined" onClick={() => void newPiece()} data-testid="new-piece">New piece</Button>
      </div>
      <aside className={css.rack} aria-label="Rack and room">
        <h2>Rack</h2>
        {rack.length === 0 && <p className={css.quiet}>Nothing is drying.</p>}
        <ul>{rack.map((one) => <RackRow key={one.piece.id} planned={one} now={now} />)}</ul>
        <Room />
      </aside>
    </main>
  );
}

const byTime = (now: number) => (a: PlannedPiece, b: PlannedPiece): number => {
  const time = ({ next }: PlannedPiece) => Math.max(now, next.at ?? now);
  const due = ({ piece }: PlannedPiece) => dueAt(piece.dueOn) ?? Infinity;
  // What was begun and has been waiting comes before what could begin at any time.
  const urgency = ({ next }: PlannedPiece) => (next.at === null ? 1 : 0);
  return time(a) - time(b) || urgency(a) - urgency(b) || due(a) - due(b) || a.piece.createdAt - b.piece.createdAt;
};

const lower = (words: string) => words.charAt(0).toLowerCase() + words.slice(1);

function answer(hands: PlannedPiece[], later: PlannedPiece[], now: number): string {
  const [first] = hands;
  if (first) return `${stepWords(first.next)}: ${first.piece.name}.`;
  const [coming] = later;
  if (coming?.next.at) return `Hands free until ${clockTime(coming.next.at, now)}. Then ${lower(stepWords(coming.next))}: ${coming.piece.name}.`;
  return 'Every piece is finished.';
}

function StepList({ title, steps, now, empty, prominent = false }: { title: string; steps: PlannedPiece[]; now: number; empty: string; prominent?: boolean }) {
  return (
    <section>
      <h2>{title}</h2>
      {steps.length === 0 && <p className={css.quiet}>{empty}</p>}
      <ol className={css.steps}>
        {steps.map(({ piece, next }) => (
          <li key={piece.id}>
            <Link href={`/piece/${piece.id}/${next.station}`} className={css.step}>
              <span className={css.time}>{next.at === null ? 'any time' : next.at <= now ? 'now' : clockTime(next.at, now)}</span>
              <span className={css.what}><b>{stepWords(next)}</b><span>{piece.name}</span></span>
              <span className={css.minutes}>{next.minutes === null ? '' : `${next.minutes} min`}</span>
              {prominent && <span className={css.go} aria-hidden>Open</span>}
            </Link>
          </li>
        ))}
      </ol>
    </section>
  );
}

function RackRow({ planned, now }: { planned: PlannedPiece; now: number }) {
  const { piece, plan } = planned;
  const sealing = piece.rub.done.length > 0;
  const clock = plan.cureClock;
  const touchAt = plan.sealClock?.touchAt ?? null;
  const until = sealing ? touchAt : clock && now < clock.likelyAt ? clock.likelyAt : null;
  const wetness = sealing ? 'tacky' : clock?.wetness ?? 'wet';
  const from = sealing ? piece.seal.coatsAt.at(-1) ?? now : piece.lay.laidAt ?? now;
  const share = until === null ? 1 : Math.min(1, Math.max(0, (now - from) / (until - from)));
  return (
    <li>
      <Link href={`/piece/${piece.id}/${sealing ? 'seal' : 'cure'}`} className={css.drying}>
        <WetnessMark wetness={wetness} size={26} />
        <span className={css.what}><b>{piece.name}</b><span>{sealing ? 'sealer drying' : WETNESS_WORDS[wetness]}{until === null ? ': ready to rub' : `, ${span(until - now).replace('in ', '')} left`}</span></span>
        <span className={css.until}>{until === null ? 'now' : clockTime(until, now)}</span>
        <span className={css.bar}><span style={{ width: `${share * 100}%` }} /></span>
      </Link>
    </li>
  );
}

function Room() {
  const { settings } = useSettings();
  const units = useUnits();
  return (
    <section className={css.room}>
      <h2>Room</h2>
      <p><b>{units.temperature(settings.room.temperatureC)}</b> <b>{Math.round(settings.room.humidityPercent)} %</b></p>
      <p className={css.quiet}>as last typed at a piece’s Cure</p>
    </section>
  );
}
