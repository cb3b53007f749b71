import { foresee, nextStep, planPiece } from '@/core/plan';
import type { PlannedPiece } from '@/features/plans';
import { demoPieces } from '@/demo/scenario';
import { EMPTY_STASH, atHandOf, pieceLike, type Piece } from '@/records';
import { HOUR, NOW, PICTURE } from '@/testing/builders';
import { partsOf } from '@/features/plans/parts-of';
import { minutesLeft, partOf, stepsOfSet } from './set-of';

const [pattern] = demoPieces(NOW).filter(({ id }) => id === 'demo-crest-bucket');
const AT_HAND = { ...atHandOf(EMPTY_STASH), air: null, pace: {} };
const member = (at: number, patch: Partial<Piece> = {}): Piece => ({
  ...pieceLike(pattern, { id: `part-${at}`, name: `Part ${at}`, now: NOW, withoutPicture: false }),
  set: { id: 'set', name: 'Buckets', at },
  ...patch,
});
const planned = (piece: Piece): PlannedPiece => {
  const plan = planPiece(piece, PICTURE, NOW);
  return { piece, picture: PICTURE, plan, next: nextStep(piece, plan, NOW) } as PlannedPiece;
};
const setOf = (pieces: readonly Piece[], now = NOW) =>
  stepsOfSet(
    pieces.map((piece, at) => partOf(at + 1, planned(piece), foresee(piece, PICTURE, now, AT_HAND), {})),
    now,
  );

describe('a set counted through', () => {
  it('stands in its own order, others apart', () => {
    const shelf = [member(2), member(0), { ...member(1), id: 'other', set: null }, member(1)].map(planned);
    expect(partsOf(shelf, 'set').map(({ piece }) => piece.id)).toEqual(['part-0', 'part-1', 'part-2']);
    expect(partsOf(shelf, 'none')).toEqual([]);
  });

  it('begins with what nothing holds back, and counts what is done', () => {
    const printed = member(0);
    const steps = setOf([{ ...printed, sheet: { ...printed.sheet, printedAt: NOW } }, member(1), member(2)]);
    const print = steps.find(({ step }) => step.step.kind === 'print');
    expect(print).toMatchObject({ done: 1, of: 3 });
    expect(print?.cells.map(({ state }) => state)).toEqual(['done', 'ready', 'ready']);
    const lay = steps.find(({ step }) => step.step.kind === 'lay');
    expect(lay?.cells.every(({ state }) => state === 'waits')).toBe(true);
  });

  it('says when what dries is ready', () => {
    const laid = member(0);
    const steps = setOf([
      { ...laid, sheet: { ...laid.sheet, printedAt: NOW - HOUR }, lay: { ...laid.lay, laidAt: NOW - HOUR } },
      member(1),
    ]);
    const after = steps[steps.findIndex(({ step }) => step.step.kind === 'lay') + 1];
    const [own, other] = after?.cells ?? [];
    expect(own).toMatchObject({ state: 'waits' });
    expect(own?.readyAt).toBeGreaterThan(NOW);
    expect(other).toMatchObject({ state: 'waits', readyAt: null });
  });

  it('a step that only some have stands where it stands there, and the others need it not', () => {
    const sealed = member(0, { seal: { ...member(0).seal, coats: 3 } });
    const steps = setOf([member(1, { seal: { ...member(1).seal, coats: 1 } }), sealed]);
    const coats = steps.filter(({ step }) => step.step.kind === 'coat');
    expect(coats.map(({ of }) => of)).toEqual([2, 1, 1]);
    expect(coats[1]?.cells.map(({ state }) => state)).toEqual(['none', 'waits']);
  });

  it('counts what is got ready once, however many they are', () => {
    const one = minutesLeft(setOf([member(0)]));
    const three = minutesLeft(setOf([member(0), member(1), member(2)]));
    expect(three).toBeGreaterThan(2 * one);
    expect(three).toBeLessThanOrEqual(3 * one);
    expect(minutesLeft([])).toBe(0);
  });
});
