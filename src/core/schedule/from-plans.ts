import { stepKey, type Work } from '@/core/stations';
/**
 * The scheduling problem of all pieces at a moment, made from their steps, the person's hours and what there is room
 * for.
 */
import { airCourse, type AirRecord } from '@/core/cure';
import { MS_PER_DAY, MS_PER_HOUR, MS_PER_MINUTE } from '@/core/shared';
import { waitsBefore, type RunStep } from '@/core/plan';
import { freeWindows, type FreeHours } from './free-hours';
import { OWN } from './placing';
import type { Instance, Places, SetUp, Task, TaskWait } from './instance';

export interface PieceSteps {
  id: string;
  name: string;
  dueAt: number | null;
  steps: readonly RunStep[];
  /** How many sixtieths of a shelf it takes where it lies. */
  room: number;
  /** The set it belongs to; null for one by itself. */
  set: string | null;
}

/** Another pair of hands: when it is free, and what it may do. */
interface Helper {
  weekly: FreeHours['weekly'];
  days: FreeHours['days'];
  can: readonly Work[];
}

export interface BuildInput {
  pieces: readonly PieceSteps[];
  now: number;
  hours: FreeHours;
  helpers: readonly Helper[];
  places: Places;
  timeZone: string;
  air: AirRecord | null;
  /** By step, `piece/step`, epoch ms. */
  pins: Readonly<Record<string, number>>;
  notBefore: Readonly<Record<string, number>>;
  /** Shares of a step's minutes that are done already, by step. */
  partly: Readonly<Record<string, number>>;
  /** Safest waits rather than likely ones. */
  safest: boolean;
}

/** A part of a step that is done in one go. */
interface StepPart {
  /** Of so many, from 1, and the shares of the step's minutes before and after it. */
  number: number;
  of: number;
  fromShare: number;
  untilShare: number;
}

export interface Built {
  instance: Instance;
  /** Epoch ms of minute 0. */
  originAt: number;
  /** Of each task. `id` is its step's where it ends the step, else with the number of its part. */
  steps: readonly { id: string; key: string; pieceId: string; step: RunStep; part: StepPart }[];
}

/** Shelves are counted in sixtieths, so that two, three, four or five of a kind fill one. */
export const SHELF = 60;
const LEAST_SHARE = 1e-6;
const PART = '~';
/** The step that a part of it belongs to. */
export const stepOfPart = (id: string): string => id.split(PART)[0] ?? id;

const GRID_MINUTES = 5;
const LEAST_DAYS = 45;
const DAYS_PAST_DUE = 28;
const COURSE_STEP_MINUTES = 60;
const USUAL = { temperatureC: 21, humidityPercent: 50 };

export function buildInstance({
  pieces,
  now,
  hours,
  helpers,
  places,
  timeZone,
  air,
  pins,
  notBefore,
  partly,
  safest,
}: BuildInput): Built {
  const originAt = Math.floor(now / (GRID_MINUTES * MS_PER_MINUTE)) * GRID_MINUTES * MS_PER_MINUTE;
  const minuteOf = (at: number) => (at - originAt) / MS_PER_MINUTE;
  const lastDue = Math.max(now, ...pieces.map(({ dueAt }) => dueAt ?? 0));
  const untilAt = Math.max(originAt + LEAST_DAYS * MS_PER_DAY, lastDue + DAYS_PAST_DUE * MS_PER_DAY);
  const tasks: Task[] = [];
  const steps: Built['steps'][number][] = [];
  const kinds = new Map<string, number>();
  const kindOf = (kind: string) => {
    if (!kinds.has(kind)) kinds.set(kind, kinds.size);
    return kinds.get(kind) ?? 0;
  };
  const able = (work: Work) => helpers.reduce((bits, { can }, at) => bits | (can.includes(work) ? 2 << at : 0), OWN);
  const rackRoom = places.rack * SHELF;
  pieces.forEach(({ id, steps: run, room }, piece) => {
    // Of each step the tasks that end it; of one that is done those of what comes before it and is not.
    const ends = new Map<string, number[]>();
    const ripe = new Map(run.map((step) => [step.id, step.doneAt === null ? null : ripeTime(step, safest)]));
    for (const step of run) {
      let after = [...new Set(step.after.flatMap((before) => ends.get(before) ?? []))];
      if (step.doneAt !== null) {
        ends.set(step.id, after);
        continue;
      }
      const key = stepKey(id, step.id);
      const pendingAt = Math.max(now, ...waitsBefore(run, step).map((before) => ripe.get(before.id) ?? 0));
      const hands = able(step.work);
      const setUpMinutes = step.setUp?.minutes ?? 0;
      const parts = partsToDo(key, step, partly[key] ?? 0, pins);
      for (const [at, { id: task, part }] of parts.entries()) {
        const last = part.number === part.of;
        const pin = pins[task];
        const pinnedAt = pin !== undefined && pin >= originAt ? Math.round(minuteOf(pin)) : null;
        const from = Math.max(pendingAt, notBefore[task] ?? 0, at === 0 ? (notBefore[key] ?? 0) : 0);
        tasks.push({
          id: task,
          piece,
          minutes: Math.max(1, Math.round((step.handsMinutes - setUpMinutes) * (part.untilShare - part.fromShare))),
          setUp: setUpOf(key, step, part, kindOf),
          hands,
          people: step.people === 2 && bitsOf(hands) > 1 ? 2 : 1,
          after,
          // Whatever is left half done waits for nothing.
          wait: last ? taskWait(step, safest, Math.min(room, Math.max(1, rackRoom))) : { ...NO_WAIT },
          notBefore: Math.max(0, Math.ceil(minuteOf(from))),
          pinnedAt,
          attended: last && step.attended,
        });
        steps.push({ id: task, key, pieceId: id, step, part });
        after = [tasks.length - 1];
      }
      ends.set(step.id, [tasks.length - 1]);
    }
  });
  const occupied = pieces.flatMap(({ steps: run, room }) =>
    run.flatMap(({ doneAt, ripeAt, wait }) =>
      doneAt !== null && wait.place && (ripeAt ?? 0) > now
        ? [
            {
              place: wait.place,
              until: Math.ceil(minuteOf(ripeAt ?? now)),
              room: wait.place === 'rack' ? Math.min(room, Math.max(1, rackRoom)) : 1,
            },
          ]
        : [],
    ),
  );
  const course = air
    ? airCourse(air, USUAL, {
        fromAt: originAt,
        untilAt: originAt + LEAST_DAYS * MS_PER_DAY,
        stepMs: COURSE_STEP_MINUTES * MS_PER_MINUTE,
      })
    : null;
  return {
    originAt,
    steps,
    instance: {
      tasks,
      places: { ...places, rack: rackRoom },
      occupied,
      gridMinutes: GRID_MINUTES,
      pieces: pieces.map(({ id, dueAt, set }) => ({
        id,
        dueMinute: dueAt === null ? null : Math.floor(minuteOf(dueAt)),
        set,
      })),
      hands: [hours, ...helpers.map(({ weekly, days }) => ({ weekly, days, quiet: hours.quiet, busy: [] }))].map(
        (one) =>
          freeWindows(one, originAt, untilAt, timeZone).map(({ fromAt, untilAt: end }) => ({
            from: Math.ceil(minuteOf(fromAt)),
            until: Math.floor(minuteOf(end)),
          })),
      ),
      room: course ? { stepMinutes: COURSE_STEP_MINUTES, vpdKpa: [...course.vpdKpa] } : null,
    },
  };
}

/** When what was done is ready for the next. */
const ripeTime = ({ doneAt, ripeAt, wait }: RunStep, safest: boolean): number | null =>
  safest && ripeAt !== null && doneAt !== null && doneAt > 0
    ? Math.max(ripeAt, doneAt + wait.safeHours * MS_PER_HOUR)
    : ripeAt;

/** What is left to do of a step, in parts; what the person pinned is done in one go up to there. */
function partsToDo(
  key: string,
  { parts }: RunStep,
  done: number,
  pins: BuildInput['pins'],
): { id: string; part: StepPart }[] {
  const found: { id: string; part: StepPart }[] = [];
  let until = 0;
  let from = Math.min(done, 1);
  parts.forEach((share, at) => {
    until = at === parts.length - 1 ? 1 : until + share;
    // Whatever was typed or changed meanwhile: something is left of a step that is not done.
    if (until <= from + LEAST_SHARE && at < parts.length - 1) return;
    const id = at === parts.length - 1 ? key : `${key}${PART}${at + 1}`;
    if (pins[id] !== undefined && found.length > 0) from = found[0]!.part.fromShare;
    if (pins[id] !== undefined) found.length = 0;
    found.push({
      id,
      part: { number: at + 1, of: parts.length, fromShare: Math.min(from, until - LEAST_SHARE), untilShare: until },
    });
    from = until;
  });
  return found;
}

/** What a step gets ready; a part that goes on with a step gets ready anew what the part before it had. */
function setUpOf(
  key: string,
  { setUp, againMinutes, parts }: RunStep,
  part: StepPart,
  kindOf: (kind: string) => number,
): SetUp | null {
  if (setUp) return { kind: kindOf(setUp.kind), minutes: setUp.minutes };
  if (parts.length < 2) return null;
  return { kind: kindOf(`again ${key}`), minutes: part.fromShare > LEAST_SHARE ? againMinutes : 0 };
}

const bitsOf = (bits: number): number => bits.toString(2).split('1').length - 1;

function taskWait({ wait, heatC }: RunStep, safest: boolean, room: number): TaskWait {
  const hours = safest ? wait.safeHours : wait.hours;
  const { drying } = wait;
  return {
    minMinutes: Math.ceil((drying ? drying.floorHours : hours) * 60 - 1e-6),
    maxMinutes: wait.maxHours === null ? null : Math.max(GRID_MINUTES, Math.floor(wait.maxHours * 60)),
    place: wait.place,
    drying: drying
      ? { labelMinutes: (safest ? drying.safeLabelHours : drying.labelHours) * 60, still: drying.still }
      : null,
    room: wait.place === 'rack' ? room : 1,
    heat: wait.place === 'oven' ? heatC : null,
  };
}

const NO_WAIT: TaskWait = { minMinutes: 0, maxMinutes: null, drying: null, place: null, room: 0, heat: null };
