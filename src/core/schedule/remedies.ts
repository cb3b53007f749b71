/**
 * What would bring a late piece in on time: another binder, a fan, one piece fewer, free hours today. Each is a whole
 * problem of its own, solved beside the present one, so that the new date it promises is one that holds.
 */
import type { BinderId } from '@/core/craft';
import { MOST_SPANS, type DaySpan } from '@/core/measure';
import { MS_PER_DAY } from '@/core/shared';
import { applyPatch, type Job, type JobPatch, type PictureFacts } from '@/core/stations';
import { foresee, plannedSteps } from '@/core/plan';
import type { AtHand } from '@/core/at-hand';
import { footprintOf, shelfRoom, type Shelf } from './footprint';
import { buildInstance, type BuildInput, type Built, type PieceSteps } from './from-plans';
import { dayOf, minuteOfDay, weekdayOf } from './free-hours';

export interface JobInPlan {
  id: string;
  name: string;
  dueAt: number | null;
  /** The set it belongs to; null for one by itself. */
  set: string | null;
  job: Job;
  picture: PictureFacts | null;
}

export type LateRemedy =
  | { kind: 'binder'; pieceId: string; binder: BinderId; patch: JobPatch }
  | { kind: 'fan'; patches: { pieceId: string; patch: JobPatch }[] }
  | { kind: 'fewer'; pieceIds: string[]; name: string }
  | { kind: 'today'; day: string; spans: DaySpan[] }
  /** So many minutes more on a day to come; `spans` is the whole day with them. */
  | { kind: 'hours'; day: string; spans: DaySpan[]; minutes: number };

export interface RemedyVariant {
  remedy: LateRemedy;
  built: Built;
}

export interface RemedyInput {
  jobs: readonly JobInPlan[];
  late: readonly string[];
  atHand: AtHand;
  shelf: Shelf;
  build: Omit<BuildInput, 'pieces'>;
}

const QUICKER_HOURS = 1;
const MOST_BINDERS = 2;
/** Free time that today would be given: from now until the quiet hours, or ten in the evening. */
const EVENING_MINUTE = 22 * 60;
const LEAST_MINUTES = 30;

export const stepsOf = (
  { id, name, dueAt, set, job, picture }: JobInPlan,
  now: number,
  atHand: AtHand,
  shelf: Shelf,
): PieceSteps => {
  const foreseen = foresee(job, picture, now, atHand);
  const steps = plannedSteps(foreseen, atHand.pace);
  return { id, name, dueAt, set, steps, room: shelfRoom(footprintOf(foreseen.plan.surface.blank), shelf) };
};

export function remedyVariants({ jobs, late, atHand, shelf, build }: RemedyInput): RemedyVariant[] {
  const { now } = build;
  const all = jobs.map((job) => stepsOf(job, now, atHand, shelf));
  const withJob = (changes: ReadonlyMap<string, JobPatch>): PieceSteps[] =>
    jobs.map((job, index) => {
      const patch = changes.get(job.id) ?? setPatch(job, changes);
      return patch ? stepsOf({ ...job, job: applyPatch(job.job, patch) }, now, atHand, shelf) : all[index]!;
    });
  // What is chosen for one of a set holds for all of it.
  const setPatch = (job: JobInPlan, changes: ReadonlyMap<string, JobPatch>): JobPatch | undefined => {
    const leader = jobs.find((one) => isOneSet(one, job) && changes.has(one.id));
    return leader && changes.get(leader.id);
  };
  const variant = (remedy: LateRemedy, pieces: readonly PieceSteps[], hours = build.hours): RemedyVariant => ({
    remedy,
    built: buildInstance({ ...build, hours, pieces }),
  });
  const variants: RemedyVariant[] = [];
  for (const id of late)
    for (const { binder, patch } of quickerBinders(
      jobs.find((job) => job.id === id),
      now,
      atHand,
    ))
      variants.push(variant({ kind: 'binder', pieceId: id, binder, patch }, withJob(new Map([[id, patch]]))));
  const still = jobs.filter(
    ({ job }) => job.cure.air === 'still' && job.rub.done.length === 0 && job.rub.finishedAt === null,
  );
  if (still.length > 0) {
    const patches = still.map(({ id }) => ({ pieceId: id, patch: { cure: { air: 'fan' as const } } }));
    variants.push(
      variant({ kind: 'fan', patches }, withJob(new Map(patches.map(({ pieceId, patch }) => [pieceId, patch])))),
    );
  }
  for (const [at, one] of jobs.entries()) {
    // A set goes as a whole.
    const pieceIds = jobs.filter((job) => job === one || isOneSet(job, one)).map(({ id }) => id);
    const isFirst = jobs.findIndex((job) => job === one || isOneSet(job, one)) === at;
    if (isFirst && (late.length > 1 || !pieceIds.some((id) => late.includes(id))))
      variants.push(
        variant(
          { kind: 'fewer', pieceIds, name: one.name },
          all.filter(({ id }) => !pieceIds.includes(id)),
        ),
      );
  }
  const today = moreToday(build);
  if (today)
    variants.push(
      variant({ kind: 'today', ...today }, all, {
        ...build.hours,
        days: { ...build.hours.days, [today.day]: today.spans },
      }),
    );
  for (const more of moreLater(build))
    variants.push(
      variant({ kind: 'hours', ...more }, all, {
        ...build.hours,
        days: { ...build.hours.days, [more.day]: more.spans },
      }),
    );
  return variants;
}

const isOneSet = (one: JobInPlan, other: JobInPlan): boolean => one.set !== null && one.set === other.set;

/** Two hours that a day of the coming week could give: first in the evening, then through the day. */
const MORE_MINUTES = 120;
const MORE_STARTS = [19, 17, 15, 13, 10].map((hour) => hour * 60);
const DAYS_AHEAD = 6;

function moreLater({ now, hours, timeZone }: Omit<BuildInput, 'pieces'>): {
  day: string;
  spans: DaySpan[];
  minutes: number;
}[] {
  return Array.from({ length: DAYS_AHEAD }, (_, ahead) => dayOf(now + (ahead + 1) * MS_PER_DAY, timeZone)).flatMap(
    (day) => {
      const present = hours.days[day] ?? hours.weekly[weekdayOf(day)]!;
      const start = MORE_STARTS.find((from) =>
        present.every(({ fromMinute, untilMinute }) => untilMinute <= from || fromMinute >= from + MORE_MINUTES),
      );
      if (start === undefined || present.length >= MOST_SPANS) return [];
      const spans = [...present, { fromMinute: start, untilMinute: start + MORE_MINUTES }].sort(
        (a, b) => a.fromMinute - b.fromMinute,
      );
      return [{ day, spans, minutes: MORE_MINUTES }];
    },
  );
}

function quickerBinders(
  job: JobInPlan | undefined,
  now: number,
  atHand: AtHand,
): { binder: BinderId; patch: JobPatch }[] {
  if (!job || job.job.lay.laidAt !== null) return [];
  const { plan } = foresee(job.job, job.picture, now, atHand);
  const hours = plan.method.chosen?.figures?.waitHours ?? Infinity;
  return plan.method.candidates
    .filter(
      (candidate) =>
        candidate.verdict !== 'refused' &&
        candidate.figures !== null &&
        candidate.binder.wet &&
        candidate.figures.waitHours < hours - QUICKER_HOURS,
    )
    .sort((a, b) => (a.figures?.waitHours ?? 0) - (b.figures?.waitHours ?? 0))
    .slice(0, MOST_BINDERS)
    .map(({ binder, school }) => ({ binder: binder.id, patch: { method: { school: school.id, binder: binder.id } } }));
}

/** Today from now on, where it is not free already. */
function moreToday({ now, hours, timeZone }: Omit<BuildInput, 'pieces'>): { day: string; spans: DaySpan[] } | null {
  const day = dayOf(now, timeZone);
  const minute = Math.ceil(minuteOfDay(now, timeZone) / 5) * 5;
  const until =
    hours.quiet && hours.quiet.fromMinute > hours.quiet.untilMinute
      ? Math.min(EVENING_MINUTE, hours.quiet.fromMinute)
      : EVENING_MINUTE;
  const present = hours.days[day] ?? hours.weekly[weekdayOf(day)]!;
  const free = present.reduce(
    (sum, span) => sum + Math.max(0, Math.min(span.untilMinute, until) - Math.max(span.fromMinute, minute)),
    0,
  );
  return until - minute - free >= LEAST_MINUTES ? { day, spans: [{ fromMinute: minute, untilMinute: until }] } : null;
}
