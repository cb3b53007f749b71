import { airCourse, dayBetween } from '@/core/cure';
import type { Instance, SetUp, Task, TaskWait } from '@/core/schedule';
import { seededChance, MS_PER_HOUR, MS_PER_MINUTE } from '@/core/shared';

export interface InstanceOf {
  seed: number;
  pieces: number;
  gridMinutes: number;
  days: number;
  peels?: boolean;
  changingRoom?: boolean;
  steps?: readonly [number, number];
  /** Pairs of hands; the second has evenings of its own and may not do everything. */
  hands?: 1 | 2;
  /** Printing, painting and sealing share what is got ready; long rubbing is split; two ovens' heats. */
  setUps?: boolean;
}

const DAY = 1440;
/** Kinds of set-up. */
const [PRINT, SEAL, BASE, OWN] = [0, 1, 2, 10];

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
  hands = 1,
  setUps = false,
}: InstanceOf): Instance {
  const chance = seededChance(seed);
  const between = (low: number, high: number) => low + Math.floor(chance() * (high - low + 1));
  const wait = (minMinutes: number, place: TaskWait['place'] = null, extra: Partial<TaskWait> = {}): TaskWait => ({
    minMinutes,
    maxMinutes: null,
    drying: null,
    place,
    room: 1,
    heat: null,
    ...extra,
  });
  const ready = (kind: number): SetUp | null => (setUps ? { kind, minutes: grid } : null);
  const all = (1 << hands) - 1;
  const tasks: Task[] = [];
  const add = (
    piece: number,
    step: string,
    minutes: number,
    after: number[],
    then: TaskWait,
    more: Partial<Task> = {},
  ): number => {
    tasks.push({
      id: `p${piece}/${step}`,
      piece,
      minutes: Math.ceil(minutes / grid) * grid,
      after,
      wait: then,
      notBefore: 0,
      pinnedAt: null,
      attended: false,
      setUp: null,
      hands: all,
      people: 1,
      ...more,
    });
    return tasks.length - 1;
  };
  for (let piece = 0; piece < pieces; piece++) {
    const count = between(...steps);
    const room = setUps ? between(1, 3) : 1;
    const print = add(piece, 'print', between(5, 20), [], wait(0), { setUp: ready(PRINT) });
    const base = add(piece, 'base-coat', between(10, 30), [], wait(between(4, 8) * grid, 'bench'), {
      setUp: ready(BASE + (piece % 2)),
    });
    // Every fifth takes two people to lift where there are two.
    const lift = hands === 2 && chance() < 0.2 ? ({ people: 2 } as const) : {};
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
              ? {
                  minMinutes: 0,
                  drying: { labelMinutes: grid * between(16, 64), still: 0.85 + chance() * 0.4 },
                  room,
                }
              : { room },
          ),
          lift,
        );
    for (let pass = 1; pass <= count - 3; pass++) {
      const split = setUps && pass === 1 && chance() < 0.4;
      const again = ready(OWN + tasks.length);
      if (split) last = add(piece, `pass-${pass}~1`, between(5, 15), [last], wait(0), { setUp: again });
      last = add(piece, `pass-${pass}`, between(5, 25), [last], wait(between(1, 3) * grid, 'bench'), {
        setUp: split ? again : null,
      });
    }
    // Sprayed on by one of them only.
    add(piece, 'seal', between(8, 15), [last], wait(between(4, 16) * grid, 'rack', { room }), {
      hands: 1,
      setUp: ready(SEAL),
    });
  }
  // Some seeds find the rack half taken.
  const drying = seed % 3 === 0 ? [{ place: 'rack' as const, until: grid * between(10, 60), room: 1 }] : [];
  const evenings = () =>
    Array.from({ length: days }, (_, day) => {
      const from = day * DAY + between(2, 6) * 60;
      return { from, until: from + between(3, 6) * 60 };
    });
  const own = evenings();
  const course = airCourse(
    { readings: [], profile: dayBetween(9, 21, 58) },
    { temperatureC: 20, humidityPercent: 50 },
    { fromAt: 0, untilAt: days * DAY * MS_PER_MINUTE, stepMs: MS_PER_HOUR },
    (at) => (at / MS_PER_HOUR + 9) % 24,
  );
  return {
    tasks,
    hands: hands === 1 ? [own] : [own, evenings().filter((_, day) => day % 2 === 0)],
    gridMinutes: grid,
    occupied: drying,
    places: { bench: 1 + hands, rack: Math.max(2, Math.ceil(pieces / 2)) * (setUps ? 2 : 1), oven: 1 },
    room: changingRoom ? { stepMinutes: 60, vpdKpa: [...course.vpdKpa] } : null,
    pieces: Array.from({ length: pieces }, (_, piece) => ({
      id: `p${piece}`,
      // Every third such problem has a set of two.
      set: setUps && seed % 3 === 1 && piece < 2 ? 'set' : null,
      dueMinute: chance() < 0.6 ? between(2, Math.max(3, days - 1)) * DAY : null,
    })),
  };
}
