import { CAUTIONS, SCHOOLS } from '@/core/craft';
import { formatLength, formatSize, formatTemperature, formatVolume } from '@/core/measure';
import { planPiece, runSteps } from '@/core/plan';
import type { Piece } from '@/records';
import { NOW, PICTURE, readyPiece } from '@/testing/builders';
import { benchRun } from './cards';

const units: Parameters<typeof benchRun>[3] = {
  system: 'metric', length: (mm) => formatLength(mm, 'metric'), size: (...mm) => formatSize(mm, 'metric'), volume: (ml) => formatVolume(ml, 'metric'), temperature: (celsius) => formatTemperature(celsius, 'metric'), area: (mm2) => `${mm2}`,
};
const runsOf = (piece: Piece) => { const plan = planPiece(piece, PICTURE, NOW); return runSteps(piece, plan).map((step) => ({ step, run: benchRun(step, piece, plan, units) })); };
const on = (surface: Partial<Piece['surface']>, method: Partial<Piece['method']>): Piece => { const piece = readyPiece(); return { ...piece, surface: { ...piece.surface, ...surface }, method: { ...piece.method, ...method } }; };

const PIECES: Record<string, Piece> = {
  A: readyPiece(), A2: on({ kind: 'cloth', finish: 'bare' }, { school: 'A2', binder: 'opaque-medium' }), A3: on({}, { school: 'A3', binder: 'polyurethane' }), A4: on({ kind: 'soft-wood', finish: 'bare' }, { school: 'A4', binder: 'acrylic-varnish' }),
  B: on({}, { school: 'B', binder: 'fluid-gel' }), C: on({}, { school: 'C', binder: 'heavy-gel', print: 'slip-paper' }), D: on({ kind: 'glass', finish: 'bare' }, { school: 'D', binder: 'none' }), E1: on({}, { school: 'E1', binder: 'fluid-gel', print: 'release-liner' }),
  E2: on({ kind: 'glass', finish: 'bare' }, { school: 'E2', binder: 'none', print: 'release-liner' }), E3: on({ kind: 'terracotta', finish: 'bare' }, { school: 'E3', binder: 'none', print: 'inkjet-liner' }), F: on({ kind: 'canvas', finish: 'bare' }, { school: 'F', binder: 'gesso', print: 'inkjet-film' }), G: on({}, { school: 'G', binder: 'none' }),
};

describe('steps as cards at the bench', () => {
  it('there is a piece for every school', () => expect(Object.keys(PIECES).sort()).toEqual(SCHOOLS.map(({ id }) => id).sort()));

  it.each(Object.keys(PIECES))('%s: every step has cards that say something, each once, with cautions that exist', (school) => {
    for (const { step, run } of runsOf(PIECES[school])) {
      expect(run.cards.length).toBeGreaterThan(0);
      expect(new Set(run.cards.map(({ id }) => id)).size).toBe(run.cards.length);
      for (const { text, timer } of run.cards) {
        expect(text.trim().length).toBeGreaterThan(8);
        expect(text).not.toMatch(/undefined|NaN|null/);
        if (timer) expect(timer.minutes).toBeGreaterThan(0);
      }
      for (const id of run.cautions) expect(CAUTIONS[id]).toBeDefined();
      expect(step.handsMinutes).toBeGreaterThan(0);
    }
  });

  const cards = (school: string, id: string) => runsOf(PIECES[school]).find(({ step }) => step.id === id)?.run;
  it('the open time begins with the first stroke, once', () => {
    for (const school of ['A', 'A2', 'A3']) expect(cards(school, 'lay')?.cards.filter(({ timer }) => timer?.stroke)).toHaveLength(1);
    expect(cards('A3', 'bed')?.cards.map(({ id }) => id)).toEqual(['ready-tools', 'bed-coat', 'wash-brush']);
    expect(cards('A3', 'lay')?.cards.map(({ id }) => id)).not.toContain('bed-coat');
  });
  it('a tacky peel has its early and its late timer, and is peeled before it is rolled', () => {
    const timers = cards('B', 'lay')?.cards.flatMap(({ timer }) => (timer && !timer.stroke ? [timer.minutes] : [])) ?? [];
    expect(timers).toHaveLength(2);
    expect(timers[0]).toBeLessThan(timers[1]);
    expect(cards('B', 'pass-1')?.cards[0].id).toBe('peel-0');
  });
  it('hot, sharp and unhealthy work shows its caution', () => {
    expect(cards('E2', 'lay')?.cautions).toContain('heat-set');
    expect(cards('D', 'lay')?.cautions).toContain('glass-edges');
    expect(cards('A', 'print')?.cautions).toContain('knife');
    expect(cards('A4', 'sand')?.cautions).toContain('sanding-dust');
    expect(cards('A', 'seal-1')?.cautions).toContain('no-food');
  });
  it('says the figures of the plan', () => {
    expect(cards('A', 'seal-1')?.cards.find(({ id }) => id === 'coat')?.figure).toMatch(/ml$/);
    expect(cards('A', 'pass-1')?.cards.find(({ id }) => id === 'damp')?.timer?.minutes).toBe(2);
    expect(cards('A', 'print')?.cards[0].figure).toBe('1 page');
  });
});
