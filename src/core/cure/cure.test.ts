import fc from '@/testing/properties';
import { MS_PER_HOUR } from '@/core/shared';
import { binderById, surfaceById } from '@/core/craft';
import {
  REFERENCE_VPD_KPA,
  cureClock,
  cureWait,
  dryingFactor,
  saturationPressureKpa,
  vapourPressureDeficitKpa,
  type CureInput,
  type Room,
} from './index';

const room = (temperatureC: number, humidityPercent: number, air: Room['air'] = 'still'): Room => ({
  temperatureC,
  humidityPercent,
  air,
});
const REFERENCE = room(21, 50);
const input = (patch: Partial<CureInput> = {}): CureInput => ({
  binder: binderById('fluid-gel'),
  ground: surfaceById('painted-wood'),
  filmUm: null,
  room: REFERENCE,
  waitBy: 'sign',
  labelHours: null,
  ...patch,
});

describe('vapour-pressure deficit', () => {
  it('is 1.243 kPa in the reference room', () => {
    expect(vapourPressureDeficitKpa(REFERENCE)).toBeCloseTo(1.243, 3);
    expect(REFERENCE_VPD_KPA).toBeCloseTo(1.243, 3);
  });
  // Saturation vapour pressure over water, kPa, as published in steam tables.
  it.each([
    [0, 0.6113],
    [5, 0.8726],
    [10, 1.2281],
    [15, 1.7056],
    [20, 2.3388],
    [25, 3.169],
    [30, 4.2455],
    [35, 5.6267],
    [40, 7.3814],
  ])('saturation at %p °C', (celsius, kpa) => {
    expect(Math.abs(saturationPressureKpa(celsius) / kpa - 1)).toBeLessThan(0.005);
  });
});

describe('how long a laid print waits', () => {
  it('takes the record in the reference room on paint', () => {
    expect(cureWait(input())).toMatchObject({
      earliestHours: 8,
      likelyHours: 16,
      safeHours: 24,
      rule: 'sign',
      warnings: [],
    });
  });

  it('keeps the floors of 24 h at 35 °C, and by either school', () => {
    for (const id of ['opaque-medium', 'clear-medium'] as const) {
      for (const waitBy of ['sign', 'clock'] as const) {
        const wait = cureWait(input({ binder: binderById(id), room: room(35, 30, 'fan'), waitBy }));
        expect(wait).toMatchObject({
          earliestHours: 24,
          likelyHours: 24,
          safeHours: 24,
          rule: 'clock-floor',
          floorHours: 24,
        });
      }
      expect(cureWait(input({ binder: binderById(id), labelHours: 12 }))).toMatchObject({
        likelyHours: 24,
        rule: 'clock-floor',
      });
    }
  });

  it('is longer at 15 °C and 70 % by the model’s factor', () => {
    const factor = vapourPressureDeficitKpa(REFERENCE) / vapourPressureDeficitKpa(room(15, 70));
    expect(factor).toBeCloseTo(2.43, 2);
    expect(cureWait(input({ room: room(15, 70) })).likelyHours).toBeCloseTo(16 * factor, 6);
  });

  it('follows surface, film and moving air', () => {
    const likely = (patch: Partial<CureInput>) => cureWait(input(patch)).likelyHours;
    expect(likely({ ground: surfaceById('soft-wood') })).toBeCloseTo(16 * 0.85, 6);
    expect(likely({ ground: surfaceById('glass') })).toBeCloseTo(16 * 1.3, 6);
    expect(likely({ filmUm: 450 })).toBeCloseTo(16 * 2 ** 1.5, 6);
    expect(likely({ room: room(21, 50, 'fan') })).toBeCloseTo(16 * 0.7, 6);
  });

  it('waits the full time by the clock, and takes a label as it stands', () => {
    expect(cureWait(input({ waitBy: 'clock' }))).toMatchObject({
      earliestHours: 24,
      likelyHours: 24,
      safeHours: 24,
      rule: 'clock',
    });
    expect(cureWait(input({ labelHours: 6, room: room(12, 80) }))).toMatchObject({
      earliestHours: 6,
      likelyHours: 6,
      rule: 'label',
    });
  });

  it('warns of cold and damp', () => {
    expect(cureWait(input({ room: room(9, 50) })).warnings).toEqual(['too-cold']);
    expect(cureWait(input({ room: room(21, 90) })).warnings).toEqual(['damp']);
    expect(cureWait(input({ room: room(5, 95) })).warnings).toEqual(['too-cold', 'damp']);
    expect(cureWait(input({ room: room(10, 85) })).warnings).toEqual([]);
  });

  it('stays finite in saturated air, and says that the figure is held', () => {
    expect(dryingFactor(1, room(21, 100), 1)).toMatchObject({ total: 4, limited: true });
  });

  it('never shortens with colder or damper air, and keeps its order', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 5, max: 35, noNaN: true }),
        fc.double({ min: 10, max: 95, noNaN: true }),
        fc.double({ min: 0, max: 5, noNaN: true }),
        (t, h, step) => {
          const here = cureWait(input({ room: room(t, h) }));
          expect(here.earliestHours).toBeLessThanOrEqual(here.likelyHours);
          expect(here.likelyHours).toBeLessThanOrEqual(here.safeHours);
          expect(cureWait(input({ room: room(t - step, h) })).likelyHours).toBeGreaterThanOrEqual(
            here.likelyHours - 1e-9,
          );
          expect(cureWait(input({ room: room(t, Math.min(100, h + step)) })).likelyHours).toBeGreaterThanOrEqual(
            here.likelyHours - 1e-9,
          );
        },
      ),
    );
  });
});

describe('the clock of a laid print', () => {
  const wait = cureWait(input());
  const laidAt = 1_700_000_000_000;
  const at = (hours: number) => cureClock(wait, laidAt, laidAt + hours * MS_PER_HOUR);
  it.each([
    [0, 'wet'],
    [2.7, 'wet'],
    [2.9, 'tacky'],
    [7.9, 'tacky'],
    [15.9, 'tacky'],
    [16, 'dry'],
    [23.9, 'dry'],
    [24, 'cured'],
  ])('after %p h it is %s', (hours, wetness) => expect(at(hours).wetness).toBe(wetness));
  it('tells its times and its share', () => {
    expect(at(12)).toMatchObject({
      earliestAt: laidAt + 8 * MS_PER_HOUR,
      likelyAt: laidAt + 16 * MS_PER_HOUR,
      safeAt: laidAt + 24 * MS_PER_HOUR,
      readyAt: laidAt + 16 * MS_PER_HOUR,
      share: 0.5,
    });
    // As early as its signs say so.
    expect(cureClock(wait, laidAt, laidAt + 8 * MS_PER_HOUR, true)).toMatchObject({
      readyAt: laidAt + 8 * MS_PER_HOUR,
      wetness: 'dry',
    });
    expect(at(99).share).toBe(1);
  });
});
