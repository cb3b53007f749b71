import { clockSetBy } from './true-time';

/** A machine: its time of day, and the seconds its server counts. */
const machine = { wallMs: 1_800_000_000_000, seconds: 5000, bootId: 'one', away: false };
const store = new Map<string, string>();
const pass = (seconds: number) => {
  machine.wallMs += seconds * 1000;
  machine.seconds += seconds;
};

beforeEach(() => {
  store.clear();
  Object.assign(machine, { wallMs: 1_800_000_000_000, seconds: 5000, bootId: 'one', away: false });
  jest.spyOn(Date, 'now').mockImplementation(() => machine.wallMs);
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
    expect(await clockSetBy()).toBe(0);
    pass(7200);
    expect(await clockSetBy()).toBe(0);
  });
  it.each([3600, -3600, 5])('by %p seconds, said once, also after the page was closed', async (seconds) => {
    await clockSetBy();
    pass(100);
    machine.wallMs += seconds * 1000;
    expect(Math.abs((await clockSetBy()) - seconds * 1000)).toBeLessThan(100);
    pass(10);
    expect(await clockSetBy()).toBe(0);
  });
  it('says nothing of a jump that is only the network’s, of another start, of an unreadable note, or without the server', async () => {
    await clockSetBy();
    machine.wallMs += 1500;
    expect(await clockSetBy()).toBe(0);
    Object.assign(machine, { bootId: 'two', seconds: 3, wallMs: machine.wallMs + 9_000_000 });
    expect(await clockSetBy()).toBe(0);
    store.set('fobbet.clock-anchor', '{broken');
    expect(await clockSetBy()).toBe(0);
    machine.away = true;
    machine.wallMs += 9_000_000;
    expect(await clockSetBy()).toBe(0);
  });
});
