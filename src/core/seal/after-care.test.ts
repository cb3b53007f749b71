import {
  BINDERS,
  SEALERS,
  SURFACES,
  USES,
  binderById,
  printById,
  schoolById,
  sealerById,
  surfaceById,
} from '@/core/craft';
import { MS_PER_HOUR } from '@/core/shared';
import { pieceCost } from '@/core/journal';
import { careLabel } from '@/words';
import { applicableRepairs, type RepairContext } from '@/core/mend';
import { rubPlan, type RubInput } from '@/core/rub';
import { defaultSealer, sealClock, sealPlan, sealerChoices, type SealContext } from './index';

const ROOM = { temperatureC: 21, humidityPercent: 50, air: 'still' as const };
const LETTER_MM2 = 215.9 * 279.4;

describe('rubbing', () => {
  const plan = (patch: Partial<RubInput> = {}) =>
    rubPlan({
      binder: binderById('fluid-gel'),
      print: printById('laser-plain'),
      ground: surfaceById('painted-wood'),
      areaMm2: LETTER_MM2,
      room: ROOM,
      passes: null,
      ...patch,
    });
  it('takes 12 min for the first pass on a letter-size print and half for each later one', () => {
    expect(plan().passes.map((pass) => pass.minutes)).toEqual([12, 6, 6]);
    expect(plan()).toMatchObject({ minutesTotal: 24, usual: { min: 2, max: 3 } });
  });
  it('costs a pass more for every 15 g/m² of paper', () =>
    expect(plan({ print: printById('laser-heavy') })).toMatchObject({ extraForPaper: 2, usual: { min: 4, max: 5 } }));
  it('keeps the passes of each binder', () => {
    expect(plan({ binder: binderById('clear-medium') }).passes).toHaveLength(5);
    expect(plan({ binder: binderById('acrylic-varnish') }).passes).toHaveLength(4);
    expect(plan({ passes: 1 }).passes).toHaveLength(1);
  });
  // Paper and ground dry, not the binder: 10 min on paint, half an hour on bare wood, an hour on weave and soaked wood.
  it.each([
    ['acrylic-varnish', 'soft-wood', 'still', 30],
    ['glue-sealer', 'painted-wood', 'still', 10],
    ['opaque-medium', 'cloth', 'still', 60],
    ['fluid-gel', 'canvas', 'still', 60],
    ['fluid-gel', 'soft-wood', 'still', 60],
    ['fluid-gel', 'soft-wood', 'fan', 20],
    ['fluid-gel', 'painted-wood', 'still', 20],
  ] as const)('%s on %s in %s air dries %p min between passes', (binder, surface, air, minutes) => {
    const rubbed = plan({ binder: binderById(binder), ground: surfaceById(surface), room: { ...ROOM, air } });
    expect(rubbed.passes[0].dryMinutes).toBe(minutes);
    expect(rubbed.betweenMinutes).toBe(minutes);
  });
  it('dries longer in damp air, never endlessly', () => {
    const minutes = (humidityPercent: number) => plan({ room: { ...ROOM, humidityPercent } }).betweenMinutes;
    expect(minutes(75)).toBeGreaterThan(minutes(50));
    expect(minutes(100)).toBeLessThanOrEqual(60);
  });
  it('is damp itself after the last pass: an hour on paint, overnight where a porous ground was soaked', () => {
    expect(plan().passes.at(-1)?.dryMinutes).toBe(60);
    expect(plan({ ground: surfaceById('canvas') }).passes.at(-1)?.dryMinutes).toBe(600);
    expect(plan({ ground: surfaceById('soft-wood'), binder: binderById('glue-sealer') }).dryOutMinutes).toBe(120);
  });
  it('has no passes, on any paper, where nothing is rubbed', () =>
    expect(plan({ binder: binderById('none'), print: printById('laser-heavy') }).passes).toEqual([]));
});

describe('mending', () => {
  const repairs = (patch: Partial<RepairContext> = {}) =>
    applicableRepairs({
      binder: binderById('fluid-gel'),
      school: schoolById('dry-and-rub'),
      surface: surfaceById('soft-wood'),
      printFillsBlank: false,
      bareSidesMm: 18,
      wrapped: false,
      bareWood: true,
      coated: false,
      traced: false,
      chosen: [],
      ...patch,
    });
  const ids = (patch?: Partial<RepairContext>) => repairs(patch).map((repair) => repair.id);
  it('lists what can apply in the order it is done: looked at, sanded, repainted, traced, pencil off', () => {
    const stages = ['look', 'sand', 'repaint', 'trace', 'finish'];
    const order = repairs({ traced: true }).map(({ stage }) => stages.indexOf(stage));
    expect(order).toEqual([...order].sort((a, b) => a - b));
    expect(ids()).toContain('stain');
    expect(ids({ bareWood: false })).not.toContain('stain');
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
    expect(ids({ bareSidesMm: null })).not.toContain('sides');
  });
  it('never sands cloth or canvas, nor looks for pencil on cloth', () => {
    for (const binder of ['fluid-gel', 'opaque-medium'] as const)
      for (const surface of ['cloth', 'canvas'] as const) {
        const on = { binder: binderById(binder), surface: surfaceById(surface), bareWood: false };
        expect(repairs(on).filter(({ stage }) => stage === 'sand')).toEqual([]);
      }
    const cloth = ids({ surface: surfaceById('cloth'), binder: binderById('opaque-medium'), bareWood: false });
    expect(cloth).not.toContain('pencil');
    expect(ids({ surface: surfaceById('canvas'), bareWood: false })).toContain('pencil');
  });
  it('mends no decal, and looks for no paper where none is left', () => {
    expect(ids({ school: schoolById('tape-decal'), binder: binderById('none') })).toEqual([]);
    for (const id of ['liner-peel', 'slip-paper', 'film-bed'] as const) {
      expect(ids({ school: schoolById(id) })).not.toContain('haze');
      expect(ids({ school: schoolById(id) })).toContain('worn-places');
    }
    expect(ids({ wrapped: true, bareSidesMm: null })).toContain('overhang');
  });
});

describe('sealing', () => {
  const asked = (patch: Partial<SealContext> = {}): SealContext => ({
    use: 'wall',
    sheen: 'matte',
    binder: binderById('fluid-gel'),
    fabric: false,
    sealsItself: false,
    ...patch,
  });
  const suits = (patch: Partial<SealContext>, id: string) =>
    sealerChoices(asked(patch)).find((one) => one.sealer.id === id)?.suits;
  it('offers only what suits use and sheen, and says why not', () => {
    const names = (use: SealContext['use'], sheen: SealContext['sheen']) =>
      sealerChoices(asked({ use, sheen }))
        .filter((one) => one.suits)
        .map((one) => one.sealer.id);
    expect(names('wall', 'matte')[0]).toBe('acrylic-varnish');
    expect(names('table-top', 'matte')[0]).toBe('hard-top-coat');
    expect(names('sunlit-wall', 'gloss')[0]).toBe('uv-varnish');
    expect(names('wall', 'gloss')).toContain('spray');
    expect(names('table-top', 'gloss')).toEqual(['polyurethane']);
    expect(names('wall', 'matte')).not.toContain('none');
    for (const use of USES)
      for (const one of sealerChoices(asked({ use, sheen: 'satin', binder: null })))
        expect(one.reasons.length).toBeGreaterThan(0);
  });
  it('leaves cloth, indoor canvas and a decal bare', () => {
    expect(defaultSealer(asked({ use: 'cloth', binder: binderById('opaque-medium'), fabric: true }))).toBe('none');
    expect(suits({ fabric: true, binder: null }, 'none')).toBe(true);
    for (const use of USES)
      expect(defaultSealer(asked({ use, sheen: 'gloss', binder: binderById('none'), sealsItself: true }))).toBe('none');
  });
  it('never covers a picture with a white binder', () =>
    expect(suits({ binder: binderById('opaque-medium') }, 'same-medium')).toBe(false));
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
    paintTin: { price: 9, ml: 250 },
  };
  it('costs each bottle by its share, and says what it does not know', () => {
    expect(pieceCost(prices, { pages: 1, paintMl: 0, binderMl: 30, sealerMl: 12 })).toEqual({
      lines: [
        { item: 'print', amount: 0.5 },
        { item: 'blank', amount: 4 },
        { item: 'paint', amount: 0 },
        { item: 'binder', amount: 1.5 },
      ],
      total: 6,
      unknown: ['sealer'],
    });
    expect(pieceCost(prices, { pages: 1, paintMl: 0, binderMl: 30, sealerMl: 0 }).unknown).toEqual([]);
  });
  it('six pages cost six pages, and paint its share of the tin', () => {
    const prices = {
      print: 0.5,
      blank: null,
      binderBottle: { price: null, ml: null },
      sealerBottle: { price: null, ml: null },
      paintTin: { price: 9, ml: 250 },
    };
    const { lines } = pieceCost(prices, { pages: 6, paintMl: 50, binderMl: 0, sealerMl: 0 });
    expect(lines).toContainEqual({ item: 'print', amount: 3 });
    expect(lines).toContainEqual({ item: 'paint', amount: 1.8 });
  });
  it('adds up as it is told, line by line', () => {
    const prices = {
      print: 0.0145,
      blank: 1.276,
      binderBottle: { price: 21.6, ml: 100 },
      sealerBottle: { price: null, ml: null },
      paintTin: { price: null, ml: null },
    };
    const { lines, total } = pieceCost(prices, { pages: 1, paintMl: 0, binderMl: 1, sealerMl: 0 });
    const told = lines.map(({ amount }) => Number(amount.toFixed(2)));
    expect(total).toBeCloseTo(
      told.reduce((sum, one) => sum + one, 0),
      9,
    );
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
      firstWashOn: null,
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
  it('a care label never contradicts what the piece is made of', () => {
    for (const surface of SURFACES)
      for (const binder of BINDERS)
        for (const sealer of [null, ...SEALERS]) {
          const label = careLabel({
            ...{ name: 'It', surface, binder, sealer, use: 'wall' as const },
            ...{ lightUseOn: null, fullCureOn: null, firstWashOn: null },
          });
          const of = [surface.id, binder.id, sealer?.id];
          const [wash, damp] = [label.includes('Wash inside out'), label.includes('damp at most')];
          expect([of, wash]).toEqual([of, surface.laundered && binder.washable && !binder.washesOut]);
          if (surface.waterHarms || binder.washesOut || surface.laundered) expect([of, damp]).toEqual([of, false]);
          const isBare = sealer === null || sealer.bare;
          if (isBare && surface.porous) expect([of, damp]).toEqual([of, false]);
          expect([of, label.includes('No soaking') && label.includes('Keep water off')]).toEqual([of, false]);
        }
    expect(surfaceById('plaster').waterHarms && surfaceById('leather').waterHarms).toBe(true);
  });
});
