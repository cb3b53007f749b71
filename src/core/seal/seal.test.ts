import { sealerById } from '@/core/craft';
import { MS_PER_DAY } from '@/core/shared';
import { HOUR, NOW } from '@/testing/builders';
import { sealDates, sealPlan, type SealTimes } from './index';

const ROOM = { temperatureC: 21, humidityPercent: 50, air: 'still' as const, cover: 'open' as const };
const plan = sealPlan(sealerById('acrylic-varnish'), 60_000, ROOM, null);
const times = (patch: Partial<SealTimes> = {}): SealTimes => ({
  ...{ plan, coatsAt: [], firstAt: NOW, use: 'wall', laundered: false, bareAt: null },
  ...patch,
});
const at = (patch: Partial<SealTimes>, code: string) => sealDates(times(patch)).find((date) => date.code === code)?.at;

describe('dates after sealing', () => {
  it('follow from when it is dry, in order, each after the one before it', () => {
    const dates = sealDates(times());
    expect(dates.map(({ code, number }) => [code, number])).toEqual([
      ['coat', 1],
      ['coat', 2],
      ['touch', null],
      ['hang', null],
      ['wipe', null],
      ['hand-over', null],
      ['hard', null],
    ]);
    dates.slice(1).forEach((date, index) => expect(date.at).toBeGreaterThanOrEqual(dates[index].at));
    expect(dates[1]?.at).toBe(NOW + 2 * HOUR);
    expect(dates.at(-1)?.at).toBe(NOW + 2 * HOUR + 21 * MS_PER_DAY);
  });

  it('a coat that is on, and one that is planned, carry their own time', () => {
    expect(at({ coatsAt: [NOW - HOUR], plannedAt: [null, NOW + 9 * HOUR] }, 'touch')).toBe(NOW + 13 * HOUR);
    expect(at({ coatsAt: [NOW - 5 * HOUR, NOW - HOUR] }, 'touch')).toBe(NOW + 3 * HOUR);
  });

  it('what is handled is handed over when it is hard, what hangs when it carries a cloth', () => {
    expect(at({ use: 'handled' }, 'hand-over')).toBe(at({ use: 'handled' }, 'hard'));
    expect(at({ use: 'handled' }, 'hang')).toBeUndefined();
    expect(at({}, 'hand-over')).toBe(at({}, 'wipe'));
  });

  it('cloth without a sealer has its first wash; nothing is dated that nobody knows', () => {
    const bare = sealPlan(sealerById('none'), 60_000, ROOM, null);
    expect(sealDates(times({ plan: bare, laundered: true, bareAt: NOW }))).toEqual([
      { code: 'first-wash', number: null, at: NOW + 4 * MS_PER_DAY },
    ]);
    expect(sealDates(times({ plan: bare }))).toEqual([]);
    expect(sealDates(times({ firstAt: null }))).toEqual([]);
    expect(sealDates(times({ plan: null }))).toEqual([]);
  });
});
