import { TZDate } from '@date-fns/tz';
import fc from '@/testing/properties';
import { MS_PER_HOUR, MS_PER_MINUTE } from '@/core/shared';
import { parseSpans, formatSpans } from '@/core/measure';
import { dayOf, freeWindows, instantOf, isQuiet, type FreeHours } from './index';

const LONDON = 'Europe/London';
const day = (from: number, until: number) => [{ fromMinute: from * 60, untilMinute: until * 60 }];
const hours = (patch: Partial<FreeHours> = {}): FreeHours => ({
  weekly: Array.from({ length: 7 }, () => day(18, 21)),
  days: {},
  quiet: null,
  busy: [],
  ...patch,
});
const windows = (free: FreeHours, from: string, days: number, zone = LONDON) => {
  const at = instantOf(from, 0, zone);
  return freeWindows(free, at, at + days * 24 * MS_PER_HOUR + MS_PER_HOUR, zone);
};
const local = (at: number, zone = LONDON) =>
  new Intl.DateTimeFormat('en-GB', {
    timeZone: zone,
    weekday: 'short',
    hour: '2-digit',
    minute: '2-digit',
    hourCycle: 'h23',
  }).format(at);

describe('free hours', () => {
  it('follow the weekday, single days, and an empty day', () => {
    const free = hours({
      weekly: [day(10, 18), ...Array.from({ length: 5 }, () => day(18, 21)), day(10, 18)],
      days: { '2026-12-02': [], '2026-12-03': day(8, 9) },
    });
    const found = windows(free, '2026-11-28', 7);
    expect(found.map(({ fromAt, untilAt }) => `${local(fromAt)}–${local(untilAt).slice(-5)}`)).toEqual([
      'Sat 10:00–18:00',
      'Sun 10:00–18:00',
      'Mon 18:00–21:00',
      'Tue 18:00–21:00',
      'Thu 08:00–09:00',
      'Fri 18:00–21:00',
    ]);
  });

  it('leave out quiet hours over midnight and busy times', () => {
    const at = (text: string) => new Date(text).getTime();
    const free = hours({
      weekly: Array.from({ length: 7 }, () => day(5, 24)),
      quiet: { fromMinute: 22 * 60, untilMinute: 7 * 60 },
      busy: [{ fromAt: at('2026-12-01T12:00Z'), untilAt: at('2026-12-01T13:30Z') }],
    });
    expect(
      windows(free, '2026-12-01', 0.99).map(
        ({ fromAt, untilAt }) => `${local(fromAt).slice(-5)}–${local(untilAt).slice(-5)}`,
      ),
    ).toEqual(['07:00–12:00', '13:30–22:00']);
    expect(isQuiet(free.quiet, at('2026-12-01T23:00Z'), LONDON)).toBe(true);
    expect(isQuiet(free.quiet, at('2026-12-01T06:59Z'), LONDON)).toBe(true);
    expect(isQuiet(free.quiet, at('2026-12-01T07:00Z'), LONDON)).toBe(false);
    expect(isQuiet({ fromMinute: 780, untilMinute: 840 }, at('2026-12-01T13:30Z'), LONDON)).toBe(true);
  });

  it('have the hours they really have on days when the clock is changed', () => {
    const night = hours({ weekly: Array.from({ length: 7 }, () => day(0, 4)) });
    const length = (from: string) => {
      const [first] = windows(night, from, 0.5);
      return (first.untilAt - first.fromAt) / MS_PER_HOUR;
    };
    expect(length('2026-03-28')).toBe(4);
    expect(length('2026-03-29')).toBe(3);
    expect(length('2026-10-25')).toBe(5);
    // Evenings keep their time on the wall, before and after.
    for (const { fromAt } of windows(hours(), '2026-10-22', 7)) expect(local(fromAt).slice(-5)).toBe('18:00');
    expect(dayOf(instantOf('2026-03-29', 90, LONDON), LONDON)).toBe('2026-03-29');
  });

  it('are ascending, apart, and outside what is busy, in any zone', () => {
    const span = fc
      .record({ from: fc.integer({ min: 0, max: 23 }), length: fc.integer({ min: 1, max: 12 }) })
      .map(({ from, length }) => ({ fromMinute: from * 60, untilMinute: Math.min(1440, (from + length) * 60) }));
    fc.assert(
      fc.property(
        fc.array(span, { maxLength: 3 }),
        fc.array(fc.record({ start: fc.integer({ min: 0, max: 10_000 }), minutes: fc.integer({ min: 1, max: 900 }) }), {
          maxLength: 6,
        }),
        fc.constantFrom(LONDON, 'America/New_York', 'Asia/Kolkata', 'Pacific/Auckland'),
        (spans, taken, zone) => {
          const from = instantOf('2026-10-20', 0, zone);
          const busy = taken.map(({ start, minutes }) => ({
            fromAt: from + start * MS_PER_MINUTE,
            untilAt: from + (start + minutes) * MS_PER_MINUTE,
          }));
          const found = windows(
            hours({
              weekly: Array.from({ length: 7 }, () => spans),
              busy,
              quiet: { fromMinute: 1380, untilMinute: 360 },
            }),
            '2026-10-20',
            10,
            zone,
          );
          found.forEach((window, index) => {
            expect(window.untilAt).toBeGreaterThan(window.fromAt);
            if (index > 0) expect(window.fromAt).toBeGreaterThan(found[index - 1].untilAt);
            for (const one of busy) expect(one.untilAt <= window.fromAt || one.fromAt >= window.untilAt).toBe(true);
            expect(isQuiet({ fromMinute: 1380, untilMinute: 360 }, window.fromAt, zone)).toBe(false);
          });
        },
      ),
      { numRuns: 60 },
    );
  });
});

describe('an instant of a local day', () => {
  const zones = ['Europe/London', 'Australia/Lord_Howe', 'America/Santiago', 'Pacific/Apia', 'Asia/Kathmandu', 'UTC'];
  it('is what the zone says, on days with and without a change of the clock', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...zones),
        fc.date({ min: new Date('2011-01-01'), max: new Date('2030-12-31'), noInvalidDate: true }),
        fc.integer({ min: 0, max: 1440 }),
        (zone, date, minute) => {
          const [year, month, day] = [date.getUTCFullYear(), date.getUTCMonth(), date.getUTCDate()];
          const asked = new TZDate(year, month, day, Math.floor(minute / 60), minute % 60, zone).getTime();
          expect(instantOf(date.toISOString().slice(0, 10), minute, zone)).toBe(asked);
        },
      ),
      { numRuns: 2000 },
    );
  });
});

describe('stretches of a day as typed', () => {
  it.each([
    ['18-21', '18:00–21:00'],
    ['9:30–12, 14–17', '09:30–12:00, 14:00–17:00'],
    ['6 pm - 9 pm', '18:00–21:00'],
    ['10 to 11.30 and 8-9', '08:00–09:00, 10:00–11:30'],
    ['20-24', '20:00–24:00'],
    ['12am-1am', '00:00–01:00'],
  ])('%s', (text, read) => {
    const parsed = parseSpans(text);
    expect(parsed.ok && formatSpans(parsed.value)).toBe(read);
  });
  it.each([
    ['evening', 'spans-unreadable'],
    ['18', 'spans-unreadable'],
    ['25-26', 'spans-unreadable'],
    ['21-18', 'spans-backwards'],
    ['10-14, 13-15', 'spans-overlap'],
    ['13pm-2pm', 'spans-unreadable'],
    ['10:75-11', 'spans-unreadable'],
  ])('%s is %s', (text, code) => expect(parseSpans(text)).toMatchObject({ ok: false, error: { code } }));
  it('one may run over midnight where it is asked for', () =>
    expect(parseSpans('22-7', true)).toMatchObject({ ok: true, value: [{ fromMinute: 1320, untilMinute: 420 }] }));
});
