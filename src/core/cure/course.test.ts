import fc from '@/testing/properties';
import { MS_PER_HOUR } from '@/core/shared';
import { binderById, schoolById, surfaceById } from '@/core/craft';
import {
  OVEN_CYCLES,
  airCourse,
  changingDrying,
  cureWait,
  dayBetween,
  dryingCurve,
  dryingFactor,
  gatheredOver,
  ovenById,
  ovenCondition,
  ovenHours,
  ovenRefusal,
  peelWindow,
  signShare,
  vapourPressureDeficitKpa,
  type AirReading,
  type CureInput,
  type Room,
} from './index';

const START = Date.UTC(2026, 10, 20, 9);
const USUAL = { temperatureC: 21, humidityPercent: 50 };
const span = (days = 10, stepMs = MS_PER_HOUR / 4) => ({
  fromAt: START,
  untilAt: START + days * 24 * MS_PER_HOUR,
  stepMs,
});
const utcHour = (at: number) => (at / MS_PER_HOUR) % 24;
const hourly = (
  count: number,
  air: (hour: number) => { temperatureC: number; humidityPercent: number },
): AirReading[] => Array.from({ length: count }, (_, hour) => ({ at: START + hour * MS_PER_HOUR, ...air(hour) }));
const input = (patch: Partial<CureInput> = {}): CureInput => ({
  binder: binderById('fluid-gel'),
  ground: surfaceById('painted-wood'),
  filmUm: null,
  room: { ...USUAL, air: 'still' },
  waitBy: 'sign',
  labelHours: null,
  ...patch,
});

describe('drying through time', () => {
  it('in constant air gives the closed form within 1 %, for any air, film and cover', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 8, max: 32, noNaN: true }),
        fc.double({ min: 20, max: 85, noNaN: true }),
        fc.integer({ min: 100, max: 500 }),
        fc.constantFrom<'open' | 'weighted' | 'covered'>('open', 'weighted', 'covered'),
        (temperatureC, humidityPercent, filmUm, cover) => {
          const air = { temperatureC, humidityPercent };
          const room: Room = { ...air, air: 'fan', cover };
          const steady = cureWait(input({ room, filmUm }));
          const course = airCourse({ readings: [], profile: null }, air, span(30));
          const through = cureWait(input({ room, filmUm, through: { course, startAt: START + 3.3 * MS_PER_HOUR } }));
          for (const key of ['earliestHours', 'likelyHours', 'safeHours'] as const)
            expect(Math.abs(through[key] / steady[key] - 1)).toBeLessThan(0.01);
        },
      ),
    );
  });

  it('a cold night delays by the integral', () => {
    // Twelve hours at 12 °C after six at 21 °C: they count for their rate only.
    const cold = { temperatureC: 12, humidityPercent: 60 };
    const readings = hourly(60, (hour) => (hour >= 6 && hour < 18 ? cold : USUAL));
    const course = airCourse({ readings, profile: null }, USUAL, span(10, MS_PER_HOUR / 60));
    const rate = vapourPressureDeficitKpa(cold) / vapourPressureDeficitKpa(USUAL);
    const { likelyHours, changing } = cureWait(input({ through: { course, startAt: START } }));
    // The straight run between two readings gives half an hour of each change at either end.
    const lost = 12 * (1 - rate);
    expect(likelyHours).toBeGreaterThan(16 + lost * 0.9);
    expect(Math.abs(likelyHours - (16 + lost))).toBeLessThan(0.25);
    expect(changing).toBe(true);
  });

  it('keeps floors however warm it is, and the late limit of a peel', () => {
    const course = airCourse({ readings: [], profile: null }, { temperatureC: 34, humidityPercent: 20 }, span());
    expect(cureWait(input({ binder: binderById('opaque-medium'), through: { course, startAt: START } }))).toMatchObject(
      { earliestHours: 24, safeHours: 24, rule: 'clock-floor' },
    );
    const school = schoolById('tacky-peel');
    const binder = { ...binderById('fluid-gel'), ...school.overrides };
    const window = peelWindow(school, binder, cureWait(input({ binder, through: null })));
    expect(window?.fromHours).toBeCloseTo(2 / 60, 6);
    expect(window?.untilHours).toBeCloseTo(5 / 60, 6);
    expect(window?.sign).toContain('opaque');
    expect(peelWindow(schoolById('dry-and-rub'), binder, cureWait(input()))).toBeNull();
  });

  it('a later start is never ready sooner, and hours and drying undo each other', () => {
    const course = airCourse({ readings: [], profile: dayBetween(6, 22, 55) }, USUAL, span(), utcHour);
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 200, noNaN: true }),
        fc.double({ min: 0, max: 50, noNaN: true }),
        fc.double({ min: 1, max: 40, noNaN: true }),
        (start, more, need) => {
          const at = (hours: number) => changingDrying(course, 1.1, START + hours * MS_PER_HOUR);
          expect(start + at(start).hoursFor(need)).toBeLessThanOrEqual(
            start + more + at(start + more).hoursFor(need) + 1e-6,
          );
          expect(at(start).gathered(at(start).hoursFor(need))).toBeCloseTo(need, 6);
        },
      ),
    );
  });

  it('rates stay within a quarter and two and a half of the label’s', () => {
    const gathered = gatheredOver(
      airCourse({ readings: [], profile: null }, { temperatureC: 1, humidityPercent: 99 }, span(1)),
      1,
    );
    expect(gathered.at(-1)).toBeCloseTo(6, 6);
    expect(
      dryingFactor(1, { temperatureC: 21, humidityPercent: 50, air: 'still', cover: 'covered' }, 1).total,
    ).toBeCloseTo(1.8, 6);
  });

  it('warns of cold hours while it is wet, and only then', () => {
    const through = (cold: (hour: number) => boolean) => ({
      course: airCourse(
        {
          readings: hourly(200, (hour) => (cold(hour) ? { temperatureC: 7, humidityPercent: 60 } : USUAL)),
          profile: null,
        },
        USUAL,
        span(),
      ),
      startAt: START,
    });
    expect(cureWait(input({ through: through((hour) => hour > 3 && hour < 7) })).warnings).toEqual(['cold-hours']);
    expect(cureWait(input({ through: through((hour) => hour > 60) })).warnings).toEqual([]);
    expect(cureWait(input({ through: through(() => true) })).warnings).toEqual(['too-cold']);
  });
});

describe('the room’s course', () => {
  it('bridges a gap and says it', () => {
    const readings = [
      ...hourly(5, () => USUAL),
      { at: START + 10 * MS_PER_HOUR, temperatureC: 11, humidityPercent: 70 },
    ];
    const course = airCourse({ readings, profile: null }, USUAL, span(1, MS_PER_HOUR));
    expect(course.bridged).toEqual([{ fromAt: START + 4 * MS_PER_HOUR, untilAt: START + 10 * MS_PER_HOUR }]);
    expect(course.temperatureC[7]).toBeCloseTo(16, 6);
    expect(airCourse({ readings: hourly(30, () => USUAL), profile: null }, USUAL, span(1)).bridged).toEqual([]);
  });

  it('goes on with the typed day, else with the day before, else with what was read last', () => {
    const readings = hourly(26, (hour) => ({ temperatureC: hour, humidityPercent: 50 }));
    const later = (record: Parameters<typeof airCourse>[0], hour: number) =>
      airCourse(
        record,
        USUAL,
        { fromAt: START + hour * MS_PER_HOUR, untilAt: START + (hour + 1) * MS_PER_HOUR },
        utcHour,
      ).temperatureC[0];
    expect(later({ readings, profile: null }, 40)).toBeCloseTo(16, 6);
    expect(later({ readings: readings.slice(0, 3), profile: null }, 40)).toBe(2);
    expect(later({ readings, profile: dayBetween(5, 20, 60) }, 24 * 3 - 9 + 6)).toBeCloseTo(5, 1);
    expect(later({ readings: [], profile: null }, 5)).toBe(21);
  });

  it('a usual day is coldest at six and warmest at fifteen, and dampest when it is cold', () => {
    const day = dayBetween(8, 20, 55);
    expect(day).toHaveLength(24);
    expect([day[6].temperatureC, day[15].temperatureC]).toEqual([8, 20]);
    expect(day[6].humidityPercent).toBeGreaterThan(day[15].humidityPercent);
  });
});

describe('signs', () => {
  const course = airCourse({ readings: [], profile: null }, USUAL, span());
  const wait = (...signs: NonNullable<CureInput['signs']>) =>
    cureWait(input({ through: { course, startAt: START }, signs }));
  it('a cool edge when it should be dry makes all three later; holding sooner makes them earlier', () => {
    const late = wait({ id: 'cool-edge', at: START + 14 * MS_PER_HOUR });
    expect(late.earliestHours).toBeCloseTo(14 * 1.12, 1);
    expect(late.safeHours).toBeCloseTo((24 * 14 * 1.12) / 8, 0);
    expect(wait({ id: 'even', at: START + 6 * MS_PER_HOUR }).earliestHours).toBeCloseTo(6, 1);
    expect(wait({ id: 'cool-edge', at: START + 2 * MS_PER_HOUR }).signShare).toBe(1);
  });
  it('the latest wins, and no sign beats a floor', () => {
    expect(
      wait({ id: 'corner-lifts', at: START + 10 * MS_PER_HOUR }, { id: 'corner-holds', at: START + 11 * MS_PER_HOUR })
        .earliestHours,
    ).toBeCloseTo(11, 1);
    expect(
      cureWait(
        input({
          binder: binderById('clear-medium'),
          through: { course, startAt: START },
          signs: [{ id: 'even', at: START + 10 * MS_PER_HOUR }],
        }),
      ).earliestHours,
    ).toBe(24);
    expect(signShare([{ id: 'even', at: 1 }], 8, () => 0.01)).toBe(0.4);
  });
});

describe('the oven', () => {
  const into = (patch: Partial<Parameters<typeof ovenRefusal>[0]>, id: Parameters<typeof ovenById>[0] = 'gentle') =>
    ovenRefusal(
      {
        surface: surfaceById('soft-wood'),
        finish: 'bare',
        baseCoat: 'none',
        bakeSafe: false,
        binder: binderById('fluid-gel'),
        limitC: null,
        ...patch,
      },
      ovenById(id),
    );
  it.each([
    ['bare wood', {}, 'gentle', null],
    ['chalk-type paint on metal', { surface: surfaceById('metal'), finish: 'chalk-type-paint' as const }, 'warm', null],
    ['pine, hot', { finish: 'chalk-type-paint' as const }, 'warm', null],
    ['plywood, hot', { surface: surfaceById('sheet-wood') }, 'warm', null],
    ['matte paint that says bake-safe', { finish: 'matte-paint' as const, bakeSafe: true }, 'gentle', null],
    ['acrylic base that says bake-safe', { baseCoat: 'acrylic-paint' as const, bakeSafe: true }, 'gentle', null],
    ['gloss, whatever is said of it', { finish: 'gloss-paint' as const, bakeSafe: true }, 'gentle', 'slick-finish'],
    ['cloth, whatever is said of it', { surface: surfaceById('cloth'), bakeSafe: true }, 'gentle', 'cloth'],
    ['matte paint of no name', { finish: 'matte-paint' as const }, 'gentle', 'unknown-paint'],
    ['painted wood of which nothing is said', { surface: surfaceById('painted-wood') }, 'gentle', 'unknown-paint'],
    ['a media floor', { binder: binderById('clear-medium') }, 'gentle', 'no-shortcut'],
    ['cloth', { surface: surfaceById('cloth') }, 'gentle', 'cloth'],
    ['wall paint', { finish: 'wall-paint' as const }, 'gentle', 'wall-paint'],
    ['a candle', { surface: surfaceById('led-candle') }, 'gentle', 'candle'],
    ['glass, hot', { surface: surfaceById('glass') }, 'warm', 'glass-cycle'],
    ['glass, gentle', { surface: surfaceById('glass') }, 'gentle', null],
    ['wood, short', {}, 'short', 'stone-cycle'],
    ['an oven of 60 °C', { limitC: 60 }, 'gentle', 'too-hot'],
    ['acrylic base', { baseCoat: 'acrylic-paint' as const }, 'gentle', 'acrylic-base'],
    ['canvas', { surface: surfaceById('canvas') }, 'gentle', 'glued-frame'],
    ['leather', { surface: surfaceById('leather') }, 'gentle', 'leather'],
    ['gloss paint', { finish: 'gloss-paint' as const }, 'gentle', 'slick-finish'],
  ] as const)('%s', (_, patch, id, refusal) => expect(into(patch, id)).toBe(refusal));
  it('wood above a gentle heat works if there is no resin and no glue in it', () => {
    const asked = (id: Parameters<typeof surfaceById>[0], cycle: Parameters<typeof ovenById>[0]) =>
      ovenCondition({ surface: surfaceById(id) }, ovenById(cycle));
    expect(asked('soft-wood', 'warm')).toBe('no-resin');
    expect(asked('sheet-wood', 'warm')).toBe('no-resin');
    expect(asked('soft-wood', 'gentle')).toBeNull();
    expect(asked('metal', 'warm')).toBeNull();
  });
  it('a thicker coat takes longer in it, a thin one no less than the cycle', () => {
    const short = ovenById('short');
    expect(ovenHours(short, 120) * 60).toBe(20);
    expect(ovenHours(short, 225) * 60).toBe(20);
    expect(ovenHours(short, 450) * 60).toBeCloseTo(5 + 15 * 2 ** 1.5, 6);
  });
  it('replaces the wait', () => {
    for (const oven of OVEN_CYCLES)
      expect(cureWait(input({ oven }))).toMatchObject({
        rule: 'oven',
        safeHours: (oven.heatMinutes + oven.restMinutes) / 60,
      });
  });
});

describe('the drying curve', () => {
  it('rises to the safe time, whatever rule produced it', () => {
    for (const wait of [
      cureWait(input()),
      cureWait(input({ labelHours: 5 })),
      cureWait(input({ oven: ovenById('gentle') })),
    ]) {
      const curve = dryingCurve(wait);
      curve.slice(1).forEach((point, index) => {
        expect(point.share).toBeGreaterThan(curve[index].share);
        expect(point.remaining).toBeLessThan(curve[index].remaining);
      });
      const safe = curve.find((point) => point.hours >= wait.safeHours);
      expect(safe?.share).toBeGreaterThanOrEqual(0.99);
      expect(safe?.remaining).toBeLessThan(0.025);
    }
  });
});
