import { CAUTION_LEVELS, SCHOOLS } from '@/core/craft';
import { planPiece, runSteps } from '@/core/plan';
import type { Piece } from '@/records';
import { NOW, PICTURE, readyPiece } from '@/testing/builders';
import { cautionsAt } from '@/core/plan';
import { STATIONS } from '@/core/stations';
import { wordingIn } from '@/words';
import { benchRun } from './cards';

const units = wordingIn('metric');
const runsOf = (piece: Piece) => {
  const plan = planPiece(piece, PICTURE, NOW);
  return runSteps(piece, plan).map((step) => ({ step, run: benchRun(step, piece, plan, units) }));
};
const on = (surface: Partial<Piece['surface']>, method: Partial<Piece['method']>): Piece => {
  const piece = readyPiece();
  return { ...piece, surface: { ...piece.surface, ...surface }, method: { ...piece.method, ...method } };
};

const PIECES: Record<string, Piece> = {
  'dry-and-rub': readyPiece(),
  'opaque-base': on({ kind: 'cloth', finish: 'bare' }, { school: 'opaque-base', binder: 'opaque-medium' }),
  'varnish-bed': on({}, { school: 'varnish-bed', binder: 'polyurethane' }),
  'quick-varnish': on({ kind: 'soft-wood', finish: 'bare' }, { school: 'quick-varnish', binder: 'acrylic-varnish' }),
  'tacky-peel': on({}, { school: 'tacky-peel', binder: 'fluid-gel' }),
  'slip-paper': on({}, { school: 'slip-paper', binder: 'heavy-gel', print: 'slip-paper' }),
  'tape-decal': on({ kind: 'glass', finish: 'bare' }, { school: 'tape-decal', binder: 'none' }),
  'liner-peel': on({}, { school: 'liner-peel', binder: 'fluid-gel', print: 'release-liner' }),
  'liner-heat': on({ kind: 'glass', finish: 'bare' }, { school: 'liner-heat', binder: 'none', print: 'release-liner' }),
  'liner-press': on(
    { kind: 'terracotta', finish: 'bare' },
    { school: 'liner-press', binder: 'none', print: 'inkjet-liner' },
  ),
  'film-bed': on({ kind: 'canvas', finish: 'bare' }, { school: 'film-bed', binder: 'gesso', print: 'inkjet-film' }),
  trace: on({}, { school: 'trace', binder: 'none' }),
};

describe('steps as cards at the bench', () => {
  it('there is a piece for every school', () =>
    expect(Object.keys(PIECES).sort()).toEqual(SCHOOLS.map(({ id }) => id).sort()));

  it.each(Object.keys(PIECES))(
    '%s: every step has cards that say something, each once, with cautions that exist',
    (school) => {
      for (const { step, run } of runsOf(PIECES[school])) {
        expect(run.cards.length).toBeGreaterThan(0);
        expect(new Set(run.cards.map(({ id }) => id)).size).toBe(run.cards.length);
        for (const { text, timer } of run.cards) {
          expect(text.trim().length).toBeGreaterThan(8);
          expect(text).not.toMatch(/undefined|NaN|null/);
          if (timer) expect(timer.minutes).toBeGreaterThan(0);
        }
        for (const id of run.cautions) expect(CAUTION_LEVELS[id]).toBeDefined();
        expect(step.handsMinutes).toBeGreaterThan(0);
      }
    },
  );

  const cards = (school: string, id: string) => runsOf(PIECES[school]).find(({ step }) => step.id === id)?.run;
  it('the open time begins with the first stroke, once', () => {
    for (const school of ['dry-and-rub', 'opaque-base', 'varnish-bed'])
      expect(cards(school, 'lay')?.cards.filter(({ timer }) => timer?.stroke)).toHaveLength(1);
    expect(cards('varnish-bed', 'bed')?.cards.map(({ id }) => id)).toEqual(['ready-tools', 'bed-coat', 'wash-brush']);
    expect(cards('varnish-bed', 'lay')?.cards.map(({ id }) => id)).not.toContain('bed-coat');
  });
  it('a tacky peel has its early and its late timer, and is peeled before it is rolled', () => {
    const timers =
      cards('tacky-peel', 'lay')?.cards.flatMap(({ timer }) => (timer && !timer.stroke ? [timer.minutes] : [])) ?? [];
    expect(timers).toHaveLength(2);
    expect(timers[0]).toBeLessThan(timers[1]);
    expect(cards('tacky-peel', 'pass-1')?.cards[0].id).toBe('peel-try-corner');
  });
  it('hot, sharp and unhealthy work shows its caution', () => {
    expect(cards('liner-heat', 'lay')?.cautions).toContain('heat-set');
    expect(cards('tape-decal', 'lay')?.cautions).toContain('glass-edges');
    expect(cards('dry-and-rub', 'print')?.cautions).toContain('knife');
    expect(cards('quick-varnish', 'sand')?.cautions).toContain('sanding-dust');
    expect(cards('dry-and-rub', 'seal-1')?.cautions).toContain('no-food');
  });
  it('says the figures of the plan', () => {
    expect(cards('dry-and-rub', 'seal-1')?.cards.find(({ id }) => id === 'coat')?.figure).toMatch(/ml$/);
    expect(cards('dry-and-rub', 'pass-1')?.cards.find(({ id }) => id === 'damp')?.timer?.minutes).toBe(2);
    expect(cards('dry-and-rub', 'print')?.cards[0].figure).toBe('1 page');
  });

  it.each(Object.keys(PIECES))('%s: what is to mind is the same at the desk and at the bench', (school) => {
    const piece = PIECES[school];
    const plan = planPiece(piece, PICTURE, NOW);
    const atBench = new Map(STATIONS.map((station) => [station, new Set<string>()]));
    for (const { step, run } of runsOf(piece)) run.cautions.forEach((id) => atBench.get(step.station)?.add(id));
    for (const [station, minded] of atBench)
      if (runsOf(piece).some(({ step }) => step.station === station))
        expect([...minded].sort()).toEqual([...cautionsAt(station, piece, plan)].sort());
  });
});
