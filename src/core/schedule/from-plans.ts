import { stepKey } from '@/core/stations';
/**
 * The scheduling problem of all pieces at a moment, made from their steps, the person's hours and what there is room
 * for.
 */
import { airCourse, type AirRecord } from '@/core/cure';
import { MS_PER_DAY, MS_PER_MINUTE } from '@/core/shared';
import type { RunStep } from '@/core/plan';
import { freeWindows, type FreeHours } from './free-hours';
import type { Instance, Places, Task, TaskWait } from './instance';

export interface PieceSteps {
  id: string;
  name: string;
  dueAt: number | null;
  steps: readonly RunStep[];
}

export interface BuildInput {
  pieces: readonly PieceSteps[];
  now: number;
  hours: FreeHours;
  places: Places;
  timeZone: string;
  air: AirRecord | null;
  /** By step, `piece/step`, epoch ms. */
  pins: Readonly<Record<string, number>>;
  notBefore: Readonly<Record<string, number>>;
  /** Safest waits rather than likely ones. */
  safest: boolean;
}

export interface Built {
  instance: Instance;
  /** Epoch ms of minute 0. */
  originAt: number;
  steps: readonly { id: string; pieceId: string; step: RunStep }[];
}

const GRID_MINUTES = 5;
const LEAST_DAYS = 45;
const DAYS_PAST_DUE = 28;
const COURSE_STEP_MINUTES = 60;
const USUAL = { temperatureC: 21, humidityPercent: 50 };

export function buildInstance({
  pieces,
  now,
  hours,
  places,
  timeZone,
  air,
  pins,
  notBefore,
  safest,
}: BuildInput): Built {
  const originAt = Math.floor(now / (GRID_MINUTES * MS_PER_MINUTE)) * GRID_MINUTES * MS_PER_MINUTE;
  const minuteOf = (at: number) => (at - originAt) / MS_PER_MINUTE;
  const lastDue = Math.max(now, ...pieces.map(({ dueAt }) => dueAt ?? 0));
  const untilAt = Math.max(originAt + LEAST_DAYS * MS_PER_DAY, lastDue + DAYS_PAST_DUE * MS_PER_DAY);
  const tasks: Task[] = [];
  const steps: Built['steps'][number][] = [];
  pieces.forEach(({ id, steps: run }, piece) => {
    const places = new Map<string, number>();
    const ripe = new Map(run.map((step) => [step.id, step.doneAt === null ? null : step.ripeAt]));
    for (const step of run) {
      if (step.doneAt !== null) continue;
      const key = stepKey(id, step.id);
      const after = step.after.flatMap((before) => {
        const at = places.get(before);
        return at === undefined ? [] : [at];
      });
      const pendingAt = Math.max(now, notBefore[key] ?? 0, ...step.after.map((before) => ripe.get(before) ?? 0));
      const pinnedAt = pins[key] !== undefined && pins[key] >= originAt ? Math.round(minuteOf(pins[key])) : null;
      places.set(step.id, tasks.length);
      tasks.push({
        id: key,
        piece,
        minutes: step.handsMinutes,
        after,
        wait: taskWait(step, safest),
        notBefore: Math.max(0, Math.ceil(minuteOf(pendingAt))),
        pinnedAt,
        attended: step.attended,
      });
      steps.push({ id: key, pieceId: id, step });
    }
  });
  const occupied = pieces.flatMap(({ steps: run }) =>
    run.flatMap(({ doneAt, ripeAt, wait }) =>
      doneAt !== null && wait.place && (ripeAt ?? 0) > now
        ? [{ place: wait.place, until: Math.ceil(minuteOf(ripeAt ?? now)) }]
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
      places,
      occupied,
      gridMinutes: GRID_MINUTES,
      pieces: pieces.map(({ id, dueAt }) => ({ id, dueMinute: dueAt === null ? null : Math.floor(minuteOf(dueAt)) })),
      windows: freeWindows(hours, originAt, untilAt, timeZone).map(({ fromAt, untilAt: end }) => ({
        from: Math.ceil(minuteOf(fromAt)),
        until: Math.floor(minuteOf(end)),
      })),
      room: course ? { stepMinutes: COURSE_STEP_MINUTES, vpdKpa: [...course.vpdKpa] } : null,
    },
  };
}

function taskWait({ wait }: RunStep, safest: boolean): TaskWait {
  const hours = safest ? wait.safeHours : wait.hours;
  const { drying } = wait;
  return {
    minMinutes: Math.ceil((drying ? drying.floorHours : hours) * 60 - 1e-6),
    maxMinutes: wait.maxHours === null ? null : Math.max(GRID_MINUTES, Math.floor(wait.maxHours * 60)),
    place: wait.place,
    drying: drying
      ? { labelMinutes: (safest ? drying.safeLabelHours : drying.labelHours) * 60, still: drying.still }
      : null,
  };
}
