import fc from 'fast-check';
import { BINDERS, SURFACES, binderById, surfaceById } from '@/core/craft';
import { rectRing, resolveBlank, ringsBox } from '@/core/shape';
import { coatAmount, layingSteps, openMinutes, type CoatInput } from './index';

const LETTER = { widthMm: 215.9, heightMm: 279.4 };
const board = (widthMm: number, heightMm: number) => {
  const made = resolveBlank({ kind: 'rectangle' }, { widthMm, heightMm });
  if (!made.ok) throw new Error(made.error.message);
  return made.value;
};
const input = (patch: Partial<CoatInput> = {}): CoatInput => ({
  blank: board(400, 400),
  print: [rectRing({ xMm: 50, yMm: 50, ...LETTER })],
  binder: binderById('fluid-gel'),
  surface: surfaceById('painted-wood'),
  filmUm: null,
  faces: null,
  extendMm: 5,
  ...patch,
});

describe('how much medium to pour', () => {
  it('is 30 ± 3 ml for a letter-size print in fluid gel on both faces on painted wood', () => {
    const { totalMl, faces } = coatAmount(input());
    expect(Math.abs(totalMl - 30)).toBeLessThanOrEqual(3);
    expect(faces.map((face) => face.face)).toEqual(['paper', 'surface']);
  });

  it('is the product that the model says', () => {
    const { totalMl } = coatAmount(input({ faces: ['paper'], filmUm: 200, surface: surfaceById('canvas') }));
    expect(totalMl).toBeCloseTo(((215.9 * 279.4 * 0.2) / 1000) * 1.35 * 1.12, 6);
  });

  it('ends at the edge of the blank, and with the paper on paper', () => {
    const { outline, faces } = coatAmount(
      input({
        blank: board(LETTER.widthMm, LETTER.heightMm),
        print: [rectRing({ xMm: 0, yMm: 0, ...LETTER })],
        extendMm: 10,
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
          const rings = [rectRing(print)];
          const base = coatAmount(input({ print: rings, filmUm })).totalMl;
          expect(
            coatAmount(input({ print: [rectRing({ ...print, widthMm: widthMm + 1 })], filmUm })).totalMl,
          ).toBeGreaterThan(base);
          expect(coatAmount(input({ print: rings, filmUm: filmUm + 10 })).totalMl).toBeGreaterThan(base);
          expect(coatAmount(input({ print: rings, filmUm, surface: surfaceById('canvas') })).totalMl).toBeGreaterThan(
            base,
          );
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
    return layingSteps(coatAmount(input({ binder: b, surface: s })), b, s, { xMm: 50, yMm: 50 }, 5).map(
      (step) => step.code,
    );
  };
  it('coats what the binder wants coated, then lays', () => {
    expect(codes('fluid-gel', 'painted-wood')).toEqual([
      'ready-tools',
      'mark-placement',
      'pour',
      'coat-surface',
      'coat-paper',
      'lay',
      'press',
      'wipe',
      'wash-brush',
    ]);
    expect(codes('opaque-medium', 'cloth')).toEqual(expect.arrayContaining(['barrier-inside', 'coat-paper']));
    expect(codes('opaque-medium', 'cloth')).not.toContain('coat-surface');
    expect(codes('polyurethane', 'soft-wood').indexOf('bed-coat')).toBeLessThan(
      codes('polyurethane', 'soft-wood').indexOf('pour'),
    );
    expect(codes('heavy-gel', 'canvas')).toContain('support-middle');
  });
  it('lets nothing slide on canvas', () => {
    const [b, s] = [binderById('heavy-gel'), surfaceById('canvas')];
    expect(layingSteps(coatAmount(input({ binder: b, surface: s })), b, s, { xMm: 0, yMm: 0 }, 5)).toContainEqual({
      code: 'lay',
      slides: false,
    });
  });
  it('has volumes that add up to what is poured', () => {
    for (const surface of SURFACES) {
      const coat = coatAmount(input({ surface }));
      const steps = layingSteps(coat, binderById('fluid-gel'), surface, { xMm: 0, yMm: 0 }, 5);
      const poured = steps.find((step) => step.code === 'pour');
      expect(poured && 'volumeMl' in poured && poured.volumeMl).toBeCloseTo(
        coat.faces.reduce((total, face) => total + face.volumeMl, 0),
        9,
      );
    }
  });
});
