import { NOTHING_SAID } from '@/core/at-hand';
import type { Piece } from '@/records';
import { HOUR, NOW, PICTURE, readyPiece } from '@/testing/builders';
import { applyPatch, readStep, stationOf } from '@/core/stations';
import { completeStep, foresee, paceOf, planPiece, revokeStep, runSteps, type RunStep } from './index';

const plan = (piece: Piece) => planPiece(piece, PICTURE, NOW);
const stepsOf = (piece: Piece) => runSteps(piece, plan(piece));
const done = (piece: Piece, id: string, at: number, minutes: number | null = null) => {
  const step = stepsOf(piece).find((one) => one.id === id);
  if (!step) throw new Error(id);
  return applyPatch(piece, completeStep(piece, step, at, minutes, [{ item: 'gel', amount: 20 }]));
};

describe('steps done', () => {
  it('each is recorded where its station looks for it, and in the record of the work', () => {
    let piece = readyPiece({ surface: { ...readyPiece().surface, baseCoat: 'gesso' } });
    const ids = stepsOf(piece).map(({ id }) => id);
    ids.forEach((id, index) => {
      expect(stepsOf(piece).find((one) => one.id === id)?.doneAt).toBeNull();
      piece = done(piece, id, NOW + index * 40 * HOUR, 7);
      expect(stepsOf(piece).find((one) => one.id === id)?.doneAt).toBe(NOW + index * 40 * HOUR);
    });
    expect(piece.lay.laidAt).not.toBeNull();
    expect(piece.rub.done).toHaveLength(3);
    expect(piece.seal.coatsAt).toHaveLength(2);
    expect(piece.work.done.map(({ step }) => step)).toEqual(ids);
    expect(piece.work.draws).toHaveLength(ids.length);
    expect(stepsOf(piece).every((step: RunStep) => step.doneAt !== null)).toBe(true);
  });

  it('taken back, its draws go back too; done twice it counts once', () => {
    const once = done(readyPiece(), 'lay', NOW);
    const twice = done({ ...once, lay: { ...once.lay, laidAt: null } }, 'lay', NOW + 1);
    expect(twice.work.draws).toEqual([{ step: 'lay', item: 'gel', amount: 20, at: NOW + 1 }]);
    expect(applyPatch(twice, revokeStep(twice, { kind: 'lay' })).work).toEqual({ done: [], draws: [] });
  });

  it('what waits is ripe when its own clock says', () => {
    const coated = done(readyPiece({ surface: { ...readyPiece().surface, baseCoat: 'gesso' } }), 'base-coat', NOW);
    expect(stepsOf(coated).find(({ id }) => id === 'base-coat')?.ripeAt).toBe(NOW + 4 * HOUR);
    const laid = done(readyPiece(), 'lay', NOW);
    expect(stepsOf(laid).find(({ id }) => id === 'lay')?.ripeAt).toBe(NOW + 16 * HOUR);
    expect(stepsOf(laid).find(({ id }) => id === 'print')?.doneAt).toBe(0);
  });
});

it('minutes measured stand beside the plan at Keep', () => {
  const piece = done(readyPiece(), 'print', NOW, 14);
  expect(plan(piece).keep.comparison.find(({ what }) => what === 'hands')).toEqual({
    what: 'hands',
    planned: 8,
    actual: 14,
    unit: 'min',
  });
  expect(plan(done(readyPiece(), 'print', NOW)).keep.comparison).toEqual([]);
});

describe('pace', () => {
  const worked = (step: string, minutes: number | null, planned: number): Pick<Piece, 'work'> => ({
    work: { done: [{ step, at: NOW, minutes, planned, early: false }], draws: [] },
  });
  it('is the usual until something was measured, and never runs away', () => {
    expect(paceOf([])).toEqual({});
    expect(paceOf([worked('lay', null, 15)])).toEqual({});
    expect(paceOf([worked('pass-1', 24, 12)]).rub).toBeCloseTo((24 + 30) / 42, 6);
    expect(paceOf(Array.from({ length: 40 }, () => worked('seal-1', 200, 10))).seal).toBe(3);
    expect(paceOf([worked('print', 5, 10), worked('print', 5, 10)]).sheet).toBeLessThan(1);
  });
  it('knows a step’s station by its id', () => {
    for (const step of stepsOf(readyPiece())) {
      const read = readStep(step.id);
      expect(read.ok && stationOf(read.value)).toBe(step.station);
    }
    expect(paceOf([worked('unheard-of', 20, 10)])).toEqual({});
  });
});

it('somebody twice as slow is known as twice as slow after ten pieces', () => {
  const pieces: Piece[] = [];
  for (let count = 0; count < 10; count++) {
    let piece: Piece = readyPiece();
    for (const step of runSteps(piece, plan(piece), paceOf(pieces)))
      piece = applyPatch(piece, completeStep(piece, step, NOW, 2 * step.usualMinutes));
    pieces.push(piece);
  }
  const pace = paceOf(pieces);
  for (const station of ['sheet', 'lay', 'rub', 'mend', 'seal'] as const) {
    expect(pace[station]).toBeGreaterThan(1.65);
    expect(pace[station]).toBeLessThanOrEqual(2);
  }
  const [usual, slow] = [stepsOf(readyPiece()), runSteps(readyPiece(), plan(readyPiece()), pace)];
  const lay = (steps: RunStep[]) => steps.find(({ id }) => id === 'lay')?.handsMinutes ?? 0;
  expect(lay(slow)).toBeGreaterThan(1.7 * lay(usual));
});

describe('a piece as the schedule takes it', () => {
  it('has the best method where none is chosen, and says what it lacks', () => {
    const open = readyPiece({ method: { ...readyPiece().method, school: null, binder: null } });
    const { assumed, job, lacks } = foresee(open, PICTURE, NOW, NOTHING_SAID);
    expect(assumed?.verdict).not.toBe('refused');
    expect(job.method.binder).toBe(assumed?.binder.id);
    expect(lacks).toEqual([]);
    expect(foresee(readyPiece(), PICTURE, NOW, NOTHING_SAID).assumed).toBeNull();
    expect(
      foresee(readyPiece({ surface: { ...readyPiece().surface, widthMm: null } }), PICTURE, NOW, NOTHING_SAID).lacks,
    ).toContain('blank-size');
  });
});
