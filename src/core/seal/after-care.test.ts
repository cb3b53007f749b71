import { SEALERS, USES, binderById, printById, sealerById, surfaceById } from '@/core/craft';
import { MS_PER_HOUR } from '@/core/shared';
import { pieceCost } from '@/core/journal';
import { careLabel } from '@/words';
import { applicableRepairs, type RepairContext } from '@/core/mend';
import { rubPlan, type RubInput } from '@/core/rub';
import { defaultSealer, sealClock, sealPlan, sealerChoices } from './index';

const ROOM = { temperatureC: 21, humidityPercent: 50, air: 'still' as const };
const LETTER_MM2 = 215.9 * 279.4;

describe('rubbing', () => {
  const plan = (patch: Partial<RubInput> = {}) =>
    rubPlan({
      binder: binderById('fluid-gel'),
      print: printById('laser-plain'),
      areaMm2: LETTER_MM2,
      room: ROOM,
      passes: null,
      ...patch,
    });
  it('takes 12 min for the first pass on a letter-size print and half for each later one', () => {
    expect(plan().passes.map((pass) => pass.minutes)).toEqual([12, 6, 6]);
    expect(plan()).toMatchObject({ sections: 2, minutesTotal: 24, breaks: 0, usual: { min: 2, max: 3 } });
  });
  it('costs a pass more for every 15 g/m² of paper', () =>
    expect(plan({ print: printById('laser-heavy') })).toMatchObject({ extraForPaper: 2, usual: { min: 4, max: 5 } }));
  it('keeps the passes of each binder', () => {
    expect(plan({ binder: binderById('clear-medium') }).passes).toHaveLength(5);
    expect(plan({ binder: binderById('acrylic-varnish') }).passes).toHaveLength(4);
    expect(plan({ passes: 1 }).passes).toHaveLength(1);
  });
  it('dries 10 min to an hour between passes, longer where it is damp', () => {
    const minutes = (humidityPercent: number) => plan({ room: { ...ROOM, humidityPercent } }).passes[0].dryMinutes;
    expect(minutes(50)).toBe(25);
    expect(minutes(90)).toBe(60);
    expect(minutes(5)).toBeGreaterThanOrEqual(10);
  });
  it('asks for breaks on a large piece', () => expect(plan({ areaMm2: LETTER_MM2 * 4 }).breaks).toBe(2));
});

describe('mending', () => {
  const repairs = (patch: Partial<RepairContext> = {}) =>
    applicableRepairs({
      binder: binderById('fluid-gel'),
      surface: surfaceById('soft-wood'),
      printFillsBlank: false,
      thicknessMm: 18,
      traced: false,
      ...patch,
    });
  const ids = (patch?: Partial<RepairContext>) => repairs(patch).map((repair) => repair.id);
  it('lists what can apply, the expected first', () => {
    expect(repairs()[0].expected).toBe(true);
    expect(ids()).toEqual(expect.arrayContaining(['haze', 'outline', 'grain-tint', 'sides', 'rim']));
    expect(ids()).not.toContain('white-edge');
    expect(ids()).not.toContain('trace');
    expect(ids({ traced: true }).indexOf('trace')).toBeLessThan(ids({ traced: true }).indexOf('pencil'));
  });
  it('follows binder, surface and placement', () => {
    expect(ids({ binder: binderById('opaque-medium') })).toContain('white-edge');
    expect(ids({ binder: binderById('opaque-medium') })).not.toContain('clear-coat');
    expect(ids({ binder: binderById('furniture-gel') })).not.toContain('outline');
    expect(ids({ printFillsBlank: true })).not.toContain('rim');
    expect(ids({ thicknessMm: null })).not.toContain('sides');
  });
});

describe('sealing', () => {
  it('offers only what suits use and sheen, and says why not', () => {
    const names = (use: Parameters<typeof sealerChoices>[0], sheen: Parameters<typeof sealerChoices>[1]) =>
      sealerChoices(use, sheen, binderById('fluid-gel'), false)
        .filter((one) => one.suits)
        .map((one) => one.sealer.id);
    expect(names('wall', 'matte')[0]).toBe('acrylic-varnish');
    expect(names('table-top', 'matte')[0]).toBe('hard-top-coat');
    expect(names('sunlit-wall', 'gloss')[0]).toBe('uv-varnish');
    expect(names('wall', 'gloss')).toContain('spray');
    expect(names('table-top', 'gloss')).toEqual(['polyurethane']);
    expect(names('wall', 'matte')).not.toContain('none');
    for (const id of USES)
      for (const one of sealerChoices(id, 'satin', null, false)) expect(one.reasons.length).toBeGreaterThan(0);
  });
  it('leaves cloth and indoor canvas bare if wanted', () => {
    expect(defaultSealer('cloth', 'matte', binderById('opaque-medium'), true)).toBe('none');
    expect(sealerChoices('wall', 'matte', null, true).find((one) => one.sealer.id === 'none')?.suits).toBe(true);
  });
  it('never covers a picture with a white binder', () =>
    expect(
      sealerChoices('wall', 'matte', binderById('opaque-medium'), false).find((one) => one.sealer.id === 'same-medium')
        ?.suits,
    ).toBe(false));
  it('covers 10 to 12 m² with a litre of every brushed sealer', () => {
    for (const sealer of SEALERS.filter((one) => one.filmUm >= 80 && one.id !== 'hard-top-coat')) {
      expect(sealPlan(sealer, 1_000_000, ROOM, null).bottleCoversM2).toBeGreaterThan(9.9);
      expect(sealPlan(sealer, 1_000_000, ROOM, null).bottleCoversM2).toBeLessThan(12);
    }
  });
  it('counts coats and times from the last one', () => {
    const plan = sealPlan(sealerById('acrylic-varnish'), 60_000, ROOM, null);
    expect(plan).toMatchObject({ coats: 2, betweenHours: 2, lightUseDays: 3, fullCureDays: 21 });
    expect(plan.totalMl).toBeCloseTo(0.06 * 90 * 1.12 * 2, 6);
    expect(sealClock(plan, [])).toMatchObject({ nextCoatAt: null, coatsLeft: 2 });
    expect(sealClock(plan, [0])).toMatchObject({ nextCoatAt: 2 * MS_PER_HOUR, touchAt: 6 * MS_PER_HOUR, coatsLeft: 1 });
    expect(sealClock(plan, [0, 3 * MS_PER_HOUR])).toMatchObject({
      nextCoatAt: null,
      touchAt: 7 * MS_PER_HOUR,
      lightUseAt: 75 * MS_PER_HOUR,
      coatsLeft: 0,
    });
  });
  it('waits longer in a cold room, never shorter than the label', () => {
    const between = (temperatureC: number) =>
      sealPlan(sealerById('acrylic-varnish'), 60_000, { ...ROOM, temperatureC }, null).betweenHours;
    expect(between(14)).toBeGreaterThan(2);
    expect(between(33)).toBe(2);
  });
});

describe('the record', () => {
  const prices = {
    print: 0.5,
    blank: 4,
    binderBottle: { price: 12, ml: 240 },
    sealerBottle: { price: null, ml: null },
  };
  it('costs each bottle by its share, and says what it does not know', () => {
    expect(pieceCost(prices, { binderMl: 30, sealerMl: 12 })).toEqual({
      lines: [
        { item: 'print', amount: 0.5 },
        { item: 'blank', amount: 4 },
        { item: 'binder', amount: 1.5 },
      ],
      total: 6,
      unknown: ['sealer'],
    });
    expect(pieceCost(prices, { binderMl: 30, sealerMl: 0 }).unknown).toEqual([]);
  });
  it('writes a care label for what was made', () => {
    const base = {
      name: 'Route map',
      surface: surfaceById('soft-wood'),
      binder: binderById('fluid-gel'),
      sealer: sealerById('acrylic-varnish'),
      use: 'handled' as const,
      lightUseOn: '7 March 2026',
      fullCureOn: '25 March 2026',
    };
    expect(careLabel(base)).toMatchInlineSnapshot(`
"Route map. Printed picture moved by hand onto soft wood: pine, cedar, lime.
Held by fluid gel or polymer medium, sealed with water-based acrylic varnish.
Dust with a dry soft cloth; wipe slightly damp at most. No soaking, no dishwasher, no scouring.
Light use from 7 March 2026, full use from 25 March 2026.
Use coasters; keep hot and wet things off.
Keep out of strong sun.
Not for food. Not for outdoors."
`);
    expect(
      careLabel({
        ...base,
        surface: surfaceById('cloth'),
        binder: binderById('opaque-medium'),
        sealer: sealerById('none'),
      }),
    ).toContain('Wash inside out');
    expect(careLabel({ ...base, surface: surfaceById('led-candle') })).toContain('Never light it');
  });
});
