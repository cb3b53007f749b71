'use client';
import { Button } from '@mui/material';
import { MS_PER_MINUTE } from '@/core/shared';
import { useState } from 'react';
import { type JobPatch } from '@/core/stations';
import type { LateRemedy } from '@/core/schedule';
import { lateThings, type Schedule } from '@/features/agenda';
import { useReport } from '@/features/shell';
import { useStash } from '@/features/at-hand';
import { buildInputOf, changedBy, readPiece } from '@/records';
import { database, savePiece } from '@/storage';
import {
  FirstFew,
  NextRow,
  Note,
  clockTime,
  dated,
  dayName,
  formatHours,
  noonOf,
  useClock,
  useNow,
  lasting,
} from '@/ui';
import { formatDuration } from '@/words/figures';
import css from './ahead.module.css';
import { BINDER_WORDS, remarks, sentences } from '@/words';
import { say } from '@/words/say';
import { sayWith } from '@/ui/say-with';

interface Weighed {
  remedy: LateRemedy;
  finishAt: number;
  savedMs: number;
  inTime: boolean;
}

const LEAST_SAVED_MS = 30 * MS_PER_MINUTE;
const SHOWN = 6;
/** The latest of those that are late. */
const LATE_SHOWN = 12;

/** The pieces that are late, by how much, and what would help, each remedy with the date it brings. */
export function LatePieces({ schedule }: { schedule: Schedule }) {
  const now = useNow();
  const clock = useClock();
  const report = useReport();
  const { atHand } = useStash();
  const { pieces, jobs, agenda, change, scheduler, timeZone, planAfresh } = schedule;
  const [weighed, setWeighed] = useState<{ of: string; list: Weighed[] } | null>(null);
  const [busy, setBusy] = useState(false);
  const late = lateThings(pieces);
  const key = late.map((one) => `${one.key}@${one.finishAt}`).join();

  const weigh = async () => {
    setBusy(true);
    const { remedyVariants } = await import('@/core/schedule/remedies');
    const variants = remedyVariants({
      jobs,
      late: late.flatMap(({ pieces: [first] }) => first?.planned.piece.id ?? []),
      atHand,
      shelf: agenda.shelf,
      build: { now: clock(), ...buildInputOf(agenda), timeZone, air: atHand.air },
    });
    const finishes = await scheduler().weigh(variants.map((variant) => variant.built.instance));
    setBusy(false);
    if (!finishes) return;
    const lateIds = new Map(
      late.flatMap(({ pieces: own, finishAt, dueAt }) =>
        own.map(({ planned: { piece } }) => [piece.id, { finishAt: finishAt ?? 0, dueAt: dueAt ?? Infinity }] as const),
      ),
    );
    const list = variants
      .map(({ remedy, built: own }, index): Weighed => {
        const instants = own.instance.pieces
          .map(({ id }, piece) => ({ id, at: own.originAt + finishes[index]![piece]! * MS_PER_MINUTE }))
          .filter(({ id }) => lateIds.has(id));
        const latest = Math.max(...instants.map(({ at }) => at), 0);
        const present = Math.max(
          ...[...lateIds].filter(([id]) => instants.some((one) => one.id === id)).map(([, { finishAt }]) => finishAt),
          0,
        );
        return {
          remedy,
          finishAt: latest,
          savedMs: present - latest,
          inTime: instants.every(({ id, at }) => at <= (lateIds.get(id)?.dueAt ?? Infinity)),
        };
      })
      .filter(({ savedMs, finishAt }) => savedMs > LEAST_SAVED_MS && Number.isFinite(finishAt));
    setWeighed({
      of: key,
      list: list.sort((a, b) => Number(b.inTime) - Number(a.inTime) || b.savedMs - a.savedMs).slice(0, SHOWN),
    });
  };

  const patchPieces = async (patches: { pieceId: string; patch: JobPatch }[], label: string) => {
    for (const { pieceId, patch } of patches) {
      const stored = readPiece(await database().pieces.get(pieceId));
      if (!stored.ok) continue;
      const mine = changedBy(stored.value, patch);
      report(await savePiece(database(), { base: stored.value, mine, label, now: clock() }));
    }
  };
  const take = async (remedy: LateRemedy) => {
    if (remedy.kind === 'binder') await patchPieces([remedy], say`quicker gel or glue`);
    if (remedy.kind === 'fan') await patchPieces(remedy.patches, 'fan');
    if (remedy.kind === 'fewer') await change(({ aside }) => ({ aside: [...aside, ...remedy.pieceIds] }));
    if (remedy.kind === 'today' || remedy.kind === 'hours')
      await change(({ days }) => ({ days: { ...days, [remedy.day]: remedy.spans } }));
    setWeighed(null);
    planAfresh();
  };

  return (
    <>
      <FirstFew of={late} few={LATE_SHOWN} testId="late-all">
        {(shown) =>
          shown.map(({ key: own, name, finishAt, dueAt, lateMs }) => (
            <p key={own} className={css.late}>
              {finishAt === null
                ? sayWith`${(<b>{name}</b>)}: due ${dayName(dueAt, now)}, at least ${lasting(lateMs)} late.`
                : sayWith`${(<b>{name}</b>)}: done ${clockTime(finishAt, now)}, due ${dayName(dueAt, now)}: ${lasting(lateMs)} late.`}
            </p>
          ))
        }
      </FirstFew>
      {weighed?.of !== key && (
        <NextRow>
          <Button
            size="small"
            variant="contained"
            disabled={busy}
            onClick={() => void weigh()}
            data-testid="what-helps"
          >
            {busy ? say`Trying …` : say`What would help`}
          </Button>
        </NextRow>
      )}
      {weighed?.of === key &&
        (weighed.list.length === 0 ? (
          <Note>
            {sentences(
              say`None of these would help: another gel or glue, a fan, one piece fewer, two hours more today
                or on a day of the coming week.`,
              say`A later date would.`,
            )}
          </Note>
        ) : (
          <ul className={css.remedies}>
            {weighed.list.map(({ remedy, finishAt, savedMs, inTime }) => (
              <li key={JSON.stringify(remedy)}>
                <span>
                  {wordsOf(remedy, jobs)}
                  <small>
                    {remarks(
                      say`done ${clockTime(finishAt, now)}`,
                      say`${lasting(savedMs)} sooner`,
                      inTime && say`in time`,
                    )}
                  </small>
                </span>
                <Button
                  size="small"
                  variant={inTime ? 'contained' : 'outlined'}
                  onClick={() => void take(remedy)}
                  data-testid={`remedy-${remedy.kind}`}
                >{say`Do it`}</Button>
              </li>
            ))}
          </ul>
        ))}
    </>
  );
}

function wordsOf(remedy: LateRemedy, jobs: Schedule['jobs']): string {
  switch (remedy.kind) {
    case 'binder':
      return say`${jobs.find(({ id }) => id === remedy.pieceId)?.name ?? ''}: lay it with ${BINDER_WORDS[remedy.binder].inText}`;
    case 'fan':
      return say`Let a fan blow over all that dries`;
    case 'fewer':
      return say`One piece fewer: set ${remedy.name} aside`;
    case 'hours':
      return say`${formatDuration(remedy.minutes / 60)} more on ${dated(noonOf(remedy.day), 'EEEE d MMM')}`;
    case 'today':
      return say`Start today: hands free ${formatHours(remedy.spans)}`;
  }
}
