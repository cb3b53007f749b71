import { MS_PER_HOUR, MS_PER_MINUTE } from '@/core/shared';
import { isDoubtful, trueTime, type TrueTime } from './true-time';

const BEGIN = { wallMs: 1_800_000_000_000, runMs: 1000, seconds: 5000, bootId: 'one', away: false };
/** A machine: its time of day, what an open page counts, and the seconds its server counts. */
const machine = { ...BEGIN };
const store = new Map<string, string>();
const pass = (hours: number) => {
  machine.wallMs += hours * MS_PER_HOUR;
  machine.runMs += hours * MS_PER_HOUR;
  machine.seconds += hours * 3600;
};
/** A machine that sleeps lets its server's seconds run on, and not those of its pages. */
const sleep = (hours: number) => {
  machine.wallMs += hours * MS_PER_HOUR;
  machine.seconds += hours * 3600;
};
const setClock = (hours: number) => {
  machine.wallMs += hours * MS_PER_HOUR;
};
const startAnew = (hoursOff: number) => {
  machine.wallMs += hoursOff * MS_PER_HOUR;
  Object.assign(machine, { bootId: 'two', seconds: 3 });
};

let carried: { byMs: number; untilMs: number }[] = [];
const follow = (byMs: number, untilMs: number) => {
  carried.push({ byMs, untilMs });
  return Promise.resolve(true);
};
const settled = async (time: TrueTime) => Math.round((await time.settle(follow)) / MS_PER_MINUTE) / 60;
/** A page that was opened and has looked once. */
async function opened(): Promise<TrueTime> {
  const time = trueTime();
  await time.settle(follow);
  return time;
}
const uncounted = (time: TrueTime) => time.gaps().reduce((sum, { ms }) => sum + ms, 0) / MS_PER_HOUR;

beforeEach(() => {
  store.clear();
  carried = [];
  Object.assign(machine, BEGIN);
  jest.spyOn(Date, 'now').mockImplementation(() => machine.wallMs);
  jest.spyOn(performance, 'now').mockImplementation(() => machine.runMs);
  Object.assign(globalThis, {
    localStorage: {
      getItem: (key: string) => store.get(key) ?? null,
      setItem: (key: string, value: string) => store.set(key, value),
    },
    fetch: () =>
      machine.away
        ? Promise.reject(new Error('away'))
        : Promise.resolve({ json: () => Promise.resolve({ bootId: machine.bootId, seconds: machine.seconds }) }),
  });
});
afterEach(() => jest.restoreAllMocks());

describe('whether the clock was set', () => {
  it('not while time simply passes, awake or asleep, and not when first asked', async () => {
    const time = trueTime();
    expect(time.hasJumped()).toBe(true);
    expect(await settled(time)).toBe(0);
    pass(2);
    expect(time.hasJumped()).toBe(false);
    expect(await settled(time)).toBe(0);
    sleep(30);
    expect(time.hasJumped()).toBe(true);
    expect(await settled(time)).toBe(0);
    expect(carried).toEqual([]);
    expect(uncounted(time)).toBe(0);
  });

  it.each([40, -1, 0.002])(
    'by %p hours, said once, in a page that stands open and in one opened since',
    async (hours) => {
      const open = await opened();
      for (const time of [open, null]) {
        pass(1);
        const before = machine.wallMs;
        setClock(hours);
        expect(await (time ?? trueTime()).settle(follow)).toBeCloseTo(hours * MS_PER_HOUR, -1);
        expect(carried.at(-1)?.untilMs).toBeGreaterThanOrEqual(before);
        pass(0.1);
        expect(await settled(open)).toBe(0);
        expect(await settled(trueTime())).toBe(0);
      }
      expect(carried).toHaveLength(2);
    },
  );

  it('what was recorded since by the clock as it is now is not carried along', async () => {
    const time = await opened();
    pass(1);
    const before = machine.wallMs;
    setClock(40);
    pass(0.001);
    await time.settle(follow);
    const [{ untilMs }] = carried;
    expect(untilMs).toBeGreaterThanOrEqual(before);
    expect(untilMs).toBeLessThan(before + MS_PER_MINUTE);
  });

  it('says nothing of a jump that is only the network’s, or of an unreadable note', async () => {
    const time = await opened();
    machine.wallMs += 1500;
    expect(await settled(time)).toBe(0);
    store.set('fobbet.clock-anchor', '{broken');
    setClock(3);
    expect(await settled(trueTime())).toBe(0);
    expect(carried).toEqual([]);
  });

  it('looks again where what it carries along could not be kept', async () => {
    const time = await opened();
    setClock(40);
    expect(await time.settle(() => Promise.resolve(false))).toBe(0);
    expect(time.hasJumped()).toBe(true);
    expect(await settled(time)).toBe(40);
  });

  it('looks once where it is asked twice at a time', async () => {
    const time = await opened();
    setClock(40);
    await Promise.all([time.settle(follow), time.settle(follow)]);
    expect(carried).toHaveLength(1);
  });
});

describe('where nobody counted', () => {
  it('an open page without its server knows what it was awake for; of the rest nothing is known', async () => {
    const time = await opened();
    machine.away = true;
    pass(3);
    expect(await settled(time)).toBe(0);
    expect(uncounted(time)).toBe(0);
    sleep(5);
    expect(await settled(time)).toBe(0);
    expect(uncounted(time)).toBeCloseTo(5, 3);
  });

  it('of two windows one carries what waits along', async () => {
    const [here, there] = [await opened(), await opened()];
    await here.settle(follow);
    await there.settle(follow);
    machine.away = true;
    setClock(-2);
    expect(await settled(here)).toBe(-2);
    expect(await settled(there)).toBe(0);
    expect(carried).toHaveLength(1);
  });

  it('a clock that was set back is no machine that slept', async () => {
    const time = await opened();
    machine.away = true;
    pass(3);
    setClock(-2);
    expect(await settled(time)).toBe(-2);
    // The server counts it only once, when it answers again.
    machine.away = false;
    sleep(1);
    expect(await settled(time)).toBe(0);
  });

  it('the server tells it after all, if it was not started anew', async () => {
    await opened();
    machine.away = true;
    sleep(3);
    setClock(40);
    const later = await opened();
    expect(uncounted(later)).toBeCloseTo(43, 3);
    machine.away = false;
    sleep(1);
    expect(await settled(later)).toBe(40);
    expect(uncounted(later)).toBe(0);
  });

  it('a machine that was off: what its clock passed until it was started', async () => {
    const time = await opened();
    pass(2);
    time.seen();
    startAnew(9);
    sleep(1);
    const later = await opened();
    expect(uncounted(later)).toBeCloseTo(9, 2);
    expect(carried).toEqual([]);
  });

  it('a wait is doubtful if it may not be over for all that is known, and began before', () => {
    const at = (hours: number) => hours * MS_PER_HOUR;
    const gaps = [{ fromMs: at(10), ms: at(5) }];
    const wait = (from: number, until: number) => ({ fromAt: at(from), untilAt: at(until) });
    expect(isDoubtful(wait(8, 19), gaps, at(20))).toBe(true);
    expect(isDoubtful(wait(8, 15), gaps, at(20))).toBe(false);
    expect(isDoubtful(wait(8, 15.1), gaps, at(20))).toBe(true);
    expect(isDoubtful(wait(11, 19), gaps, at(20))).toBe(false);
    expect(isDoubtful(wait(8, 21), gaps, at(20))).toBe(false);
    expect(isDoubtful(wait(8, 19), [], at(20))).toBe(false);
  });

  it('is settled by a person: the clock is right, or by how much it was set', async () => {
    await opened();
    machine.away = true;
    sleep(8);
    const time = await opened();
    await time.say(0, follow);
    expect(time.gaps()).toEqual([]);
    expect(carried).toEqual([]);
    sleep(2);
    setClock(6);
    await time.settle(follow);
    await time.say(6 * MS_PER_HOUR, follow);
    expect(carried.map(({ byMs }) => byMs / MS_PER_HOUR)).toEqual([6]);
    expect(time.gaps()).toEqual([]);
    // Once the server counts again, it finds nothing more to settle.
    machine.away = false;
    sleep(1);
    expect(await settled(time)).toBe(0);
  });
});
