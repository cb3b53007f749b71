import { NOTHING_SAID } from '@/core/at-hand';
import { reasonWords, refusalWords } from '@/words';
import {
  BINDERS,
  PRINTS,
  SCHOOLS,
  SURFACES,
  printById,
  surfaceById,
  type BinderId,
  type PrintId,
  type SurfaceId,
} from '@/core/craft';
import { readFileSync } from 'node:fs';
import { methodContext } from '@/testing/method-context';
import { methodTables } from '@/testing/method-tables';
import { placesOf } from '@/core/coat';
import {
  ASKED_CONDITIONS,
  CONDITIONS_MET_BY,
  isAsked,
  rankMethods,
  type ConditionCode,
  type MethodContext,
} from './index';

const find = (
  binder: BinderId,
  patch: Partial<MethodContext> = {},
  school = SCHOOLS.find((one) => one.binders.includes(binder))?.id,
) => {
  const found = rankMethods(methodContext(patch)).find((one) => one.binder.id === binder && one.school.id === school);
  if (!found) throw new Error(`no candidate for ${binder}`);
  return found;
};
const on = (surface: SurfaceId, patch: Partial<MethodContext> = {}): Partial<MethodContext> => ({
  surface: surfaceById(surface),
  finish: 'bare',
  ...patch,
});

describe('the ranking', () => {
  it('answers for every surface, binder and print, with its reason', () => {
    let cells = 0;
    for (const surface of SURFACES)
      for (const print of PRINTS) {
        const candidates = rankMethods(methodContext({ surface, print, finish: 'bare' }));
        expect(new Set(candidates.map((one) => one.binder.id))).toEqual(new Set(BINDERS.map((binder) => binder.id)));
        for (const one of candidates) {
          cells++;
          if (one.verdict === 'refused') expect(one.refusal && refusalWords(one.refusal).length).toBeGreaterThan(20);
          else {
            expect(one.reasons.length).toBeGreaterThan(1);
            for (const reason of one.reasons) expect(reasonWords(reason)).toMatch(/^[A-Z].+\.$/);
          }
          expect(one.score).toBe(one.verdict === 'refused' ? 0 : Math.min(100, Math.max(1, one.score)));
          if (one.verdict === 'works-if') expect(one.conditions.length).toBeGreaterThan(0);
        }
        expect(candidates.map((one) => one.score)).toEqual(candidates.map((one) => one.score).sort((a, b) => b - a));
      }
    expect(cells).toBe(SURFACES.length * PRINTS.length * SCHOOLS.flatMap((school) => school.binders).length);
  });

  it('has a school for every binder and every usable print', () => {
    expect(new Set(SCHOOLS.flatMap((school) => school.binders))).toEqual(new Set(BINDERS.map((binder) => binder.id)));
    const prints = new Set(SCHOOLS.flatMap((school) => school.prints));
    for (const print of PRINTS) expect(prints.has(print.id)).toBe(print.wet !== 'never' || print.id === 'inkjet-plain');
  });

  it('is written out in docs/methods.md, every cell of it (npm run formats)', () => {
    const tables = methodTables();
    expect(/undefined|\| +\|/.test(tables)).toBe(false);
    expect(readFileSync('docs/methods.md', 'utf8') === tables).toBe(true);
  });

  it('has points that add up to the score', () => {
    for (const one of rankMethods(methodContext({ whites: 'surface-shows' })).filter(
      (candidate) => candidate.verdict !== 'refused',
    )) {
      expect(one.score).toBe(
        Math.min(100, Math.max(1, 50 + one.reasons.reduce((total, reason) => total + reason.points, 0))),
      );
    }
  });
});

describe('what is refused', () => {
  it.each<[string, BinderId, Partial<MethodContext>, string]>([
    ['washable school glue, anywhere', 'school-glue', {}, 'glue-washes-out'],
    ['clear transfer medium on cloth', 'clear-medium', on('cloth'), 'clear-medium-on-cloth'],
    ['photo paper', 'fluid-gel', { print: printById('photo-paper') }, 'paper-does-not-break-down'],
    ['card', 'opaque-medium', { print: printById('laser-card') }, 'paper-does-not-break-down'],
    ['inkjet on plain paper', 'fluid-gel', { print: printById('inkjet-plain') }, 'inkjet-bleeds'],
    ['a print on liner, to be rubbed', 'fluid-gel', { print: printById('release-liner') }, 'needs-plain-paper'],
    ['any clear binder on cloth', 'fluid-gel', on('cloth'), 'needs-opaque-medium'],
    ['any clear binder on leather', 'heavy-gel', on('leather'), 'needs-opaque-medium'],
    ['gesso under paper', 'gesso', {}, 'other-print'],
    ['cloth that is washed, with what washes out', 'glue-sealer', on('canvas', { use: 'cloth' }), 'wash-takes-it'],
    ['quick varnish on paint', 'acrylic-varnish', {}, 'wrong-surface'],
    ['quick varnish on a base coat', 'acrylic-varnish', on('soft-wood', { hasBaseCoat: true }), 'needs-bare-face'],
  ])('%s', (_, binder, patch, code) =>
    expect(find(binder, patch)).toMatchObject({ verdict: 'refused', refusal: { code } }),
  );

  it.each<PrintId>(['photo-paper', 'laser-card'])('leaves nothing for %s', (print) => {
    expect(rankMethods(methodContext({ print: printById(print) })).every((one) => one.verdict === 'refused')).toBe(
      true,
    );
  });

  it('names the print that would make it possible', () => {
    expect(find('fluid-gel', {}, 'slip-paper').refusal).toMatchObject({ code: 'other-print', switchTo: 'slip-paper' });
    expect(find('fluid-gel', { print: printById('slip-paper') }, 'slip-paper').verdict).toBe('works');
  });

  it('keeps each school to the surfaces it works on', () => {
    const liner = { print: printById('release-liner') };
    expect(find('none', { ...liner, ...on('glass') }, 'liner-heat').verdict).not.toBe('refused');
    expect(find('none', { ...liner, ...on('soft-wood') }, 'liner-heat')).toMatchObject({
      refusal: { code: 'wrong-surface' },
    });
    expect(find('none', on('glass'), 'tape-decal').verdict).not.toBe('refused');
    expect(find('none', on('canvas'), 'tape-decal').verdict).toBe('refused');
    expect(find('fluid-gel', { ...liner, ...on('cloth') }, 'liner-peel').verdict).toBe('refused');
    expect(find('none', { print: printById('inkjet-liner'), ...on('terracotta') }, 'liner-press').verdict).not.toBe(
      'refused',
    );
  });

  it('gives inkjet on plain paper its rescue: the tacky peel, paler', () => {
    const peel = find('fluid-gel', { print: printById('inkjet-plain') }, 'tacky-peel');
    expect(peel.verdict).toBe('works-if');
    expect(peel.conditions).toContain('paler-ink');
  });
});

describe('what is at hand moves the ranking', () => {
  it('label values replace the record’s, prices count', () => {
    const atHand = {
      ...NOTHING_SAID,
      labels: { 'fluid-gel': { filmUm: 180, waitHours: 6, openMinutes: 12 } },
      pricePerMl: { 'fluid-gel': 0.06 },
    };
    const found = find('fluid-gel', { atHand });
    expect(found.binder).toMatchObject({
      filmUm: { min: 180, max: 180 },
      waitHours: { min: 6, max: 6 },
      openMinutes: 12,
    });
    expect(found.figures?.cost).toBeCloseTo(0.06 * (found.figures?.mediumMl ?? 0), 9);
  });
  it('practice, printer and the look wanted are weighed', () => {
    const peel = (patch: Partial<MethodContext>) => find('fluid-gel', patch, 'tacky-peel').score;
    expect(peel({ atHand: { ...NOTHING_SAID, skill: 1 } })).toBeLessThan(
      peel({ atHand: { ...NOTHING_SAID, skill: 3 } }),
    );
    expect(peel({ atHand: { ...NOTHING_SAID, printer: 'inkjet' } })).toBeLessThan(peel({}));
    expect(peel({ look: 'distressed' })).toBeGreaterThan(peel({ look: 'crisp' }));
  });
});

describe('what is wanted moves the ranking', () => {
  const best = (patch: Partial<MethodContext>) => rankMethods(methodContext(patch))[0].binder.id;
  it('white that stays white, dark ground and cloth call for opaque medium', () => {
    expect(best({ whites: 'stay-white' })).toBe('opaque-medium');
    expect(best({ groundLightness: 20 })).toBe('opaque-medium');
    expect(best(on('cloth', { use: 'cloth' }))).toBe('opaque-medium');
  });
  it('a surface that shall show calls for a clear binder', () =>
    expect(find('opaque-medium', { whites: 'surface-shows' }).score).toBeLessThan(
      find('fluid-gel', { whites: 'surface-shows' }).score,
    ));
  it('a close due date calls for the quick varnish on bare soft wood', () =>
    expect(best(on('soft-wood', { hoursLeft: 20 }))).toBe('acrylic-varnish'));
  it('lettering stands against a binder that loses toner', () =>
    expect(find('glue-sealer', { lettering: true }).score).toBeLessThan(find('glue-sealer').score));
  it('large work calls for fewer passes', () =>
    expect(find('clear-medium', { places: placesOf(150_000), reachedMm2: 150_000 }).score).toBeLessThan(
      find('clear-medium').score,
    ));
});

describe('no condition hangs in the air', () => {
  it('an opaque white over an LED works if no light need come through, and on rough wood a wet liner if it is sanded', () => {
    expect(find('opaque-medium', on('led-candle')).conditions).toContain('light-hidden');
    const liner = { print: printById('inkjet-liner') };
    for (const wood of ['soft-wood', 'hard-wood', 'sheet-wood'] as const)
      expect(find('none', { ...liner, ...on(wood) }, 'liner-press').conditions).toContain('sand-really-smooth');
    expect(find('none', { ...liner, ...on('terracotta') }, 'liner-press').conditions).not.toContain(
      'sand-really-smooth',
    );
  });
  it('what only the person can say is asked', () => {
    const codes = Object.keys(CONDITIONS_MET_BY) as ConditionCode[];
    expect(codes.filter(isAsked)).toEqual([...ASKED_CONDITIONS]);
    expect(ASKED_CONDITIONS).toContain('swatch-on-tight-grain');
    expect(ASKED_CONDITIONS).not.toContain('degrease');
    expect(ASKED_CONDITIONS).not.toContain('light-base-coat');
  });
});

describe('works if', () => {
  const conditions = (patch: Partial<MethodContext>) => find('fluid-gel', patch).conditions;
  it('says what must be done first', () => {
    expect(conditions({ finish: 'gloss-paint' })).toContain('scuff-slick-finish');
    expect(conditions({ finish: 'wall-paint' })).toContain('scuff-wall-paint');
    expect(conditions(on('hard-wood'))).toContain('swatch-on-tight-grain');
    expect(conditions(on('glass'))).toContain('degrease-and-base-coat');
    expect(conditions({ groundLightness: 30 })).toContain('light-base-coat');
    expect(conditions({ print: printById('inkjet-heat-set') })).toContain('swatch-of-heat-set');
    expect(conditions(on('led-candle'))).toContain('led-only');
    expect(conditions({})).toEqual([]);
  });
});
