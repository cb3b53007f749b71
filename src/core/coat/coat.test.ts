import fc from '@/testing/properties';
import { BINDERS, SURFACES, binderById, schoolById, surfaceById } from '@/core/craft';
import { rectRing, resolveBlank, ringsBox, type BlankShape, type Opening, type RectMm } from '@/core/shape';
import { coatAmount, coatPlaces, layingSteps, openMinutes, type CoatAmount, type CoatInput } from './index';

const LETTER = { widthMm: 215.9, heightMm: 279.4 };
const board = (widthMm: number, heightMm: number) => {
  const made = resolveBlank({ kind: 'rectangle' }, { widthMm, heightMm });
  if (!made.ok) throw new Error(made.error.message);
  return made.value;
};
const onBoard = (print = rectRing({ xMm: 50, yMm: 50, ...LETTER }), blank = board(400, 400), extendMm = 5) =>
  coatPlaces(blank, [print], extendMm);
const input = (patch: Partial<CoatInput> = {}): CoatInput => ({
  places: onBoard(),
  binder: binderById('fluid-gel'),
  ground: surfaceById('painted-wood'),
  filmUm: null,
  faces: null,
  ...patch,
});

const stepsFor = (
  coat: CoatAmount,
  laid: Partial<Parameters<typeof layingSteps>[1]> = {},
  pencil = true,
): ReturnType<typeof layingSteps> =>
  layingSteps(
    coat,
    {
      ...{ binder: binderById('fluid-gel'), school: schoolById('dry-and-rub'), surface: surfaceById('painted-wood') },
      ...{ blank: board(400, 400), print: { xMm: 50, yMm: 50, ...LETTER } },
      ...laid,
    },
    { extendMm: 5, bedHours: 3, pencil },
  );

describe('how much medium to pour', () => {
  it('is 30 ± 4 ml for a letter-size print in fluid gel on both faces on painted wood', () => {
    const { totalMl, faces } = coatAmount(input());
    expect(Math.abs(totalMl - 30)).toBeLessThanOrEqual(4);
    expect(faces.map((face) => face.face)).toEqual(['paper', 'surface']);
  });

  it('is the product that the model says', () => {
    const { totalMl } = coatAmount(input({ faces: ['paper'], filmUm: 200, ground: surfaceById('canvas') }));
    expect(totalMl).toBeCloseTo(((215.9 * 279.4 * 0.2) / 1000) * 1.1 * 1.12, 6);
    const surface = coatAmount(input({ faces: ['surface'], filmUm: 200, ground: surfaceById('canvas') })).faces[0];
    expect(surface.volumeMl).toBeCloseTo(((surface.areaMm2 * 0.2) / 1000) * 1.35 * 1.12, 6);
  });

  it('goes past the print where there is face left to go to: how far is asked there only', () => {
    const whole = rectRing({ xMm: 0, yMm: 0, widthMm: 200, heightMm: 100 });
    const inside = rectRing({ xMm: 10, yMm: 10, widthMm: 180, heightMm: 80 });
    const told = (print: typeof whole, extendMm: number, binder: Parameters<typeof binderById>[0] = 'fluid-gel') => {
      const places = onBoard(print, board(200, 100), extendMm);
      const { wholeFace, canGoPast, totalMl } = coatAmount(input({ places, binder: binderById(binder) }));
      return { wholeFace, canGoPast, totalMl };
    };
    expect(told(inside, 5)).toMatchObject({ wholeFace: false, canGoPast: true });
    expect(told(inside, 20)).toMatchObject({ wholeFace: true, canGoPast: true });
    expect(told(whole, 0)).toMatchObject({ wholeFace: true, canGoPast: false });
    expect(told(whole, 20)).toEqual(told(whole, 0));
    const bed = BINDERS.find(({ wholeSurface }) => wholeSurface)!;
    expect(told(inside, 0, bed.id)).toMatchObject({ wholeFace: true, canGoPast: false });
    const step = stepsFor(coatAmount(input({ places: onBoard(whole, board(200, 100), 20) }))).find(
      ({ code }) => code === 'coat-surface',
    );
    expect(step).toMatchObject({ whole: true });
  });

  it('of opaque medium for a letter on cloth is about 25 ml: paper drinks the same on any ground', () => {
    const print = rectRing({ xMm: 50, yMm: 50, widthMm: 203, heightMm: 267 });
    const ml = (id: Parameters<typeof surfaceById>[0]) =>
      coatAmount(input({ places: onBoard(print), binder: binderById('opaque-medium'), ground: surfaceById(id) }))
        .totalMl;
    expect(ml('cloth')).toBeGreaterThan(22);
    expect(ml('cloth')).toBeLessThan(28);
    expect(ml('cloth')).toBeCloseTo(ml('glass'), 9);
  });

  it('ends at the edge of the blank, and with the paper on paper', () => {
    const { outline, faces } = coatAmount(
      input({
        places: onBoard(rectRing({ xMm: 0, yMm: 0, ...LETTER }), board(LETTER.widthMm, LETTER.heightMm), 10),
      }),
    );
    const box = ringsBox(outline);
    expect([box.xMm, box.yMm]).toEqual([0, 0]);
    expect(box.widthMm).toBeCloseTo(LETTER.widthMm, 3);
    expect(box.heightMm).toBeCloseTo(LETTER.heightMm, 3);
    expect(faces[0].areaMm2).toBeCloseTo(faces[1].areaMm2, 0);
  });

  it('covers the whole face with furniture gel, and adds the dried bed of the varnish school', () => {
    expect(ringsBox(coatAmount(input({ binder: binderById('furniture-gel') })).outline)).toMatchObject({
      widthMm: 400,
      heightMm: 400,
    });
    const bed = coatAmount(input({ binder: binderById('polyurethane') }));
    expect(bed.bed?.filmUm).toBe(100);
    expect(bed.totalMl).toBeCloseTo(bed.faces[0].volumeMl * 1.5, 6);
  });

  it('grows with every one of its factors', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 20, max: 300 }),
        fc.integer({ min: 20, max: 300 }),
        fc.integer({ min: 50, max: 500 }),
        (widthMm, heightMm, filmUm) => {
          const print = { xMm: 50, yMm: 50, widthMm, heightMm };
          const places = onBoard(rectRing(print));
          const base = coatAmount(input({ places, filmUm })).totalMl;
          expect(
            coatAmount(input({ places: onBoard(rectRing({ ...print, widthMm: widthMm + 1 })), filmUm })).totalMl,
          ).toBeGreaterThan(base);
          expect(coatAmount(input({ places, filmUm: filmUm + 10 })).totalMl).toBeGreaterThan(base);
          expect(coatAmount(input({ places, filmUm, ground: surfaceById('canvas') })).totalMl).toBeGreaterThan(base);
        },
      ),
    );
  });
});

describe('open time', () => {
  const room = (temperatureC: number, humidityPercent: number) => ({
    temperatureC,
    humidityPercent,
    air: 'still' as const,
  });
  it('is the record’s in the reference room, shorter where it is warm and dry', () => {
    const gel = binderById('fluid-gel');
    expect(openMinutes(gel, room(21, 50))).toBeCloseTo(7, 6);
    expect(openMinutes(gel, room(28, 30))).toBeLessThan(6);
    expect(openMinutes(gel, room(15, 70))).toBeGreaterThan(9);
    for (const binder of BINDERS) expect(openMinutes(binder, room(35, 10))).toBeGreaterThanOrEqual(2);
  });
});

describe('the order of laying', () => {
  const codes = (binder: Parameters<typeof binderById>[0], surface: Parameters<typeof surfaceById>[0]) => {
    const [b, s] = [binderById(binder), surfaceById(surface)];
    return stepsFor(coatAmount(input({ binder: b, ground: s })), { binder: b, surface: s }).map((step) => step.code);
  };
  it('coats what the binder wants coated, then lays', () => {
    expect(codes('fluid-gel', 'painted-wood')).toEqual([
      'ready-tools',
      'mark-placement',
      'pour',
      'coat-surface',
      'coat-paper',
      'coat-sign',
      'lay',
      'press',
      'wipe',
      'last-look',
      'wash-brush',
    ]);
    expect(codes('opaque-medium', 'cloth')).toEqual(expect.arrayContaining(['barrier-inside', 'coat-paper']));
    expect(codes('opaque-medium', 'cloth')).not.toContain('coat-surface');
    expect(codes('polyurethane', 'soft-wood').indexOf('bed-coat')).toBeLessThan(
      codes('polyurethane', 'soft-wood').indexOf('pour'),
    );
    expect(codes('heavy-gel', 'canvas')).toContain('support-middle');
  });
  it.each([
    ['fluid-gel', 'dry-and-rub', 'painted-wood', true],
    ['glue-sealer', 'dry-and-rub', 'soft-wood', true],
    ['opaque-medium', 'opaque-base', 'painted-wood', true],
    ['heavy-gel', 'dry-and-rub', 'canvas', false],
    ['fluid-gel', 'liner-peel', 'painted-wood', false],
    ['glue-sealer', 'liner-peel', 'painted-wood', false],
  ] as const)('%s by %s on %s slides: %p', (binder, school, surface, slides) => {
    const [b, s] = [binderById(binder), surfaceById(surface)];
    const coat = coatAmount(input({ binder: b, ground: s }));
    expect(stepsFor(coat, { binder: b, school: schoolById(school), surface: s })).toContainEqual({
      code: 'lay',
      slides,
    });
  });
  it('looks at the coat before the print goes down, and at what is laid while it can be mended', () => {
    for (const binder of BINDERS.filter(({ wet }) => wet)) {
      const steps = stepsFor(coatAmount(input({ binder })), { binder });
      const at = (code: string) => steps.findIndex((step) => step.code === code);
      expect(Math.max(at('coat-surface'), at('coat-paper'))).toBe(at('coat-sign') - 1);
      expect(at('coat-sign')).toBe(at('lay') - 1);
      expect(at('last-look')).toBeGreaterThan(at('wipe'));
      expect(steps[at('coat-sign')]).toEqual({
        code: 'coat-sign',
        hidesPrint: binder.base === 'white' && binder.faces.includes('paper'),
      });
    }
  });
  it.each([
    ['paper on a smooth ground', 'fluid-gel', 'painted-wood', 'dry-and-rub', 'card'],
    ['a coarse weave', 'fluid-gel', 'canvas', 'dry-and-rub', 'roller'],
    ['rough stone', 'fluid-gel', 'stone', 'dry-and-rub', 'roller'],
    ['heavy gel', 'heavy-gel', 'painted-wood', 'dry-and-rub', 'roller'],
    ['a liner', 'fluid-gel', 'painted-wood', 'liner-peel', 'roller'],
  ] as const)('is pressed by its binder, its sheet and its ground: %s', (_, binder, surface, school, by) => {
    const b = binderById(binder);
    const laid = { binder: b, surface: surfaceById(surface), school: schoolById(school) };
    expect(stepsFor(coatAmount(input({ binder: b })), laid).find(({ code }) => code === 'press')).toMatchObject({ by });
  });

  describe('a shape with sides, gaps, holes or bends has its own steps, in order', () => {
    const of = (shape: BlankShape, widthMm: number, heightMm: number, print?: RectMm) => {
      const made = resolveBlank(shape, { widthMm, heightMm });
      if (!made.ok) throw new Error(made.error.message);
      const { widthMm: width, heightMm: height } = made.value;
      const covers = { xMm: 0, yMm: 0, widthMm: width, heightMm: height };
      return stepsFor(coatAmount(input()), { blank: made.value, print: print ?? covers });
    };
    const inOrder = (steps: ReturnType<typeof of>, ...codes: string[]) => {
      const at = codes.map((code) => steps.findIndex((step) => step.code === code));
      expect(at.every((one) => one >= 0)).toBe(true);
      expect(at).toEqual([...at].sort((a, b) => a - b));
    };
    const wrapped = { kind: 'wrapped-canvas', depthMm: 18, tuckMm: 20 } as const;
    it('a wrapped canvas: corners cut, front laid and pressed, flaps over, tuck turned, then looked at', () =>
      inOrder(
        of(wrapped, 200, 200),
        'cut-corners',
        'coat-surface',
        'lay',
        'press',
        'bring-over',
        'turn-tuck',
        'last-look',
      ));
    it('without a tuck nothing is turned to the back; a print on the front alone goes over nothing', () => {
      const untucked = of({ ...wrapped, tuckMm: 0 }, 200, 200);
      expect(untucked.map(({ code }) => code)).toContain('bring-over');
      expect(untucked.map(({ code }) => code)).not.toContain('turn-tuck');
      const front = of(wrapped, 200, 200, { xMm: 38, yMm: 38, widthMm: 200, heightMm: 200 }).map(({ code }) => code);
      for (const code of ['cut-corners', 'bring-over', 'turn-tuck'] as const) expect(front).not.toContain(code);
    });
    it('slats and drawers: part by part', () => {
      const slats = of({ kind: 'slats', count: 5, gapMm: 8, run: 'vertical' }, 532, 300);
      inOrder(slats, 'by-parts', 'coat-surface', 'lay');
      expect(slats).toContainEqual({ code: 'by-parts', parts: 5 });
    });
    it('a panel with openings: cut out before it is coated, let down over knobs', () => {
      const hole = { kind: 'hole', xMm: 100, yMm: 100, diameterMm: 30 } as const;
      const panel = (openings: Opening[]) => of({ kind: 'panel', openings }, 300, 200);
      inOrder(panel([hole]), 'cut-openings', 'coat-paper', 'lay');
      expect(panel([hole])).toContainEqual({ code: 'cut-openings', knobs: false });
      expect(panel([hole, { ...hole, kind: 'knob', xMm: 200 }])).toContainEqual({ code: 'cut-openings', knobs: true });
      expect(panel([]).map(({ code }) => code)).not.toContain('cut-openings');
    });
    it('a jar or bucket: round the side, its end over its beginning where it goes all round', () => {
      inOrder(of({ kind: 'cylinder', shareOfRound: 0.5 }, 90, 150), 'lay', 'go-round', 'press');
      expect(of({ kind: 'cylinder', shareOfRound: 0.5 }, 90, 150)).toContainEqual({ code: 'go-round', laps: false });
      expect(of({ kind: 'cylinder', shareOfRound: 1 }, 90, 150)).toContainEqual({ code: 'go-round', laps: true });
      expect(of({ kind: 'vessel', bottomMm: 140, shareOfRound: 1 }, 200, 180)).toContainEqual({
        code: 'go-round',
        laps: true,
      });
    });
    it('a plain board has none of them', () => {
      const plain = of({ kind: 'rectangle' }, 300, 200).map(({ code }) => code);
      for (const code of ['cut-corners', 'cut-openings', 'by-parts', 'go-round', 'bring-over', 'turn-tuck'] as const)
        expect(plain).not.toContain(code);
    });
  });

  it('has volumes that add up to what is poured', () => {
    for (const surface of SURFACES) {
      const coat = coatAmount(input({ ground: surface }));
      const steps = stepsFor(coat, { surface });
      const poured = steps.find((step) => step.code === 'pour');
      expect(poured && 'volumeMl' in poured && poured.volumeMl).toBeCloseTo(
        coat.faces.reduce((total, face) => total + face.volumeMl, 0),
        9,
      );
    }
  });
});
