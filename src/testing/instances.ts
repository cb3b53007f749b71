import { airCourse, dayBetween } from '@/core/cure';
import type { Instance, Task, TaskWait } from '@/core/schedule';
import { seededChance, MS_PER_HOUR, MS_PER_MINUTE } from '@/core/shared';

export interface InstanceOf {
  seed: number;
  pieces: number;
  gridMinutes: number;
  days: number;
  peels?: boolean;
  changingRoom?: boolean;
  steps?: readonly [number, number];
}

const DAY = 1440;

/**
 * Seeded pieces as they come in real life: preparation and printing side by side, laying, a long wait on the rack,
 * passes with short waits on the bench, coats of sealer. All times on a grid.
 */
export function instanceOf({
  seed,
  pieces,
  gridMinutes: grid,
  days,
  peels = true,
  changingRoom = true,
  steps = [3, 5],
}: InstanceOf): Instance {
  const chance = seededChance(seed);
  const between = (low: number, high: number) => low + Math.floor(chance() * (high - low + 1));
  const wait = (minMinutes: number, place: TaskWait['place'] = null, extra: Partial<TaskWait> = {}): TaskWait => ({
    minMinutes,
    maxMinutes: null,
    drying: null,
    place,
    ...extra,
  });
  const tasks: Task[] = [];
  const add = (piece: number, step: string, minutes: number, after: number[], then: TaskWait): number => {
    tasks.push({
      id: `p${piece}/${step}`,
      piece,
      minutes: Math.ceil(minutes / grid) * grid,
      after,
      wait: then,
      notBefore: 0,
      pinnedAt: null,
      attended: false,
    });
    return tasks.length - 1;
  };
  for (let piece = 0; piece < pieces; piece++) {
    const count = between(...steps);
    const print = add(piece, 'print', between(5, 20), [], wait(0));
    const base = add(piece, 'base-coat', between(10, 30), [], wait(between(4, 8) * grid, 'bench'));
    const peel = peels && chance() < 0.25;
    let last = peel
      ? add(piece, 'lay', between(10, 25), [print, base], wait(0, 'bench', { maxMinutes: grid }))
      : add(
          piece,
          'lay',
          between(10, 25),
          [print, base],
          wait(
            grid * between(16, 64),
            'rack',
            changingRoom
              ? { minMinutes: 0, drying: { labelMinutes: grid * between(16, 64), still: 0.85 + chance() * 0.4 } }
              : {},
          ),
        );
    for (let pass = 1; pass <= count - 3; pass++)
      last = add(piece, `pass-${pass}`, between(5, 25), [last], wait(between(1, 3) * grid, 'bench'));
    add(piece, 'seal', between(8, 15), [last], wait(between(4, 16) * grid, 'rack'));
  }
  // Some seeds find the rack half taken.
  const drying = seed % 3 === 0 ? [{ place: 'rack' as const, until: grid * between(10, 60) }] : [];
  const windows = Array.from({ length: days }, (_, day) => {
    const from = day * DAY + between(2, 6) * 60;
    return { from, until: from + between(3, 6) * 60 };
  });
  const course = airCourse(
    { readings: [], profile: dayBetween(9, 21, 58) },
    { temperatureC: 20, humidityPercent: 50 },
    { fromAt: 0, untilAt: days * DAY * MS_PER_MINUTE, stepMs: MS_PER_HOUR },
    (at) => (at / MS_PER_HOUR + 9) % 24,
  );
  return {
    tasks,
    windows,
    gridMinutes: grid,
    occupied: drying,
    places: { bench: 2, rack: Math.max(2, Math.ceil(pieces / 2)), oven: 1 },
    room: changingRoom ? { stepMinutes: 60, vpdKpa: [...course.vpdKpa] } : null,
    pieces: Array.from({ length: pieces }, (_, piece) => ({
      id: `p${piece}`,
      dueMinute: chance() < 0.6 ? between(2, Math.max(3, days - 1)) * DAY : null,
    })),
  };
}
